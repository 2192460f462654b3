import mysql, { type Pool, type PoolConnection, type PoolOptions } from 'mysql2';
import type { Socket } from 'node:net';
import type { QueryRunner } from 'typeorm';

/** How long whoever serves waits for the database, ms: for an answer to one statement, and for a free connection. */
export type Patience = { statementMs: number; connectionMs: number };
export const SERVING: Patience = { statementMs: 10_000, connectionMs: 5_000 };

const seconds = (ms: number) => Math.max(1, Math.floor(ms / 1000));

/** mysql2 keeps both to itself; a command that runs stands under `_command`. */
type Inside = { stream: Socket; _command?: unknown };
const inside = (connection: PoolConnection): Inside => connection as unknown as Inside;

/** A failure that a client may pass, as the driver's own are. */
const away = (code: string, message: string) => Object.assign(new Error(message), { code, fatal: true });

/** What arrived while this process itself was busy is heard first: patience that runs out meanwhile lasts so much longer, ms. */
const GRACE_MS = 250;

/** Runs when patience has run out and what was waited for is still not there. */
function whenOver(ms: number, over: () => void): () => void {
  let timer = setTimeout(() => (timer = setTimeout(over, GRACE_MS)), ms);
  return () => clearTimeout(timer);
}

/** A connection on which the database says nothing while a statement runs is given up whole: it could answer the wrong one later. */
function giveUpSilence(connection: PoolConnection, statementMs: number): void {
  const { stream } = inside(connection);
  stream.setTimeout(statementMs);
  stream.on('timeout', () => {
    const command = inside(connection)._command;
    const { bytesRead } = stream;
    if (!command) return;
    whenOver(0, () => {
      if (inside(connection)._command === command && stream.bytesRead === bytesRead) stream.destroy(away('ETIMEDOUT', 'the database does not answer'));
    });
  });
}

/** A node of a cluster that has lost the others, or is about to stop, takes nothing; asked by another line, one that does may answer. Source: MariaDB error codes. */
const NODE_IS_OUT = new Set([1047, 1053]);

/** A connection to a node that takes nothing is given up, so that the same again is asked of another. */
function leaveNodeThatIsOut(connection: PoolConnection): void {
  const query = connection.query.bind(connection) as (...given: unknown[]) => unknown;
  connection.query = ((...given: unknown[]) => {
    const done = given.at(-1);
    if (typeof done !== 'function') return query(...given);
    return query(...given.slice(0, -1), (error: { errno?: number } | null, ...rest: unknown[]) => {
      if (error && NODE_IS_OUT.has(error.errno ?? 0)) connection.destroy();
      (done as (...told: unknown[]) => void)(error, ...rest);
    });
  }) as typeof connection.query;
}

/** The driver would look for its own promises anew for each statement, through everything that stands round `require`. */
function keepPromises(connection: PoolConnection): void {
  const promises = connection.promise();
  connection.promise = () => promises;
}

/** What the database itself goes by on each connection: it gives up a statement or a wait for a lock before whoever waits for it does. */
const limitsOf = (statementMs: number) =>
  `SET SESSION innodb_lock_wait_timeout = ${seconds(statementMs * 0.7)}, max_statement_time = ${seconds(statementMs * 0.9)}`;

/** The driver with a pool that waits no longer than this for anything. */
export function patientDriver({ statementMs, connectionMs }: Patience): typeof mysql {
  return {
    ...mysql,
    createPool(options: PoolOptions | string) {
      const pool = mysql.createPool(options as PoolOptions);
      pool.on('connection', (connection: PoolConnection) => {
        giveUpSilence(connection, statementMs);
        leaveNodeThatIsOut(connection);
        keepPromises(connection);
        connection.query(limitsOf(statementMs), () => {});
      });
      const getConnection = pool.getConnection.bind(pool) as Pool['getConnection'];
      pool.getConnection = (done: Parameters<Pool['getConnection']>[0]) => {
        let waiting = true;
        const inTime = whenOver(connectionMs, () => {
          waiting = false;
          done(away('POOL_BUSY', 'no connection became free') as never, undefined as never);
        });
        getConnection((error, connection) => {
          inTime();
          if (waiting) done(error, connection);
          // It came too late for whoever asked; the next one has it.
          else if (!error) connection.release();
        });
      };
      return pool;
    },
  } as typeof mysql;
}

/** Lets one connection take its time, as for a whole kennel that is brought in; answers what makes it as brisk as the others again. */
export async function letTakeTime(runner: QueryRunner, { statementMs }: Patience = SERVING): Promise<() => Promise<void>> {
  const { stream } = inside((await runner.connect()) as PoolConnection);
  await runner.query('SET SESSION max_statement_time = 0');
  stream.setTimeout(0);
  return async () => {
    stream.setTimeout(statementMs);
    await runner.query(limitsOf(statementMs)).catch(() => {});
  };
}
