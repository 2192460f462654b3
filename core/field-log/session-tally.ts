import { median } from '../measure/median.ts';
import { DIRECTIONS, RESPONSES, type Direction, type DogResponse } from './field-event.ts';
import type { SessionStory } from './session-story.ts';
import { MINUTE_MS } from '../units/durations.ts';

/** What a session comes to. Times ms; levels on the device's own scale. */
export type SessionTally = {
  lastedMs: number;
  presses: number;
  responses: Record<DogResponse, number>;
  /**
   * What was needed, one entry a device and setting: the median level of the presses that drew a small sign or what was asked, and
   * the lowest of those after the last press that drew none (of the last one that drew a sign, where the session ended on none).
   */
  needed: { collarId: string; setting: string; level: number; atEnd: number; presses: number }[];
  /** Lowest level that was too much, by device. */
  tooMuch: { collarId: string; level: number }[];
  latencyMs: number | null;
  corrections: number;
  directions: Record<Direction, number>;
  /** Time under held tension. */
  heldMs: number;
  /** Longest single hold. */
  longestHoldMs: number;
  rewards: number;
  cues: number;
  markers: number;
  pushedUp: number;
};

const TEN_MINUTES_MS = 10 * MINUTE_MS;

/** Levels needed and too much by one grouping. */
function grouped<Key extends string>(story: SessionStory, keyOf: (press: SessionStory['presses'][number]) => Key, of: (response: DogResponse) => boolean) {
  const groups = new Map<Key, number[]>();
  for (const press of story.presses) {
    if (press.response === null || !of(press.response) || !felt(press)) continue;
    groups.set(keyOf(press), [...(groups.get(keyOf(press)) ?? []), press.level]);
  }
  return groups;
}

const felt = (press: SessionStory['presses'][number]) => press.mode !== 'tone' && press.mode !== 'vibration';
const drewSign = ({ response }: SessionStory['presses'][number]) => response === 'small' || response === 'did';

/** The lowest level that was noticed at the end of a session, on a device in a setting where any was. */
function neededAtEnd({ presses }: SessionStory, collarId: string, setting: string): number {
  const own = presses.filter((press) => press.collarId === collarId && press.setting === setting && press.response !== null && felt(press));
  const signs = own.slice(own.findLastIndex(({ response }) => response === 'none') + 1).filter(drewSign);
  return signs.length > 0 ? Math.min(...signs.map(({ level }) => level)) : own.findLast(drewSign)!.level;
}

/**
 * Adds a session up. Tension is held from «held» to «let go»; a hold nobody let go of lasts to the end of the session, a second
 * «held» meanwhile is the same hold. A session that has not been ended is counted to its last event.
 */
export function sessionTally(story: SessionStory): SessionTally {
  const until = story.endedAt ?? story.lastAt;
  const count = (name: string) => story.events.filter(({ event }) => event === name).length;
  const directions = Object.fromEntries(DIRECTIONS.map((direction) => [direction, 0])) as Record<Direction, number>;
  const responses = Object.fromEntries(RESPONSES.map((response) => [response, 0])) as Record<DogResponse, number>;
  for (const { response } of story.presses) if (response) responses[response] += 1;
  const holds: number[] = [];
  let heldSince: number | null = null;
  for (const event of story.events) {
    if (event.event === 'correction') directions[event.direction] += 1;
    if (event.event === 'hold') heldSince ??= event.at;
    if (event.event === 'let-go' && heldSince !== null) {
      holds.push(event.at - heldSince);
      heldSince = null;
    }
  }
  if (heldSince !== null) holds.push(Math.max(0, until - heldSince));
  const latencies = story.presses.flatMap(({ latencyMs, response }) => (latencyMs !== null && (response === 'small' || response === 'did') ? [latencyMs] : []));
  const needed = grouped(
    story,
    ({ collarId, setting }) => `${collarId} ${setting}`,
    (response) => response === 'small' || response === 'did',
  );
  const tooMuch = grouped(
    story,
    ({ collarId }) => collarId,
    (response) => response === 'too-much',
  );
  return {
    lastedMs: Math.max(0, until - story.begunAt),
    presses: story.presses.length,
    responses,
    needed: [...needed].map(([key, levels]) => {
      const cut = key.indexOf(' ');
      const [collarId, setting] = [key.slice(0, cut), key.slice(cut + 1)];
      return { collarId, setting, level: median(levels), atEnd: neededAtEnd(story, collarId, setting), presses: levels.length };
    }),
    tooMuch: [...tooMuch].map(([collarId, levels]) => ({ collarId, level: Math.min(...levels) })),
    latencyMs: latencies.length === 0 ? null : median(latencies),
    corrections: count('correction'),
    directions,
    heldMs: holds.reduce((sum, held) => sum + held, 0),
    longestHoldMs: Math.max(0, ...holds),
    rewards: count('reward'),
    cues: count('cue'),
    markers: count('marker'),
    pushedUp: count('pushed-up'),
  };
}

/** Corrections in ten minutes; null for a session of no length. */
export const correctionsPerTenMinutes = ({ corrections, lastedMs }: Pick<SessionTally, 'corrections' | 'lastedMs'>): number | null =>
  lastedMs === 0 ? null : (corrections * TEN_MINUTES_MS) / lastedMs;
/** Share of a session under held tension, 0 to 1; null for one of no length. */
export const tensionShare = ({ heldMs, lastedMs }: Pick<SessionTally, 'heldMs' | 'lastedMs'>): number | null =>
  lastedMs === 0 ? null : Math.min(1, heldMs / lastedMs);
/** Rewards for each correction; null where there was none. */
export const rewardsPerCorrection = ({ rewards, corrections }: Pick<SessionTally, 'rewards' | 'corrections'>): number | null =>
  corrections === 0 ? null : rewards / corrections;
