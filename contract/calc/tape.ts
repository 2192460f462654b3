import { contractSpeaker, GIRTH_SITES, houseRules, NECK_BUILDS, POSSIBLE_GIRTH_MM, TAPE_REASON_WORDS, taping, wordReason } from '@banter/core';
import { CoatDepthMm, WeightKg } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const TapeRequest = z
  .strictObject({
    site: z.enum(GIRTH_SITES),
    readingsMm: z.array(z.number()).min(1).max(10),
    coatDepthMm: CoatDepthMm.optional(),
    weightKg: WeightKg.optional(),
    neckBuild: z.enum(NECK_BUILDS).optional(),
    rules: RuleOverrides.optional(),
  })
  .check(({ value, issues }) => {
    const [low, high] = POSSIBLE_GIRTH_MM[value.site];
    value.readingsMm.forEach((reading, index) => {
      if (reading < low || reading > high) {
        issues.push({ code: 'custom', path: ['readingsMm', index], input: reading, message: `This girth must be between ${low} and ${high} mm.` });
      }
    });
    const hair = 2 * Math.PI * (value.coatDepthMm ?? 0);
    if (issues.length === 0 && Math.min(...value.readingsMm) <= hair) {
      issues.push({ code: 'custom', path: ['coatDepthMm'], input: value.coatDepthMm, message: 'This coat leaves no neck under it.' });
    }
  });

export const TapeAnswer = z.object({
  girthMm: z.number(),
  spreadMm: z.number(),
  temMm: z.number().nullable(),
  temPercent: z.number().nullable(),
  plusMinusMm: z.number(),
  repeat: z.boolean(),
  oddIndex: z.number().int().nullable(),
  reasons: z.array(ReasonShape),
});

export const tape = calculation({
  summary: 'One site, one reading or several of one person: median on the skin, spread, technical error, and what to do about them.',
  request: TapeRequest,
  answer: TapeAnswer,
  compute: ({ rules, ...request }) => {
    const { reasons, ...result } = taping(request, houseRules(rules));
    return { ...result, reasons: reasons.map((reason) => wordReason(TAPE_REASON_WORDS, reason, contractSpeaker)) };
  },
});
