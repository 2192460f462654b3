import { createHash } from 'node:crypto';
import type { Store } from 'express-rate-limit';
import type { DataSource, EntityManager } from 'typeorm';
import { HOUR_MS, MINUTE_MS } from '@banter/core';
import { doneAgain } from '../data/done-again.ts';

/** Only a hash of what is counted by stands in the table: no e-mail and no address. */
const hashed = (key: string) => createHash('sha256').update(key).digest('hex');

type TriesRow = { count: number; openMs: number; leftMs: number };

/** The first wrong tries cost nothing; each one after them doubles the pause, up to the longest. Counts are forgotten a day after the last. */
export type Pauses = { free: number; firstMs: number; longestMs: number; rememberedMs: number };
export const SIGN_IN_PAUSES: Pauses = { free: 5, firstMs: 1_000, longestMs: 5 * MINUTE_MS, rememberedMs: 24 * HOUR_MS };

/** The pause after the `count`th wrong try in a row, ms. */
export const pauseAfter = (count: number, { free, firstMs, longestMs }: Pauses): number =>
  count < free ? 0 : Math.min(longestMs, firstMs * 2 ** Math.min(40, count - free));

/** What somebody tried how often, in the database: every server on it counts the same. Times are the database's own. */
export class Tries {
  constructor(private readonly dataSource: DataSource) {}

  private async look(manager: EntityManager, keyHash: string, lock = ''): Promise<TriesRow | null> {
    const rows = await manager.query<TriesRow[]>(
      `SELECT count, TIMESTAMPDIFF(MICROSECOND, UTC_TIMESTAMP(3), opensAt) DIV 1000 AS openMs,
              TIMESTAMPDIFF(MICROSECOND, UTC_TIMESTAMP(3), forgottenAt) DIV 1000 AS leftMs
       FROM tries WHERE keyHash = ? ${lock}`,
      [keyHash],
    );
    const [row] = rows.map((one) => ({ count: Number(one.count), openMs: Number(one.openMs), leftMs: Number(one.leftMs) }));
    return row && row.leftMs > 0 ? row : null;
  }

  /** Counts one more of a window that begins with the first; how many that makes, and how long the window still is, ms. */
  async count(key: string, windowMs: number): Promise<{ count: number; leftMs: number }> {
    const keyHash = hashed(key);
    const until = 'DATE_ADD(UTC_TIMESTAMP(3), INTERVAL ? MICROSECOND)';
    await this.dataSource.query(
      `INSERT INTO tries (keyHash, count, opensAt, forgottenAt) VALUES (?, 1, UTC_TIMESTAMP(3), ${until})
       ON DUPLICATE KEY UPDATE count = IF(forgottenAt <= UTC_TIMESTAMP(3), 1, count + 1), forgottenAt = IF(forgottenAt <= UTC_TIMESTAMP(3), VALUES(forgottenAt), forgottenAt)`,
      [keyHash, windowMs * 1000],
    );
    const { count, leftMs } = (await this.look(this.dataSource.manager, keyHash)) ?? { count: 1, leftMs: windowMs };
    return { count, leftMs };
  }

  /** Takes one back that was counted and shall not count. */
  async uncount(key: string): Promise<void> {
    await this.dataSource.query('UPDATE tries SET count = count - 1 WHERE keyHash = ? AND count > 1', [hashed(key)]);
  }

  /**
   * Begins a try that may turn out wrong: counted before it is looked at, so that many at once are not looked at all. Answers 0, or how
   * long it is still to wait, ms; a try that has to wait is not counted. `forget` takes back what turned out right.
   */
  async begin(keys: readonly { key: string; pauses: Pauses }[]): Promise<number> {
    const count = async (manager: EntityManager): Promise<number> => {
      // Always in the same order, so that two never wait for each other.
      const all = keys.map(({ key, pauses }) => ({ keyHash: hashed(key), pauses })).sort((a, b) => (a.keyHash < b.keyHash ? -1 : 1));
      const before: (TriesRow | null)[] = [];
      for (const { keyHash } of all) {
        // A row to hold, also for the first: else all of many at once would be the first.
        await manager.query(
          'INSERT INTO tries (keyHash, count, opensAt, forgottenAt) VALUES (?, 1, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3)) ON DUPLICATE KEY UPDATE count = count',
          [keyHash],
        );
        before.push(await this.look(manager, keyHash, 'FOR UPDATE'));
      }
      const wait = Math.max(0, ...before.map((row) => row?.openMs ?? 0));
      if (wait > 0) return wait;
      for (const [index, { keyHash, pauses }] of all.entries()) {
        const count = (before[index]?.count ?? 0) + 1;
        const until = 'DATE_ADD(UTC_TIMESTAMP(3), INTERVAL ? MICROSECOND)';
        await manager.query(
          `INSERT INTO tries (keyHash, count, opensAt, forgottenAt) VALUES (?, ?, ${until}, ${until})
           ON DUPLICATE KEY UPDATE count = VALUES(count), opensAt = VALUES(opensAt), forgottenAt = VALUES(forgottenAt)`,
          [keyHash, count, pauseAfter(count, pauses) * 1000, pauses.rememberedMs * 1000],
        );
      }
      return 0;
    };
    return await doneAgain(() => this.dataSource.transaction('READ COMMITTED', count));
  }

  /** Takes the last try back, with its pause: it turned out right. Wrong ones before it stay counted. */
  async takeBack(key: string): Promise<void> {
    await this.dataSource.query('DELETE FROM tries WHERE keyHash = ? AND count = 1', [hashed(key)]);
    await this.dataSource.query('UPDATE tries SET count = count - 1, opensAt = UTC_TIMESTAMP(3) WHERE keyHash = ? AND count > 1', [hashed(key)]);
  }

  async forget(key: string): Promise<void> {
    await this.dataSource.query('DELETE FROM tries WHERE keyHash = ?', [hashed(key)]);
  }

  /** Removes what is over. */
  async sweep(): Promise<void> {
    await this.dataSource.query('DELETE FROM tries WHERE forgottenAt <= UTC_TIMESTAMP(3)');
  }

  /** A store of counts for limits of requests in a span of time. */
  store(name: string): Store {
    let windowMs = 60_000;
    return {
      localKeys: false,
      init: (options) => void (windowMs = options.windowMs),
      increment: async (key) => {
        const { count, leftMs } = await this.count(`${name} ${key}`, windowMs);
        return { totalHits: count, resetTime: new Date(Date.now() + leftMs) };
      },
      decrement: (key) => this.uncount(`${name} ${key}`),
      resetKey: (key) => this.forget(`${name} ${key}`),
    };
  }
}
