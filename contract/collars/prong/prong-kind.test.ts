import { contractSpeaker, houseRules, USUAL_FINGER, type FittingDog } from '@banter/core';
import { evenSplit } from '@banter/core/collars/prong';
import { describe, expect, it } from 'vitest';
import { prongKind } from './prong-kind.ts';

const dog = { weightKg: 40, pull: 'drags', tapedGirthMm: 600, skinGirthMm: 600, hairGirthMm: 600, headGirthMm: 700, finger: USUAL_FINGER } as FittingDog;
const collar = { id: 'c', name: 'Hazel', numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28, quickRelease: false } };
const said = (links: number) => {
  const choices = { gaugeSchool: 'weight-line', betweenSchool: 'finer', split: evenSplit(links), start: null, ring: 'live', ringPlace: 'nape' } as const;
  const outcome = prongKind.plan(dog, collar, [collar], choices, houseRules());
  return prongKind.planSentence('Moss', dog, collar, choices, outcome, null, contractSpeaker);
};

describe('what the bench says of a prong', () => {
  it('never tells to put in what is past the links that may be added (common practice: at most three)', () => {
    // 600 mm want 608: 480 and four links of 31 mm more leave 4, but four is one too many.
    expect(said(17)).toBe('Take another gauge. It would need 4 links more, past the 3 that may be added: the gauge is wrong.');
    // Thirteen hang 7 and 6, sixteen 8 and 8.
    expect(said(16)).toBe('Put in 3 links, one on the dog’s left, 2 on its right.');
  });
});
