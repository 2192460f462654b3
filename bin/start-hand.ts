import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach } from 'vitest';

export const project = join(import.meta.dirname, '..');
const begun: ChildProcess[] = [];
const folders: string[] = [];
export const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'banter-start-'));
  folders.push(made);
  return made;
};
export const until = async (true_: () => boolean | Promise<boolean>, what: string, ms = 90_000) => {
  const end = Date.now() + ms;
  while (!(await true_())) {
    if (Date.now() > end) throw new Error(`waited in vain for: ${what}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
};

/** Runs a script of `bin`; collects what it says. */
export function runScript(script: string, env: Record<string, string>, args: readonly string[] = []) {
  const child = spawn(process.execPath, [join(project, 'bin', script), ...args], {
    cwd: project,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  begun.push(child);
  const run = { child, said: '', code: null as number | null };
  child.stdout.on('data', (chunk) => (run.said += chunk));
  child.stderr.on('data', (chunk) => (run.said += chunk));
  child.on('exit', (code) => (run.code = code ?? -1));
  return run;
}
export const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
export const health = (port: number) =>
  fetch(`http://127.0.0.1:${port}/api/health`).then(
    (answer) => answer.status,
    () => 0,
  );
/** The server that a start runs, or 0. */
export const serverOf = (startPid: number) => {
  try {
    return Number(
      execFileSync('pgrep', ['-P', String(startPid), '-f', 'server/main.ts'])
        .toString()
        .trim()
        .split('\n')[0],
    );
  } catch {
    return 0;
  }
};
export const databaseOf = (dir: string) => {
  try {
    return Number(
      execFileSync('pgrep', ['-f', `[d]atadir=${join(dir, 'database')}`])
        .toString()
        .trim()
        .split('\n')[0],
    );
  } catch {
    return 0;
  }
};

/** Waits for a database on this folder and kills it. What was seen is what is killed: looked up again it may be gone, and process 0 is one's own group. */
export async function killDatabase(dir: string): Promise<void> {
  let seen = 0;
  await until(() => (seen = databaseOf(dir)) > 1, 'a database to kill');
  try {
    process.kill(seen, 'SIGKILL');
  } catch (fault) {
    // It died by itself in between.
    if ((fault as NodeJS.ErrnoException).code !== 'ESRCH') throw fault;
  }
}

afterEach(async () => {
  for (const child of begun.splice(0))
    if (child.exitCode === null && child.signalCode === null) await new Promise((resolve) => (child.once('exit', resolve), child.kill('SIGTERM')));
  for (const made of folders.splice(0)) rmSync(made, { recursive: true, force: true });
});

/** Runs `npm start`’s script. */
export const start = (env: Record<string, string>) => runScript('start.mjs', env);
