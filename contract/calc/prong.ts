import {
  BETWEEN_SCHOOLS,
  chooseProng,
  GAUGE_SCHOOLS,
  PRONG_CHOICE_REASON_WORDS,
  PRONG_REASON_WORDS,
  PRONG_VERDICTS,
  PULLS,
  type ProngFit,
} from '@banter/core/collars/prong';
import { contractSpeaker, houseRules, wordReason } from '@banter/core';
import { ProngNumbers } from '../collars/prong/prong-numbers.ts';
import { NeckGirthMm, WeightKg } from '../measures.ts';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const StockItem = z.strictObject({ id: z.string().min(1).max(200), ...ProngNumbers.omit({ quickRelease: true }).shape });

export const ProngRequest = z
  .strictObject({
    girthMm: NeckGirthMm,
    weightKg: WeightKg,
    pull: z.enum(PULLS),
    headGirthMm: NeckGirthMm.optional(),
    looseLinks: z.literal([0, 1, 2]).optional(),
    gaugeSchool: z.enum(GAUGE_SCHOOLS),
    betweenSchool: z.enum(BETWEEN_SCHOOLS),
    stock: z.array(StockItem).min(1),
    rules: RuleOverrides.optional(),
  })
  .check(({ value, issues }) => {
    value.stock.forEach((item, index) => {
      if (value.stock.findIndex((other) => other.id === item.id) < index) {
        issues.push({ code: 'custom', path: ['stock', index, 'id'], input: item.id, message: 'This id stands twice in the stock.' });
      }
    });
  });

const Fit = z.object({
  stockId: z.string(),
  gaugeMm: z.number(),
  links: z.number().int(),
  change: z.number().int(),
  left: z.number().int(),
  right: z.number().int(),
  startLinks: z.number().int(),
  relaxedGirthMm: z.number(),
  closedGirthMm: z.number(),
  slackMm: z.number(),
  biteMm: z.number(),
  biteRatio: z.number(),
  verdict: z.enum(PRONG_VERDICTS),
  marginMm: z.number(),
  reasons: z.array(ReasonShape),
});

export const ProngAnswer = z.object({
  choice: Fit.nullable(),
  all: z.array(Fit),
  schools: z.array(z.object({ school: z.enum(GAUGE_SCHOOLS), stockId: z.string().nullable(), links: z.number().int().nullable() })),
  reasons: z.array(ReasonShape),
});

const worded = (fit: ProngFit): z.output<typeof Fit> => ({
  ...fit,
  reasons: fit.reasons.map((reason) => wordReason(PRONG_REASON_WORDS, reason, contractSpeaker)),
});

export const prong = calculation({
  summary: 'Which stocked prong collar a dog gets, with how many links, and what each gauge school would take.',
  request: ProngRequest,
  answer: ProngAnswer,
  compute: ({ rules, ...question }) => {
    const decision = chooseProng(question, houseRules(rules));
    return {
      choice: decision.choice && worded(decision.choice),
      all: decision.all.map(worded),
      schools: decision.schools,
      reasons: decision.reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, contractSpeaker)),
    };
  },
});
