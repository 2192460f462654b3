import { contractSpeaker, houseRules, mutualInformation, TELL_TALE_REASON_WORDS, tellTaleReasons, wordReason } from '@banter/core';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const bits = z.number();

export const tellTale = calculation({
  summary: 'What a collar gives away: the mutual information between what is worn and what follows, and whether chance says as much.',
  request: z
    .strictObject({
      counts: z
        .array(z.array(z.number().int().min(0).max(1_000_000)).min(1).max(50))
        .min(1)
        .max(50),
      rules: RuleOverrides.optional(),
    })
    .check(({ value, issues }) => {
      value.counts.forEach((row, index) => {
        if (row.length !== value.counts[0]!.length)
          issues.push({
            code: 'custom',
            path: ['counts', index],
            input: row,
            message: `Every row has ${value.counts[0]!.length} columns, as the first one does.`,
          });
      });
    }),
  answer: z.object({ bits, rowBits: bits, columnBits: bits, biasBits: bits, chance: bits.nullable(), reasons: z.array(ReasonShape) }),
  compute: ({ counts, rules }) => {
    const { total: _total, ...found } = mutualInformation(counts);
    const limit = houseRules(rules).tellTaleChance;
    return {
      ...found,
      reasons: tellTaleReasons({ ...found, total: _total }, limit).map((reason) => wordReason(TELL_TALE_REASON_WORDS, reason, contractSpeaker)),
    };
  },
});
