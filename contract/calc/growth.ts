import {
  girthAtWeight,
  contractSpeaker,
  fitGrowth,
  girthFactor,
  GROWTH_REASON_WORDS,
  grownAt,
  growthReasons,
  wordReason,
  type GrowthReason,
} from '@banter/core';
import { NeckGirthMm, WeightKg } from '../measures.ts';
import { between, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

/** From birth to past the oldest dog known. */
const AgeDays = between(0, 12_000);
const kg = z.number();

export const growth = calculation({
  summary: 'How a dog grows: a Gompertz curve by its weighings, or by what is usual for its size while these are few, and its girth by the cube root.',
  request: z.strictObject({
    weighIns: z
      .array(z.strictObject({ ageDays: AgeDays, weightKg: WeightKg }))
      .min(1)
      .max(200),
    girths: z
      .array(z.strictObject({ ageDays: AgeDays, girthMm: NeckGirthMm }))
      .max(200)
      .optional(),
    adultWeightKg: WeightKg.optional(),
    at: z.array(AgeDays).max(1000).optional(),
    rules: RuleOverrides.optional(),
  }),
  answer: z.object({
    asymptoteKg: kg,
    ratePerDay: z.number(),
    inflectionDays: z.number(),
    converged: z.boolean(),
    at: z.array(z.object({ ageDays: z.number(), weightKg: kg, low95Kg: kg, high95Kg: kg, girthMm: z.number().nullable() })),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ weighIns, girths = [], adultWeightKg, at }) => {
    const fit = fitGrowth(weighIns, adultWeightKg ?? null);
    const factor = girthFactor(fit, girths);
    const ages = at ?? weighIns.map(({ ageDays }) => ageDays);
    const reasons: GrowthReason[] = [...growthReasons(fit, weighIns), ...(factor === null ? [{ code: 'no-girth' } as const] : [])];
    return {
      asymptoteKg: fit.asymptoteKg,
      ratePerDay: fit.ratePerDay,
      inflectionDays: fit.inflectionDays,
      converged: fit.converged,
      at: ages.map((ageDays) => {
        const grown = grownAt(fit, ageDays);
        return { ageDays, ...grown, girthMm: factor === null ? null : girthAtWeight(factor, grown.weightKg) };
      }),
      reasons: reasons.map((reason) => wordReason(GROWTH_REASON_WORDS, reason, contractSpeaker)),
    };
  },
});
