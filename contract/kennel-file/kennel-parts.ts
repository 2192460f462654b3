import type { RefWithin } from '../records/record-kind.ts';
import { RECORD_KINDS, type RecordKindName } from '../records/registry.ts';
import type { z } from '../plain-words.ts';

/** What a record of a file refers to: a field, and the part in which that id must be, in the file or in the kennel. */
export type KennelRefs = Readonly<Record<string, KennelPartName>>;

/** One kind of record in a kennel's file. */
export type KennelPart = {
  /** What is in it, for people. */
  about: string;
  record: z.ZodObject;
  refs: KennelRefs;
  /** What it refers to within its fields. */
  refsWithin?: (record: Record<string, unknown>) => readonly RefWithin[];
  /** Changed in place, by versions; else it happened, and is never changed. */
  versioned: boolean;
  /** What must hold beyond the shape, as a sentence; null when it does. */
  fault?: (record: Record<string, unknown>) => string | null;
};

/** A kind of record by which a kennel's file has a part: all that do not stay behind. */
export type KennelPartName = { [Name in RecordKindName]: (typeof RECORD_KINDS)[Name]['file'] extends null ? never : Name }[RecordKindName];

/** Everything that a kennel's file holds beside the kennel itself, in the order in which it is written. */
export const KENNEL_PART_NAMES = (Object.keys(RECORD_KINDS) as RecordKindName[]).filter((name): name is KennelPartName => RECORD_KINDS[name].file !== null);
export const kennelPart = (name: KennelPartName): KennelPart => RECORD_KINDS[name].file as KennelPart;
