#!/usr/bin/env node
/** `npm run rebuild`: works out anew what is kept as standing of dogs, and says what differed. Also while Banter is in use. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { reachDatabase, urlOf } from './lib/database-reach.mjs';
import { dataDir, projectDir } from './lib/places.mjs';
import { run } from './lib/say.mjs';

await run(async () => {
  const database = await reachDatabase(process.env, dataDir(process.env));
  try {
    const env = { ...process.env, DATABASE_URL: urlOf(database.reach) };
    const child = spawn(process.execPath, ['--import', 'tsx', join(projectDir, 'server', 'rebuild.ts')], { env, stdio: 'inherit' });
    process.exitCode = await new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  } finally {
    await database.stop();
  }
}, 'What stands cannot be worked out again');
