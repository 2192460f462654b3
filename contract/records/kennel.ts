import { BETWEEN_SCHOOLS, GAUGE_SCHOOLS, RING_PLACES } from '@banter/core';
import { z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { namedLine, RecordId } from './common.ts';

const zoneIsKnown = (zone: string) => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
};

/** What a kennel sets for itself: name, units, zone, house schools, and limits that differ from the defaults. */
export const KennelSettings = z.strictObject({
  name: namedLine(80),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  timeZone: z.string().max(60).refine(zoneIsKnown, 'This time zone is not known.'),
  gaugeSchool: z.enum(GAUGE_SCHOOLS),
  betweenSchool: z.enum(BETWEEN_SCHOOLS),
  ringPlace: z.enum(RING_PLACES),
  rules: RuleOverrides,
});
export type KennelSettings = z.infer<typeof KennelSettings>;

export const Kennel = KennelSettings.extend({ id: RecordId, version: z.number().int(), demo: z.boolean() });
export type Kennel = z.infer<typeof Kennel>;
