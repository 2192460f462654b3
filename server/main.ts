import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { PaperDrawings } from '@banter/contract';
import { makeApp } from './app.ts';
import { CalculationPool } from './calculations/calculation-pool.ts';
import { makeDataSource, migrate } from './data/data-source.ts';
import { deedsStay } from './data/deeds-stay.ts';
import { SERVING } from './data/patient-pool.ts';
import { SessionStore } from './data/session-store.ts';
import { DemoKeeper } from './demo/demo-keeper.ts';
import { seedDemo } from './demo/seed-demo.ts';
import { clearLeftImports } from './kennel-file/import-folder.ts';
import { makeLog } from './log.ts';
import { FirstPictures } from './pictures/first-pictures.ts';
import { ChangeBell } from './services/change-bell.ts';
import { KennelBus } from './services/kennel-bus.ts';
import { Serving } from './services/serving.ts';
import { Tries } from './services/tries.ts';
import { StandingKeeper } from './standings/standing-keeper.ts';
import { HOUR_MS } from '@banter/core';

const projectDir = join(import.meta.dirname, '..');
const { version } = JSON.parse(readFileSync(join(projectDir, 'package.json'), 'utf8')) as { version: string };
const env = process.env;
const log = makeLog(env.BANTER_LOG ?? 'warn');
const demo = env.BANTER_DEMO !== 'off';

// A reader that has gone, as «npm start | head» leaves, ends nothing.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => {});

/** What does not pass by itself: no use in starting again. */
const WILL_NOT_PASS = 78;
function refuse(sentence: string, code: number = WILL_NOT_PASS): never {
  process.stderr.write(`Banter cannot start: ${sentence}\n`);
  process.exit(code);
}
for (const event of ['uncaughtException', 'unhandledRejection'] as const)
  process.on(event, (error: unknown) => {
    log.fatal({ error }, 'Banter stops on an unexpected fault');
    process.exit(1);
  });

if (!env.DATABASE_URL) refuse('DATABASE_URL is not set; «npm start» sets it, or point it at a MariaDB.');
if (!env.BANTER_SECRET) refuse('BANTER_SECRET is not set; «npm start» makes one.');

/** What the driver says names the database and whoever signs in to it; its code says enough. */
const codeOf = (error: { code?: string; name?: string }) => error.code ?? error.name ?? 'no reason given';
const url = env.DATABASE_URL;
const querySeconds = Number(env.BANTER_QUERY_SECONDS);
const statementMs = querySeconds > 0 && querySeconds < 3600 ? querySeconds * 1000 : SERVING.statementMs;
const dataSource = makeDataSource(url, { ...SERVING, statementMs });
/** At the first start a database that is not there is a mistake; later it will be back. */
const awayCode = env.BANTER_AGAIN ? 1 : WILL_NOT_PASS;
/** A database that is away now may be on its way: it is waited for, where whoever starts this says so, s. */
const waitUntil = performance.now() + Number(env.BANTER_WAIT_SECONDS ?? 0) * 1000;
for (let hasWaited = false; !dataSource.isInitialized; hasWaited = true)
  await dataSource.initialize().catch(async (error: Error) => {
    if (performance.now() > waitUntil) refuse(`the database cannot be reached: ${codeOf(error)}.`, awayCode);
    if (!hasWaited) process.stdout.write(`The database cannot be reached yet (${codeOf(error)}); waiting for it …\n`);
    await pause(500);
  });
await migrate(url, () => process.stdout.write('Another server brings the database up to date; waiting for it …\n')).catch((error: Error) => {
  log.fatal({ error }, 'the database could not be brought up to date');
  refuse(`the database could not be brought up to date: ${codeOf(error)}.`, awayCode);
});
if (!(await deedsStay(dataSource)))
  process.stderr.write(
    'The log of who did what can still be edited: this account may make no triggers. An administrator lays them with deploy/cluster/deeds-stay.sql.\n',
  );
