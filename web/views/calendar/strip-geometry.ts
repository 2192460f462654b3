import type { CalendarCase } from '@banter/contract';
import { GRID_MINUTES, type PlacedSession } from '@banter/core';

/** From the first to the last hour that a strip shows, minutes of the day. */
export type StripSpan = readonly [from: number, to: number];
const HOUR = 60;
/** What a strip shows when the kennel is closed all the while. */
const USUAL: StripSpan = [8 * HOUR, 18 * HOUR];

/** Whole hours that hold every open hour and every session of some days, so that all their strips have one scale. */
export function stripSpan(days: CalendarCase['days'], sessions: readonly Pick<PlacedSession, 'from' | 'minutes' | 'aroundMinutes'>[]): StripSpan {
  const from = Math.min(...days.flatMap(({ open }) => (open ? [open[0]] : [])), ...sessions.map((one) => one.from - one.aroundMinutes));
  const to = Math.max(...days.flatMap(({ open }) => (open ? [open[1]] : [])), ...sessions.map((one) => one.from + one.minutes + one.aroundMinutes));
  if (!Number.isFinite(from) || !Number.isFinite(to)) return USUAL;
  return [Math.max(0, Math.floor(from / HOUR) * HOUR), Math.min(24 * HOUR, Math.ceil(to / HOUR) * HOUR)];
}

/** Where a minute lies along a strip, in per cent of it. */
export const along = (minute: number, [from, to]: StripSpan): number => ((minute - from) / (to - from)) * 100;

/** The minute at a share of a strip (0 to 1), on the grid of the calendar. */
export const minuteAt = (share: number, [from, to]: StripSpan): number => Math.round((from + share * (to - from)) / GRID_MINUTES) * GRID_MINUTES;

/** The full hours between the ends of a strip. */
export const hoursOf = ([from, to]: StripSpan): number[] => Array.from({ length: (to - from) / HOUR + 1 }, (_hour, index) => from + index * HOUR);

const LEAST_LETTERS = 3;
/** Names cut as short as tells them apart, but not under three letters: `Bra`, `Barn`, `Bark`. */
export function tagNames(names: readonly string[]): Map<string, string> {
  const short = new Map<string, string>();
  for (const name of names) {
    let letters = LEAST_LETTERS;
    while (letters < name.length && names.some((other) => other !== name && other.slice(0, letters) === name.slice(0, letters))) letters += 1;
    short.set(name, name.slice(0, letters));
  }
  return short;
}
