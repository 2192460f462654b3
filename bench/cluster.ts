/**
 * `npm run bench:cluster [SECONDS]`: what a mixture of a kennel's requests gets, by autocannon, in one run on one machine: on the embedded default (one
 * MariaDB, one server), and on the cluster of `npm run cluster` with one server and with two, one kennel and a thousand. Requests a second, median and
 * 97.5th percentile, and each as a ratio to the embedded default. Nothing else may run beside it.
 */
import { randomBytes } from 'node:crypto';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import autocannon from 'autocannon';
import mysql from 'mysql2/promise';
import { v7 as uuidv7 } from 'uuid';
import { lineOf } from '../server/data/data-source.ts';
// @ts-expect-error — plain JavaScript that runs before anything is installed
import { CLUSTER_ADDRESS, startCluster } from '../bin/lib/cluster.mjs';
// @ts-expect-error — plain JavaScript that runs before anything is installed
import { startMariadb } from '../bin/lib/mariadb.mjs';

const SECONDS = Number(process.argv[2] ?? 15);
const CONNECTIONS = 8;
/** Taps of one session. */
const TAPS = 12;
const KENNELS = 1000;
const PORT = 8177;

type Measured = { perSecond: number; median: number; high: number; failed: number };
const cookieOf = (answer: Response) =>
  answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');

/** What kennels do: mostly looking, a tap of the field log every third request, a record now and then. */
async function mixture(address: string): Promise<Measured> {
  const cookie = cookieOf(await fetch(`${address}/api/sign-in/demo`, { method: 'POST' }));
  const dogs = ((await (await fetch(`${address}/api/dogs?search=bramble`, { headers: { cookie } })).json()) as { rows: { id: string }[] }).rows;
  const dog = dogs[0]!.id;
  const all = ((await (await fetch(`${address}/api/dogs`, { headers: { cookie } })).json()) as { rows: { id: string }[] }).rows;
  const json = { 'content-type': 'application/json', cookie };
  const me = ((await (await fetch(`${address}/api/doorstep`, { headers: { cookie } })).json()) as { me: { person: { id: string } } }).me;
  /** Sessions of all dogs in turns, a tap a request: it begins, is rewarded, and ends. */
  let taps = 0;
  let sessionId = '';
  const tapped = () => {
    const at = new Date().toISOString();
    const place = taps % TAPS;
    if (place === 0) sessionId = uuidv7();
    const what =
      place === 0
        ? { event: 'begin', dogId: all[Math.floor(taps / TAPS) % all.length]!.id, setting: 'yard', handlerId: me.person.id, purpose: 'work' }
        : { event: place === TAPS - 1 ? 'end' : 'reward' };
    taps += 1;
    return JSON.stringify({ source: 'hand', phone: 'bench', sentAt: at, clock: null, happenings: [{ id: uuidv7(), sessionId, at, ...what }] });
  };
  const look = (path: string): autocannon.Request => ({ method: 'GET', path, headers: { cookie } });
  const tap: autocannon.Request = { method: 'POST', path: '/api/happenings', headers: json, setupRequest: (request) => ({ ...request, body: tapped() }) };
  const place = JSON.stringify({ name: 'Field', collars: {}, checkedBy: '', checkedOn: null, source: '', retiredAt: null });
  const keep: autocannon.Request = { method: 'PUT', headers: json, body: place, setupRequest: (request) => ({ ...request, path: `/api/places/${uuidv7()}` }) };
  const requests = [
    look('/api/dogs'),
    tap,
    look(`/api/dogs/${dog}/page`),
    look('/api/field'),
    tap,
    keep,
    look('/api/wearing'),
    look(`/api/dogs/${dog}/neck`),
    tap,
  ];
  const run = (duration: number) => autocannon({ url: address, connections: CONNECTIONS, duration, requests });
  await run(3);
  const { requests: sent, latency, non2xx, errors } = await run(SECONDS);
  return { perSecond: sent.average, median: latency.p50, high: latency.p97_5, failed: non2xx + errors };
}

