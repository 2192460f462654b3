import { WEAR_AND_DEVICE_HAPPENINGS } from '@banter/contract';
import type { EntityManager } from 'typeorm';

/** Which tables bear on each kind, by its name. What writes a row knows no more of standings than this. */
const LEVELS = ['dogs', 'plans', 'collars', 'presses', 'field_sessions', 'happenings', 'level_caps'];
const FITS = ['dogs', 'collars', 'plans', 'tapings', 'weighings', 'screenings', 'lifts', 'endings', 'fit_checks', 'link_moves'];
const WEAR = ['dogs', 'collars', 'plans', 'endings', 'happenings', 'skin_looks', 'tapings'];
const OF_DOGS: Readonly<Record<string, ReadonlySet<string>>> = {
  levels: new Set(LEVELS),
  card: new Set(FITS),
  day: new Set([...LEVELS, ...FITS, 'skin_looks', 'dressings', 'gear', 'planned_sessions', 'programmes', 'owner_visits', 'people']),
  wear: new Set(WEAR),
  field: new Set([...LEVELS, ...WEAR, 'fit_checks', 'programmes', 'stage_moves']),
};
const OF_PIECES: Readonly<Record<string, ReadonlySet<string>>> = {
  piece: new Set(['collars', 'gear', 'inspections', 'happenings']),
};
/** Of what happens, so much bears on each kind by itself; of sessions, what stands of them does. */
const OF_LEVELS = new Set<unknown>(['contact', 'looked-into', 'looked-through', 'void']);
const OF_HAPPENINGS: Readonly<Record<string, ReadonlySet<unknown>>> = {
  wear: new Set(WEAR_AND_DEVICE_HAPPENINGS),
  piece: new Set(['put-on', 'void']),
  levels: OF_LEVELS,
  day: OF_LEVELS,
  field: new Set([...WEAR_AND_DEVICE_HAPPENINGS, ...OF_LEVELS]),
};
/** Of what an owner does with a link, what is said bears on a dog; of a person, the name. */
const SAID = new Set<unknown>(['said', 'unsaid']);
const bearing = (table: string, kind: string, rows: readonly Written[]): readonly Written[] => {
  const happened = OF_HAPPENINGS[kind];
  if (table === 'happenings' && happened) return rows.filter(({ event }) => happened.has(event));
  if (table === 'owner_visits') return rows.filter(({ what }) => SAID.has(what));
  if (table === 'people') return rows.filter(({ name }) => name !== undefined);
  return rows;
};
/** Which kinds written rows bear on, each with those rows. */
const touchedBy = (kinds: Readonly<Record<string, ReadonlySet<string>>>, table: string, rows: readonly Written[]): [kind: string, rows: readonly Written[]][] =>
  Object.keys(kinds).flatMap((name): [string, readonly Written[]][] => {
    if (!kinds[name]!.has(table)) return [];
    const own = bearing(table, name, rows);
    return own.length === 0 ? [] : [[name, own]];
  });

type Written = {
  event?: unknown;
  what?: unknown;
  name?: unknown;
  id?: unknown;
  dogId?: unknown;
  collarId?: unknown;
  gearId?: unknown;
  planId?: unknown;
  programmeId?: unknown;
  from?: unknown;
  to?: unknown;
};
const texts = (values: readonly unknown[]) => [...new Set(values.filter((value): value is string => typeof value === 'string'))];
const list = (ids: readonly string[]) => (ids.length === 0 ? 'NULL' : ids.map(() => '?').join(', '));

/** Collars that written rows speak of without a dog, or that other dogs' fits stand or fall with: by id, and by the plans that checks are of. */
function collarsOf(table: string, rows: readonly Written[]): { collarIds: string[]; planIds: string[] } {
  const ofAccounts = (account: unknown) => (typeof account === 'string' && account.startsWith('collar:') ? [account.slice('collar:'.length)] : []);
  if (table === 'collars') return { collarIds: texts(rows.map(({ id }) => id)), planIds: [] };
  // A collar that is made up for one dog is so for no other.
  if (table === 'fit_checks') return { collarIds: [], planIds: texts(rows.map(({ planId }) => planId)) };
  if (table === 'link_moves') return { collarIds: [...new Set(rows.flatMap(({ from, to }) => [...ofAccounts(from), ...ofAccounts(to)]))], planIds: [] };
  return { collarIds: texts(rows.filter(({ dogId }) => dogId == null).map(({ collarId }) => collarId)), planIds: [] };
}

