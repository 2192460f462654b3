import type { DaySpan } from './schedule.ts';

/** A week from Monday to Sunday: when somebody is there, or the kennel is open; null: not that day. */
export type Week = readonly (DaySpan | null)[];
/** Days on which the week does not hold: away, or closed; both days are in it (`2026-11-25`). */
export type Away = { from: string; to: string; note: string };
export type WorkHours = { week: Week; away: readonly Away[] };

/** Until a kennel says otherwise: eight to six, every day, for dogs eat on Sundays, too. From memory. */
export const USUAL_HOURS: WorkHours = { week: Array.from({ length: 7 }, () => [8 * 60, 18 * 60] as const), away: [] };

/** The hours of a day: its weekday's, but none when it is away. `day` as a date, `weekday` from 1 (Monday) to 7. */
export function hoursOn({ week, away }: WorkHours, day: string, weekday: number): DaySpan | null {
  return away.some(({ from, to }) => day >= from && day <= to) ? null : (week[weekday - 1] ?? null);
}
