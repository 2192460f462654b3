import { describe, expect, it } from 'vitest';
import { chooseByGeometry, contractSpeaker, GEOMETRY_WORDS, houseRules, houseSchools, wordReason, type FittingDog } from '../index.ts';

const rules = houseRules();
const dog = (more: Partial<FittingDog>): FittingDog => ({
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
const takes = (one: FittingDog, schools = {}) => Object.fromEntries(chooseByGeometry(one, rules, houseSchools(schools)).map(({ code, take }) => [code, take]));

describe('what geometry decides between kinds', () => {
  it('a broad head over a fine neck takes a clip-on slip, a narrow one a slip (two and a half inches between the rings; common practice)', () => {
    // 480 + 20 mm needs 20 in (508): 88 mm between the rings. 430 + 20 needs 18 in (457.2): 37.2 mm.
    expect(takes(dog({})).slip).toBe('clip-on-slip');
    expect(takes(dog({ headGirthMm: 430 })).slip).toBe('slip');
  });

  it('a sighthound that pulls takes a wide-throat collar while that holds, a settled one a martingale with its rings apart (common practice)', () => {
    // 300 mm and one finger of 16 mm make about 315 mm: a head of 330 is 1.05 times that.
    const hound = dog({ neckBuild: 'slender', hairGirthMm: 300, headGirthMm: 330 });
    expect(takes(hound).hold).toBe('wide-throat');
    expect(takes({ ...hound, pull: 'settled' }).hold).toBe('martingale');
    // A head of 312 is 0.99 times a wide-throat collar, and 1.16 times a strap of 270.
    expect(takes({ ...hound, headGirthMm: 312 }).hold).toBe('martingale');
    expect(takes({ ...hound, headGirthMm: 270 }).hold).toBe('neither');
    expect(takes(dog({})).hold).toBeUndefined();
  });

  it('keeps prongs for strong dogs only where the house is of that school', () => {
    expect(takes(dog({}))['strong-dogs']).toBeUndefined();
    expect(takes(dog({}), { prongForSchool: 'strong-dogs' })['strong-dogs']).toBe('prong');
    expect(takes(dog({ pull: 'settled' }), { prongForSchool: 'strong-dogs' })['strong-dogs']).toBe('another');
    expect(takes(dog({ weightKg: 12 }), { prongForSchool: 'strong-dogs' })['strong-dogs']).toBe('another');
  });

  it('says nothing without the measures, and each thing in a plain sentence with its numbers', () => {
    expect(chooseByGeometry(dog({ headGirthMm: null }), rules, houseSchools())).toEqual([]);
    const hound = dog({ neckBuild: 'slender', hairGirthMm: 300, headGirthMm: 330 });
    for (const decision of chooseByGeometry(hound, rules, houseSchools({ prongForSchool: 'strong-dogs' })))
      expect(wordReason(GEOMETRY_WORDS, decision, contractSpeaker).text).toMatch(/^[A-Z].*\d.*\.$/);
  });
});
