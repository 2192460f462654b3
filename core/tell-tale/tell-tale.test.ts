import fc from 'fast-check';
import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { mutualInformation, tellTaleReasons } from '../index.ts';

describe('what a collar gives away', () => {
  it('Cover & Thomas, Elements of Information Theory, example 2.2.1: H(X) = 7/4, H(Y) = 2, I = 3/8 bit', () => {
    // The joint distribution in 32nds; rows Y, columns X.
    const found = mutualInformation([
      [4, 2, 1, 1],
      [2, 4, 1, 1],
      [2, 2, 2, 2],
      [8, 0, 0, 0],
    ]);
    expect(found.bits).toBeCloseTo(3 / 8, 12);
    expect(found.rowBits).toBeCloseTo(2, 12);
    expect(found.columnBits).toBeCloseTo(7 / 4, 12);
  });
  it('Fisher’s tea tasting (The Design of Experiments, 1935): all eight right by chance 2 times of 70, either way round', () => {
    const { chance } = mutualInformation([
      [4, 0],
      [0, 4],
    ]);
    expect(chance).toBeGreaterThan(2 / 70 - 0.016);
    expect(chance).toBeLessThan(2 / 70 + 0.016);
  });
  it('nothing where rows are in proportion; never more than either side has; the same when turned over', () => {
    expect(mutualInformation([[2, 4], [3, 6]]).bits).toBeCloseTo(0, 12); // prettier-ignore
    const table = fc
      .integer({ min: 1, max: 4 })
      .chain((width) => fc.array(fc.array(fc.nat(12), { minLength: width, maxLength: width }), { minLength: 1, maxLength: 4 }));
    fc.assert(
      fc.property(table, (counts) => {
        const found = mutualInformation(counts);
        const turned = mutualInformation(counts[0]!.map((_one, column) => counts.map((row) => row[column]!)));
        expect(found.bits).toBeGreaterThanOrEqual(0);
        expect(found.bits).toBeLessThanOrEqual(Math.min(found.rowBits, found.columnBits) + 1e-9);
        expect(turned.bits).toBeCloseTo(found.bits, 9);
      }),
      { numRuns: 60 },
    );
  });
  it('Miller–Madow: where nothing is told, 40 counts in a 3 × 2 table seem to tell as much as it says, on average', () => {
    const random = randomLcg(0.77);
    const tables = 600;
    let [seen, said] = [0, 0];
    for (let table = 0; table < tables; table += 1) {
      const counts = [[0, 0], [0, 0], [0, 0]]; // prettier-ignore
      for (let one = 0; one < 40; one += 1) counts[Math.floor(random() * 3)]![Math.floor(random() * 2)]! += 1;
      const found = mutualInformation(counts);
      seen += found.bits / tables;
      said += found.biasBits / tables;
    }
    expect(Math.abs(seen - said) / said).toBeLessThan(0.12);
  });
  it('says whether chance would say as much, and what is missing where one thing never varied', () => {
    const codes = (counts: number[][]) => tellTaleReasons(mutualInformation(counts), 0.05).map(({ code }) => code);
    expect(codes([[12, 0], [0, 12]])).toEqual(['tells', 'bias']); // prettier-ignore
    expect(codes([[6, 6], [6, 6]])).toEqual(['tells-little', 'bias']); // prettier-ignore
    expect(codes([[6, 6]])).toEqual(['one-side-only']);
    expect(codes([[6], [6]])).toEqual(['one-side-only']);
    expect(codes([[0, 0]])).toEqual(['nothing-counted']);
    expect(codes([[400, 0], [0, 400]])).toEqual(['many-counted']); // prettier-ignore
  });
});
