import { setTimeout as pause } from 'node:timers/promises';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { doneAgain } from './done-again.ts';

/** Work that one server on a database does at a time. */
export type LeaseName = 'schema' | 'demo';

/** A holder that says nothing for so long has died, ms; it says that it lives five times as often. */
const DEAD_MS = 15_000;
/** Whoever waits looks so often, ms. */
const LOOK_MS = 250;

/** The table of leases is there before any step of the database is taken: steps are taken under one. */
export const LEASES_TABLE = `CREATE TABLE IF NOT EXISTS leases (name varchar(20) CHARACTER SET ascii NOT NULL PRIMARY KEY, holder uuid NULL, turn bigint NOT NULL)
  ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`;

type Lease = { holder: string | null; turn: string };

/**
 * Does work while no other server on the database does work of that name. A lease is a row, which all nodes of a cluster agree on; GET_LOCK is of
 * one node. Nobody's clock is asked: a holder counts on while it lives, and one whose count stands still has died, and loses it. `waiting` is told
 * once when another has it; where it is null the work is another's who lives, it is not done here, and null is answered.
 */
export async function whileAlone<T>(
  dataSource: DataSource,
  name: LeaseName,
  work: () => Promise<T>,
  waiting: (() => void) | null,
  deadMs = DEAD_MS,
): Promise<T | null> {
  const holder = uuidv7();
  const change = async (sql: string, values: unknown[]) => (await doneAgain(() => dataSource.query<{ affectedRows: number }>(sql, values))).affectedRows === 1;
  const look = async () => (await dataSource.query<Lease[]>('SELECT holder, turn FROM leases WHERE name = ?', [name]))[0]!;
  const takeFrom = (seen: Lease) =>
    change('UPDATE leases SET holder = ?, turn = turn + 1 WHERE name = ? AND holder <=> ? AND turn = ?', [holder, name, seen.holder, seen.turn]);
  await change('INSERT IGNORE INTO leases (name, holder, turn) VALUES (?, NULL, 0)', [name]);
  let seen = await look();
  let seenAt = performance.now();
  for (let isFirst = true; ; isFirst = false) {
    const now = isFirst ? seen : await look();
    if (now.turn !== seen.turn || now.holder !== seen.holder) {
      if (waiting === null) return null;
      [seen, seenAt] = [now, performance.now()];
    }
    if ((now.holder === null || performance.now() - seenAt > deadMs) && (await takeFrom(now))) break;
    if (isFirst && now.holder !== null) waiting?.();
    await pause(LOOK_MS);
  }
  const living = setInterval(() => void change('UPDATE leases SET turn = turn + 1 WHERE name = ? AND holder = ?', [name, holder]).catch(() => {}), deadMs / 5);
  try {
    return await work();
  } finally {
    clearInterval(living);
    await change('UPDATE leases SET holder = NULL, turn = turn + 1 WHERE name = ? AND holder = ?', [name, holder]).catch(() => {});
  }
}
