/** One Banter per data folder: a second start is told so instead of fighting over the database. */
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Refusal } from './say.mjs';

/** Start time of a process in clock ticks since boot, so that a reused pid is not taken for the old one. */
function startedAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
  } catch {
    return null;
  }
}

/**
 * Takes the folder for this process; throws a Refusal when a living one holds it.
 * @param {string} dir
 * @returns {() => void} gives it back
 */
export function takeFolder(dir) {
  const file = join(dir, 'running.json');
  mkdirSync(dir, { recursive: true, mode: 0o700 });
  if (existsSync(file)) {
    try {
      const holder = JSON.parse(readFileSync(file, 'utf8'));
      if (holder.startedAt && startedAt(holder.pid) === holder.startedAt) {
        throw new Refusal(`Banter already runs on ${dir} (process ${holder.pid}); stop that one first, or set BANTER_DATA to another folder.`);
      }
    } catch (error) {
      if (error instanceof Refusal) throw error;
    }
  }
  writeFileSync(file, JSON.stringify({ pid: process.pid, startedAt: startedAt(process.pid) }));
  return () => rmSync(file, { force: true });
}
