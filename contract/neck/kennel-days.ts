import { DateTime } from 'luxon';

/** The small hours, in which a dog sleeps: from midnight to five in the kennel’s zone. From memory. */
const NIGHT_ENDS_HOUR = 5;

/** The nights of a zone that touch a stretch of time, as spans in ms; right across clock changes. */
export function nightSpans(fromMs: number, toMs: number, zone: string): { from: number; to: number }[] {
  const spans: { from: number; to: number }[] = [];
  for (let day = DateTime.fromMillis(fromMs, { zone }).startOf('day'); day.toMillis() <= toMs; day = day.plus({ days: 1 })) {
    const to = day.set({ hour: NIGHT_ENDS_HOUR }).toMillis();
    if (to > fromMs) spans.push({ from: day.toMillis(), to });
  }
  return spans;
}

/** When the kennel’s day began in which an instant lies, ms. */
export const dayStart = (ms: number, zone: string): number => DateTime.fromMillis(ms, { zone }).startOf('day').toMillis();

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
export const dayOf = (ms: number, zone: string): string => DateTime.fromMillis(ms, { zone }).toISODate()!;

/** An instant as it is said on the spot: `14:10` today, else with its day. */
export function momentOn(ms: number, now: number, zone: string): string {
  const at = DateTime.fromMillis(ms, { zone });
  const today = at.hasSame(DateTime.fromMillis(now, { zone }), 'day');
  return today ? at.toFormat('HH:mm') : at.toFormat('ccc d LLL, HH:mm');
}
