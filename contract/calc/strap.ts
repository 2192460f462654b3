import { contractSpeaker, houseRules, wordReason } from '@banter/core';
import { sizeStrap, STRAP_KINDS, STRAP_REASON_WORDS, STRAP_VERDICTS } from '@banter/core/collars/strap';
import { FingerFields, fingerNotNarrower, LengthMm, NeckGirthMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const Size = z.tuple([LengthMm, LengthMm]).refine(([low, high]) => low <= high, 'The longest of a size must not be below its shortest.');

export const strap = calculation({
  summary: 'What a flat buckle or wide-throat collar is set to, which size holds it, and whether the dog can back out.',
  request: z
    .strictObject({
      kind: z.enum(STRAP_KINDS),
      girthMm: NeckGirthMm,
      headGirthMm: NeckGirthMm.optional(),
      ...FingerFields,
      fingers: z.literal([1, 2]).optional(),
      sizesMm: z.array(Size).min(1).optional(),
      rules: RuleOverrides.optional(),
    })
    .check(fingerNotNarrower),
  answer: z.object({
    setGirthMm: z.number(),
    size: z.tuple([z.number(), z.number()]).nullable(),
    backOutRatio: z.number().nullable(),
    verdict: z.enum(STRAP_VERDICTS),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ rules, fingerThicknessMm, fingerWidthMm, ...question }) => {
    const finger = { thicknessMm: fingerThicknessMm, widthMm: fingerWidthMm };
    const { reasons, size, ...set } = sizeStrap({ ...question, finger }, houseRules(rules));
    return {
      ...set,
      size,
      reasons: reasons.map((reason) => wordReason(STRAP_REASON_WORDS, reason, contractSpeaker)),
    };
  },
});
