import { CLIP_ON_REASON_WORDS, CLIP_ON_USES, sizeClipOnSlip } from '@banter/core/collars/clip-on-slip';
import { contractSpeaker, wordReason } from '@banter/core';
import { NeckGirthMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const clipOnSlip = calculation({
  summary: 'The length of a clip-on slip to the bottom of the clip, for training or as a backup.',
  request: z.strictObject({ girthMm: NeckGirthMm, use: z.enum(CLIP_ON_USES), rules: RuleOverrides.optional() }),
  answer: z.object({ lengthMinMm: z.number(), lengthMaxMm: z.number(), reasons: z.array(ReasonShape) }),
  compute: ({ girthMm, use }) => {
    const { reasons, ...size } = sizeClipOnSlip(girthMm, use);
    return { ...size, reasons: reasons.map((reason) => wordReason(CLIP_ON_REASON_WORDS, reason, contractSpeaker)) };
  },
});
