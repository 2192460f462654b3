import { DAY_MS, HOUR_MS, MINUTE_MS } from '@banter/core';
import { DateTime, IANAZone } from 'luxon';

/** The small hours, in which a dog sleeps: from midnight to five in the kennel’s zone. From memory. */
const NIGHT_ENDS_HOUR = 5;

/** A day of a zone: its name, `2026-03-29`, and when it begins, its night ends, and the next begins, ms. */
type ZoneDay = { day: string; from: number; nightTo: number; to: number };

/** Of a zone, so many days are remembered: a screen asks for the same sixty hundreds of times, and looking one up in a zone takes long. */
const REMEMBERED = 4000;
const remembered = new Map<string, Map<number, ZoneDay>>();

/** A day by a date library, whatever its clock does. */
function dayWithChange(ms: number, zone: string): ZoneDay {
  const start = DateTime.fromMillis(ms, { zone }).startOf('day');
  return {
    day: start.toISODate()!,
    from: start.toMillis(),
    nightTo: start.set({ hour: NIGHT_ENDS_HOUR }).toMillis(),
    to: start.plus({ days: 1 }).startOf('day').toMillis(),
  };
}

/** How far a zone is ahead of UTC at an instant, ms. */
const aheadOf = (ms: number, zone: string): number => IANAZone.create(zone).offset(ms) * MINUTE_MS;

/** A day at both ends of which the clock is equally far ahead, as most are: that needs none of what a date library reckons with. Null: it is none. */
function plainDay(ms: number, zone: string): ZoneDay | null {
  const ahead = aheadOf(ms, zone);
  const from = Math.floor((ms + ahead) / DAY_MS) * DAY_MS - ahead;
  const to = from + DAY_MS;
  if (!(aheadOf(from - 1, zone) === ahead && aheadOf(to, zone) === ahead)) return null;
  return { day: new Date(from + ahead).toISOString().slice(0, 10), from, nightTo: from + NIGHT_ENDS_HOUR * HOUR_MS, to };
}

/** The day of a zone in which an instant lies that is asked for often: a midnight of UTC, or the beginning of a day. */
function dayFrom(ms: number, zone: string): ZoneDay {
  const days = remembered.get(zone) ?? new Map<number, ZoneDay>();
  remembered.set(zone, days);
  const known = days.get(ms);
  if (known) return known;
  const day = plainDay(ms, zone) ?? dayWithChange(ms, zone);
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

const named = new Map<string, { from: number; isPlain: boolean }>();
/** A day of a zone by its name: when it begins, and whether its clock goes on from midnight to midnight unchanged. */
function namedDay(day: string, zone: string): { from: number; isPlain: boolean } {
  const key = `${zone} ${day}`;
  const known = named.get(key);
  if (known) return known;
  const noon = Date.parse(day) + DAY_MS / 2;
  const there = dayAt(noon - aheadOf(noon, zone), zone);
  // A zone that changed its side of the date line left a day out.
  const from = there.day === day ? there.from : DateTime.fromISO(day, { zone }).startOf('day').toMillis();
  const found = { from, isPlain: there.day === day && there.to - from === DAY_MS };
  if (named.size >= REMEMBERED) named.clear();
  named.set(key, found);
  return found;
}

/** When a day of the kennel’s zone begins, ms; the day as `2026-03-29`. */
export const dayStartOf = (day: string, zone: string): number => namedDay(day, zone).from;

/**
 * When the kennel’s clock shows a time of a day, ms; minutes after midnight as the clock counts them, also on days on which it is
 * changed. A time that such a day leaves out is the one an hour later.
 *
 * @example timeOn('2026-03-29', 9 * 60, 'Europe/London') // 08:00 UTC: the clock went forward in the night
 */
export function timeOn(day: string, minutes: number, zone: string): number {
  const { from, isPlain } = namedDay(day, zone);
  if (isPlain) return from + minutes * MINUTE_MS;
  return DateTime.fromISO(day, { zone })
    .set({ hour: Math.floor(minutes / 60), minute: minutes % 60 })
    .toMillis();
}

/** The kennel’s day in which an instant lies, `2026-03-29`. */
export const dayOf = (ms: number, zone: string): string => dayAt(ms, zone).day;

/** An instant as it is said on the spot: `14:10` today, else with its day. */
export function momentOn(ms: number, now: number, zone: string): string {
  const at = DateTime.fromMillis(ms, { zone });
  return dayOf(ms, zone) === dayOf(now, zone) ? at.toFormat('HH:mm') : at.toFormat('ccc d LLL, HH:mm');
}
