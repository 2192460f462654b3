import { describe, expect, it } from 'vitest';
import { bedLength, kitFor, pieceWillDo } from '../index.ts';

const INCH = 25.4;
const FOOT = 304.8;
const dog = { weightKg: 30, worksOn: 'left', pull: 'pulls', finger: { thicknessMm: 17, widthMm: 21 } } as const;
const piece = (what: string, one: Parameters<typeof kitFor>[0] = dog, grownKg: number | null = 30) => kitFor(one, grownKg).find((part) => part.what === what)!;

describe('the kit of a dog', () => {
  it('has a leash of 4 ft, half to five eighths wide, a little more length for a small dog (common practice)', () => {
    expect(piece('leash').lengthMm).toEqual([4 * FOOT, 4 * FOOT]);
    expect(piece('leash').widthMm).toEqual([0.5 * INCH, 0.625 * INCH]);
    expect(piece('leash', { ...dog, weightKg: 4 }).lengthMm![1]).toBeGreaterThan(4 * FOOT);
  });
  it('has a slip leash of 3/8 in for a small hand and dog, 1/2 in else (common practice)', () => {
    expect(piece('slip leash', { ...dog, weightKg: 4, finger: { thicknessMm: 13, widthMm: 15 } }).widthMm).toEqual([0.375 * INCH, 0.375 * INCH]);
    expect(piece('slip leash').widthMm).toEqual([0.5 * INCH, 0.5 * INCH]);
  });
  it('has the pouch on the side away from the dog, and a long line from 15 ft (common practice)', () => {
    expect(piece('pouch').says).toContain('On the right');
    expect(piece('pouch', { ...dog, worksOn: 'right' }).says).toContain('On the left');
    expect(piece('long line').lengthMm![0]).toBe(15 * FOOT);
  });
  it('has bed and mat for the grown dog, by the cube root of its weight: eight times the weight, twice the bed', () => {
    expect(bedLength(40) / bedLength(5)).toBeCloseTo(2, 9);
    expect(piece('raised bed', { ...dog, weightKg: 8 }, 30).lengthMm![0]).toBe(bedLength(30));
    expect(kitFor(dog, null).some(({ what }) => what === 'raised bed')).toBe(false);
  });
  it('takes what is owned when its sizes will do', () => {
    expect(pieceWillDo(piece('leash'), { lengthMm: 1200, widthMm: 15 })).toBe(true);
    expect(pieceWillDo(piece('leash'), { lengthMm: 1830, widthMm: 15 })).toBe(false);
    expect(pieceWillDo(piece('leash'), { lengthMm: 1200, widthMm: null })).toBe(false);
    expect(pieceWillDo(piece('pouch'), { lengthMm: null, widthMm: null })).toBe(true);
  });
});
