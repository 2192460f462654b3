import { describe, expect, it } from 'vitest';
import { adviceRank, contractSpeaker, houseRules, houseSchools, NOTHING_NOTED, type CollarTraits, type DogManner, type FittingDog } from '../index.ts';
import { CLIP_ON_SLIP_TRAITS } from '../collars/clip-on-slip/index.ts';
import { FLAT_TRAITS } from '../collars/flat/index.ts';
import { HEAD_COLLAR_TRAITS } from '../collars/head-collar/index.ts';
import { MARTINGALE_TRAITS } from '../collars/martingale/index.ts';
import { PRONG_TRAITS } from '../collars/prong/index.ts';
import { SLIP_TRAITS } from '../collars/slip/index.ts';
import { WIDE_THROAT_TRAITS } from '../collars/wide-throat/index.ts';

const rules = houseRules();
const dog = (more: Partial<FittingDog> = {}): FittingDog => ({
  weightKg: 28,
  pull: 'pulls',
  worksOn: 'left',
  neckBuild: 'average',
  ageDays: 800,
  skinGirthMm: 400,
  tapedGirthMm: 400,
  hairGirthMm: 400,
  midGirthMm: null,
  headGirthMm: 480,
  muzzleGirthMm: null,
  stopGirthMm: null,
  muzzleLengthMm: null,
  neckLengthMm: null,
  coatDepthMm: null,
  finger: { thicknessMm: 16, widthMm: 16 },
  ...more,
});
const asked = (traits: CollarTraits, one: FittingDog, noted: Partial<DogManner> = {}, schools = {}) =>
  traits.advice({ dog: one, noted: { ...NOTHING_NOTED, ...noted }, rules, schools: houseSchools(schools), speak: contractSpeaker });
const rank = (...args: Parameters<typeof asked>) => adviceRank(asked(...args));
const hound = dog({ neckBuild: 'slender', hairGirthMm: 300, headGirthMm: 330 });

describe('what speaks for a kind of collar, apart from whether it fits (common practice)', () => {
  it('a settled dog is not offered a prong first; a strong one is, where the house keeps prongs for strong dogs', () => {
    expect(rank(PRONG_TRAITS, dog({ pull: 'settled' }))).toBe(1);
    expect(rank(PRONG_TRAITS, dog())).toBe(0);
    expect(rank(PRONG_TRAITS, dog(), {}, { prongForSchool: 'strong-dogs' })).toBe(-1);
    expect(rank(PRONG_TRAITS, dog({ weightKg: 12 }), {}, { prongForSchool: 'strong-dogs' })).toBe(1);
  });

  it('a broad head over a fine neck takes a clip-on slip before a slip over the head', () => {
    // 480 + 20 mm needs 20 in (508): 88 mm between the rings, over 63.5. 430 + 20 needs 18 in (457.2): 37.2 mm.
    expect(rank(SLIP_TRAITS, dog())).toBe(1);
    expect(rank(SLIP_TRAITS, dog({ headGirthMm: 430 }))).toBe(0);
  });

  it('a long delicate neck: a wide-throat while new or not calm, a martingale once known and calm, never a narrow strap to walk it', () => {
    expect(rank(WIDE_THROAT_TRAITS, hound, { acquaintance: 'new' })).toBe(-1);
    expect(rank(FLAT_TRAITS, hound, { acquaintance: 'new' })).toBe(1);
    expect(rank(MARTINGALE_TRAITS, hound)).toBe(1);
    const calm = { ...hound, pull: 'settled' as const };
    expect(rank(MARTINGALE_TRAITS, calm, { acquaintance: 'known' })).toBe(-1);
    expect(rank(WIDE_THROAT_TRAITS, calm, { acquaintance: 'known' })).toBe(0);
    // A head of 270 does not hold even a strap of 270 with its rings apart.
    expect(rank(MARTINGALE_TRAITS, { ...calm, headGirthMm: 270 })).toBe(1);
  });

  it('a reactive dog rather wears a harness, a very reactive one harness and wide-throat together; other schools take theirs', () => {
    expect(asked(WIDE_THROAT_TRAITS, hound, { manner: 'very-reactive' })).toEqual([
      { weighs: 'only-with', says: expect.stringContaining('harness and this together') },
    ]);
    expect(asked(WIDE_THROAT_TRAITS, hound, { manner: 'reactive' })[0]!.says).toContain('rather a harness');
    expect(rank(PRONG_TRAITS, dog(), { manner: 'reactive' })).toBe(1);
    expect(rank(CLIP_ON_SLIP_TRAITS, dog(), { manner: 'reactive' }, { reactiveSchool: 'high-slip' })).toBe(-1);
    expect(rank(HEAD_COLLAR_TRAITS, dog(), { manner: 'very-reactive' }, { reactiveSchool: 'turn-the-head' })).toBe(-1);
    expect(rank(CLIP_ON_SLIP_TRAITS, dog(), { manner: 'calm' }, { reactiveSchool: 'high-slip' })).toBe(0);
  });
});