if (demo) await seedDemo(dataSource, new Date());

// Built apart from the pages: the same components, rendered to text.
const { drawHandover } = (await import(join(projectDir, 'build', 'paper-drawings.js')).catch(() =>
  refuse('the drawings are not built; «npm start» or «npm run build» builds them.'),
)) as { drawHandover: PaperDrawings };

const host = env.BANTER_HOST ?? '127.0.0.1';
const calculations = new CalculationPool();
const pictures = new FirstPictures(join(projectDir, 'build', 'draw-first-picture.js'));
const port = Number(env.PORT ?? 8080);
const [serving, bus] = [new Serving(`${host}:${port}`), new KennelBus()];
const bell = new ChangeBell(dataSource, bus, log, serving.serverId);
bell.begin();
const app = makeApp({
  dataSource,
  log,
  calculations,
  pictures,
  serving,
  bus,
  metrics: env.BANTER_METRICS === 'on',
  sessionSecret: env.BANTER_SECRET,
  version,
  demo,
  drawHandover,
  pagesDir: join(projectDir, 'dist'),
  proxies: Number(env.BANTER_PROXIES ?? 0),
  hosts: [host, ...(env.BANTER_HOSTS ?? '').split(',')].map((name) => name.trim()).filter(Boolean),
  limits: { ...(env.BANTER_SIGN_UPS_PER_HOUR ? { signUpsPerHour: Number(env.BANTER_SIGN_UPS_PER_HOUR) } : {}) },
});
const [sessions, tries] = [new SessionStore(dataSource), new Tries(dataSource)];
const sweeping = setInterval(() => {
  Promise.all([sessions.sweep(), tries.sweep()]).catch((error: unknown) => log.warn({ error }, 'what has run out was not swept'));
}, HOUR_MS);
sweeping.unref();
const demoKeeper = demo ? new DemoKeeper(dataSource, log, projectDir) : null;
demoKeeper?.begin();
const standingKeeper = new StandingKeeper(dataSource, log);
standingKeeper.begin();
await clearLeftImports();

const server = createServer(app);
// Longer than callers and load balancers keep theirs: a connection that ends here just as it is used again is an error there.
server.keepAliveTimeout = 75_000;
server.on('error', (error: NodeJS.ErrnoException) =>
  refuse(error.code === 'EADDRINUSE' ? `port ${port} is in use by another program.` : `it cannot listen on ${host}:${port} (${codeOf(error)}).`),
);
server.listen(port, host, () => {
  const demoWords = demo ? 'Look round the demo kennel, Marrow Fen Field Dogs, with one click on that page.\n' : '';
  process.stdout.write(`Banter is at http://${host}:${port}\n${demoWords}Ctrl-C stops everything.\n`);
  // The first caller does not wait for a thread.
  calculations.begin();
  pictures.begin().catch((error: unknown) => log.warn({ error }, 'pages come without their first picture'));
});

/** So long whoever sends requests here is given to hear that it stops, s: none where nobody stands in front of it. */
const drainMs = Number(env.BANTER_DRAIN_SECONDS ?? 0) * 1000;

async function stop(): Promise<void> {
  serving.drain();
  await pause(drainMs / 2);
  // By now they come to another server.
  serving.moveStreams();
  await pause(drainMs / 2);
  server.close();
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 2000).unref();
  await new Promise<void>((resolve) => (server.listening ? server.once('close', resolve) : resolve()));
  demoKeeper?.end();
  bell.end();
  await standingKeeper.end();
  await Promise.all([calculations.end(), pictures.end(), dataSource.destroy().catch(() => {}), clearLeftImports()]);
  process.exit(0);
}
let stopping = false;
function stopOnce(): void {
  if (stopping) return;
  stopping = true;
  void stop();
}
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, stopOnce);
if (env.BANTER_ENDS_WITH_STDIN) process.stdin.on('end', stopOnce).on('error', stopOnce).resume();
