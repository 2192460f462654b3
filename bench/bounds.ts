/**
 * `npm run bench:bounds`: what strangers can ask for without a sign-in, at its largest, against a server of this process: for how long
 * its event loop is held at the most (budget 50 ms), how long others wait meanwhile, and what memory it takes; beside the same
 * computed where it is served, as a ratio on the same machine. The callers are another process.
 */
import { spawn } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
// @ts-expect-error plain JavaScript that runs before anything is installed
import { startMariadb } from '../bin/lib/mariadb.mjs';
import { makeApp } from '../server/app.ts';
import { CalculationPool } from '../server/calculations/calculation-pool.ts';
import { makeDataSource, migrate } from '../server/data/data-source.ts';
import { SERVING } from '../server/data/patient-pool.ts';
import { answerCalculation } from '../server/calculations/answer-calculation.ts';

const dir = mkdtempSync(join(tmpdir(), 'banter-bounds-'));
const database = (await startMariadb({ dir, password: 'throwaway', testSchemas: true })) as { url: string; stop: () => Promise<void> };
await migrate(database.url);
const dataSource = makeDataSource(database.url, SERVING);
await dataSource.initialize();
const calculations = new CalculationPool();
const app = makeApp({
  dataSource,
  calculations,
  log: pino({ level: 'silent' }),
  sessionSecret: 'bench',
  version: '0',
  demo: false,
  drawHandover: () => Promise.resolve({ neck: null, side: null, letter: null, clock: null }),
  pagesDir: dir,
  limits: { calculationsPerMinute: 100_000 },
});
const server = createServer(app).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;

/** Sends bodies by another process, all at once, and looks at health meanwhile. Answers statuses and what health took, ms. */
async function callers(path: string, body: string, times: number, headers: Record<string, string> = {}) {
  const program = `
    const [base, path, times, headers] = JSON.parse(process.argv[1]);
    const body = await new Promise((done) => { let text = ''; process.stdin.on('data', (one) => (text += one)).on('end', () => done(text)); });
    let over = false;
    const waits = [];
    const looks = (async () => { while (!over) { const at = performance.now(); await fetch(base + '/api/health'); waits.push(performance.now() - at); } })();
    const statuses = await Promise.all(Array.from({ length: times }, () => fetch(base + path, { method: 'POST', body, headers: { 'content-type': 'application/json', ...headers } }).then((answer) => answer.text().then(() => answer.status), () => 0)));
    over = true; await looks;
    console.log(JSON.stringify({ statuses, worstMs: Math.max(...waits), looks: waits.length }));`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', program, JSON.stringify([base, path, times, headers])], {
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  child.stdin.end(body);
  let said = '';
  child.stdout.on('data', (chunk) => (said += chunk));
  await new Promise((resolve) => child.once('close', resolve));
  return JSON.parse(said) as { statuses: number[]; worstMs: number; looks: number };
}

async function measured(name: string, work: () => Promise<{ statuses: number[]; worstMs: number; looks: number }>, servedMs: number | null) {
  const delay = monitorEventLoopDelay({ resolution: 1 });
  const before = process.memoryUsage().rss;
  delay.enable();
  const { statuses, worstMs, looks } = await work();
  delay.disable();
  const held = delay.max / 1e6;
  const ratio = servedMs === null ? '' : `, ${(held / servedMs).toFixed(3)} of what it takes where it is served (${servedMs.toFixed(0)} ms)`;
  console.log(
    `${name.padEnd(44)} held at most ${held.toFixed(1)} ms${ratio}; health at worst ${worstMs.toFixed(0)} ms of ${looks} looks; ${Math.round((process.memoryUsage().rss - before) / 1e6)} MB more; answers ${[...new Set(statuses)].map((status) => `${statuses.filter((one) => one === status).length} × ${status}`).join(', ')}`,
  );
}

const prongs = (count: number) =>
  Array.from({ length: count }, (_none, index) => ({
    id: `p${index}`,
    kind: 'prong',
    numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 400 + (index % 300), links: 13, closingMm: 28 },
  }));
const dogs = (count: number) => Array.from({ length: count }, (_none, index) => ({ id: `d${index}`, girthMm: 300 + (index % 300) }));
const large: [string, object][] = [
  ['fits', { dogs: dogs(2000), stock: prongs(250) }],
  ['threshold', { trials: Array.from({ length: 1500 }, (_none, index) => ({ level: index % 9, noticed: (index * 7) % 9 > index % 5 })) }],
  [
    'rig',
    {
      parts: Array.from({ length: 200 }, (_none, index) => ({
        id: `p${index}`,
        kind: 'x',
        from: index % 20 ? `j${index % 20}` : 'hand',
        to: index % 13 ? `j${(index * 7 + 1) % 20}` : 'dog',
      })),
    },
  ],
  [
    'growth',
    {
      weighIns: Array.from({ length: 200 }, (_none, index) => ({ ageDays: 10 + index, weightKg: 1 + index / 10 })),
      at: Array.from({ length: 1000 }, (_none, index) => index),
    },
  ],
  ['drift', { values: Array.from({ length: 5000 }, (_none, index) => (index * 7919) % 13), mean: 6, sd: 3, k: 1, h: 9 }],
];
for (const [name, body] of large) {
  const bytes = new TextEncoder().encode(JSON.stringify(body));
  answerCalculation({ name, bytes });
  const begun = performance.now();
  answerCalculation({ name, bytes });
  const served = performance.now() - begun;
  const path = name === 'fits' ? '/api/fits' : `/api/calc/${name}`;
  await callers(path, JSON.stringify(body), 1);
  await measured(`${name}, the largest, ten at once`, () => callers(path, JSON.stringify(body), 10), served);
}
const key = randomBytes(32).toString('hex');
const json = { 'content-type': 'application/json' };
const who = { kennelName: 'Bench', name: 'Bench', email: 'bench@example.test', password: 'a long password', lengthUnit: 'cm', massUnit: 'kg', timeZone: 'UTC' };
const signedUp = await fetch(`${base}/api/sign-up`, { method: 'POST', headers: json, body: JSON.stringify(who) });
const cookie = signedUp.headers.get('set-cookie')!.split(';')[0]!;
const keyHash = createHash('sha256').update(key).digest('hex');
await fetch(`${base}/api/bridges/${uuidv7()}`, {
  method: 'PUT',
  headers: { ...json, cookie },
  body: JSON.stringify({ name: 'Bench', keyHash, revokedAt: null }),
});
await measured('events, 4 million lines that are wrong', () => callers('/api/events', 'x\n'.repeat(4_000_000), 4, { authorization: `Bearer ${key}` }), null);
await measured('events, 8 million empty lines', () => callers('/api/events', '\n'.repeat(8_000_000), 4, { authorization: `Bearer ${key}` }), null);

server.closeAllConnections();
server.close();
await calculations.end();
await dataSource.destroy();
await database.stop();
rmSync(dir, { recursive: true, force: true });
