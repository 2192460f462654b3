import { contractSpeaker, RIG_REASON_WORDS, rigRoutes, routeReasons, wordReason } from '@banter/core';
import { z } from '../plain-words.ts';
import { namedLine } from '../records/common.ts';
import { RuleOverrides } from '../rules.ts';
import { RIG_CATALOGUE } from '../collars/collar-kinds.ts';
import { calculation, ReasonShape } from './calculation.ts';

const Part = z.strictObject({ id: namedLine(60), kind: namedLine(60), from: namedLine(60), to: namedLine(60) });

export const rig = calculation({
  summary: 'Whether a rig holds when any one part of it fails, which parts everything hangs on, and the routes that share no part.',
  request: z.strictObject({ parts: z.array(Part).min(1).max(200), rules: RuleOverrides.optional() }).check(({ value, issues }) => {
    const seen = new Set<string>();
    value.parts.forEach(({ id }, index) => {
      if (seen.has(id)) issues.push({ code: 'custom', path: ['parts', index, 'id'], input: id, message: 'Another part has this id already.' });
      seen.add(id);
    });
  }),
  answer: z.object({
    sound: z.boolean(),
    singlePoints: z.array(z.string()),
    routes: z.array(z.array(z.string())),
    loose: z.array(z.string()),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ parts }) => {
    const found = rigRoutes(parts);
    const { sound, singlePoints, routes, loose } = found;
    return {
      sound,
      singlePoints,
      routes,
      loose,
      reasons: routeReasons(parts, found, RIG_CATALOGUE).map((reason) => wordReason(RIG_REASON_WORDS, reason, contractSpeaker)),
    };
  },
});
