import type { StimulationMode } from '../collars/electronic/fit-electronic.ts';
import type { DogResponse, FieldEvent, SessionPurpose } from './field-event.ts';
import { HOUR_MS } from '../units/durations.ts';

/** A press with what came of it. */
export type SessionPress = {
  id: string;
  at: number;
  collarId: string;
  level: number;
  mode: StimulationMode;
  setting: string;
  response: DogResponse | null;
  /** From the press to the response, ms; null where nobody timed it. */
  latencyMs: number | null;
};

/** A session as its events tell it, in whatever order and however often they came, from one phone or several. */
export type SessionStory = {
  sessionId: string;
  dogId: string | null;
  handlerId: string | null;
  purpose: SessionPurpose;
  /** The first setting and those it moved to, in order. */
  settings: string[];
  begunAt: number;
  /** Null while it has not been ended. */
  endedAt: number | null;
  /** When the last thing was told. */
  lastAt: number;
  presses: SessionPress[];
  /** Everything that stands, in order of time. */
  events: FieldEvent[];
};

const byTime = (a: FieldEvent, b: FieldEvent) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/** Events once each, without those that were taken back, in the order of their times. A taking back can itself not be taken back. */
export function standingEvents(events: readonly FieldEvent[]): FieldEvent[] {
  const once = [...new Map(events.map((event) => [event.id, event])).values()];
  const gone = new Set(once.flatMap((event) => (event.event === 'void' ? [event.eventId] : [])));
  return once.filter((event) => event.event !== 'void' && !gone.has(event.id)).sort(byTime);
}

/**
 * Puts a session together out of its events. The last response to a press counts; a press is of the setting that held then. A
 * session nobody began is told from what there is; null when nothing stands. `joined` are sessions that count as another
 * (`joinedSessions`): of several beginnings the earliest counts.
 */
export function sessionStory(sessionId: string, told: readonly FieldEvent[], joined: ReadonlyMap<string, string> = new Map()): SessionStory | null {
  const events = standingEvents(told.filter((event) => (joined.get(event.sessionId) ?? event.sessionId) === sessionId));
  if (events.length === 0) return null;
  const begin = events.find((event) => event.event === 'begin');
  const story: SessionStory = {
    sessionId,
    dogId: begin?.event === 'begin' ? begin.dogId : null,
    handlerId: begin?.event === 'begin' ? begin.handlerId : null,
    purpose: begin?.event === 'begin' ? begin.purpose : 'work',
    settings: [],
    begunAt: begin?.at ?? events[0]!.at,
    endedAt: null,
    // What came of it is told afterwards, and does not make it longer.
    lastAt: (events.findLast(({ event }) => event !== 'result' && event !== 'joins') ?? events.at(-1)!).at,
    presses: [],
    events,
  };
  const presses = new Map<string, SessionPress>();
  let setting = begin?.event === 'begin' ? begin.setting : '';
  const into = (next: string) => {
    setting = next;
    if (story.settings.at(-1) !== next) story.settings.push(next);
  };
  if (setting) into(setting);
  for (const event of events) {
    if (event.event === 'setting') into(event.setting);
    if (event.event === 'press') {
      const { id, at, collarId, level, mode } = event;
      presses.set(id, { id, at, collarId, level, mode, setting, response: null, latencyMs: null });
    }
  }
  for (const event of events) {
    const press = event.event === 'response' ? presses.get(event.pressId) : undefined;
    if (press && event.event === 'response') presses.set(press.id, { ...press, response: event.response, latencyMs: event.latencyMs });
  }
  story.presses = [...presses.values()];
  // What another phone told after the end belongs to the session too: it lasted until then.
  if (events.some(({ event }) => event === 'end')) story.endedAt = story.lastAt;
  return story;
}

/**
 * Which session each one counts as, once those that join another are led to it: the end of the chain; a ring of them ends where it
 * was entered. Takes every event that is known, and answers only for sessions that join.
 */
export function joinedSessions(told: readonly FieldEvent[]): Map<string, string> {
  const into = new Map(standingEvents(told).flatMap((event) => (event.event === 'joins' ? [[event.sessionId, event.intoId] as const] : [])));
  const rootOf = (id: string): string => {
    const seen = new Set([id]);
    let at = id;
    for (let next = into.get(at); next !== undefined && !seen.has(next); next = into.get(at)) {
      at = next;
      seen.add(at);
    }
    return into.has(at) ? [...seen].sort()[0]! : at;
  };
  return new Map([...into.keys()].map((id) => [id, rootOf(id)] as const).filter(([id, root]) => id !== root));
}

type Span = Pick<SessionStory, 'sessionId' | 'dogId' | 'begunAt' | 'endedAt' | 'lastAt'>;
/** Sessions of one dog that overlap in time: one session told by two phones that did not know of each other. */
export function overlapping(one: Span, other: Span): boolean {
  const until = (story: Span) => story.endedAt ?? story.lastAt;
  return one.sessionId !== other.sessionId && one.dogId !== null && one.dogId === other.dogId && one.begunAt <= until(other) && other.begunAt <= until(one);
}

/** Whether a session that nobody ended is asked about: nothing was told for `askEndHours`. It is never ended by itself. */
export function askWhetherEnded(story: Pick<SessionStory, 'endedAt' | 'lastAt'>, now: number, { askEndHours }: { askEndHours: number }): boolean {
  return story.endedAt === null && now - story.lastAt >= askEndHours * HOUR_MS;
}
