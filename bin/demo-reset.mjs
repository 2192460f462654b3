#!/usr/bin/env node
/** `npm run demo:reset`: puts the demo kennel back as it was made. What visitors did in it, and their sign-ins, are gone; no other kennel is touched. */
import { join } from 'node:path';
import { runToEnd } from './lib/commands.mjs';
import { reachDatabase, urlOf } from './lib/database-reach.mjs';
import { databasePackages, ensurePackages } from './lib/debian-packages.mjs';
import { ensureNpmPackages } from './lib/npm-packages.mjs';
import { dataDir, projectDir } from './lib/places.mjs';
import { run } from './lib/say.mjs';

await run(async () => {
  await ensurePackages(databasePackages);
  await ensureNpmPackages();
  const database = await reachDatabase(process.env, dataDir(process.env));
  try {
    const { code } = await runToEnd(process.execPath, ['--import', 'tsx', join(projectDir, 'server', 'demo', 'put-demo-back.ts')], {
      cwd: projectDir,
      env: { ...process.env, DATABASE_URL: urlOf(database.reach) },
    });
    return code;
  } finally {
    await database.stop();
  }
}, 'The demo cannot be put back');
