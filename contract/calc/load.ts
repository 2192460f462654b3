import { collarLoad, contractSpeaker, LOAD_KINDS, LOAD_REASON_WORDS, loadReasons, STRAP_FRICTION, wordReason, type LoadCase } from '@banter/core';
import { NeckGirthMm } from '../measures.ts';
import { between, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const kPa = z.number();

export const load = calculation({
  summary: 'Idealised pressures of a collar round the clock of the neck for a leash force at the nape, and the force of a tip.',
  request: z
    .strictObject({
      kind: z.enum(LOAD_KINDS),
      leashForceN: between(0, 5000),
      girthMm: NeckGirthMm,
      widthMm: z.number().positive().max(200).optional(),
      friction: between(0, 5).optional(),
      pitchMm: z.number().positive().max(200).optional(),
      tipAreaMm2: z.number().positive().max(1000).optional(),
      rules: RuleOverrides.optional(),
    })
    .check(({ value, issues }) => {
      const wanted = value.kind === 'prong' ? (['pitchMm', 'tipAreaMm2'] as const) : (['widthMm'] as const);
      for (const name of wanted)
        if (value[name] === undefined)
          issues.push({ code: 'custom', path: [name], input: undefined, message: `A ${value.kind === 'prong' ? 'prong collar' : 'strap'} needs this.` });
    }),
  answer: z.object({
    byClock: z.array(z.object({ clock: z.number(), kPa })),
    peakKPa: kPa,
    meanKPa: kPa,
    tipForceN: z.number().nullable(),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ kind, leashForceN, girthMm, widthMm, friction = STRAP_FRICTION, pitchMm, tipAreaMm2 }) => {
    const common = { leashForceN, girthMm };
    const asked: LoadCase =
      kind === 'prong'
        ? { ...common, kind, pitchMm: pitchMm!, tipAreaMm2: tipAreaMm2! }
        : kind === 'slip'
          ? { ...common, kind, widthMm: widthMm!, friction }
          : { ...common, kind, widthMm: widthMm! };
    const found = collarLoad(asked);
    return { ...found, reasons: loadReasons(asked, found).map((reason) => wordReason(LOAD_REASON_WORDS, reason, contractSpeaker)) };
  },
});
