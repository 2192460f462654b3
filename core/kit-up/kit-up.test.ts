import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { solveKitUp, type KitCase, type KitUp, type Solved } from '../index.ts';

let solve: (lp: string) => Solved;
beforeAll(async () => {
  const highs = await loadHighs();
  solve = (lp) => {
    const { Status, ObjectiveValue, Columns } = highs.solve(lp, { mip_rel_gap: 0 });
    return { optimal: Status === 'Optimal', cost: ObjectiveValue, value: (name) => (Columns[name] as { Primal?: number } | undefined)?.Primal ?? 0 };
  };
});
const kitUp = (one: KitCase): KitUp => solveKitUp(one, solve)!;

/** Every way there is, tried: the least of (nothing, collars bought, links bought, links moved), in this order. */
function bruteForce({ dogs, bag }: KitCase): [number, number, number, number] {
  let best: [number, number, number, number] | null = null;
  const less = (a: readonly number[], b: readonly number[]) => {
    const at = a.findIndex((one, index) => one !== b[index]);
    return at >= 0 && a[at]! < b[at]!;
  };
  const walk = (dog: number, used: ReadonlySet<string>, changes: readonly { gaugeMm: number | null; change: number }[], bought: number, none: number) => {
    if (dog === dogs.length) {
      const byGauge = new Map<number, number>();
      for (const { gaugeMm, change } of changes) if (gaugeMm !== null) byGauge.set(gaugeMm, (byGauge.get(gaugeMm) ?? 0) + change);
      let linksBought = 0;
      for (const [gauge, net] of byGauge) linksBought += Math.max(0, net - (bag.find(({ gaugeMm }) => gaugeMm === gauge)?.links ?? 0));
      const way: [number, number, number, number] = [none, bought, linksBought, changes.reduce((sum, { change }) => sum + Math.abs(change), 0)];
      if (best === null || less(way, best)) best = way;
      return;
    }
    for (const option of dogs[dog]!.options)
      if (!used.has(option.collarId)) walk(dog + 1, new Set([...used, option.collarId]), [...changes, option], bought, none);
    for (const buy of dogs[dog]!.buys) walk(dog + 1, used, [...changes, buy], bought + 1, none);
    walk(dog + 1, used, changes, bought, none + 1);
  };
  walk(0, new Set(), [], 0, 0);
  return best!;
}
const costOf = ({ given, bought, linksBought, linksMoved }: KitUp) => [given.filter(({ given: one }) => one.from === 'nowhere').length, bought, linksBought, linksMoved]; // prettier-ignore

describe('a class kitted up', () => {
  const gauge = fc.constantFrom(2.25, 3);
  const change = fc.integer({ min: -3, max: 3 });
  const option = fc.record({ collarId: fc.constantFrom('a', 'b', 'c', 'd'), gaugeMm: gauge, change });
  const classes = fc.record({
    dogs: fc
      .array(
        fc.record({
          options: fc.uniqueArray(option, { maxLength: 4, selector: ({ collarId }) => collarId }),
          buys: fc.array(fc.record({ stockId: fc.constantFrom('s', 't'), gaugeMm: gauge, change }), { maxLength: 2 }),
        }),
        { minLength: 1, maxLength: 4 },
      )
      .map((dogs) => dogs.map((dog, index) => ({ id: `dog${index}`, ...dog }))),
    bag: fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 })).map(([fine, heavy]) => [{ gaugeMm: 2.25, links: fine }, { gaugeMm: 3, links: heavy }]), // prettier-ignore
  });
  it('is as cheap as the cheapest of all ways, tried one by one', () => {
    fc.assert(
      fc.property(classes, (one) => {
        expect(costOf(kitUp(one))).toEqual(bruteForce(one));
      }),
      { numRuns: 60 },
    );
  }, 60_000);

  it('gives each collar to one dog, and no more links than there are', () => {
    fc.assert(
      fc.property(classes, (one) => {
        const { given, buyLinks } = kitUp(one);
        const collars = given.flatMap(({ given: own }) => (own.from === 'locker' ? [own.option.collarId] : []));
        expect(new Set(collars).size).toBe(collars.length);
        for (const { gaugeMm, links } of one.bag) {
          const net = given.reduce((sum, { given: own }) => {
            const part = own.from === 'locker' ? own.option : own.from === 'shop' ? own.buy : null;
            return sum + (part?.gaugeMm === gaugeMm ? part.change : 0);
          }, 0);
          expect(net).toBeLessThanOrEqual(links + (buyLinks.find((bought) => bought.gaugeMm === gaugeMm)?.links ?? 0));
        }
      }),
      { numRuns: 25 },
    );
  }, 60_000);

  it('what comes out of one collar goes into another before anything is bought', () => {
    const found = kitUp({
      dogs: [
        { id: 'small', options: [{ collarId: 'a', gaugeMm: 3, change: -2 }], buys: [] },
        { id: 'large', options: [{ collarId: 'b', gaugeMm: 3, change: 2 }], buys: [{ stockId: 's', gaugeMm: 3, change: 0 }] },
      ],
      bag: [],
    });
    expect(found).toMatchObject({ bought: 0, linksBought: 0, linksMoved: 4, buyLinks: [] });
  });
  it('says what to buy where the locker cannot do it, and what nothing in a shop helps', () => {
    const two = { options: [{ collarId: 'a', gaugeMm: null, change: 0 }], buys: [{ stockId: 's', gaugeMm: null, change: 0 }] };
    expect(kitUp({ dogs: [{ id: 'x', ...two }, { id: 'y', ...two }], bag: [] })).toMatchObject({ bought: 1 }); // prettier-ignore
    expect(kitUp({ dogs: [{ id: 'x', options: [], buys: [] }], bag: [] }).given).toEqual([{ dogId: 'x', given: { from: 'nowhere' } }]);
    expect(kitUp({ dogs: [{ id: 'x', options: [{ collarId: 'a', gaugeMm: 3, change: 3 }], buys: [] }], bag: [{ gaugeMm: 3, links: 1 }] }).buyLinks).toEqual([{ gaugeMm: 3, links: 2 }]); // prettier-ignore
  });
  it('of two ways that cost the same, each dog keeps the collar it wears', () => {
    const way = (own: string) => ['a', 'b', 'c'].map((collarId) => ({ collarId, gaugeMm: null, change: 0, worn: collarId === own }));
    const found = kitUp({ dogs: [{ id: 'x', options: way('c'), buys: [] }, { id: 'y', options: way('a'), buys: [] }, { id: 'z', options: way('b'), buys: [] }], bag: [] }); // prettier-ignore
    expect(found.given.map(({ given }) => (given.from === 'locker' ? given.option.collarId : given.from))).toEqual(['c', 'a', 'b']);
  });
  it('a class of forty dogs and sixty collars is worked out whole', () => {
    const dogs = Array.from({ length: 40 }, (_dog, dog) => ({
      id: `d${dog}`,
      options: Array.from({ length: 60 }, (_collar, collar) => ({
        collarId: `c${collar}`,
        gaugeMm: collar % 2 ? 3 : 2.25,
        change: ((dog * 7 + collar * 11) % 7) - 3,
      })).filter((_one, index) => (index + dog) % 3 === 0),
      buys: [],
    }));
    const found = kitUp({ dogs, bag: [{ gaugeMm: 3, links: 10 }, { gaugeMm: 2.25, links: 10 }] }); // prettier-ignore
    expect(found.given.every(({ given }) => given.from === 'locker')).toBe(true);
  });
});
