import { randomBytes } from 'node:crypto';
import { KENNEL_PART_NAMES, type KennelPartName } from '@banter/contract';
import type { EntitySchema } from 'typeorm';
import { tableOf, type AnyRow } from '../records/kept-kinds.ts';

export type { AnyRow };
/** A record as it stands in a file. */
export type FileRecord = { id: string } & Record<string, unknown>;

/** The table of each part of a kennel's file. */
export const PART_TABLES = Object.fromEntries(KENNEL_PART_NAMES.map((name) => [name, tableOf(name)])) as Record<KennelPartName, EntitySchema<AnyRow>>;

/** What never leaves with a file: the kennel it is of, and what lets somebody in. */
const STAYS = new Set(['kennelId', 'email', 'passwordHash', 'keyHash']);

const columnsOf = (entity: EntitySchema<AnyRow>) =>
  Object.entries(entity.options.columns) as [string, { type: string; nullable?: boolean; default?: unknown }][];

/** A row as it stands in a file. The kennel's own hours stand under «kennel», as its id stays behind. */
export function toFile(entity: EntitySchema<AnyRow>, row: AnyRow): FileRecord {
  const record = Object.fromEntries(
    columnsOf(entity).flatMap(([name]) => {
      if (STAYS.has(name)) return [];
      const value = row[name];
      return [[name, value instanceof Date ? value.toISOString() : Buffer.isBuffer(value) ? value.toString('base64') : value]];
    }),
  ) as FileRecord;
  return entity === PART_TABLES.hours && row.id === row.kennelId ? { ...record, id: 'kennel' } : record;
}

/** A record of a file as a row of a kennel. What lets somebody in is made so that nobody knows it. */
export function fromFile(entity: EntitySchema<AnyRow>, record: FileRecord, kennelId: string): AnyRow {
  const row = Object.fromEntries(
    columnsOf(entity).map(([name, { type, nullable, default: atFirst }]) => {
      if (name === 'kennelId') return [name, kennelId];
      if (name === 'keyHash') return [name, randomBytes(32).toString('hex')];
      // A file of an earlier version lacks what has been asked since.
      const value = record[name] === undefined ? atFirst : record[name];
      if (value === undefined || value === null) return [name, nullable || type !== 'json' ? null : value];
      if (type === 'datetime') return [name, new Date(value as string)];
      if (type === 'mediumblob') return [name, Buffer.from(value as string, 'base64')];
      if (type === 'uuid') return [name, (value as string).toLowerCase()];
      return [name, value];
    }),
  ) as AnyRow;
  return row.id === 'kennel' ? { ...row, id: kennelId } : row;
}
