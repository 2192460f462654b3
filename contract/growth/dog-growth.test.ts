import { contractSpeaker, fitGrowth, HOUSE_RULES, type FittingDog } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { collarKind, FIRST_SETTINGS, grownDog, outgrows, outgrowthTitle, standingWeighings, whenWeighs, type CurrentFit } from '../index.ts';

const dog: FittingDog = {
  weightKg: 20,
  pull: 'pulls',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 180,
  skinGirthMm: 360,
  tapedGirthMm: 360,
  hairGirthMm: 360,
  midGirthMm: null,
  headGirthMm: 430,
  muzzleGirthMm: null,
  stopGirthMm: null,
  muzzleLengthMm: null,
  neckLengthMm: null,
  coatDepthMm: null,
  finger: { thicknessMm: 16, widthMm: 19 },
};
const rules = Object.fromEntries(Object.entries(HOUSE_RULES).map(([name, { default: value }]) => [name, value])) as never;
const house = { rules, schools: FIRST_SETTINGS.schools, headCollarChart: [] } as never;
const curve = { asymptoteKg: 30, ratePerDay: 0.0145, inflectionDays: 118 };
const kg = (age: number) => curve.asymptoteKg * Math.exp(-Math.exp(-curve.ratePerDay * (age - curve.inflectionDays)));
const fit = fitGrowth([56, 70, 90, 110, 130, 150, 180, 220, 260].map((ageDays) => ({ ageDays, weightKg: kg(ageDays) })));
const factor = 360 / Math.cbrt(kg(180));
const worn = (kind: 'prong' | 'flat', numbers: object, choices: object) =>
  ({ plan: { id: kind, kind, choices, inputs: { collar: { id: 'c', name: 'Rush', numbers } } }, checks: [], check: null }) as unknown as CurrentFit;
const grow = (fits: CurrentFit[]) => outgrows(dog, fits, { fit, factor, ageDays: 180, house, speak: contractSpeaker });

