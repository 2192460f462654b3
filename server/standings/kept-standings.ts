import { setImmediate as breathe } from 'node:timers/promises';
import { todayItem, todayPlace, type Kennel, type TodayFound } from '@banter/contract';
import { CORE_VERSION } from '@banter/core';
import { asData } from '../data/json-column.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import type { StandingKind, Stands, Subject, WornPiece } from './standing-kind.ts';

/** So many are worked out at a time: what is read for them stays small, and others are answered in between. */
const AT_ONCE = 24;

type Row = { subjectId: string; data: unknown };
const parts = <One>(all: readonly One[]): One[][] =>
  Array.from({ length: Math.ceil(all.length / AT_ONCE) }, (_none, part) => all.slice(part * AT_ONCE, (part + 1) * AT_ONCE));

/** By what a standing was worked out, besides the records: code and settings. */
const basisOf = ({ version }: Pick<StandingKind<unknown>, 'version'>, kennel: Pick<Kennel, 'version'>) => `${CORE_VERSION} ${version} ${kennel.version}`;
/** A kept row that still counts. */
const COUNTS = 'stands.worked = stands.touched AND stands.basis = :basis AND (stands.untilAt IS NULL OR stands.untilAt > :now)';

/** Everything that standings of a kind are of, by its table. */
const SUBJECTS: Record<Subject, string> = {
  dog: 'SELECT id FROM dogs WHERE kennelId = :kennelId',
  piece: 'SELECT id FROM collars WHERE kennelId = :kennelId AND owned UNION ALL SELECT id FROM gear WHERE kennelId = :kennelId',
};

/** What stands of some dogs or pieces, as it is kept; what was touched since, or never worked out, is worked out now and kept. */
export async function standingsOf<Data>(
  scope: KennelScope,
  kind: StandingKind<Data>,
  ids: readonly string[],
  kennel: Kennel,
  now: Date,
): Promise<Map<string, Data>> {
  if (ids.length === 0) return new Map();
  const rows = await scope.raw<Row>(
    `SELECT stands.subjectId, stands.data FROM standings stands
      WHERE stands.kennelId = :kennelId AND stands.kind = :kind AND stands.subjectId IN (:ids) AND ${COUNTS}`,
    { kind: kind.name, ids: [...ids], basis: basisOf(kind, kennel), now },
  );
  const kept = new Map(rows.map(({ subjectId, data }) => [subjectId, asData(data) as Data]));
  for (const some of parts(ids.filter((id) => !kept.has(id)))) for (const [id, { data }] of await workOut(scope, kind, some, kennel, now)) kept.set(id, data);
  return kept;
}

/** Brings every standing of some kinds up to date, so that lists and dues can be read by themselves. */
export async function bringUpToDate(scope: KennelScope, kinds: readonly StandingKind<unknown>[], kennel: Kennel, now: Date): Promise<void> {
  for (const kind of kinds) {
    const stale = await scope.raw<{ id: string }>(
      // By a key that tells all of it: the rows themselves are long.
      `SELECT subject.id FROM (${SUBJECTS[kind.of]}) subject
        WHERE subject.id NOT IN (SELECT stands.subjectId FROM standings stands FORCE INDEX (kept) WHERE stands.kennelId = :kennelId AND stands.kind = :kind AND ${COUNTS})
        ORDER BY subject.id`,
      { kind: kind.name, basis: basisOf(kind, kennel), now },
    );
    for (const some of parts(stale)) {
      await workOut(
        scope,
        kind,
        some.map(({ id }) => id),
        kennel,
        now,
      );
      await breathe();
    }
  }
}

/** An instant (ms) as the database writes it, UTC; before and after everything for those that stand for always. */
const sqlInstant = (ms: number) => new Date(ms).toISOString().replace('T', ' ').replace('Z', '');
const ALWAYS_SINCE = '1970-01-01 00:00:00.000';
const FOR_EVER = '9999-12-31 00:00:00.000';

