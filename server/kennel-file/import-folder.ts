import { mkdir, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';

/** Where files lie that are being brought in: a folder for each process, so that what a dead one left can be told from what is in use. */
const all = () => join(tmpdir(), `banter-imports-${userInfo().username}`);
const own = () => join(all(), String(process.pid));

/** A new folder for one file, readable by nobody else. */
export async function importFolder(): Promise<string> {
  await mkdir(own(), { recursive: true, mode: 0o700 });
  return await mkdtemp(join(own(), 'file-'));
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Takes away what this process and those that are dead left behind; done at the start and at the stop. */
export async function clearLeftImports(): Promise<void> {
  const names = await readdir(all()).catch(() => []);
  const left = names.filter((name) => Number(name) === process.pid || !isAlive(Number(name)));
  await Promise.all(left.map((name) => rm(join(all(), name), { recursive: true, force: true })));
}
