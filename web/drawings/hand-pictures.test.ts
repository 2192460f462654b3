import { COLLAR_KIND_NAMES, collarKind } from '@banter/contract';
import { TAPE_SITES } from '@banter/core';
import { describe, expect, it } from 'vitest';
import { checkPictures, PICTURED_QUESTIONS, putOnPictures, tapePicture } from './hand-pictures.ts';

describe('pictures of what hands do', () => {
  it('show each step of putting each collar on, and where the tape lies at each site', () => {
    for (const kind of COLLAR_KIND_NAMES) expect([kind, putOnPictures(kind).length]).toEqual([kind, collarKind(kind).putOn.length]);
    for (const site of TAPE_SITES) expect(tapePicture(site).lines.some(({ tone }) => tone === 'tape')).toBe(true);
  });

  it('of a question of the check show what is right and, in another colour, what is not', () => {
    const asked = new Set(COLLAR_KIND_NAMES.flatMap((kind) => collarKind(kind).questions.map(({ id }) => id)));
    expect(PICTURED_QUESTIONS.filter((id) => !asked.has(id))).toEqual([]);
    for (const id of PICTURED_QUESTIONS) {
      const [good, bad] = checkPictures(id)!;
      expect([id, good.lines.some(({ tone }) => tone === 'stop'), bad.lines.some(({ tone }) => tone === 'stop')]).toEqual([id, false, true]);
      expect(good.says).not.toBe(bad.says);
    }
    // Fingers under a strap, a collar that turns, and one that is too low are what people get wrong first.
    for (const id of ['under', 'turns', 'sits']) expect(checkPictures(id)).not.toBeNull();
    expect(checkPictures('breathing')).toBeNull();
  });
});
