#!/usr/bin/env node
/**
 * `npm start`: from a fresh checkout to a served Banter, and everything stopped again on Ctrl-C. A database or a server that dies is
 * started again, with growing pauses; what does not come back ends this with a failing code.
 */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { credentials } from './lib/credentials.mjs';
import { databasePackages, ensurePackages } from './lib/debian-packages.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensureNpmPackages } from './lib/npm-packages.mjs';
import { takeFolder } from './lib/only-one.mjs';
import { PATIENCE_MS, restartPatience } from './lib/patience.mjs';
import { dataDir, projectDir } from './lib/places.mjs';
import { servingPort } from './lib/ports.mjs';
import { finishRestore } from './lib/restoring.mjs';
import { run, say } from './lib/say.mjs';
import { ensureWebBuild } from './lib/web-build.mjs';

/** The server's own word for what does not pass by itself: starting it again would be of no use. */
const WILL_NOT_PASS = 78;

await run(async () => {
  const env = process.env;
  const dir = dataDir(env);
  const patienceMs = env.BANTER_PATIENCE_SECONDS ? Number(env.BANTER_PATIENCE_SECONDS) * 1000 : PATIENCE_MS;
  const giveBack = takeFolder(dir);
  let database = null;
  let server = null;
  let asked = null;
  let givenUp = false;
  let wake = () => {};
  const ask = (signal) => {
    asked ??= signal;
    wake();
    server?.kill('SIGTERM');
  };
  process.on('SIGINT', () => ask('SIGINT'));
  process.on('SIGTERM', () => ask('SIGTERM'));

  /** Serves until the server ends; answers its code. */
  const serve = (port, secrets, again) => {
    server = spawn(process.execPath, ['--import', 'tsx', join(projectDir, 'server', 'main.ts')], {
      cwd: projectDir,
      // The server ends when this pipe does, so that a killed start leaves nothing serving behind.
      stdio: ['pipe', 'inherit', 'inherit'],
      detached: true,
      env: {
        ...env,
        NODE_ENV: 'production',
        BANTER_ENDS_WITH_STDIN: 'yes',
        ...(again ? { BANTER_AGAIN: 'yes' } : {}),
        PORT: String(port),
        DATABASE_URL: env.DATABASE_URL || database.url,
        BANTER_SECRET: env.BANTER_SECRET || secrets.sessionSecret,
      },
    });
    server.stdin.on('error', () => {});
    return new Promise((resolve) => {
      server.on('error', () => resolve(1));
      server.on('exit', (status) => resolve(status ?? 1));
    });
  };

  try {
    const port = await servingPort(env.PORT);
    if (!env.DATABASE_URL) await ensurePackages(databasePackages);
    await ensureNpmPackages();
    await ensureWebBuild();
    const secrets = credentials(join(dir, 'credentials.json'));
    const onGivenUp = () => {
      givenUp = true;
      wake();
      server?.kill('SIGTERM');
    };
    if (!env.DATABASE_URL && !asked) database = await startMariadb({ dir, password: secrets.databasePassword, patienceMs, onGivenUp });
    if (!asked) await finishRestore(dir, env.DATABASE_URL || database.url);
    const patience = restartPatience({ patienceMs });
    for (let again = false; ; again = true) {
      if (asked || givenUp) break;
      const startedAt = Date.now();
      const code = await serve(port, secrets, again);
      if (asked || givenUp) break;
      if (code === WILL_NOT_PASS) return 1;
      const wait = patience.next(startedAt);
      if (wait === null) {
        say('The server did not stay up; it is given up.');
        return code || 1;
      }
      say(`The server has ended (${code}); starting it again …`);
      await new Promise((resolve) => {
        wake = resolve;
        setTimeout(resolve, wait);
      });
    }
    if (asked) say('Banter has stopped.');
    return givenUp ? 1 : 0;
  } finally {
    await database?.stop();
    giveBack();
  }
});
