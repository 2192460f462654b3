import type { DataSource, EntityManager } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { doneAgain } from '../data/done-again.ts';
import { hold } from '../data/hold.ts';
import type { KennelScope } from './kennel-scope.ts';

/** A screen that was not heard of for so long has gone, or its server has; s. Twice the time between two looks, and some more. */
const GONE_SECONDS = 90;

/** Who listens to what changes, in the database: all servers on it count the same. */
export class Listeners {
  constructor(private readonly dataSource: DataSource) {}

  /** Takes a place for a screen of somebody's, or answers null when they have `most` already. */
  async take({ kennelId, personId }: KennelScope, most: number): Promise<string | null> {
    const free = async (manager: EntityManager): Promise<string | null> => {
      // One at a time for one person: else two at once would both find the last place free.
      await hold(manager, kennelId, [personId]);
      await manager.query('DELETE FROM listeners WHERE kennelId = ? AND personId = ? AND seenAt < DATE_SUB(UTC_TIMESTAMP(3), INTERVAL ? SECOND)', [
        kennelId,
        personId,
        GONE_SECONDS,
      ]);
      const [row] = await manager.query<{ count: string }[]>('SELECT COUNT(*) AS count FROM listeners WHERE kennelId = ? AND personId = ?', [
        kennelId,
        personId,
      ]);
      if (Number(row!.count) >= most) return null;
      const id = uuidv7();
      await manager.query('INSERT INTO listeners (id, kennelId, personId, seenAt) VALUES (?, ?, ?, UTC_TIMESTAMP(3))', [id, kennelId, personId]);
      return id;
    };
    return await doneAgain(() => this.dataSource.transaction('READ COMMITTED', free));
  }

  async stillThere(id: string): Promise<void> {
    await this.dataSource.query('UPDATE listeners SET seenAt = UTC_TIMESTAMP(3) WHERE id = ?', [id]);
  }

  /** A place that cannot be given back now is free by itself when it was not heard of for long enough. */
  async giveBack(id: string): Promise<void> {
    await this.dataSource.query('DELETE FROM listeners WHERE id = ?', [id]).catch(() => {});
  }
}
