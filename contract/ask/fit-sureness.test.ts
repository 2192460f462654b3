import { contractSpeaker, houseRules, USUAL_FINGER, type SureFrom } from '@banter/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asSureAsItIs, collarKind, FIRST_SETTINGS, fitAll, fitSureness, sureNeck, type FittingDog, type Taping } from '../index.ts';

const rules = houseRules();
const house = { rules, schools: FIRST_SETTINGS.schools, headCollarChart: [] };
const INCH = 25.4;
const dogOf = (girthMm: number, some: Partial<FittingDog> = {}): FittingDog => ({
  weightKg: 40.8,
  pull: 'drags',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: null,
  skinGirthMm: girthMm,
  tapedGirthMm: girthMm,
  hairGirthMm: girthMm,
  midGirthMm: null,
  headGirthMm: null,
  muzzleGirthMm: null,
  stopGirthMm: null,
  muzzleLengthMm: null,
  neckLengthMm: null,
  coatDepthMm: null,
  finger: USUAL_FINGER,
  ...some,
});
const number = (mm: number, plusMinusMm: number, from: SureFrom = 'taped') => ({ mm, plusMinusMm, from });
const prong = (insideGirthMm: number, links: number, measured: boolean) => ({
  id: 'c',
  name: 'Starter',
  measured,
  numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm, links, closingMm: 30, quickRelease: false },
});