/** Works out what stands of some, and keeps it for those that nobody has touched meanwhile. */
async function workOut<Data>(
  scope: KennelScope,
  kind: StandingKind<Data>,
  ids: readonly string[],
  kennel: Kennel,
  now: Date,
): Promise<ReadonlyMap<string, Stands<Data>>> {
  const { touched, stands } = await scope.inOne(async (within) => {
    // Read before the records: what is written after this has touched its subject, and what was worked out is not kept.
    const rows = await within.raw<{ subjectId: string; touched: string | number }>(
      'SELECT subjectId, touched FROM standings WHERE kennelId = :kennelId AND kind = :kind AND subjectId IN (:ids)',
      { kind: kind.name, ids },
    );
    return { touched: new Map(rows.map((row) => [row.subjectId, Number(row.touched)])), stands: await kind.work(within, ids, kennel, now) };
  });
  const worked = [...stands]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([id, { data, until, order }]) => ({
      id,
      touched: touched.get(id) ?? 0,
      until: until === null ? null : sqlInstant(until),
      rank: order?.rank ?? null,
      sortAt: order?.at == null ? null : sqlInstant(order.at),
      sortKey: order?.key ?? null,
      data: JSON.stringify(data),
    }));
  const unlessTouched = (column: string) => `${column} = IF(standings.touched = VALUES(touched), VALUES(${column}), standings.${column})`;
  await scope.inOne(async (within) => {
    await within.raw(
      `INSERT INTO standings (kennelId, kind, subjectId, touched, worked, basis, untilAt, \`rank\`, sortAt, sortKey, data)
       SELECT :kennelId, :kind, told.id, told.touched, told.touched, :basis, told.until, told.\`rank\`, told.sortAt, told.sortKey, told.data
         FROM JSON_TABLE(:worked, '$[*]' COLUMNS (id VARCHAR(36) PATH '$.id', touched BIGINT PATH '$.touched', until DATETIME(3) PATH '$.until',
           \`rank\` INT PATH '$.rank', sortAt DATETIME(3) PATH '$.sortAt', sortKey VARCHAR(190) PATH '$.sortKey', data LONGTEXT PATH '$.data')) told
       ON DUPLICATE KEY UPDATE ${['basis', 'untilAt', '`rank`', 'sortAt', 'sortKey', 'data', 'worked'].map(unlessTouched).join(', ')}`,
      { kind: kind.name, basis: basisOf(kind, kennel), worked: JSON.stringify(worked) },
    );
    // What comes with a standing is kept with it: of those whose row says that it was worked out by this count.
    const kept = await within.raw<{ subjectId: string }>(
      `SELECT stands.subjectId FROM standings stands
         JOIN JSON_TABLE(:worked, '$[*]' COLUMNS (id VARCHAR(36) PATH '$.id', touched BIGINT PATH '$.touched')) told
           ON told.id = stands.subjectId AND told.touched = stands.touched
        WHERE stands.kennelId = :kennelId AND stands.kind = :kind`,
      { kind: kind.name, worked: JSON.stringify(worked.map(({ id, touched: count }) => ({ id, touched: count }))) },
    );
    await keepWith(within, kind, new Map(kept.flatMap(({ subjectId }) => (stands.has(subjectId) ? [[subjectId, stands.get(subjectId)!] as const] : []))));
  });
  return stands;
}

/** A due as it is kept. */
const dueRow = (subjectId: string, due: TodayFound) => {
  const { id, at } = todayItem(due);
  return {
    subjectId,
    id,
    code: due.code,
    tone: due.tone,
    place: todayPlace(due),
    at: at === null ? null : sqlInstant(Date.parse(at)),
    fromAt: due.dueFrom == null ? ALWAYS_SINCE : sqlInstant(due.dueFrom),
    toAt: due.dueUntil == null ? FOR_EVER : sqlInstant(due.dueUntil),
    data: JSON.stringify(todayItem(due)),
  };
};

/** The dues of standings, and what dogs wear by them, in place of what there was. */
async function keepWith(scope: KennelScope, kind: StandingKind<unknown>, stands: ReadonlyMap<string, Stands<unknown>>): Promise<void> {
  const ids = [...stands.keys()];
  if (ids.length === 0) return;
  const all = [...stands];
  if (all.some(([, { dues }]) => dues !== undefined)) {
    await scope.raw('DELETE FROM dues WHERE kennelId = :kennelId AND kind = :kind AND subjectId IN (:ids)', { kind: kind.name, ids });
    const rows = all.flatMap(([id, { dues = [] }]) => dues.map((due) => dueRow(id, due)));
    if (rows.length > 0)
      await scope.raw(
        `INSERT IGNORE INTO dues (kennelId, kind, subjectId, id, code, tone, place, at, fromAt, toAt, data)
         SELECT :kennelId, :kind, told.subjectId, told.id, told.code, told.tone, told.place, told.at, told.fromAt, told.toAt, told.data
           FROM JSON_TABLE(:rows, '$[*]' COLUMNS (subjectId VARCHAR(36) PATH '$.subjectId', id VARCHAR(190) PATH '$.id', code VARCHAR(20) PATH '$.code',
             tone VARCHAR(5) PATH '$.tone', place INT PATH '$.place', at DATETIME(3) PATH '$.at', fromAt DATETIME(3) PATH '$.fromAt', toAt DATETIME(3) PATH '$.toAt',
             data LONGTEXT PATH '$.data')) told`,
        { kind: kind.name, rows: JSON.stringify(rows) },
      );
  }
  if (all.some(([, { wears }]) => wears !== undefined)) {
    const before = await scope.raw<{ dogId: string; pieceId: string }>(
      'SELECT dogId, pieceId FROM worn_pieces WHERE kennelId = :kennelId AND dogId IN (:ids)',
      { ids },
    );
    await scope.raw('DELETE FROM worn_pieces WHERE kennelId = :kennelId AND dogId IN (:ids)', { ids });
    const rows = all.flatMap(([dogId, { wears = [] }]) =>
      wears.map(({ pieceId, lookedAt }: WornPiece) => ({ dogId, pieceId, lookedAt: lookedAt === null ? null : sqlInstant(Date.parse(lookedAt)) })),
    );
    if (rows.length > 0)
      await scope.raw(
        `INSERT IGNORE INTO worn_pieces (kennelId, dogId, pieceId, lookedAt)
         SELECT :kennelId, told.dogId, told.pieceId, told.lookedAt
           FROM JSON_TABLE(:rows, '$[*]' COLUMNS (dogId VARCHAR(36) PATH '$.dogId', pieceId VARCHAR(36) PATH '$.pieceId', lookedAt DATETIME(3) PATH '$.lookedAt')) told`,
        { rows: JSON.stringify(rows) },
      );
    // What a dog wears comes first among what is to be looked at.
    const pairs = (all: readonly { dogId: string; pieceId: string }[]) => new Set(all.map(({ dogId, pieceId }) => `${dogId} ${pieceId}`));
    const [was, is] = [pairs(before), pairs(rows)];
    const changed = [...before, ...rows].filter(({ dogId, pieceId }) => was.has(`${dogId} ${pieceId}`) !== is.has(`${dogId} ${pieceId}`));
    await scope.touchPieces(changed.map(({ pieceId }) => pieceId));
  }
}

