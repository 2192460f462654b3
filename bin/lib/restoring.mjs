/** Putting a backup in the place of what is there, so that it is whole whenever it is broken off: what was begun is undone by the next start. */
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { loadFrom } from './backup-file.mjs';
import { ask, reachOf } from './database-reach.mjs';
import { Refusal, say } from './say.mjs';

const noteOf = (dir) => join(dir, 'restoring.json');

/** By what a database is known again: the folder's own has another port each time. */
const nameOf = (env, reach) => (env.DATABASE_URL ? `${reach.host}:${reach.port}/${reach.schema}` : 'own');

/**
 * Writes down, before anything is changed, what is to be put back if this is broken off; `undo` is a backup of what is there, null when there is nothing.
 * @param {string} dir @param {NodeJS.ProcessEnv} env @param {import('./database-reach.mjs').Reach} reach @param {string | null} undo
 */
export function beginRestore(dir, env, reach, undo) {
  writeFileSync(`${noteOf(dir)}.new`, JSON.stringify({ database: nameOf(env, reach), undo }), { mode: 0o600 });
  renameSync(`${noteOf(dir)}.new`, noteOf(dir));
}

/** It is done: nothing is to be undone. */
export const endRestore = (dir) => rmSync(noteOf(dir), { force: true });

/**
 * Takes out all tables of a schema.
 * @param {import('./database-reach.mjs').Reach} reach
 */
export async function emptyOut(reach) {
  const names = (await ask(reach, "SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'")).flat();
  if (names.length > 0) await ask(reach, ['SET FOREIGN_KEY_CHECKS = 0', ...names.map((name) => `DROP TABLE \`${name}\``)].join('; '));
}

/**
 * Undoes a restore that was broken off; nothing where none was.
 * @param {string} dir @param {string} url @param {NodeJS.ProcessEnv} env
 */
export async function finishRestore(dir, url, env = process.env) {
  if (!existsSync(noteOf(dir))) return;
  const { database, undo } = JSON.parse(readFileSync(noteOf(dir), 'utf8'));
  const reach = reachOf(url);
  if (database !== nameOf(env, reach)) {
    throw new Refusal(
      `a restore into ${database === 'own' ? 'the database of this folder' : database} was broken off; start Banter on that one first, or take ${noteOf(dir)} away.`,
    );
  }
  say('A restore was broken off: what was there before is put back …');
  if (undo !== null && !existsSync(undo)) throw new Refusal(`a restore was broken off, and ${undo}, which holds what was there before, is missing.`);
  await emptyOut(reach);
  if (undo !== null) await loadFrom(reach, undo);
  endRestore(dir);
  say('It is as it was before the restore.');
}
