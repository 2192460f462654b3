import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import type { PaperDrawings } from '@banter/contract';
import pino from 'pino';
import { makeApp } from './app.ts';
import { makeDataSource } from './data/data-source.ts';
import { SessionStore } from './data/session-store.ts';
import { seedDemo } from './demo/seed-demo.ts';

const projectDir = join(import.meta.dirname, '..');
const { version } = JSON.parse(readFileSync(join(projectDir, 'package.json'), 'utf8')) as { version: string };
const env = process.env;
const log = pino({ level: env.BANTER_LOG ?? 'warn', serializers: { error: pino.stdSerializers.err } });
const demo = env.BANTER_DEMO !== 'off';

function refuse(sentence: string): never {
  process.stderr.write(`Banter cannot start: ${sentence}\n`);
  process.exit(1);
}

if (!env.DATABASE_URL) refuse('DATABASE_URL is not set; «npm start» sets it, or point it at a MariaDB.');
if (!env.BANTER_SECRET) refuse('BANTER_SECRET is not set; «npm start» makes one.');

const dataSource = makeDataSource(env.DATABASE_URL);
await dataSource.initialize().catch((error: Error) => refuse(`the database cannot be reached: ${error.message}`));
await dataSource.runMigrations().catch((error: Error) => refuse(`the database could not be brought up to date: ${error.message}`));
if (demo) await seedDemo(dataSource, new Date());

// Built apart from the pages: the same components, rendered to text.
const { drawHandover } = (await import(join(projectDir, 'build', 'paper-drawings.js')).catch(() =>
  refuse('the drawings are not built; «npm start» or «npm run build» builds them.'),
)) as { drawHandover: PaperDrawings };

const app = makeApp({
  dataSource,
  log,
  sessionSecret: env.BANTER_SECRET,
  version,
  demo,
  drawHandover,
  pagesDir: join(projectDir, 'dist'),
  proxies: Number(env.BANTER_PROXIES ?? 0),
  limits: { ...(env.BANTER_SIGN_UPS_PER_HOUR ? { signUpsPerHour: Number(env.BANTER_SIGN_UPS_PER_HOUR) } : {}) },
});
const sessions = new SessionStore(dataSource);
const sweeping = setInterval(() => sessions.sweep().catch((error: unknown) => log.warn({ error }, 'sessions were not swept')), 3_600_000);
sweeping.unref();

const port = Number(env.PORT ?? 8080);
const host = env.BANTER_HOST ?? '127.0.0.1';
const server = createServer(app);
server.on('error', (error: NodeJS.ErrnoException) => refuse(error.code === 'EADDRINUSE' ? `port ${port} is in use by another program.` : error.message));
server.listen(port, host, () => {
  process.stdout.write(`Banter is at http://${host}:${port}\n`);
  if (demo) process.stdout.write('Look round the demo kennel, Marrow Fen Field Dogs, with one click on that page.\n');
  process.stdout.write('Ctrl-C stops everything.\n');
});

async function stop(): Promise<void> {
  server.close();
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 2000).unref();
  await new Promise<void>((resolve) => (server.listening ? server.once('close', resolve) : resolve()));
  await dataSource.destroy().catch(() => {});
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
