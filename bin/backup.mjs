#!/usr/bin/env node
/**
 * `npm run backup [-- FILE]`: the whole database into one file, consistent while Banter is in use, and tried at once: it is loaded into
 * a scratch database, and what was found there is written down beside it. Without FILE it goes into `backups` in the data folder.
 */
import { mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { dumpTo, tryRestore, writeManifest } from './lib/backup-file.mjs';
import { credentials } from './lib/credentials.mjs';
import { reachDatabase } from './lib/database-reach.mjs';
import { databasePackages, ensurePackages } from './lib/debian-packages.mjs';
import { dataDir } from './lib/places.mjs';
import { Refusal, run, say } from './lib/say.mjs';

await run(async () => {
  const dir = dataDir(process.env);
  const now = new Date().toISOString();
  const file = resolve(process.argv[2] ?? join(dir, 'backups', `banter-${now.slice(0, 19).replaceAll(':', '-')}.sql.gz`));
  await ensurePackages(databasePackages);
  const database = await reachDatabase(process.env, dir);
  const part = `${file}.part`;
  const { backupKey } = credentials(join(dir, 'credentials.json'));
  try {
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    await dumpTo(database.reach, part);
  } finally {
    await database.stop();
  }
  try {
    say('Trying it: it is loaded into a scratch database …');
    const contents = await tryRestore(part);
    if (contents.steps.length === 0) throw new Refusal('what was written down is no database of Banter’s.');
    renameSync(part, file);
    const { tables } = await writeManifest(file, contents, now, backupKey);
    const rows = Object.values(tables).reduce((sum, table) => sum + table.rows, 0);
    say(
      `Backed up: ${file}, ${(statSync(file).size / 1e6).toFixed(1)} MB, ${Object.keys(tables).length} tables, ${rows} rows. Loaded again, all of it was there.`,
    );
    say('Store it, and the .json beside it, on another machine: whoever has it has every kennel in it.');
  } finally {
    rmSync(part, { force: true });
  }
}, 'Banter cannot be backed up');
