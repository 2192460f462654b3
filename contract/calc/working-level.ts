import { contractSpeaker, houseRules, isWhole, LEVEL_STATES, WORKING_LEVEL_REASON_WORDS, wordReason, workingLevel as levelOf } from '@banter/core';
import { between, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const Level = between(-100_000, 100_000);
const found = z.number().nullable();

const Request = z
  .strictObject({
    runs: z
      .array(
        z.strictObject({
          trials: z
            .array(z.strictObject({ level: Level, noticed: z.boolean(), tooMuch: z.boolean().optional() }))
            .min(1)
            .max(1000),
        }),
      )
      .min(1)
      .max(200),
    scale: z.strictObject({ min: Level, max: Level, step: between(0.001, 1000) }),
    ceiling: Level.optional(),
    cap: Level.optional(),
    target: between(0.5, 0.95).optional(),
    rules: RuleOverrides.optional(),
  })
  .check(({ value, issues }) => {
    const { scale, runs } = value;
    if (scale.max <= scale.min) issues.push({ code: 'custom', path: ['scale', 'max'], input: scale.max, message: 'A scale ends above its beginning.' });
    const onScale = (level: number) => level >= scale.min && level <= scale.max && isWhole((level - scale.min) / scale.step);
    runs.forEach(({ trials }, run) =>
      trials.forEach(({ level }, trial) => {
        if (!onScale(level))
          issues.push({ code: 'custom', path: ['runs', run, 'trials', trial, 'level'], input: level, message: 'This level is not on the scale.' });
      }),
    );
    for (const limit of ['ceiling', 'cap'] as const) {
      const level = value[limit];
      if (level !== undefined && !onScale(level)) issues.push({ code: 'custom', path: [limit], input: level, message: 'This level is not on the scale.' });
    }
  });

export const workingLevel = calculation({
  summary: 'The level to work at, from up-down runs in one setting on one device; never above what was seen to be noticed.',
  request: Request,
  answer: z.object({
    state: z.enum(LEVEL_STATES),
    level: found,
    turns: z.number().int(),
    turnsMean: found,
    low95: found,
    high95: found,
    highestNoticed: found,
    reasons: z.array(ReasonShape),
  }),
  compute: ({ runs, target, rules, ...limits }) => {
    const house = houseRules(rules);
    const { threshold: _threshold, reasons, ...level } = levelOf(runs, { ...limits, target: target ?? house.workingChance, rules: house });
    return { ...level, reasons: reasons.map((reason) => wordReason(WORKING_LEVEL_REASON_WORDS, reason, contractSpeaker)) };
  },
});
