import { readLength, readMass } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { ageWords, bornFromAge, momentWords } from './age.ts';
import { lengthFault, massFault } from './measure-words.ts';
import { isBare, withUnit } from './measure-units.ts';
import { checkTone } from './verdict.ts';
import { settingId } from '../views/house/setting-id.ts';
import { SettingId } from '@banter/contract';

describe('ages and times', () => {
  it('reads a rough age back to a birth date', () => {
    expect(bornFromAge('14 weeks', '2026-06-15')).toBe('2026-03-09');
    expect(bornFromAge('8 months', '2026-06-15')).toBe('2025-10-15');
    expect(bornFromAge('2 1/2 years', '2026-06-15')).toBe('2023-12-15');
    expect(bornFromAge('3', '2026-06-15')).toBe('2023-06-15');
    expect(bornFromAge('old', '2026-06-15')).toBeNull();
    expect(bornFromAge('-2 years', '2026-06-15')).toBeNull();
  });
  it('says an age in weeks, then months, then years', () => {
    expect(ageWords('2026-03-09', '2026-06-15')).toBe('14 weeks');
    expect(ageWords('2025-10-15', '2026-06-15')).toBe('8 months');
    expect(ageWords('2023-06-16', '2026-06-15')).toBe('2 years');
  });
  it('shows a moment in the kennel’s zone, whichever side of a clock change', () => {
    expect(momentWords('2026-03-29T00:30:00.000Z', 'Europe/London')).toBe('29 Mar 2026, 00:30');
    expect(momentWords('2026-03-29T01:30:00.000Z', 'Europe/London')).toBe('29 Mar 2026, 02:30');
    expect(momentWords('2026-01-01T03:00:00.000Z', 'America/New_York')).toBe('31 Dec 2025, 22:00');
  });
});

describe('what is wrong with a typed measure', () => {
  const length = (text: string) => lengthFault(readLength(text, 'cm', { possibleMm: [100, 1200] }), 'cm');
  it('is one plain sentence, and nothing for what is right or not yet typed', () => {
    expect(length('')).toBe('');
    expect(length('39.1')).toBe('');
    expect(length('3')).toBe('3.0 cm cannot be: this is between 10.0 cm and 120.0 cm.');
    for (const text of ['abc', '15 1/0', '-4', '4 ells']) expect(length(text)).toMatch(/^[A-Z].*\.$/);
    expect(massFault(readMass('300', 'kg'), 'kg')).toBe('A dog weighs between 50 g and 120 kg.');
  });
});

describe('switching units', () => {
  it('writes the old unit behind a bare amount, and leaves the rest', () => {
    expect(['39.1', '15 3/8', '15⅜', '39,1'].map(isBare)).toEqual([true, true, true, true]);
    expect(['39.1 cm', '15"', '', 'abc'].map(isBare)).toEqual([false, false, false, false]);
    expect(withUnit(' 15 3/8 ', 'in')).toBe('15 3/8 in');
    expect(withUnit('391 mm', 'in')).toBe('391 mm');
  });
});

describe('verdict tones', () => {
  it('never show an unknown verdict as good', () => {
    expect(checkTone('good')).toBe('good');
    expect(checkTone('stop')).toBe('stop');
    expect(checkTone('unclear')).toBe('open');
  });
});

describe('the word under which a kennel keeps a setting', () => {
  it('is told apart from those there are, whatever it is called', () => {
    expect(settingId('Cranberry bog', ['home'])).toBe('cranberry-bog');
    expect(settingId('Home', ['home'])).toBe('home-2');
    expect(settingId('Höhe, 2. Stock!', [])).toBe('ho-he-2-stock');
    expect(settingId('谷', ['setting'])).toBe('setting-2');
    for (const name of ['-', 'a'.repeat(99), '  x  ', 'é'.repeat(60)]) expect(SettingId.safeParse(settingId(name, [])).success).toBe(true);
  });
});