/** A thousand kennels beside the demo, each with as many rows as the demo's dogs, places and collars are. */
async function moreKennels(url: string): Promise<void> {
  const { url: uri, ssl } = lineOf(url);
  const connection = await mysql.createConnection({ uri, ...(ssl ? { ssl } : {}) });
  await connection.query('SET SESSION foreign_key_checks = 0');
  for (let kennel = 1; kennel < KENNELS; kennel += 1) {
    const id = uuidv7();
    const [columns] = await connection.query(
      "SELECT COLUMN_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'kennels'",
    );
    const names = (columns as { name: string }[]).map(({ name }) => name);
    const values = names.map((name) => (name === 'id' ? connection.escape(id) : name === 'demo' ? '0' : `\`${name}\``));
    await connection.query(`INSERT INTO kennels (${names.map((name) => `\`${name}\``).join(', ')}) SELECT ${values.join(', ')} FROM kennels WHERE demo`);
    for (const table of ['people', 'dogs', 'places', 'collars', 'tapings', 'field_sessions', 'presses']) {
      const [own] = await connection.query('SELECT COLUMN_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ? AND GENERATION_EXPRESSION IS NULL', [table]); // prettier-ignore
      const fields = (own as { name: string }[]).map(({ name }) => name);
      await connection.query(
        `INSERT INTO \`${table}\` (${fields.map((name) => `\`${name}\``).join(', ')})
         SELECT ${fields.map((name) => (name === 'kennelId' ? connection.escape(id) : name === 'email' ? 'NULL' : `\`${name}\``)).join(', ')} FROM \`${table}\`
          WHERE kennelId = (SELECT id FROM kennels WHERE demo) LIMIT 60`,
      );
    }
  }
  await connection.end();
}

let base: Measured | null = null;
function tell(what: string, { perSecond, median, high, failed }: Measured): void {
  base ??= { perSecond, median, high, failed };
  const ratio = (now: number, then: number) => (now / then).toFixed(2).padStart(6);
  console.log(
    `${what.padEnd(44)}${perSecond.toFixed(0).padStart(6)}/s${ratio(perSecond, base.perSecond)}${`${median} ms`.padStart(9)}${`${high} ms`.padStart(9)}${ratio(high, base.high)}  failed ${failed}`,
  );
}
async function until(isThere: () => Promise<boolean>): Promise<void> {
  while (!(await isThere().catch(() => false))) await new Promise((resolve) => setTimeout(resolve, 200));
}

const scratch = mkdtempSync(join(tmpdir(), 'banter-bench-cluster-'));
const password = randomBytes(12).toString('hex');
console.log(`${'what'.padEnd(44)}${'rate'.padStart(8)} ratio   median    97.5 % ratio`);
const embedded = await startMariadb({ dir: join(scratch, 'embedded'), password });
let server: ChildProcess | null = null;
try {
  const env = { ...process.env, NODE_ENV: 'production', DATABASE_URL: embedded.url, BANTER_SECRET: 'bench', PORT: String(PORT) };
  server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], { stdio: ['ignore', 'ignore', 'inherit'], env });
  await until(async () => (await fetch(`http://127.0.0.1:${PORT}/api/ready`)).ok);
  tell('one server, its own MariaDB', await mixture(`http://127.0.0.1:${PORT}`));
  await moreKennels(embedded.url);
  tell(`the same with ${KENNELS} kennels`, await mixture(`http://127.0.0.1:${PORT}`));
} finally {
  server?.kill('SIGTERM');
  await embedded.stop();
}
for (const servers of [1, 2]) {
  const cluster = await startCluster({ dir: join(scratch, 'cluster'), password, secret: 'bench', servers });
  try {
    tell(`three nodes, ${servers === 1 ? 'one server' : 'two servers'}`, await mixture(cluster.address));
    if (servers === 2) {
      await moreKennels(cluster.urlOf(CLUSTER_ADDRESS));
      tell(`the same with ${KENNELS} kennels`, await mixture(cluster.address));
    }
  } finally {
    await cluster.stop();
  }
}
rmSync(scratch, { recursive: true, force: true });
