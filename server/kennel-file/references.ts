import { kennelPart, type KennelPartName } from '@banter/contract';
import type { FileRecord } from './part-tables.ts';

export type Reference = { field: string; part: KennelPartName; id: string };

const isId = (value: unknown): value is string => typeof value === 'string' && value.length === 36;

/** What a record refers to: by its own fields, and within them. */
export function referencesOf(part: KennelPartName, record: FileRecord): Reference[] {
  const { refs, refsWithin } = kennelPart(part);
  const plain = Object.entries(refs).map(([field, target]) => ({ field, part: target, id: record[field] }));
  const within = (refsWithin?.(record) ?? []).map(({ field, kind, id }) => ({ field, part: kind as KennelPartName, id: id as unknown }));
  return [...plain, ...within].flatMap(({ id, ...reference }) => (isId(id) ? [{ ...reference, id: id.toLowerCase() }] : []));
}
