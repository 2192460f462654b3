import type { Role } from '../people/roles.ts';
import { z } from '../plain-words.ts';
import type { Deed } from './deed.ts';

/** What a kind is called: many of it, and what somebody did who made or changed one, said of a dog or of the thing by its name. */
export type KindWords = { many: string } & Partial<Record<Deed['act'], string>>;

/** What a record refers to within one of its fields: an id, and the kind that it must be of. */
export type RefWithin = { field: string; kind: string; id: string };

/** A part of a kennel's file: what is in it, its record, and what that must hold beyond its shape. */
type File = {
  about: string;
  record: z.ZodObject;
  /** Fields that are ids, each with the kind it must be of. */
  refs: Readonly<Record<string, string>>;
  /** What it refers to within its fields. */
  refsWithin?: (record: Record<string, unknown>) => readonly RefWithin[];
  fault?: (record: Record<string, unknown>) => string | null;
};

/** An address of its own, `/api/KIND/{id}`, at which one is read, and kept or changed. */
type Address = {
  /** What one is called in the description of the interface. */
  noun: string;
  sent: z.ZodType;
  answer: z.ZodObject;
  /** Who keeps or changes one, and who reads it. */
  by: Role;
  readBy: Role;
};

/** The record as it is kept: names of people are looked up, not kept with it. */
export const asKept = (shape: z.ZodObject['shape'], without: readonly string[] = []): z.ZodObject =>
  z.strictObject(Object.fromEntries(Object.entries(shape).filter(([name]) => name !== 'personName' && !without.includes(name))));

/** A kind with an address of its own; its record in a file is what it answers, without names that are looked up. */
export const recordKind = <One extends string>(
  one: One,
  words: KindWords,
  [noun, sent, answer, by = 'assistant', readBy = 'reader']: [noun: string, sent: z.ZodType, answer: z.ZodObject, by?: Role, readBy?: Role],
  { without, ...file }: Omit<File, 'record'> & { record?: z.ZodObject; without?: readonly string[] },
) => ({
  one,
  words,
  versioned: 'version' in answer.shape,
  address: { noun, sent, answer, by, readBy } as Address,
  file: { record: asKept(answer.shape, without), versioned: 'version' in answer.shape, ...file } as File & { versioned: boolean },
});
/** A kind that comes to the kennel by other addresses than one of its own. */
export const kindBesides = <One extends string>(one: One, words: KindWords, file: File) => ({
  one,
  words,
  versioned: 'version' in file.record.shape,
  address: null,
  file: { versioned: 'version' in file.record.shape, ...file },
});