/** What is kept of some subjects of a kind, with all that comes with it, in one text each. */
async function asKept(scope: KennelScope, kind: StandingKind<unknown>, rows: readonly Row[]): Promise<Map<string, string>> {
  if (rows.length === 0) return new Map();
  const ids = rows.map(({ subjectId }) => subjectId);
  const [dues, worn] = [
    await scope.raw<{ subjectId: string; fromAt: Date; toAt: Date; data: unknown }>(
      'SELECT subjectId, fromAt, toAt, data FROM dues WHERE kennelId = :kennelId AND kind = :kind AND subjectId IN (:ids) ORDER BY place, at, id',
      { kind: kind.name, ids },
    ),
    kind.name === 'day'
      ? await scope.raw<{ dogId: string; pieceId: string; lookedAt: Date | null }>(
          'SELECT dogId, pieceId, lookedAt FROM worn_pieces WHERE kennelId = :kennelId AND dogId IN (:ids) ORDER BY pieceId',
          { ids },
        )
      : [],
  ];
  return new Map(
    rows.map(({ subjectId, data }) => [
      subjectId,
      JSON.stringify([
        asData(data),
        dues.filter((due) => due.subjectId === subjectId).map((due) => [due.fromAt, due.toAt, asData(due.data)]),
        worn.filter(({ dogId }) => dogId === subjectId).map(({ pieceId, lookedAt }) => [pieceId, lookedAt]),
      ]),
    ]),
  );
}

/**
 * Works everything out anew that is kept and still counts, and says of which it differs from what was kept: of none, or a record was
 * written without touching what stands of its dog or piece.
 */
export async function rebuildStandings(
  scope: KennelScope,
  kinds: readonly StandingKind<unknown>[],
  kennel: Kennel,
  now: Date,
): Promise<{ looked: number; differ: { kind: string; subjectId: string }[] }> {
  const differ: { kind: string; subjectId: string }[] = [];
  let looked = 0;
  for (const kind of kinds) {
    const read = (ids: readonly string[] | null) =>
      scope.raw<Row & { touched: number }>(
        `SELECT stands.subjectId, stands.data, stands.touched FROM standings stands
          WHERE stands.kennelId = :kennelId AND stands.kind = :kind AND ${COUNTS} ${ids === null ? '' : 'AND stands.subjectId IN (:ids)'} ORDER BY stands.subjectId`,
        { kind: kind.name, basis: basisOf(kind, kennel), now, ...(ids === null ? {} : { ids }) },
      );
    const rows = await read(null);
    looked += rows.length;
    for (const some of parts(rows)) {
      const ids = some.map(({ subjectId }) => subjectId);
      const before = await asKept(scope, kind, some);
      await workOut(scope, kind, ids, kennel, now);
      const again = await read(ids);
      const after = await asKept(scope, kind, again);
      // What somebody has touched meanwhile is worked out by its next reader, and says nothing of what was kept before.
      const still = new Map(again.map(({ subjectId, touched }) => [subjectId, touched]));
      for (const { subjectId, touched } of some)
        if (still.get(subjectId) === touched && after.get(subjectId) !== before.get(subjectId)) differ.push({ kind: kind.name, subjectId });
      await breathe();
    }
  }
  return { looked, differ };
}
