import { contractSpeaker, houseRules, wordReason } from '@banter/core';
import { HEAD_COLLAR_REASON_WORDS, HEAD_COLLAR_VERDICTS, sizeHeadCollar } from '@banter/core/collars/head-collar';
import { FingerFields, fingerNotNarrower, MuzzleGirthMm, MuzzleLengthMm, NeckGirthMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const headCollar = calculation({
  summary: 'Neck strap and nose loop of a head collar, or why there is no room for one.',
  request: z
    .strictObject({
      girthMm: NeckGirthMm,
      muzzleGirthMm: MuzzleGirthMm,
      stopGirthMm: MuzzleGirthMm,
      muzzleLengthMm: MuzzleLengthMm,
      ...FingerFields,
      rules: RuleOverrides.optional(),
    })
    .check(fingerNotNarrower),
  answer: z.object({
    neckStrapMm: z.number(),
    noseLoopMinMm: z.number(),
    noseLoopMaxMm: z.number(),
    noseLoopMm: z.number().nullable(),
    verdict: z.enum(HEAD_COLLAR_VERDICTS),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ rules, fingerThicknessMm, fingerWidthMm, ...face }) => {
    const finger = { thicknessMm: fingerThicknessMm, widthMm: fingerWidthMm };
    const { reasons, ...size } = sizeHeadCollar({ ...face, finger }, houseRules(rules));
    return { ...size, reasons: reasons.map((reason) => wordReason(HEAD_COLLAR_REASON_WORDS, reason, contractSpeaker)) };
  },
});