/** The dogs that written rows bear on: of which a row is, to which its collar was ever fitted or put on, and in whose rig its piece hangs. */
async function dogsTouched(manager: EntityManager, kennelId: string, table: string, rows: readonly Written[]): Promise<string[]> {
  // How a dog is dressed is kept under the dog's own id.
  const dogIds = texts(table === 'dogs' || table === 'dressings' ? rows.map(({ id }) => id) : rows.map(({ dogId }) => dogId));
  const ids = async (sql: string, values: readonly string[]) => (await manager.query<{ dogId: string }[]>(sql, [...values])).map(({ dogId }) => dogId);
  if (table === 'gear') {
    const gearIds = texts(rows.map(({ id }) => id));
    return gearIds.length === 0
      ? []
      : await ids(`SELECT DISTINCT dogId FROM worn_pieces WHERE kennelId = ? AND pieceId IN (${list(gearIds)})`, [kennelId, ...gearIds]);
  }
  if (table === 'people')
    return await ids(`SELECT DISTINCT dogId FROM planned_sessions WHERE kennelId = ? AND personId IN (${list(texts(rows.map(({ id }) => id)))})`, [
      kennelId,
      ...texts(rows.map(({ id }) => id)),
    ]);
  const programmeIds = texts(rows.map(({ programmeId }) => programmeId));
  if (table === 'stage_moves')
    return await ids(`SELECT DISTINCT dogId FROM programmes WHERE kennelId = ? AND id IN (${list(programmeIds)})`, [kennelId, ...programmeIds]);
  const { collarIds, planIds } = collarsOf(table, rows);
  if (collarIds.length + planIds.length === 0) return dogIds;
  const fitted = await ids(
    `SELECT DISTINCT dogId FROM plans WHERE kennelId = ?
       AND (collarId IN (${list(collarIds)}) OR collarId IN (SELECT collarId FROM plans WHERE kennelId = ? AND id IN (${list(planIds)})))`,
    [kennelId, ...collarIds, kennelId, ...planIds],
  );
  // What is on a dog without having been fitted to it is called by its collar's name, too.
  const putOn =
    table === 'collars'
      ? await ids(`SELECT DISTINCT dogId FROM happenings WHERE kennelId = ? AND collarId IN (${list(collarIds)}) AND event = 'put-on'`, [
          kennelId,
          ...collarIds,
        ])
      : [];
  return [...dogIds, ...fitted, ...putOn];
}

/** The pieces of gear that written rows bear on. */
const piecesTouched = (table: string, rows: readonly Written[]): string[] =>
  texts(table === 'collars' || table === 'gear' ? rows.map(({ id }) => id) : rows.flatMap(({ collarId, gearId }) => [collarId, gearId]));

/** Notes, in the transaction that writes rows of a table, that what stands of their dogs and pieces has to be worked out anew. */
export async function touchStandings(manager: EntityManager, kennelId: string, table: string, written: readonly object[]): Promise<void> {
  const subjects: (readonly [kind: string, id: string])[] = [];
  // Kinds that the same rows bear on are looked up at once.
  const dogsOf = new Map<readonly Written[], string[]>();
  for (const [kind, rows] of touchedBy(OF_DOGS, table, written)) {
    if (!dogsOf.has(rows)) dogsOf.set(rows, await dogsTouched(manager, kennelId, table, rows));
    subjects.push(...pairs([kind], dogsOf.get(rows)!));
  }
  for (const [kind, rows] of touchedBy(OF_PIECES, table, written)) subjects.push(...pairs([kind], piecesTouched(table, rows)));
  await touch(manager, kennelId, subjects);
}

/** Notes that what stands of pieces has to be worked out anew: of those that exist, whoever wears them. */
export const touchPieces = (manager: EntityManager, kennelId: string, pieceIds: readonly string[]): Promise<void> =>
  touch(manager, kennelId, pairs(Object.keys(OF_PIECES), pieceIds));

const pairs = (kinds: readonly string[], ids: readonly string[]) => kinds.flatMap((kind) => [...new Set(ids)].map((id) => [kind, id] as const));

async function touch(manager: EntityManager, kennelId: string, unordered: readonly (readonly [kind: string, id: string])[]): Promise<void> {
  if (unordered.length === 0) return;
  // In one order, so that two who touch the same do not wait for each other.
  const subjects = [...unordered].sort(([kind, id], [other, otherId]) => (kind === other ? (id < otherId ? -1 : 1) : kind < other ? -1 : 1));
  await manager.query(
    `INSERT INTO standings (kennelId, kind, subjectId, touched) VALUES ${subjects.map(() => '(?, ?, ?, 1)').join(', ')} ON DUPLICATE KEY UPDATE touched = touched + 1`,
    subjects.flatMap((one) => [kennelId, ...one]),
  );
}
