import { DateTime } from 'luxon';

/** An instant as a field for date and time shows it, in a kennel's zone: `2026-03-29T14:10`. */
export const asTyped = (ms: number, zone: string): string => DateTime.fromMillis(ms, { zone }).toFormat("yyyy-MM-dd'T'HH:mm");

/**
 * What was typed in a field for date and time, as an instant (ISO, UTC), or why it is none: an hour that a clock change leaves
 * out does not exist. Of an hour that comes twice the first is meant.
 */
export function typedInstant(typed: string, zone: string): { at: string } | { fault: string } {
  const read = DateTime.fromISO(typed, { zone });
  if (typed === '' || !read.isValid) return { fault: 'Give a day and a time.' };
  if (read.toFormat("yyyy-MM-dd'T'HH:mm") !== typed.slice(0, 16)) return { fault: 'The clocks were put forward then: this time does not exist.' };
  return { at: read.toUTC().toISO()! };
}