describe('what a growing dog does to what it wears', () => {
  // 24 mm links: 13 leave 12 mm of slack on 360 mm, inside 0 to 25; a link is missing once the neck is over 372 mm.
  const prong = { gaugeMm: 2.25, pitchMm: 24, insideGirthMm: 372, links: 13, closingMm: 31 };
  const choices = { gaugeSchool: 'weight-line', betweenSchool: 'finer', split: { left: 7, right: 6 }, start: null, ring: 'live', ringPlace: 'nape' };

  it('a prong wants its next link when the girth passes the collar at rest, and says how it is made up then', () => {
    const [found] = grow([worn('prong', prong, choices)]);
    expect(found!.change!.girthMm).toBeGreaterThan(372);
    expect(found!.change!.girthMm).toBeLessThanOrEqual(373);
    expect(found!.change!.says).toContain('14 links');
    // 372 mm by the dog’s own factor is this weight, and this age by its curve.
    const weight = (372.5 / factor) ** 3;
    const age = curve.inflectionDays - Math.log(-Math.log(weight / curve.asymptoteKg)) / curve.ratePerDay;
    expect(Math.abs(found!.change!.when.likely! - age)).toBeLessThan(4);
  });

  it('a flat collar is let out hole by hole until its last one is too short, and then says what to look for', () => {
    const flat = { minMm: 330, maxMm: 400, widthMm: 20, buckle: 'metal tongue', holePitchMm: 10 };
    const made = collarKind('flat').suggest(dog, [{ id: 'c', name: 'Rush', numbers: flat }], house);
    const [found] = grow([worn('flat', flat, made.choice!.choices as object)]);
    expect(found!.change).not.toBeNull();
    expect(found!.outgrown!.girthMm).toBeGreaterThan(found!.change!.girthMm);
    expect(found!.outgrown!.girthMm).toBeLessThan(400);
    expect(found!.outgrown!.wanted).toMatch(/^a flat collar that holds/);
    const { earliest, likely, latest } = found!.outgrown!.when;
    expect(earliest!).toBeLessThanOrEqual(likely!);
    expect(likely!).toBeLessThanOrEqual(latest!);
  });

  it('a collar with room to the end is said to fit to the end', () => {
    const roomy = { minMm: 330, maxMm: 560, widthMm: 20, buckle: 'metal tongue', holePitchMm: null };
    const made = collarKind('flat').suggest(dog, [{ id: 'c', name: 'Rush', numbers: roomy }], house);
    expect(grow([worn('flat', roomy, made.choice!.choices as object)])[0]!.outgrown).toBeNull();
  });

  it('a collar with links left is let out, not outgrown, though between two links nothing fits for some millimetres', () => {
    // 42 mm a link and a window of 24 mm: for 18 mm of neck it lies between two sizes, and three links may still go in.
    const heavy = { gaugeMm: 4, pitchMm: 42, insideGirthMm: 372, links: 9, closingMm: 30, quickRelease: false };
    const [found] = grow([worn('prong', heavy, { ...choices, gaugeSchool: 'scale-with-power', split: { left: 5, right: 4 } })]);
    expect(found!.outgrown).toBeNull();
    expect(found!.change!.says).toContain('10 links');
    expect(outgrowthTitle('Sorrel', found!)).toBe('Let out Rush for Sorrel');
    // Stocked three links shorter, it takes no more: it is outgrown.
    const full = grow([worn('prong', { ...heavy, links: 6, insideGirthMm: 246 }, { ...choices, split: { left: 5, right: 4 } })])[0]!;
    expect(full.outgrown!.girthMm).toBeLessThan(400);
    expect(outgrowthTitle('Sorrel', full)).toBe('Sorrel outgrows Rush');
  });

  it('a collar that a check made tighter is judged by what hands found, and not let out at once', () => {
    // By the tape 12 links press by 12 mm; on the dog they leave 3.
    const tighter = worn('prong', prong, { ...choices, split: { left: 6, right: 6 } });
    const at = (byHands: Record<string, number>) =>
      outgrows({ ...dog, byHands }, [tighter], { fit, factor, ageDays: 180, house, speak: contractSpeaker })[0]!.change!.girthMm;
    expect(at({})).toBe(360);
    expect(at({ c: -15 })).toBeGreaterThan(362);
    expect(at({ c: -15 })).toBeLessThanOrEqual(364);
  });

  it('what comes soonest stands first', () => {
    const flat = { minMm: 330, maxMm: 395, widthMm: 20, buckle: 'metal tongue', holePitchMm: 30 };
    const made = collarKind('flat').suggest(dog, [{ id: 'c', name: 'Rush', numbers: flat }], house);
    const likely = grow([worn('flat', flat, made.choice!.choices as object), worn('prong', prong, choices)]).map(
      ({ change, outgrown }) => (change ?? outgrown)!.when.likely!,
    );
    expect([...likely].sort((a, b) => a - b)).toEqual(likely);
  });

  it('lengths grow with the cube root: twice as long, eight times as heavy; what is not known stays unknown', () => {
    expect(grownDog(dog, 2)).toMatchObject({ tapedGirthMm: 720, headGirthMm: 860, weightKg: 160, midGirthMm: null });
  });
  it('a weight above the end never comes; one already passed is now', () => {
    expect(whenWeighs(fit, 60, 180)).toEqual({ earliest: null, likely: null, latest: null });
    expect(whenWeighs(fit, 5, 180)).toEqual({ earliest: 180, likely: 180, latest: 180 });
  });
});

describe('weighings that stand', () => {
  const one = (id: string, at: string, weightG: number | null, correctsId: string | null = null) => ({ id, at, weightG, correctsId });
  it('are those that nothing corrects, oldest first; one struck out leaves none', () => {
    const all = [one('b', '2026-05-02', 900), one('a', '2026-05-01', 800), one('c', '2026-05-01', 850, 'a'), one('d', '2026-05-03', null, 'b')];
    expect(standingWeighings(all).map(({ id }) => id)).toEqual(['c']);
  });
});
