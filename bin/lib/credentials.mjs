/** Passwords made on this machine, kept in the data folder for its owner's eyes only. */
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

/**
 * @param {string} file
 * @returns {{ databasePassword: string, sessionSecret: string, backupKey: string }} `backupKey` seals what is written beside backups
 */
export function credentials(file) {
  const there = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
  if (there.databasePassword && there.sessionSecret && there.backupKey) return there;
  const made = {
    databasePassword: randomBytes(24).toString('base64url'),
    sessionSecret: randomBytes(32).toString('base64url'),
    backupKey: randomBytes(32).toString('base64url'),
    // What an earlier Banter made stays.
    ...there,
  };
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  writeFileSync(`${file}.new`, JSON.stringify(made, null, 2), { mode: 0o600 });
  renameSync(`${file}.new`, file);
  return made;
}
