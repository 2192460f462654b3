import {
  HAZARDS,
  HOUSE_SCHOOL_NAMES,
  HOUSE_SCHOOL_OPTIONS,
  houseRules,
  houseSchools,
  SCREEN_ITEM_IDS,
  SCREEN_LEVELS,
  type House,
  type HouseSchoolName,
  type HouseSchools,
} from '@banter/core';
import { LengthMm } from '../measures.ts';
import { inOrder, oneEach, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { namedLine, RecordId, SettingId } from './common.ts';

const zoneIsKnown = (zone: string) => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
};

const schoolFields = Object.fromEntries(
  HOUSE_SCHOOL_NAMES.map((name) => [name, z.enum(HOUSE_SCHOOL_OPTIONS[name] as readonly [string, ...string[]])]),
) as unknown as {
  [Name in HouseSchoolName]: z.ZodType<HouseSchools[Name]>;
};

/** The side a kennel takes in every question in which trainers differ; what is left out takes the default. */
export const Schools = z
  .strictObject(schoolFields)
  .partial()
  .transform((own) => houseSchools(own as Partial<HouseSchools>)) as unknown as z.ZodType<HouseSchools>;

/** The schools that one dog takes otherwise than its kennel. */
export const OwnSchools = z.strictObject(schoolFields).partial() as unknown as z.ZodType<Partial<HouseSchools>>;

/** A kennel's own levels of screening, by item and hazard. */
export const ScreenLevels = z.partialRecord(z.enum(SCREEN_ITEM_IDS), z.partialRecord(z.enum(HAZARDS), z.enum(SCREEN_LEVELS)));

const ChartRow = z
  .strictObject({ name: namedLine(30), neckMinMm: LengthMm, neckMaxMm: LengthMm, noseMinMm: LengthMm, noseMaxMm: LengthMm })
  .check(inOrder('neckMinMm', 'neckMaxMm'))
  .check(inOrder('noseMinMm', 'noseMaxMm'));

const WorkSetting = z.strictObject({ id: SettingId, name: namedLine(40) });

/** What a kennel sets for itself: name, units, zone, schools, limits that differ from the defaults, screening levels and size charts. */
export const KennelSettings = z.strictObject({
  name: namedLine(80),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  timeZone: z.string().max(60).refine(zoneIsKnown, 'This time zone is not known.'),
  schools: Schools,
  rules: RuleOverrides,
  screen: ScreenLevels,
  headCollarChart: z.array(ChartRow).max(30),
  /** Where its dogs are worked besides home, yard, street and strong distraction, from easy to hard. */
  moreSettings: z.array(WorkSetting).max(12).default([]).check(oneEach('id')),
});
export type KennelSettings = z.infer<typeof KennelSettings>;

/** A kennel as it is told. Its zone was looked at when it was saved; a device that knows fewer zones is not kept from everything else. */
export const Kennel = KennelSettings.extend({ id: RecordId, version: z.number().int(), demo: z.boolean(), timeZone: z.string() });
export type Kennel = z.infer<typeof Kennel>;

/** What holds for a dog: the kennel's schools and limits with the dog's own laid over them. */
export function houseOf(
  kennel: Pick<KennelSettings, 'schools' | 'rules' | 'headCollarChart'>,
  dog: { house: { schools: Partial<HouseSchools>; rules: RuleOverrides } | null } | null = null,
): House {
  return {
    rules: houseRules({ ...kennel.rules, ...(dog?.house?.rules ?? {}) }),
    schools: { ...houseSchools(kennel.schools), ...(dog?.house?.schools ?? {}) },
    headCollarChart: kennel.headCollarChart,
  };
}
