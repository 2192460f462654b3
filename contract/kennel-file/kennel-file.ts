import { z } from '../plain-words.ts';
import { Instant, RecordId } from '../records/common.ts';
import { KennelSettings } from '../records/kennel.ts';
import { KENNEL_PART_NAMES, kennelPart, type KennelPartName } from './kennel-parts.ts';

/** By this a file is known as a kennel's. */
export const KENNEL_FILE_FORMAT = 'banter-kennel';
/** The version that is written. A change that an older reader would get wrong makes another; earlier ones are read. */
export const KENNEL_FILE_VERSION = 2;
export const READABLE_KENNEL_FILES: readonly unknown[] = [1, KENNEL_FILE_VERSION];

/** The kennel itself in its file: its settings and its id, which stays behind. */
export const FileKennel = z.strictObject({ ...KennelSettings.shape, id: RecordId });

/** A whole kennel as one JSON document. */
export const KennelFile = z.strictObject({
  format: z.literal(KENNEL_FILE_FORMAT),
  version: z.literal(KENNEL_FILE_VERSION),
  exportedAt: Instant,
  kennel: FileKennel,
  ...(Object.fromEntries(KENNEL_PART_NAMES.map((name) => [name, z.array(kennelPart(name).record).optional().describe(kennelPart(name).about)])) as Record<
    KennelPartName,
    z.ZodOptional<z.ZodArray<z.ZodObject>>
  >),
});

/** The schema of a kennel's file, as JSON Schema 2020-12. */
export function kennelFileSchema(): object {
  return {
    ...z.toJSONSchema(KennelFile, { target: 'draft-2020-12', io: 'input', unrepresentable: 'any', reused: 'inline' }),
    title: 'A kennel of Banter’s',
    description:
      'Lengths mm, masses g, times ISO 8601 in UTC. Ids are UUIDs of version 7 and stay as they are. Arrays may be left out; their order does not matter.',
  };
}

const Counts = z.object({ fresh: z.number().int(), same: z.number().int(), other: z.number().int() });
/** A record that the kennel has already, and otherwise: the file’s can take its place only where records are changed in place. */
export const FileConflict = z.object({ part: z.string(), id: z.string(), label: z.string(), versioned: z.boolean(), fields: z.array(z.string()) });

/** What is being done with a file: read and looked through, ready to be kept, being kept, kept, or refused with what is wrong. */
export const IMPORT_STATES = ['reading', 'ready', 'refused', 'keeping', 'kept', 'failed'] as const;
export const KennelImport = z.object({
  id: RecordId,
  state: z.enum(IMPORT_STATES),
  /** Bytes of the file looked through, or records kept, so far and in all. */
  done: z.number(),
  of: z.number(),
  kennelName: z.string(),
  exportedAt: Instant.nullable(),
  counts: z.record(z.string(), Counts),
  conflicts: z.array(FileConflict),
  conflictCount: z.number().int(),
  faults: z.array(z.object({ where: z.string(), message: z.string() })),
  faultCount: z.number().int(),
  /** Columns of a table that nothing is taken from. */
  leftOut: z.array(z.string()),
});
export type KennelImport = z.infer<typeof KennelImport>;
/** Tables that go out and come in as CSV. */
export const CSV_TABLES = ['dogs', 'tape', 'fits', 'presses', 'skin', 'locker'] as const;
export type CsvTable = (typeof CSV_TABLES)[number];
/** A table instead of a whole kennel. */
export const ImportAsked = z.strictObject({ table: z.enum(CSV_TABLES).optional() });
export const KeepImport = z.strictObject({ conflicts: z.enum(['ours', 'file']) });
export type KeepImport = z.infer<typeof KeepImport>;
