import type { Counts } from './mutual-information.ts';
import { MINUTE_MS } from '../units/durations.ts';

/** Instants in ms; `to` null: still on. */
export type WornSpan = { collarId: string; from: number; to: number | null };
/** When a dog is awake and could be worked, ms: the open hours of a day. */
export type AwakeSpan = { from: number; to: number };

/** A stretch of a day in which the same was worn, and whether work began in it. */
export type WornOccasion = { from: number; to: number; worn: string[]; work: boolean };

/** Shorter than this and without work, a stretch is but one collar going on after another. From memory. */
const CHANGING_MS = 10 * MINUTE_MS;

/**
 * What was worn and whether work followed, out of what happened: each stretch of the open hours in which the same was on, nothing
 * included, with whether a session began in it. Stretches under ten minutes in which nothing began are a change of collars, not an
 * occasion. Own rule; from memory.
 *
 * @example wornOccasions({ worn: [], begun: [1], awake: [{ from: 0, to: 10 }], now: 10 }) // [{ from: 0, to: 10, worn: [], work: true }]
 */
export function wornOccasions({
  worn,
  begun,
  awake,
  now,
}: {
  worn: readonly WornSpan[];
  /** When sessions of the dog began. */
  begun: readonly number[];
  awake: readonly AwakeSpan[];
  now: number;
}): WornOccasion[] {
  return awake.flatMap(({ from, to }) => {
    const end = Math.min(to, now);
    if (end <= from) return [];
    const edges = worn.flatMap((span) => [span.from, span.to ?? now]).filter((at) => at > from && at < end);
    const cuts = [from, ...[...new Set(edges)].sort((a, b) => a - b), end];
    return cuts.slice(0, -1).flatMap((begins, index) => {
      const ends = cuts[index + 1]!;
      const work = begun.some((at) => at >= begins && at < ends);
      if (!work && ends - begins < CHANGING_MS) return [];
      const on = [...new Set(worn.filter((span) => span.from <= begins && (span.to ?? now) >= ends).map(({ collarId }) => collarId))].sort();
      return [{ from: begins, to: ends, worn: on, work }];
    });
  });
}

/**
 * Whether the act of putting a collar on tells of work: rows «something went on within the time before» and «nothing did», columns
 * work and nothing. A putting-on with no session within `withinMs` counts against it once; the time in which neither happened
 * counts in pieces of that length. Own rule; from memory.
 */
export function putOnCounts({
  worn,
  begun,
  awake,
  now,
  withinMs,
}: {
  worn: readonly WornSpan[];
  begun: readonly number[];
  awake: readonly AwakeSpan[];
  now: number;
  withinMs: number;
}): Counts {
  const inside = (at: number) => awake.some(({ from, to }) => at >= from && at < Math.min(to, now));
  // What goes on within a moment of another goes on with it.
  const on = worn
    .map(({ from }) => from)
    .filter(inside)
    .sort((a, b) => a - b)
    .filter((at, index, all) => index === 0 || at - all[index - 1]! >= CHANGING_MS);
  const sessions = begun.filter(inside);
  const after = (at: number) => sessions.some((begins) => begins >= at && begins - at <= withinMs);
  const before = (begins: number) => on.some((at) => begins >= at && begins - at <= withinMs);
  const told = sessions.filter(before).length;
  const untold = sessions.length - told;
  const inVain = on.filter((at) => !after(at)).length;
  const pieces = awake.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to, now) - from), 0) / withinMs;
  return [
    [told, inVain],
    [untold, Math.max(0, Math.floor(pieces) - told - untold - inVain)],
  ];
}
