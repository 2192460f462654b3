import { describe, expect, it } from 'vitest';
import { timeOn } from '../index.ts';

describe('a time of a day by the kennel’s clock', () => {
  // Dates of the changes: Europe/London goes forward at 01:00 UTC on 29 March 2026 and back at 01:00 UTC on 25 October 2026 (IANA time zone data).
  it.each([
    ['2026-03-28', 9 * 60, '2026-03-28T09:00:00.000Z'],
    ['2026-03-29', 30, '2026-03-29T00:30:00.000Z'],
    ['2026-03-29', 9 * 60, '2026-03-29T08:00:00.000Z'],
    ['2026-10-25', 9 * 60 + 15, '2026-10-25T09:15:00.000Z'],
    ['2026-10-24', 9 * 60, '2026-10-24T08:00:00.000Z'],
  ])('%s, %i minutes after midnight, is %s', (day, minutes, instant) => {
    expect(new Date(timeOn(day, minutes, 'Europe/London')).toISOString()).toBe(instant);
  });
});
