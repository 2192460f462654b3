import { contractSpeaker, houseRules, PLACEMENT_SCHOOLS, rotateContacts, ROTATION_REASON_WORDS, SKIN_GRADES, wordReason } from '@banter/core';
import { ClockPlace, FootprintMm, NeckGirthMm } from '../measures.ts';
import { z } from '../plain-words.ts';
import { Instant } from '../records/common.ts';
import { RuleOverrides } from '../rules.ts';
import { calculation, ReasonShape } from './calculation.ts';

const Worn = z.strictObject({ clock: ClockPlace, from: Instant, to: Instant.nullable() });
const Skin = z.strictObject({ clock: ClockPlace, grade: z.literal(SKIN_GRADES), at: Instant });
/** More than a year of moves every few hours. */
const MOST = 5000;

export const rotation = calculation({
  summary: 'Where the contacts go next on the clock of the neck, by what they need and the skin, and how many hours of wear are left today.',
  request: z
    .strictObject({
      girthMm: NeckGirthMm,
      footprintMm: FootprintMm,
      school: z.enum(PLACEMENT_SCHOOLS),
      now: Instant,
      worn: z.array(Worn).max(MOST),
      skin: z.array(Skin).max(MOST),
      rules: RuleOverrides.optional(),
    })
    .check(({ value, issues }) => {
      const now = Date.parse(value.now);
      const refuse = (path: PropertyKey[], input: unknown, message: string) => issues.push({ code: 'custom', path, input, message });
      value.worn.forEach(({ from, to }, index) => {
        if (Date.parse(from) > now) refuse(['worn', index, 'from'], from, 'This begins after now.');
        if (to !== null && Date.parse(to) < Date.parse(from)) refuse(['worn', index, 'to'], to, 'This wear ends before it begins.');
        else if (to !== null && Date.parse(to) > now) refuse(['worn', index, 'to'], to, 'This ends after now; a wear that lasts has no end.');
      });
      const lasting = value.worn.flatMap(({ to }, index) => (to === null ? [index] : []));
      if (lasting.length > 1) refuse(['worn', lasting[1]!, 'to'], null, 'Only one wear can last still.');
      value.skin.forEach(({ at }, index) => {
        if (Date.parse(at) > now) refuse(['skin', index, 'at'], at, 'This skin check lies after now.');
      });
    }),
  answer: z.object({
    places: z.array(z.object({ clock: z.number().int(), allowed: z.boolean(), restedHours: z.number().nullable() })),
    next: z.number().int().nullable(),
    moveBy: Instant.nullable(),
    capacityHours: z.number(),
    reasons: z.array(ReasonShape),
  }),
  compute: ({ rules, now, worn, skin, ...question }) => {
    const found = rotateContacts(
      {
        ...question,
        now: Date.parse(now),
        worn: worn.map(({ clock, from, to }) => ({ clock, from: Date.parse(from), to: to === null ? null : Date.parse(to) })),
        skin: skin.map(({ clock, grade, at }) => ({ clock, grade, at: Date.parse(at) })),
      },
      houseRules(rules),
    );
    return {
      places: found.places.map(({ clock, allowed, restedHours }) => ({ clock, allowed, restedHours })),
      next: found.next,
      moveBy: found.moveBy === null ? null : new Date(found.moveBy).toISOString(),
      capacityHours: found.capacityHours,
      reasons: found.reasons.map((reason) => wordReason(ROTATION_REASON_WORDS, reason, contractSpeaker)),
    };
  },
});
