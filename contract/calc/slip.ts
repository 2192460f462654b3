import { contractSpeaker, houseRules, wordReason } from '@banter/core';
import { SLIP_REASON_WORDS, SLIP_SCHOOLS, SLIP_VERDICTS, sizeSlip } from '@banter/core/collars/slip';
import { NeckGirthMm, PartMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

export const slip = calculation({
  summary: 'The length of a slip collar that goes over the head, and how it fits.',
  request: z.strictObject({
    girthMm: NeckGirthMm,
    headGirthMm: NeckGirthMm,
    ringMm: PartMm,
    school: z.enum(SLIP_SCHOOLS),
    rules: RuleOverrides.optional(),
  }),
  answer: z.object({
    lengthMm: z.number(),
    slackMm: z.number(),
    headClearanceMm: z.number(),
    passesHead: z.boolean(),
    verdict: z.enum(SLIP_VERDICTS),
    recommend: z.enum(['slip', 'clip-on-slip']),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ rules, school, ...neck }) => {
    const { reasons, ...size } = sizeSlip(neck, school, houseRules(rules));
    return { ...size, reasons: reasons.map((reason) => wordReason(SLIP_REASON_WORDS, reason, contractSpeaker)) };
  },
});
