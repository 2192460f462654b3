import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balances, linksAt, movesToMakeUp, overdrawn, type LinkAccount, type LinkMoved } from '../index.ts';

const accounts: LinkAccount[] = ['outside', 'bag', 'scrap', 'collar:a', 'collar:b', 'dog:d'];
const move = fc
  .record({
    gaugeMm: fc.constantFrom(2.25, 3),
    count: fc.integer({ min: 1, max: 9 }),
    from: fc.constantFrom(...accounts),
    to: fc.constantFrom(...accounts),
  })
  .filter(({ from, to }) => from !== to);

describe('the links of a kennel', () => {
  it('always add up: over all accounts each gauge comes to nothing, whatever is moved', () => {
    fc.assert(
      fc.property(fc.array(move, { maxLength: 40 }), (moves) => {
        for (const gauge of [2.25, 3]) {
          const total = balances(moves)
            .filter((one) => one.gaugeMm === gauge)
            .reduce((sum, { count }) => sum + count, 0);
          expect(total).toBe(0);
        }
      }),
    );
  });

  it('are never fewer than none inside the kennel when overdrawn moves are refused', () => {
    fc.assert(
      fc.property(fc.array(move, { maxLength: 60 }), (wanted) => {
        const kept: LinkMoved[] = [];
        for (const one of wanted) if (!overdrawn(balances(kept), one)) kept.push(one);
        for (const { account, count } of balances(kept)) if (account !== 'outside') expect(count).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('go from the collar into the bag, and back', () => {
    const stocked: LinkMoved[] = [{ gaugeMm: 3, count: 13, from: 'outside', to: 'collar:a' }];
    const out = movesToMakeUp(balances(stocked), 3, 'a', 11);
    expect(out).toEqual([{ gaugeMm: 3, count: 2, from: 'collar:a', to: 'bag' }]);
    const after = balances([...stocked, ...out]);
    expect([linksAt(after, 3, 'collar:a'), linksAt(after, 3, 'bag')]).toEqual([11, 2]);
    expect(movesToMakeUp(after, 3, 'a', 12)).toEqual([{ gaugeMm: 3, count: 1, from: 'bag', to: 'collar:a' }]);
    expect(movesToMakeUp(after, 3, 'a', 11)).toEqual([]);
  });

  it('say which account lacks them', () => {
    const counts = balances([{ gaugeMm: 3, count: 1, from: 'outside', to: 'bag' }]);
    expect(overdrawn(counts, { gaugeMm: 3, count: 2, from: 'bag', to: 'collar:a' })).toEqual({ account: 'bag', holds: 1 });
    // Links of another gauge do not help.
    expect(overdrawn(counts, { gaugeMm: 2.25, count: 1, from: 'bag', to: 'collar:a' })).toEqual({ account: 'bag', holds: 0 });
    expect(overdrawn(counts, { gaugeMm: 3, count: 50, from: 'outside', to: 'bag' })).toBeNull();
  });
});
