import type { EntityManager } from 'typeorm';

/** Which tables bear on each kind, by its name. What writes a row knows no more of standings than this. */
const LEVELS = ['dogs', 'plans', 'collars', 'presses', 'field_sessions', 'field_events', 'events', 'level_caps'];
const BEARS_ON: Readonly<Record<string, ReadonlySet<string>>> = {
  levels: new Set(LEVELS),
  day: new Set([...LEVELS, 'tapings', 'weighings', 'screenings', 'lifts', 'endings', 'fit_checks', 'link_moves', 'skin_looks']),
};
const standingsTouchedBy = (table: string): string[] => Object.keys(BEARS_ON).filter((name) => BEARS_ON[name]!.has(table));

type Written = { id?: unknown; dogId?: unknown; collarId?: unknown; planId?: unknown; from?: unknown; to?: unknown };
const texts = (values: readonly unknown[]) => [...new Set(values.filter((value): value is string => typeof value === 'string'))];

/** Collars that written rows speak of without a dog, or that other dogs' fits stand or fall with: by id, and by the plans that checks are of. */
function collarsOf(table: string, rows: readonly Written[]): { collarIds: string[]; planIds: string[] } {
  const ofAccounts = (account: unknown) => (typeof account === 'string' && account.startsWith('collar:') ? [account.slice('collar:'.length)] : []);
  if (table === 'collars') return { collarIds: texts(rows.map(({ id }) => id)), planIds: [] };
  // A collar that is made up for one dog is so for no other.
  if (table === 'fit_checks') return { collarIds: [], planIds: texts(rows.map(({ planId }) => planId)) };
  if (table === 'link_moves') return { collarIds: [...new Set(rows.flatMap(({ from, to }) => [...ofAccounts(from), ...ofAccounts(to)]))], planIds: [] };
  return { collarIds: texts(rows.filter(({ dogId }) => dogId == null).map(({ collarId }) => collarId)), planIds: [] };
}

/**
 * Notes, in the transaction that writes rows of a table, that what stands of their dogs has to be worked out anew: of the dog a row is
 * of, and of every dog that a row's collar was ever fitted to.
 */
export async function touchStandings(manager: EntityManager, kennelId: string, table: string, rows: readonly object[]): Promise<void> {
  const kinds = standingsTouchedBy(table);
  if (kinds.length === 0 || rows.length === 0) return;
  const written = rows as readonly Written[];
  const dogIds = texts(table === 'dogs' ? written.map(({ id }) => id) : written.map(({ dogId }) => dogId));
  const { collarIds, planIds } = collarsOf(table, written);
  const list = (ids: readonly string[]) => (ids.length === 0 ? 'NULL' : ids.map(() => '?').join(', '));
  const fitted =
    collarIds.length + planIds.length === 0
      ? []
      : await manager.query<{ dogId: string }[]>(
          `SELECT DISTINCT dogId FROM plans WHERE kennelId = ?
             AND (collarId IN (${list(collarIds)}) OR collarId IN (SELECT collarId FROM plans WHERE kennelId = ? AND id IN (${list(planIds)})))`,
          [kennelId, ...collarIds, kennelId, ...planIds],
        );
  // In one order, so that two who touch the same dogs do not wait for each other.
  const touched = [...new Set([...dogIds, ...fitted.map(({ dogId }) => dogId)])].sort();
  if (touched.length === 0) return;
  const values = kinds.sort().flatMap((kind) => touched.map((dogId) => [kennelId, kind, dogId]));
  await manager.query(
    `INSERT INTO standings (kennelId, kind, dogId, touched) VALUES ${values.map(() => '(?, ?, ?, 1)').join(', ')} ON DUPLICATE KEY UPDATE touched = touched + 1`,
    values.flat(),
  );
}
