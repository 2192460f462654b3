#!/usr/bin/env node
/**
 * `npm run restore -- FILE [--from-elsewhere]`: puts a backup in the place of what is there. The file is tried in a scratch database first; what it
 * replaces is backed up before; afterwards every table is held against what was backed up. An older backup is brought up to date by
 * the next start. One that is broken off is undone by the next start. Refused while Banter runs; so is a backup that was not made on this folder, unless it is said to be from elsewhere.
 */
import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { contentsOf, differenceOf, dumpTo, loadFrom, readManifest, tryRestore, writeManifest } from './lib/backup-file.mjs';
import { credentials } from './lib/credentials.mjs';
import { ask, reachDatabase, reachOf, urlOf } from './lib/database-reach.mjs';
import { databasePackages, ensurePackages } from './lib/debian-packages.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { takeFolder } from './lib/only-one.mjs';
import { dataDir } from './lib/places.mjs';
import { beginRestore, emptyOut, endRestore, finishRestore } from './lib/restoring.mjs';
import { Refusal, run, say } from './lib/say.mjs';

/** The database to restore into: a new one where the folder has none. */
async function target(env, dir) {
  if (env.DATABASE_URL || existsSync(join(dir, 'database', 'mysql'))) return reachDatabase(env, dir);
  const database = await startMariadb({ dir, password: credentials(join(dir, 'credentials.json')).databasePassword });
  return { reach: reachOf(database.url), stop: database.stop };
}

await run(async () => {
  const named = process.argv.slice(2).find((word) => !word.startsWith('--'));
  const fromElsewhere = process.argv.includes('--from-elsewhere');
  if (!named) throw new Refusal('name the backup: npm run restore -- FILE.');
  const file = resolve(named);
  const dir = dataDir(process.env);
  const { backupKey } = credentials(join(dir, 'credentials.json'));
  const manifest = await readManifest(file, { key: backupKey, fromElsewhere });
  await ensurePackages(databasePackages);
  // Nobody may work meanwhile: a Banter that runs on the folder holds it.
  const giveBack = takeFolder(dir);
  try {
    say('Trying the backup in a scratch database …');
    const tried = await tryRestore(file);
    const wrong = differenceOf(manifest, tried);
    if (wrong) throw new Refusal(`the backup does not hold what it says: ${wrong}. Nothing has been changed.`);
    const database = await target(process.env, dir);
    try {
      const { reach } = database;
      const others = (await ask(reach, 'SELECT COUNT(*) FROM information_schema.processlist WHERE db = DATABASE() AND id <> CONNECTION_ID()')).flat()[0];
      if (Number(others) > 0) throw new Refusal('somebody works in this database: stop every Banter on it first. Nothing has been changed.');
      await finishRestore(dir, urlOf(reach));
      const before = await contentsOf(reach);
      let kept = null;
      if (Object.keys(before.tables).length > 0) {
        const now = new Date().toISOString();
        kept = join(dir, 'backups', `before-restore-${now.slice(0, 19).replaceAll(':', '-')}.sql.gz`);
        mkdirSync(join(dir, 'backups'), { recursive: true, mode: 0o700 });
        await dumpTo(reach, kept);
        await writeManifest(kept, before, now, backupKey);
        say(`What was there is kept: ${kept}`);
      }
      beginRestore(dir, process.env, reach, kept);
      await emptyOut(reach);
      await loadFrom(reach, file);
      const difference = differenceOf(tried, await contentsOf(reach));
      if (difference) throw new Refusal(`after loading, ${difference}. The next start puts back what was there before.`);
      endRestore(dir);
    } finally {
      await database.stop();
    }
    say(`Restored as of ${manifest.madeAt}. «npm start» brings it up to date and serves it.`);
  } finally {
    giveBack();
  }
}, 'The backup cannot be restored');
