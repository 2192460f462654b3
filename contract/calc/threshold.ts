import { contractSpeaker, findThreshold, THRESHOLD_REASON_WORDS, wordReason } from '@banter/core';
import { between, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const level = z.number().nullable();

export const threshold = calculation({
  summary: 'The level a dog notices with a chance, from its trials, with a 95 % interval; or which levels to try next.',
  request: z.strictObject({
    trials: z
      .array(z.strictObject({ level: between(-100_000, 100_000), noticed: z.boolean() }))
      .min(1)
      .max(2000),
    target: between(0.5, 0.95).optional(),
    rules: RuleOverrides.optional(),
  }),
  answer: z.object({ level, low95: level, high95: level, intercept: level, slope: level, converged: z.boolean(), reasons: z.array(ReasonShape) }),
  compute: ({ trials, target = 0.5 }) => {
    const { curve: _curve, reasons, ...found } = findThreshold(trials, target);
    return { ...found, reasons: reasons.map((reason) => wordReason(THRESHOLD_REASON_WORDS, reason, contractSpeaker)) };
  },
});
