import { NOT_YET } from '@banter/core';
import { STIMULATION_MODES } from '@banter/core/collars/electronic';
import { COLLAR_KIND_NAMES } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';
import { FieldSession } from './field-log.ts';

/** A device on a dog, as the field log's guards need it: facts with their instants, so that a phone without connection judges them as of now. */
export const FieldDevice = z.object({
  collarId: RecordId,
  name: z.string(),
  scale: z.object({ min: z.number(), max: z.number(), step: z.number(), firstStep: z.number().optional() }),
  modes: z.array(z.enum(STIMULATION_MODES)),
  ceiling: z.number().nullable(),
  cap: z.number().nullable(),
  /** What stands of its level, by setting in which anything is known. */
  levels: z
    .record(
      z.string(),
      z.object({
        offered: z.object({ level: z.number(), how: z.enum(['known', 'rough', 'needed']) }).nullable(),
        lastNeeded: z.number().nullable(),
        /** The level needed has risen, since when (as the kennel says days), and nobody has felt the contact since. */
        alarm: z.object({ by: z.number(), since: z.string(), at: Instant }).nullable(),
      }),
    )
    .default({}),
  /** Where a finding run begins, by setting. */
  runBegins: z.record(z.string(), z.number()).default({}),
  worn: z.object({ from: Instant, clock: z.number().nullable(), placeSince: Instant }).nullable(),
  contact: z.object({ made: z.boolean().nullable(), at: Instant }).nullable(),
  triedAt: Instant.nullable(),
  battery: z.object({ percent: z.number(), at: Instant, on: z.boolean() }).nullable(),
  lockedUntil: Instant.nullable(),
  /** What the skin forbids this device: red anywhere, pink where the contacts sit. */
  skin: z.object({ clock: z.number(), grade: z.union([z.literal(1), z.literal(2), z.literal(3)]), until: Instant.nullable() }).nullable(),
});
export type FieldDevice = z.infer<typeof FieldDevice>;

export const FieldDog = z.object({
  id: RecordId,
  name: z.string(),
  breed: z.string(),
  worksOn: z.enum(['left', 'right']),
  /** The same for every handler; empty while not decided. */
  heelLine: z.string().default(''),
  /** The collars it is fitted with, for the way corrections go. */
  kinds: z.array(z.enum(COLLAR_KIND_NAMES)),
  devices: z.array(FieldDevice),
  moveByHours: z.number(),
  /** Programmes that run, with the stage it is in: what came of a session is told of it. */
  programmes: z
    .array(
      z.object({
        id: RecordId,
        name: z.string(),
        stageId: z.string(),
        stageName: z.string(),
        what: z.string(),
        needed: z.number().int(),
        of: z.number().int(),
        setback: z.string(),
        notYet: z.array(z.enum(NOT_YET)).default([]),
      }),
    )
    .default([]),
});
export type FieldDog = z.infer<typeof FieldDog>;

/** What is asked of the field log: dogs by their ids that are wanted beside those that are offered, and a name to look for. */
export const FieldAsked = z.object({
  dogs: z
    .string()
    .transform((text) => text.split(',').filter(Boolean))
    .pipe(z.array(RecordId).max(60))
    .default([]),
  search: z.string().max(100).default(''),
});

/**
 * All that a phone needs to log in the field without a connection, in one request: of a small kennel every dog, of a large one those of
 * today's calendar, those that wear something, those that worked last, and whoever is asked for.
 */
export const FieldPage = z.object({
  kennelId: RecordId,
  asOf: Instant,
  dogs: z.array(FieldDog),
  /** How many dogs are here in all: more than are offered are found by their names. */
  here: z.number().int().default(0),
  handlers: z.array(z.object({ id: RecordId, name: z.string() })),
  settings: z.array(z.object({ id: z.string(), name: z.string() })),
  /** Where dogs worked last, by their ids: a session of theirs begins there. */
  lastSettings: z.record(z.string(), z.string()).default({}),
  /** Sessions that nobody has ended, of the last two weeks. */
  open: z.array(FieldSession),
  /** Sessions of the last half day, ended or not: one that was begun twice is seen by them. */
  recent: z.array(FieldSession).default([]),
});
export type FieldPage = z.infer<typeof FieldPage>;

/** Dogs that were looked for by a name, as the field log needs them. */
export const FieldDogsFound = z.object({ dogs: z.array(FieldDog) });
