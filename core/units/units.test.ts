import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GRAMS_PER_UNIT, MM_PER_UNIT, readLength, readMass, speakGap, speakGirth, exactLength, exactMass, speakMass } from '../index.ts';

const NECK = { possibleMm: [100, 1200] as [number, number] };
const mm = (text: string, unit: 'in' | 'cm' = 'cm') => {
  const read = readLength(text, unit, NECK);
  return read.kind === 'read' ? read.mm : read;
};

describe('unit factors, NIST SP 811 (2008), Appendix B.8', () => {
  it('takes the exact inch, foot, pound and ounce', () => {
    expect(MM_PER_UNIT.in).toBe(25.4);
    expect(MM_PER_UNIT.ft).toBe(304.8);
    expect(GRAMS_PER_UNIT.lb).toBe(453.59237);
    // NIST SP 811 gives the avoirdupois ounce as 28.349 523 125 g.
    expect(GRAMS_PER_UNIT.oz).toBeCloseTo(28.349523125, 12);
  });
});

describe('a length as people write it', () => {
  it.each([
    ['15 3/8', 'in', 15.375 * 25.4],
    ['15-3/8', 'in', 15.375 * 25.4],
    ['15⅜"', 'cm', 15.375 * 25.4],
    ['15.375 in', 'cm', 15.375 * 25.4],
    ['39.1cm', 'in', 391],
    ['39,1', 'cm', 391],
    ['391 mm', 'in', 391],
    ['1 ft 3 in', 'cm', 15 * 25.4],
    ['1\' 3"', 'cm', 15 * 25.4],
    ['0.5 m', 'cm', 500],
    ['  15 3/8 inches ', 'cm', 15.375 * 25.4],
    ['31/2 in', 'cm', 15.5 * 25.4],
  ] as const)('reads %s at a kennel that speaks %s', (text, unit, expected) => {
    expect(mm(text, unit)).toBeCloseTo(expected, 9);
  });

  it.each([
    ['', 'empty'],
    ['abc', 'not-a-number'],
    ['15 1/0', 'zero-denominator'],
    ['1/0', 'zero-denominator'],
    ['-39', 'negative'],
    ['−39 cm', 'negative'],
    ['39 furlongs', 'unknown-unit'],
    ['39 cm 5', 'not-a-number'],
    ['3 in 1 ft', 'not-a-number'],
    ['39 40', 'not-a-number'],
    ['<b>39</b>', 'not-a-number'],
    ['NaN', 'not-a-number'],
    ['1e3', 'unknown-unit'],
  ])('says what is wrong with «%s»', (text, problem) => {
    expect(readLength(text, 'cm', NECK)).toMatchObject({ kind: 'problem', problem });
  });

  it('says which lengths can be, for a girth of 3', () => {
    expect(readLength('3', 'cm', NECK)).toMatchObject({ kind: 'outside', mm: 30, lowMm: 100, highMm: 1200 });
  });

  it('asks about a bare number that only makes sense in another unit, and changes nothing', () => {
    const likely = { possibleMm: [100, 1200] as [number, number], likelyMm: [240, 640] as [number, number] };
    expect(readLength('39.1', 'in', likely)).toMatchObject({ kind: 'asked', unit: 'in', instead: [{ unit: 'cm', mm: 391 }] });
    expect(readLength('391', 'cm', likely)).toMatchObject({ kind: 'asked', instead: [{ unit: 'mm', mm: 391 }] });
    expect(readLength('15.4', 'cm', likely)).toMatchObject({ kind: 'asked', instead: [{ unit: 'in' }] });
    expect(readLength('39.1 in', 'cm', likely)).toMatchObject({ kind: 'read', unit: 'in' });
  });

  it('gives back the length it spoke: parse after format is the identity on the bench’s steps', () => {
    fc.assert(
      fc.property(fc.integer({ min: 32, max: 376 }), (eighths) => {
        const length = (eighths / 8) * 25.4;
        expect(mm(speakGirth(length, 'in'), 'cm')).toBeCloseTo(length, 9);
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 240 }), (halves) => {
        expect(mm(speakGirth(halves * 5, 'cm'), 'in')).toBeCloseTo(halves * 5, 9);
      }),
    );
  });

  it('never strays by more than half a step of the bench, and half a tenth when exact', () => {
    fc.assert(
      fc.property(fc.double({ min: 110, max: 1190, noNaN: true }), (length) => {
        expect(Math.abs((mm(speakGirth(length, 'in')) as number) - length)).toBeLessThanOrEqual(25.4 / 16 + 1e-9);
        expect(Math.abs((mm(speakGirth(length, 'cm')) as number) - length)).toBeLessThanOrEqual(2.5 + 1e-9);
        expect(Math.abs((mm(exactLength(length, 'cm')) as number) - length)).toBeLessThanOrEqual(0.5 + 1e-9);
      }),
    );
  });
});

describe('how lengths and weights are spoken', () => {
  it('says girths to an eighth or half a centimetre, gaps to a sixteenth or a millimetre', () => {
    expect(speakGirth(390.525, 'in')).toBe('15 3/8 in');
    expect(speakGirth(391, 'cm')).toBe('39.0 cm');
    expect(speakGap(8, 'cm')).toBe('8 mm');
    expect(speakGap(-6.2, 'cm')).toBe('−6 mm');
    expect(speakGap(8, 'in')).toBe('5/16 in');
    expect(speakGap(25.4, 'in')).toBe('1 in');
    expect(exactLength(391, 'cm')).toBe('39.1 cm');
  });

  it('does not say nothing for a gap that is there', () => {
    expect(speakGap(-0.2, 'cm')).toBe('−0.2 mm');
    expect(speakGap(-0.2, 'in')).toBe('−0.01 in');
    expect(speakGap(0, 'cm')).toBe('0 mm');
  });

  it('reads and says weights', () => {
    expect(readMass('62 lb', 'kg')).toMatchObject({ kind: 'read', grams: 62 * 453.59237 });
    expect(readMass('28.5', 'kg')).toMatchObject({ kind: 'read', grams: 28_500 });
    expect(readMass('4 lb 6 oz', 'kg')).toMatchObject({ kind: 'read', grams: 4.375 * 453.59237 });
    expect(readMass('300', 'kg')).toMatchObject({ kind: 'outside' });
    expect(readMass('28 cm', 'kg')).toMatchObject({ kind: 'problem', problem: 'unknown-unit' });
    expect(speakMass(28_123, 'lb')).toBe('62 lb');
    expect(speakMass(3800, 'kg')).toBe('3.8 kg');
    expect([exactMass(21_700, 'kg'), exactMass(2174, 'kg'), exactMass(28_123, 'lb')]).toEqual(['21.7 kg', '2.17 kg', '62.0 lb']);
  });
});
