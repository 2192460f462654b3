#!/usr/bin/env node
/** `npm start`: from a fresh checkout to a served Banter, and everything stopped again on Ctrl-C. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { credentials } from './lib/credentials.mjs';
import { databasePackages, ensurePackages } from './lib/debian-packages.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensureNpmPackages } from './lib/npm-packages.mjs';
import { takeFolder } from './lib/only-one.mjs';
import { dataDir, projectDir } from './lib/places.mjs';
import { servingPort } from './lib/ports.mjs';
import { run, say } from './lib/say.mjs';
import { ensureWebBuild } from './lib/web-build.mjs';

await run(async () => {
  const env = process.env;
  const dir = dataDir(env);
  const giveBack = takeFolder(dir);
  let database = null;
  let server = null;
  let asked = null;
  const ask = (signal) => {
    asked ??= signal;
    server?.kill('SIGTERM');
  };
  process.on('SIGINT', () => ask('SIGINT'));
  process.on('SIGTERM', () => ask('SIGTERM'));

  try {
    const port = await servingPort(env.PORT);
    if (!env.DATABASE_URL) await ensurePackages(databasePackages);
    await ensureNpmPackages();
    await ensureWebBuild();
    const secrets = credentials(join(dir, 'credentials.json'));
    if (!env.DATABASE_URL && !asked) database = await startMariadb({ dir, password: secrets.databasePassword });
    if (asked) return 0;
    server = spawn(process.execPath, ['--import', 'tsx', join(projectDir, 'server', 'main.ts')], {
      cwd: projectDir,
      // The server ends when this pipe does, so that a killed start leaves nothing serving behind.
      stdio: ['pipe', 'inherit', 'inherit'],
      detached: true,
      env: {
        ...env,
        NODE_ENV: 'production',
        BANTER_ENDS_WITH_STDIN: 'yes',
        PORT: String(port),
        DATABASE_URL: env.DATABASE_URL || database.url,
        BANTER_SECRET: env.BANTER_SECRET || secrets.sessionSecret,
      },
    });
    const code = await new Promise((resolve) => server.on('exit', (status) => resolve(status ?? 1)));
    if (asked) say('Banter has stopped.');
    return asked ? 0 : code;
  } finally {
    await database?.stop();
    giveBack();
  }
});
