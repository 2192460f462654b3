import { fitCheckFault, HandoverSheet, planFault, type UnreadableRecord } from '@banter/contract';
import type { KennelScope } from './kennel-scope.ts';

/** How many records are remembered as looked at: they are never changed, so once is enough. */
const MOST_REMEMBERED = 50_000;
const looked = new Map<string, boolean>();

type Kept = { id: string };
const FAULTS = {
  plan: planFault,
  fitCheck: fitCheckFault,
  handover: ({ sheet }: Record<string, unknown>) => (HandoverSheet.safeParse(sheet).success ? null : 'sheet'),
} as const satisfies Record<UnreadableRecord['kind'], (record: Record<string, unknown>) => string | null>;

function reads(scope: KennelScope, kind: UnreadableRecord['kind'], record: Kept): boolean {
  // By its length as well: whoever repairs one in the database is believed at once.
  const text = JSON.stringify(record);
  const key = `${scope.kennelId} ${kind} ${record.id} ${text.length}`;
  const known = looked.get(key);
  if (known !== undefined) return known;
  let readable: boolean;
  try {
    // A row as it is told: its times as text.
    readable = FAULTS[kind](JSON.parse(text) as never) === null;
  } catch {
    readable = false;
  }
  if (looked.size >= MOST_REMEMBERED) looked.clear();
  looked.set(key, readable);
  return readable;
}

/** Those of the records that can be read: one that cannot breaks no page for the others. It stands in the dog's record as what it is. */
export function readable<Record extends Kept>(scope: KennelScope, kind: UnreadableRecord['kind'], records: readonly Record[]): Record[] {
  return records.filter((record) => reads(scope, kind, record));
}

/** Those that cannot, as they are told. */
export function unreadable<Row extends { id: string; at: Date }>(
  kind: UnreadableRecord['kind'],
  rows: readonly Row[],
  answers: readonly Kept[],
): UnreadableRecord[] {
  const told = new Set(answers.map(({ id }) => id));
  return rows.filter(({ id }) => !told.has(id)).map(({ id, at }) => ({ kind, id, at: at.toISOString() }));
}
