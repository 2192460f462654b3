import type { RecordKindName } from '@banter/contract';
import type { EntitySchema } from 'typeorm';
import type { AppendedKind, VersionedKind } from './record-base.ts';
import { KEPT_KINDS } from './registry.ts';

/** Any row of a kennel, its columns by their names. */
export type AnyRow = { id: string; kennelId: string } & Record<string, unknown>;
export type AnyVersioned = VersionedKind<AnyRow & { version: number }, object, { version: number }>;
export type AnyAppended = AppendedKind<AnyRow, object, unknown>;

/** The table of a kind of record. */
export const tableOf = (name: RecordKindName): EntitySchema<AnyRow> => KEPT_KINDS[name].entity as EntitySchema<AnyRow>;
/** How a kind that has an address of its own is kept there. */
export const keptKind = (name: RecordKindName): AnyVersioned | AnyAppended => KEPT_KINDS[name] as AnyVersioned | AnyAppended;
/** The tables of all kinds. */
export const KEPT_TABLES = (Object.keys(KEPT_KINDS) as RecordKindName[]).map(tableOf);
