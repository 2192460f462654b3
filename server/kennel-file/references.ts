import { kennelPart, type KennelPartName } from '@banter/contract';
import type { FileRecord } from './part-tables.ts';

export type Reference = { field: string; part: KennelPartName; id: string };

const isId = (value: unknown): value is string => typeof value === 'string' && value.length === 36;
const ACCOUNT = /^(collar|dog):([0-9a-f-]{36})$/;

/** What a record refers to: by its own fields, by accounts of links, and within what was told of a session. */
export function referencesOf(part: KennelPartName, record: FileRecord): Reference[] {
  const plain = Object.entries(kennelPart(part).refs).flatMap(([field, target]): Reference[] => {
    const id = record[field];
    return isId(id) ? [{ field, part: target, id: id.toLowerCase() }] : [];
  });
  if (part === 'linkMoves') {
    const accounts = ['from', 'to'].flatMap((field): Reference[] => {
      const [, of, id] = ACCOUNT.exec(String(record[field])) ?? [];
      return of && id ? [{ field, part: of === 'collar' ? 'collars' : 'dogs', id }] : [];
    });
    return [...plain, ...accounts];
  }
  if (part === 'happenings') {
    const { handlerId } = record.data as { handlerId?: unknown };
    return isId(handlerId) ? [...plain, { field: 'data.handlerId', part: 'people', id: handlerId.toLowerCase() }] : plain;
  }
  return plain;
}
