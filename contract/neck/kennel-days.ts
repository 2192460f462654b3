import { DAY_MS } from '@banter/core';
import { DateTime } from 'luxon';

/** The small hours, in which a dog sleeps: from midnight to five in the kennel’s zone. From memory. */
const NIGHT_ENDS_HOUR = 5;

/** A day of a zone: its name, `2026-03-29`, and when it begins, its night ends, and the next begins, ms. */
type ZoneDay = { day: string; from: number; nightTo: number; to: number };

/** Of a zone, so many days are remembered: a screen asks for the same sixty hundreds of times, and looking one up in a zone takes long. */
const REMEMBERED = 4000;
const remembered = new Map<string, Map<number, ZoneDay>>();

/** The day of a zone in which an instant lies that is asked for often: a midnight of UTC, or the beginning of a day. */
function dayFrom(ms: number, zone: string): ZoneDay {
  const days = remembered.get(zone) ?? new Map<number, ZoneDay>();
  remembered.set(zone, days);
  const known = days.get(ms);
  if (known) return known;
  const start = DateTime.fromMillis(ms, { zone }).startOf('day');
  const day = {
    day: start.toISODate()!,
    from: start.toMillis(),
    nightTo: start.set({ hour: NIGHT_ENDS_HOUR }).toMillis(),
    to: start.plus({ days: 1 }).startOf('day').toMillis(),
  };
  if (days.size >= REMEMBERED) days.clear();
  days.set(ms, day);
  return day;
}

/** The day of a zone in which an instant lies. */
function dayAt(ms: number, zone: string): ZoneDay {
  let day = dayFrom(Math.floor(ms / DAY_MS) * DAY_MS, zone);
  while (day.to <= ms) day = dayFrom(day.to, zone);
  return day;
}

/** The nights of a zone that touch a stretch of time, as spans in ms; right across clock changes. */
export function nightSpans(fromMs: number, toMs: number, zone: string): { from: number; to: number }[] {
  const spans: { from: number; to: number }[] = [];
  for (let day = dayAt(fromMs, zone); day.from <= toMs; day = dayFrom(day.to, zone)) if (day.nightTo > fromMs) spans.push({ from: day.from, to: day.nightTo });
  return spans;
}

/** When the kennel’s day began in which an instant lies, ms. */
export const dayStart = (ms: number, zone: string): number => dayAt(ms, zone).from;

/** When a day of the kennel’s zone begins, ms; the day as `2026-03-29`. */
export const dayStartOf = (day: string, zone: string): number => DateTime.fromISO(day, { zone }).startOf('day').toMillis();

/**
 * When the kennel’s clock shows a time of a day, ms; minutes after midnight as the clock counts them, also on days on which it is
 * changed. A time that such a day leaves out is the one an hour later.
 *
 * @example timeOn('2026-03-29', 9 * 60, 'Europe/London') // 08:00 UTC: the clock went forward in the night
 */
export const timeOn = (day: string, minutes: number, zone: string): number =>
  DateTime.fromISO(day, { zone })
    .set({ hour: Math.floor(minutes / 60), minute: minutes % 60 })
    .toMillis();

/** The kennel’s day in which an instant lies, `2026-03-29`. */
export const dayOf = (ms: number, zone: string): string => dayAt(ms, zone).day;

/** An instant as it is said on the spot: `14:10` today, else with its day. */
export function momentOn(ms: number, now: number, zone: string): string {
  const at = DateTime.fromMillis(ms, { zone });
  const today = at.hasSame(DateTime.fromMillis(now, { zone }), 'day');
  return today ? at.toFormat('HH:mm') : at.toFormat('ccc d LLL, HH:mm');
}
