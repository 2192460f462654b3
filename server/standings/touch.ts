import type { EntityManager } from 'typeorm';
import { standingsTouchedBy } from './standing-kind.ts';

type Written = { id?: unknown; dogId?: unknown; collarId?: unknown };
const texts = (values: readonly unknown[]) => [...new Set(values.filter((value): value is string => typeof value === 'string'))];

/**
 * Notes, in the transaction that writes rows of a table, that what stands of their dogs has to be worked out anew: of the dog a row is
 * of, and of every dog that a row's collar was ever fitted to.
 */
export async function touchStandings(manager: EntityManager, kennelId: string, table: string, rows: readonly object[]): Promise<void> {
  const kinds = standingsTouchedBy(table);
  if (kinds.length === 0 || rows.length === 0) return;
  const written = rows as readonly Written[];
  const dogIds = texts(table === 'dogs' ? written.map(({ id }) => id) : written.map(({ dogId }) => dogId));
  // A row that names its dog bears on that one; a collar, and what a device told of itself, on whichever dog it was fitted to.
  const ofCollars = texts(table === 'collars' ? written.map(({ id }) => id) : written.filter(({ dogId }) => dogId == null).map(({ collarId }) => collarId));
  const fitted =
    ofCollars.length === 0
      ? []
      : await manager.query<{ dogId: string }[]>(
          `SELECT DISTINCT dogId FROM plans WHERE kennelId = ? AND collarId IN (${ofCollars.map(() => '?').join(', ')})`,
          [kennelId, ...ofCollars],
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
