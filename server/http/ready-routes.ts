import { HOUR_MS } from '@banter/core';
import { Router } from 'express';
import { setTimeout as pause } from 'node:timers/promises';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { Failure } from '../services/failure.ts';
import { migrations } from '../data/migrations/index.ts';
import type { Serving } from '../services/serving.ts';

/** So long may the database take to say that it is there, ms. */
const PATIENCE_MS = 3_000;
/** So far apart may a server's clock and its database's be before somebody is told, ms: well below what a phone is asked about (CLOCK_OFF_MS). */
const CLOCKS_APART_MS = 10_000;
/** Of no kennel: the row that a server writes to learn whether it can. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

const inTime = <T>(work: Promise<T>): Promise<T> =>
  // One that only hangs is no better than one that is gone.
  Promise.race([work, pause(PATIENCE_MS, undefined, { ref: false }).then(() => Promise.reject(new Failure('database-away')))]);

/**
 * `/health`: it is alive and reaches a database. `/ready`: it can keep something now, the database has the tables it knows, and it is not about to
 * stop; a load balancer sends requests to whoever is.
 */
export function readyRoutes(dataSource: DataSource, serving: Serving, log: Logger): Router {
  const routes = Router();
  let toldAt = -Infinity;
  /** Which of the two is wrong is not known here, and nothing is refused for it: somebody sets them. */
  function compareClocks(databaseMs: number): void {
    const apartMs = Date.now() - databaseMs;
    if (Math.abs(apartMs) < CLOCKS_APART_MS || performance.now() < toldAt + HOUR_MS) return;
    toldAt = performance.now();
    log.warn({ apartMs }, 'the clocks of this server and of the database are apart: one of them is wrong');
  }
  routes.get('/health', async (_request, response) => {
    await inTime(dataSource.query('SELECT 1'));
    response.json({ ok: true });
  });
  routes.get('/ready', async (_request, response) => {
    if (serving.isDraining) throw new Failure('stopping');
    await inTime(
      (async () => {
        // A cluster's node that has lost the others reads, and keeps nothing: only a write tells.
        await dataSource.query('INSERT INTO holds (kennelId, subjectId, turn) VALUES (?, ?, 1) ON DUPLICATE KEY UPDATE turn = turn + 1', [
          NOBODY,
          serving.placeId,
        ]);
        const last = new (migrations.at(-1)!)().name;
        const [row] = await dataSource.query<{ there: string; nowSeconds: string }[]>(
          'SELECT COUNT(*) AS there, UNIX_TIMESTAMP(NOW(3)) AS nowSeconds FROM migrations WHERE name = ?',
          [last],
        );
        if (Number(row!.there) === 0) throw new Failure('database-away');
        compareClocks(Number(row!.nowSeconds) * 1000);
      })(),
    );
    response.json({ ok: true });
  });
  return routes;
}
