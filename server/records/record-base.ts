import { referencesOf, type DeedKind } from '@banter/contract';
import { isDeepStrictEqual } from 'node:util';
import type { EntitySchema } from 'typeorm';
import { changesOf, deedKindOf, deedLabel, writeDeed } from './deeds.ts';
import { badField, Failure } from '../services/failure.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { tableOf } from './kept-kinds.ts';

/** What came of a PUT: a new record, or one that was there. */
export type Put<Answer> = { created: boolean; record: Answer };

const isDuplicate = (error: unknown) => (error as { code?: string }).code === 'ER_DUP_ENTRY';
const isWithoutReference = (error: unknown) => (error as { code?: string }).code === 'ER_NO_REFERENCED_ROW_2';
/** As it would read back from JSON: dates as text, undefined gone. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/**
 * Keeps a record. Where the database refuses it for what it refers to, the failure says which of that this kennel does not have, by the
 * kind's row: no kind has to look for it beforehand.
 */
async function keptWith<Kept>(scope: KennelScope, what: DeedKind, record: object, keep: (within: KennelScope) => Promise<Kept>): Promise<Kept> {
  try {
    return await scope.inOne(keep);
  } catch (error) {
    if (!isWithoutReference(error)) throw error;
    for (const { field, kind, noun } of referencesOf(what)) {
      const id = (record as Record<string, unknown>)[field];
      if (typeof id === 'string' && !(await scope.find(tableOf(kind), id))) throw badField(field, `There is no such ${noun} in this kennel.`);
    }
    throw error;
  }
}

/** How a versioned record goes between the wire and its table. */
export type VersionedKind<Row extends { id: string; kennelId: string; version: number }, Facts extends object, Answer> = {
  entity: EntitySchema<Row>;
  toColumns: (facts: Facts) => Partial<Row>;
  toAnswer: (row: Row) => Answer;
  /** What must hold beyond the schema; throws a Failure. */
  admit?: (facts: Facts, scope: KennelScope, id: string, before: Row | null) => Promise<void>;
  /** What goes with keeping it, in the same transaction; `before` is what it was, null for a new one. */
  after?: (record: Answer, scope: KennelScope, before: Row | null) => Promise<void>;
};

/**
 * Creates or changes a record by the id its maker gave it.
 *
 * Without `version` it creates; the same content again answers the record as it stands, so that a repeated request
 * is the same request. With `version` it changes that version; an older one answers `newer-version` with the record
 * as it now is, unless it already says the same.
 */
export async function putVersioned<Row extends { id: string; kennelId: string; version: number }, Facts extends object, Answer>(
  scope: KennelScope,
  kind: VersionedKind<Row, Facts, Answer>,
  id: string,
  facts: Facts,
  version: number | null,
): Promise<Put<Answer>> {
  const same = (row: Row) => isDeepStrictEqual(plain({ ...(kind.toAnswer(row) as object), ...facts }), plain(kind.toAnswer(row)));
  const against = (row: Row): Put<Answer> => {
    if (same(row)) return { created: false, record: kind.toAnswer(row) };
    throw new Failure('newer-version', { current: kind.toAnswer(row) });
  };

  const what = deedKindOf(kind.entity);
  const existing = await scope.find(kind.entity, id);
  if (!existing) {
    if (version !== null) throw new Failure('not-found');
    await kind.admit?.(facts, scope, id, null);
    try {
      await keptWith(scope, what, { ...facts, id }, async (within) => {
        await within.insert(kind.entity, { ...kind.toColumns(facts), id, version: 1 } as unknown as Omit<Row, 'kennelId'>);
        await kind.after?.(kind.toAnswer(await within.get(kind.entity, id)), within, null);
        await writeDeed(within, { act: 'made', kind: what, ...deedLabel(id, what, facts) });
      });
    } catch (error) {
      if (!isDuplicate(error)) throw error;
      return against(await scope.get(kind.entity, id));
    }
    return { created: true, record: kind.toAnswer(await scope.get(kind.entity, id)) };
  }
  if (version === null || version !== existing.version || same(existing)) return against(existing);
  await kind.admit?.(facts, scope, id, existing);
  const changed = await keptWith(scope, what, facts, async (within) => {
    const done = await within.updateAt(kind.entity, id, version, kind.toColumns(facts));
    if (!done) return false;
    const now = kind.toAnswer(await within.get(kind.entity, id));
    await kind.after?.(now, within, existing);
    const was = kind.toAnswer(existing) as Record<string, unknown>;
    await writeDeed(within, { act: 'changed', kind: what, ...deedLabel(id, what, facts), about: { changed: changesOf(was, facts) } });
    return true;
  });
  const now = await scope.get(kind.entity, id);
  return changed ? { created: false, record: kind.toAnswer(now) } : against(now);
}

/** How something that happened goes into its table: computed once, with all it needs, in the transaction that keeps it. */
export type AppendedKind<Row extends { id: string; kennelId: string }, New extends object, Answer> = {
  entity: EntitySchema<Row>;
  /** Computes the whole row; throws a Failure when it cannot be. */
  compute: (scope: KennelScope, id: string, sent: New) => Promise<Omit<Row, 'kennelId'>>;
  /** The part of a row that was sent, to compare a repeated request with. */
  sentOf: (row: Row) => New;
  toAnswers: (scope: KennelScope, rows: Row[]) => Promise<Answer[]>;
  /** What goes with keeping it, in the same transaction. */
  after?: (row: Omit<Row, 'kennelId'>, scope: KennelScope) => Promise<void>;
};

/** Keeps something that happened, once. The same again answers what was kept; something else under its id is refused. */
export async function putAppended<Row extends { id: string; kennelId: string }, New extends object, Answer>(
  scope: KennelScope,
  kind: AppendedKind<Row, New, Answer>,
  id: string,
  sent: New,
): Promise<Put<Answer>> {
  const answer = async (row: Row, created: boolean): Promise<Put<Answer>> => {
    const [record] = await kind.toAnswers(scope, [row]);
    if (record === undefined) throw new Failure('cannot-be-read');
    if (!created && !isDeepStrictEqual(plain(kind.sentOf(row)), plain(sent))) throw new Failure('already-recorded', { current: record });
    return { created, record };
  };
  const what = deedKindOf(kind.entity);
  const existing = await scope.find(kind.entity, id);
  if (existing) return answer(existing, false);
  try {
    await keptWith(scope, what, sent, async (within) => {
      const row = await kind.compute(within, id, sent);
      await within.insert(kind.entity, row);
      await kind.after?.(row, within);
      const { at } = sent as { at?: unknown };
      await writeDeed(within, { act: 'made', kind: what, ...deedLabel(id, what, row), ...(typeof at === 'string' ? { at: new Date(at) } : {}) });
    });
  } catch (error) {
    if (!isDuplicate(error)) throw error;
    return answer(await scope.get(kind.entity, id), false);
  }
  return answer(await scope.get(kind.entity, id), true);
}
