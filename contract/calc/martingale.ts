import { contractSpeaker, houseRules, wordReason } from '@banter/core';
import { MARTINGALE_REASON_WORDS, MARTINGALE_SCHOOLS, MARTINGALE_VERDICTS, sizeMartingale } from '@banter/core/collars/martingale';
import { LengthMm, NeckGirthMm } from '../measures.ts';
import { inOrder, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const martingale = calculation({
  summary: 'How long a martingale’s strap is set by a school, and how it then sits.',
  request: z
    .strictObject({
      girthMm: NeckGirthMm,
      headGirthMm: NeckGirthMm,
      strapMinMm: LengthMm,
      strapMaxMm: LengthMm,
      loopMm: LengthMm,
      school: z.enum(MARTINGALE_SCHOOLS),
      rules: RuleOverrides.optional(),
    })
    .check(inOrder('strapMinMm', 'strapMaxMm')),
  answer: z.object({
    strapMm: z.number(),
    openGirthMm: z.number(),
    closedGirthMm: z.number(),
    ringGapMm: z.number(),
    squeezeRatio: z.number(),
    passesHead: z.boolean(),
    backOutRatio: z.number(),
    verdict: z.enum(MARTINGALE_VERDICTS),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ girthMm, headGirthMm, school, rules, ...collar }) => {
    const { reasons, ...size } = sizeMartingale(collar, { girthMm, headGirthMm }, school, houseRules(rules));
    return { ...size, reasons: reasons.map((reason) => wordReason(MARTINGALE_REASON_WORDS, reason, contractSpeaker)) };
  },
});