describe('how sure a fit is (common practice: a verdict nearer to its limit than its numbers are sure says so)', () => {
  const neck = 21.0625 * INCH;
  const head = number(neck * 1.2, 0.12 * neck * 1.2, 'guess');

  it('is about, of a starter prong of typical numbers that leaves 15/16 in: the collar settles it first', () => {
    const found = fitSureness('prong', dogOf(neck), { high: number(neck, 3), head }, prong(neck + 0.9375 * INCH, 15, false), house);
    expect(found.asks[0]).toEqual({ by: 'collar', says: 'Measure the collar: decides how many links, 14 or 15.' });
    expect(found).toMatchObject({ verdict: 'About 14 or 15 links', tone: 'open' });
    expect(found.sentence).toBe('Measure the collar: about 14 or 15 links, stocked with 15.');
  });

  it('is a range of links more, never a bare number past the limit', () => {
    // 147 mm too short by typical numbers: 122 to 172 mm with 25 mm either way, four to five links of 31 mm, or six.
    const found = fitSureness('prong', dogOf(neck), { high: number(neck, 3), head }, prong(neck - 5 * 31 + 8, 15, false), house);
    expect(found.verdict).toMatch(/^About 19 (to|or) 2[01] links$/);
    expect(found.sentence).toMatch(/^Measure the collar: put in about 4 (to|or) [56] links\.$/);
  });

  it('is said alike where all kinds stand side by side', () => {
    const sure = { high: number(neck, 3), head };
    const { measured: _measured, ...collar } = prong(neck + 0.9375 * INCH, 15, false);
    const [fit] = fitAll('Bracken', dogOf(neck), { prong: [collar] }, house, contractSpeaker, ['prong']);
    expect(fit!.verdict).toBe('Fits');
    expect(asSureAsItIs(fit!, dogOf(neck), sure, [{ ...collar, measured: false }], house)).toMatchObject({ verdict: 'About 14 or 15 links', tone: 'open' });
    expect(asSureAsItIs(fit!, dogOf(neck), null, [collar], house)).toBe(fit);
  });

  it('asks nothing of a measured collar in the middle of its window, and the tape of one near its end', () => {
    const sure = { high: number(400, 3), head };
    expect(fitSureness('prong', dogOf(400), sure, prong(412, 13, true), house)).toEqual({ asks: [], verdict: null, tone: null, sentence: null, links: null });
    const near = fitSureness('prong', dogOf(400), sure, prong(402, 13, true), house);
    expect(near.asks.map(({ by }) => by)).toEqual(['check']);
    expect(near).toMatchObject({ verdict: 'Just: fits', sentence: null });
    // One reading may be off by 10 mm.
    expect(fitSureness('prong', dogOf(400), { ...sure, high: number(400, 10, 'one-reading') }, prong(409, 13, true), house).asks).toEqual([
      { by: 'high', says: 'Tape the high girth again: decides whether it fits.' },
    ]);
  });

  it('asks for a head that could let it off, and not for one that cannot', () => {
    const sure = (mm: number) => ({ high: number(400, 0), head: number(mm, 0.12 * mm, 'guess') });
    expect(fitSureness('prong', dogOf(400), sure(440), prong(410, 13, true), house).asks).toEqual([
      { by: 'head', says: 'Tape the head: decides whether it can come over the head.' },
    ]);
    expect(fitSureness('prong', dogOf(400), sure(480), prong(410, 13, true), house).asks).toEqual([]);
  });

  it('asks nothing inside a collar that hands have been in, nor before it can be sized', () => {
    const collar = prong(neck + 24, 15, false);
    expect(fitSureness('prong', dogOf(neck, { byHands: { c: -6 } }), { high: number(neck, 10), head }, collar, house).asks).toEqual([]);
    expect(fitSureness('prong', dogOf(neck, { weightKg: null }), { high: number(neck, 10), head }, collar, house).asks).toEqual([]);
  });

  it('leaves out nothing that a dense try of its spread finds to change links or verdict, for a kind of links and one of length', () => {
    const place = fc.double({ min: -1, max: 1, noNaN: true });
    const tries = fc.array(fc.tuple(place, place, place), { minLength: 12, maxLength: 12 });
    for (const name of ['prong', 'slip'] as const) {
      fc.assert(
        fc.property(
          fc.double({ min: 300, max: 520, noNaN: true }),
          fc.double({ min: 1.03, max: 1.35, noNaN: true }),
          fc.integer({ min: -60, max: 90 }),
          fc.boolean(),
          tries,
          (girthMm, ratio, offMm, measured, places) => {
            const headMm = girthMm * ratio;
            const numbers =
              name === 'prong'
                ? prong(girthMm + offMm, 13, measured).numbers
                : { ...(collarKind('slip').usual[0]!.numbers as object), lengthMm: girthMm + 60 + offMm };
            const collar = { id: 'c', name: 'C', measured, numbers };
            const dog = dogOf(girthMm, { headGirthMm: headMm });
            const spread = { collar: measured ? 0 : 25, high: 10, head: 4 };
            const { asks } = fitSureness(name, dog, { high: number(girthMm, 10, 'one-reading'), head: number(headMm, 4, 'one-reading') }, collar, house);
            const comes = (by: { collar: number; high: number; head: number }) => {
              const shifted = girthMm + by.high - by.collar;
              const moved = { ...dog, skinGirthMm: shifted, tapedGirthMm: shifted, hairGirthMm: shifted, headGirthMm: headMm + by.head - by.collar };
              const { choice, all } = collarKind(name).suggest(moved, [collar as never], house);
              const choices = (choice ?? all[0]!).choices as { split?: { left: number; right: number } };
              return `${all[0]!.verdict} ${choices.split ? choices.split.left + choices.split.right : ''}`;
            };
            const left = (['collar', 'high', 'head'] as const).filter((id) => !asks.some(({ by }) => by === id));
            const stands = comes({ collar: 0, high: 0, head: 0 });
            for (const at of places) {
              const by = { collar: 0, high: 0, head: 0 };
              left.forEach((id, index) => (by[id] = at[index]! * spread[id]));
              expect([asks, by, comes(by)]).toEqual([asks, by, stands]);
            }
          },
        ),
        { numRuns: 250 },
      );
    }
  });

  it('knows a tape by its readings, and guesses a head until it is taped', () => {
    const taped = (readingsMm: number[], tapedMm: number, plusMinusMm: number) => ({ readingsMm, tapedMm, result: { plusMinusMm } }) as unknown as Taping;
    const dog = dogOf(400);
    expect(sureNeck(dog, {}, rules)).toBeNull();
    expect(sureNeck(dog, { high: taped([500], 500, 10) }, rules)).toEqual({ high: number(500, 10, 'one-reading'), head: number(600, 72, 'guess') });
    expect(sureNeck(dog, { high: taped([400, 401, 400], 400, 3), head: taped([470, 470, 471], 470, 3) }, rules)!.head).toEqual(number(470, 3));
  });
});
