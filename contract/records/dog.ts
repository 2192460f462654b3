import { ACQUAINTANCES, DOG_GRAMS, MANNERS, NECK_BUILDS, WORKING_SIDES } from '@banter/core';
import { PULLS } from '@banter/core/collars/prong';
import { between, z } from '../plain-words.ts';
import { RuleOverrides } from '../rules.ts';
import { Instant, line, namedLine, passage, RecordId } from './common.ts';
import { OwnSchools } from './kennel.ts';

/** A day, without a time. */
const Day = z.iso.date();
/** No dog was born before this. */
const EARLIEST_BIRTH = '1990-01-01';

/** Where an owner is with the dog: which tool is used there is worked out, or said for this dog. */
export const WHERE = ['house', 'yard', 'walk', 'crate', 'vet', 'visitors'] as const;
export type Where = (typeof WHERE)[number];

/** What is written down of a dog. Weight in grams. `bornGuessed` says that the birth date comes from a rough age. */
export const DogFacts = z.strictObject({
  name: namedLine(60),
  breed: line(80),
  sex: z.enum(['female', 'male', 'unknown']),
  bornOn: Day.refine((day) => day >= EARLIEST_BIRTH, 'This is too long ago for a dog.').nullable(),
  bornGuessed: z.boolean(),
  weightG: between(...DOG_GRAMS).nullable(),
  neckBuild: z.enum(NECK_BUILDS),
  pull: z.enum(PULLS),
  worksOn: z.enum(WORKING_SIDES),
  /** Whether it is new to the kennel, how it takes others, and what its skin and its work ask of metal; null while not noted. */
  acquaintance: z.enum(ACQUAINTANCES).nullable().default(null),
  manner: z.enum(MANNERS).nullable().default(null),
  nickel: z.boolean().nullable().default(null),
  saltWater: z.boolean().nullable().default(null),
  /** Which point of the dog stays beside which point of the leg, the same for every handler; empty while not decided. */
  heelLine: line(120).default(''),
  /** Which tool where, in its trainer’s words in place of what is worked out; null: all is worked out. */
  toolsWhere: z.partialRecord(z.enum(WHERE), line(200)).nullable().default(null),
  owner: line(120),
  notes: passage(4000),
  /** Where it works, for the local law; null when that is not said. */
  placeId: RecordId.nullable(),
  /** What holds for this dog otherwise than for the house, with a note that says why. */
  house: z.strictObject({ schools: OwnSchools, rules: RuleOverrides, note: namedLine(400) }).nullable(),
  archivedAt: Instant.nullable(),
});
export type DogFacts = z.infer<typeof DogFacts>;

export const Dog = DogFacts.extend({ id: RecordId, version: z.number().int() });
export type Dog = z.infer<typeof Dog>;

/** The reason that a birth date cannot be, against today in the kennel's zone; null when it can. */
export function birthDateFault(bornOn: string | null, today: string): string | null {
  return bornOn !== null && bornOn > today ? 'This birth date is in the future.' : null;
}
