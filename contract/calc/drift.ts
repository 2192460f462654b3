import { contractSpeaker, DRIFT_REASON_WORDS, driftCharts, driftReasons, houseRules, wordReason } from '@banter/core';
import { between, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const value = between(-1_000_000, 1_000_000);
const series = z.array(z.number());

export const drift = calculation({
  summary: 'Control charts (EWMA and CUSUM) over the levels needed in one setting, and where they alarm.',
  request: z.strictObject({
    values: z.array(value).min(1).max(5000),
    mean: value,
    sd: between(0, 1_000_000),
    lambda: z.number().gt(0).max(1).optional(),
    limit: z.number().gt(0).max(100).optional(),
    k: between(0, 1_000_000),
    h: between(0, 1_000_000),
    rules: RuleOverrides.optional(),
  }),
  answer: z.object({
    ewma: series,
    ewmaLow: z.number(),
    ewmaHigh: z.number(),
    cusumHigh: series,
    cusumLow: series,
    alarms: z.array(z.object({ index: z.number().int(), chart: z.enum(['ewma', 'cusum']), side: z.enum(['high', 'low']) })),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ rules, lambda, limit, ...rest }) => {
    const house = houseRules(rules);
    const charts = driftCharts({ ...rest, lambda: lambda ?? house.ewmaLambda, limit: limit ?? house.ewmaLimit });
    return { ...charts, reasons: driftReasons(charts, rest.h).map((reason) => wordReason(DRIFT_REASON_WORDS, reason, contractSpeaker)) };
  },
});
