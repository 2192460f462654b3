import type { EntityManager } from 'typeorm';

/**
 * Holds something of a kennel until the end of the transaction: a row is written that each who holds it writes. On one database the second waits
 * at once; on two nodes of a cluster, where a lock of the one is not known to the other, the one that commits second is undone and done again
 * (`doneAgain`). Source: MariaDB documentation, «Galera Cluster: known limitations» (explicit locks are of one node; conflicts are found at commit).
 */
export async function hold(manager: EntityManager, kennelId: string, subjects: readonly string[]): Promise<void> {
  if (subjects.length === 0) return;
  // Always in the same order, so that nobody waits for each other.
  const rows = [...new Set(subjects)].sort();
  await manager.query(
    `INSERT INTO holds (kennelId, subjectId, turn) VALUES ${rows.map(() => '(?, ?, 1)').join(', ')} ON DUPLICATE KEY UPDATE turn = turn + 1`,
    [...rows.flatMap((subjectId) => [kennelId, subjectId])],
  );
}
