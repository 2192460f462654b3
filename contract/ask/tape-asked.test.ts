import { houseRules, houseSchools, USUAL_FINGER, type FittingDog, type House } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { GEAR, readAgain, RIG_CATALOGUE, tapeAsked, type CollarKindName, type StockByKind } from '../index.ts';

const house: House = { rules: houseRules(), schools: houseSchools(), headCollarChart: [] };
const dog = {
  weightKg: 30,
  pull: 'pulls',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 900,
  skinGirthMm: 400,
  tapedGirthMm: 400,
  hairGirthMm: 400,
  midGirthMm: null,
  headGirthMm: null,
  muzzleGirthMm: null,
  stopGirthMm: null,
  muzzleLengthMm: null,
  neckLengthMm: null,
  coatDepthMm: null,
  finger: USUAL_FINGER,
} satisfies FittingDog;
const prong = (insideGirthMm: number) => ({
  id: 'hazel',
  name: 'Hazel',
  measured: true,
  numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm, links: 13, closingMm: 28 },
});
const remote = { id: 'curlew', name: 'Curlew', measured: true, numbers: { footprintMm: 62 } };
const sureAt = (mm: number) => ({ high: { mm, plusMinusMm: 4, from: 'taped' as const }, head: { mm: 480, plusMinusMm: 60, from: 'guess' as const } });
const sites = (kinds: CollarKindName[], more: Partial<Parameters<typeof tapeAsked>[0]> = {}) =>
  tapeAsked({ kinds, dog, sure: sureAt(400), stock: {}, wornWidthsMm: [], house, ...more }).map(({ site }) => site);

describe('what is taped (common practice: ask only what can change the answer)', () => {
  it('always asks what a collar cannot do without, with what it decides', () => {
    expect(tapeAsked({ kinds: ['slip'], dog, sure: null, stock: {}, wornWidthsMm: [], house })).toEqual([
      { site: 'high', decides: 'Decides the size.' },
      { site: 'head', decides: 'Decides whether it goes over the head.' },
    ]);
    expect(sites(['head-collar'])).toEqual(expect.arrayContaining(['high', 'muzzle', 'stop', 'muzzle-length']));
  });

  it('asks for the head at a prong only where a guess of it leaves open whether the collar comes over it', () => {
    // 408 mm round at rest: a head of 422 mm at the least holds it (480 less 12 %).
    const near: StockByKind = { prong: [prong(408)] };
    expect(sites(['prong'], { stock: near })).toEqual(['high']);
    // On a slender neck the head is guessed at 440: 387 at the least, and the collar could pass it.
    expect(sites(['prong'], { stock: near, dog: { ...dog, neckBuild: 'slender' } })).toEqual(['high', 'head']);
    // Nothing taped yet: nothing speaks against asking.
    expect(sites(['prong'], { stock: near, sure: null })).toEqual(['high', 'head']);
  });

  it('asks for the length of the neck only where things might not fit below each other', () => {
    const stock: StockByKind = { remote: [remote as never] };
    // A neck of 400 mm is at least about 101 mm long (0.42 × 0.6, from memory): a receiver beside a flat collar finds room, beside three more it may not.
    expect(sites(['remote'], { stock, wornWidthsMm: [25] })).not.toContain('neck-length');
    expect(sites(['remote'], { stock, wornWidthsMm: [25, 25, 30] })).toContain('neck-length');
    expect(sites(['remote'], { stock })).not.toContain('neck-length');
  });

  it('a part of a rig is looked for in the locker under a name that the locker has', () => {
    const named = Object.values(RIG_CATALOGUE.parts).flatMap(({ gear }) => gear ?? []);
    expect(named.length).toBeGreaterThan(0);
    expect(named.filter((what) => !(GEAR as readonly string[]).includes(what))).toEqual([]);
  });

  it('asks for another reading only where the doubt of those so far could change what the collar comes to', () => {
    // At 408 mm round the slack is 8 mm, in the middle of the window: 2 mm of doubt change nothing, a link’s width of it does.
    const again = (insideGirthMm: number, plusMinusMm: number) =>
      readAgain({
        kinds: ['prong'],
        dog: { ...dog, headGirthMm: 520 },
        sure: { high: { mm: 400, plusMinusMm, from: 'one-reading' }, head: { mm: 520, plusMinusMm: 4, from: 'taped' } },
        stock: { prong: [prong(insideGirthMm)] },
        wornWidthsMm: [],
        house,
      });
    expect(again(408, 2)).toEqual([]);
    expect(again(408, 30)).toEqual(['high']);
    expect(readAgain({ kinds: ['prong'], dog, sure: null, stock: {}, wornWidthsMm: [], house })).toEqual(['high', 'head']);
  });
});
