import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { dayOf, dayStart, dayStartOf, nightSpans, timeOn } from '../index.ts';

const HOUR = 3_600_000;

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

describe('days that are remembered', () => {
  // Zones whose clocks change at midnight, by half an hour, by a day (Apia had no 30 December 2011) and not at all.
  const zone = fc.constantFrom('Europe/London', 'America/St_Johns', 'Australia/Lord_Howe', 'America/Sao_Paulo', 'Africa/Cairo', 'Pacific/Apia', 'America/Santiago', 'America/Nuuk', 'Asia/Kathmandu', 'Pacific/Kiritimati', 'UTC'); // prettier-ignore
  // Until 2011 the clocks of Newfoundland went back a minute after midnight, and a day had two beginnings (IANA time zone data); none does so any more.
  const instant = fc.integer({ min: Date.UTC(2011, 11, 1), max: Date.UTC(2038, 0, 1) });

  it('are the days of a date library, in any order in which they are asked for', () => {
    fc.assert(
      fc.property(instant, zone, (at, where) => {
        const plain = DateTime.fromMillis(at, { zone: where });
        expect([where, at, dayOf(at, where)]).toEqual([where, at, plain.toISODate()]);
        expect([where, at, dayStart(at, where)]).toEqual([where, at, plain.startOf('day').toMillis()]);
      }),
      { numRuns: 3000 },
    );
  });

  it('have the times of a date library', () => {
    fc.assert(
      fc.property(instant, fc.integer({ min: 0, max: 1439 }), zone, (at, minutes, where) => {
        const day = DateTime.fromMillis(at, { zone: where }).toISODate()!;
        const start = DateTime.fromISO(day, { zone: where }).startOf('day');
        // Where a day ends an hour early, its last hour is the first of the next.
        const time = start.set({ hour: Math.floor(minutes / 60), minute: minutes % 60 });
        expect([where, day, minutes, timeOn(day, minutes, where)]).toEqual([where, day, minutes, time.toMillis()]);
        expect([where, day, dayStartOf(day, where)]).toEqual([where, day, start.toMillis()]);
      }),
      { numRuns: 3000, examples: [[1963965600000, 1380, 'America/Nuuk']] },
    );
  });

  it('have the nights of a date library', () => {
    fc.assert(
      fc.property(instant, fc.integer({ min: 0, max: 80 * HOUR }), zone, (from, length, where) => {
        const nights = [];
        let day = DateTime.fromMillis(from, { zone: where }).startOf('day');
        for (; day.toMillis() <= from + length; day = day.plus({ days: 1 }).startOf('day'))
          if (day.set({ hour: 5 }).toMillis() > from) nights.push({ from: day.toMillis(), to: day.set({ hour: 5 }).toMillis() });
        expect([where, from, length, nightSpans(from, from + length, where)]).toEqual([where, from, length, nights]);
      }),
      { numRuns: 1000 },
    );
  });

  it('are right where a day is left out, begins an hour late, or has midnight twice', () => {
    expect(dayOf(Date.UTC(2011, 11, 30, 9, 59), 'Pacific/Apia')).toBe('2011-12-29');
    expect(dayOf(Date.UTC(2011, 11, 30, 10), 'Pacific/Apia')).toBe('2011-12-31');
    // Brazil went forward at midnight on 4 November 2018: the day began at 01:00, 03:00 UTC (IANA time zone data).
    expect(dayStart(Date.UTC(2018, 10, 4, 12), 'America/Sao_Paulo')).toBe(Date.UTC(2018, 10, 4, 3));
    // Cuba went back from 01:00 to midnight on 3 November 2013: the day began at the first midnight, 04:00 UTC; the library says the second.
    expect(dayStart(Date.UTC(2013, 10, 3, 20), 'America/Havana')).toBe(Date.UTC(2013, 10, 3, 4));
  });
});
