import { CONTACT_REASON_WORDS, CONTACT_VERDICTS, contactPosts } from '@banter/core/collars/electronic';
import { contractSpeaker, houseRules, wordReason } from '@banter/core';
import { CoatDepthMm, PostMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const contacts = calculation({
  summary: 'The shortest contact post that reaches the skin through the flattened coat.',
  request: z.strictObject({ coatDepthMm: CoatDepthMm, postsMm: z.array(PostMm).min(1), rules: RuleOverrides.optional() }),
  answer: z.object({ postMm: z.number().nullable(), verdict: z.enum(CONTACT_VERDICTS), reasons: z.array(ReasonShape) }),
  compute: ({ coatDepthMm, postsMm, rules }) => {
    const { reasons, ...found } = contactPosts(coatDepthMm, postsMm, houseRules(rules));
    return { ...found, reasons: reasons.map((reason) => wordReason(CONTACT_REASON_WORDS, reason, contractSpeaker)) };
  },
});
