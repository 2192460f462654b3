import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersWithin, guessedGirth, houseRules, insideOfCollar, measuresAsked } from '../index.ts';
import { sizeProng } from '../collars/prong/size-prong.ts';

const rules = houseRules();
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('what is asked (common practice: ask only what can change the answer)', () => {
  it('is what could change the answer by itself, and nothing else', () => {
    const passes = ({ head = 0, high = 0 }: { head?: number; high?: number }) => (430 + head > 410 + 0 * high ? 'holds' : 'passes');
    const unsure = (head: number) => [
      { id: 'high' as const, plusMinusMm: 40 },
      { id: 'head' as const, plusMinusMm: head },
    ];
    expect(measuresAsked(unsure(50), passes)).toEqual(['head']);
    expect(measuresAsked(unsure(10), passes)).toEqual([]);
  });

  it('is also what only together changes it: the least sure first', () => {
    const sum = ({ a = 0, b = 0 }: { a?: number; b?: number }) => (a + b > 15 ? 'long' : 'short');
    const unsure = [
      { id: 'a' as const, plusMinusMm: 10 },
      { id: 'b' as const, plusMinusMm: 12 },
    ];
    expect(measuresAsked(unsure, sum)).toEqual(['b']);
  });

  it('names what the answer can be, the one that stands first', () => {
    const count = ({ high = 0 }: { high?: number }) => Math.round((400 + high) / 31);
    expect(answersWithin([{ id: 'high' as const, plusMinusMm: 31 }], count, String)).toEqual([13, 12, 14]);
  });

  it('never leaves out what a dense try of its spread finds to change a prong’s links or verdict', () => {
    const collar = fc.record({ gaugeMm: fc.constantFrom(2.25, 3, 4), links: fc.integer({ min: 8, max: 18 }), closingMm: mm(20, 36), offMm: mm(-120, 120) });
    const spreads = fc.record({ high: mm(0, 12), head: mm(0, 50), collar: fc.constantFrom(0, 25) });
    fc.assert(
      fc.property(
        mm(220, 560),
        mm(1.02, 1.4),
        collar,
        spreads,
        fc.array(fc.tuple(mm(-1, 1), mm(-1, 1), mm(-1, 1)), { minLength: 30, maxLength: 30 }),
        (girthMm, ratio, one, spread, tries) => {
          const prong = { id: 'c', ...one, pitchMm: { 2.25: 24, 3: 31, 4: 42 }[one.gaugeMm]!, insideGirthMm: girthMm + one.offMm };
          const answer = ({ high = 0, head = 0, collar: inside = 0 }: { high?: number; head?: number; collar?: number }) => {
            const { links, verdict } = sizeProng(
              { ...prong, insideGirthMm: prong.insideGirthMm + inside },
              { girthMm: girthMm + high, headGirthMm: girthMm * ratio + head },
              0,
              rules,
            );
            return `${verdict} ${links}`;
          };
          const unsure = (Object.keys(spread) as (keyof typeof spread)[]).map((id) => ({ id, plusMinusMm: spread[id] }));
          const asked = measuresAsked(unsure, answer);
          const left = unsure.filter(({ id }) => !asked.includes(id));
          const stands = answer({});
          for (const places of tries) {
            const moved = Object.fromEntries(left.map(({ id, plusMinusMm }, index) => [id, places[index]! * plusMinusMm]));
            expect([asked, moved, answer(moved)]).toEqual([asked, moved, stands]);
          }
        },
      ),
      { numRuns: 1500 },
    );
  });
});

describe('how sure a number is (from memory)', () => {
  it('is 12 % of a girth that nobody taped, and 25 mm inside a collar that nobody measured', () => {
    expect(guessedGirth(400, rules)).toEqual({ mm: 400, plusMinusMm: 48, from: 'guess' });
    expect(insideOfCollar(540, false, rules)).toEqual({ mm: 540, plusMinusMm: 25, from: 'typical' });
    expect(insideOfCollar(540, true, rules).plusMinusMm).toBe(0);
  });
});
