import { describe, expect, it } from 'vitest';
import { ageWords, bornFromAge, dayWords, momentWords } from './age.ts';

describe('days and moments in words', () => {
  it.each([
    ['Europe/London', '1 Jun 2026', '1 Jun 2026, 12:30'],
    ['Pacific/Auckland', '1 Jun 2026', '1 Jun 2026, 23:30'],
    ['Pacific/Kiritimati', '2 Jun 2026', '2 Jun 2026, 01:30'],
    ['America/Los_Angeles', '1 Jun 2026', '1 Jun 2026, 04:30'],
  ])('are those of the kennel: %s', (zone, day, moment) => {
    const at = '2026-06-01T11:30:00.000Z';
    expect(dayWords(at, zone)).toBe(day);
    expect(momentWords(at, zone)).toBe(moment);
  });

  it('leave a day that is given by its name what it is, wherever the kennel is', () => {
    for (const zone of ['Europe/London', 'America/Los_Angeles', 'Pacific/Kiritimati']) expect(dayWords('2026-03-29', zone)).toBe('29 Mar 2026');
  });

  it.each([
    ['2026-09-07', '12 weeks'],
    ['2026-08-11', '15 weeks'],
    // From sixteen weeks on it is months, from two years on years.
    ['2026-08-10', '3 months'],
    ['2024-12-01', '23 months'],
    ['2024-11-30', '2 years'],
    ['2019-03-02', '7 years'],
  ])('say an age as people do: born %s, %s', (bornOn, words) => {
    expect(ageWords(bornOn, '2026-11-30')).toBe(words);
  });

  it('read an age back into the day of birth', () => {
    expect(bornFromAge('8 months', '2026-11-30')).toBe('2026-03-30');
    expect(bornFromAge('14 weeks', '2026-11-30')).toBe('2026-08-24');
    expect(bornFromAge('2 1/2 years', '2026-11-30')).toBe('2024-05-30');
    expect(bornFromAge('old', '2026-11-30')).toBeNull();
  });
});
