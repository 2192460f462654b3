import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';

/** What was done: kept something new, changed what was there, or one of the rest. */
export const ACTS = ['made', 'changed', 'in', 'out', 'took', 'brought', 'left', 'handed'] as const;

/** One line of the log of who did what. It is written with what it tells of, and never changed. */
export const Deed = z.object({
  id: RecordId,
  at: Instant,
  personId: RecordId.nullable(),
  personName: z.string(),
  act: z.enum(ACTS),
  /** What kind of thing, by its name in the records: `dog`, `fitCheck`, `kennel`. */
  kind: z.string(),
  recordId: RecordId.nullable(),
  dogId: RecordId.nullable(),
  dogName: z.string(),
  /** What it is called, where it has a name. */
  label: z.string(),
  /** What changed, before and after, where it is short enough to say; `count` of things kept at once. */
  about: z.object({
    changed: z.array(z.object({ field: z.string(), from: z.unknown().optional(), to: z.unknown().optional() })).optional(),
    count: z.number().int().optional(),
    note: z.string().optional(),
    /** Whom a key was handed to. */
    toId: RecordId.optional(),
  }),
});
export type Deed = z.infer<typeof Deed>;

/** Which lines: of somebody, about a dog, of a kind, of a span of days; older than a line for the next page. */
export const DeedsAsked = z.strictObject({
  personId: RecordId.optional(),
  dogId: RecordId.optional(),
  kind: z
    .string()
    .regex(/^[a-zA-Z]{1,40}$/)
    .optional(),
  from: z.iso.date().optional(),
  to: z.iso.date().optional(),
  before: RecordId.optional(),
});
export type DeedsAsked = z.infer<typeof DeedsAsked>;

const Named = z.object({ id: RecordId, name: z.string() });
export const DeedsPage = z.object({ deeds: z.array(Deed), more: z.boolean(), people: z.array(Named), dogs: z.array(Named), kinds: z.array(z.string()) });
export type DeedsPage = z.infer<typeof DeedsPage>;
