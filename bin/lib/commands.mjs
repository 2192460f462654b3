/** Running other programs from the scripts that run before anything is installed. */
import { spawn, spawnSync } from 'node:child_process';
import { accessSync, constants } from 'node:fs';
import { delimiter, join } from 'node:path';

/**
 * The path of a program, or null. Debian keeps servers in sbin, which a plain user's PATH may lack.
 * @param {string} program
 * @param {NodeJS.ProcessEnv} env
 */
export function which(program, env = process.env) {
  const folders = [...(env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/bin', '/usr/local/sbin'];
  for (const folder of folders) {
    if (!folder) continue;
    const path = join(folder, program);
    try {
      accessSync(path, constants.X_OK);
      return path;
    } catch {
      // not here
    }
  }
  return null;
}

/**
 * Runs a program to its end, showing or keeping its output.
 * @param {string} program
 * @param {string[]} args
 * @param {{ cwd?: string, env?: NodeJS.ProcessEnv, quiet?: boolean, input?: string }} [options] `input` is what it reads
 * @returns {Promise<{ code: number, output: string }>}
 */
export function runToEnd(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd: options.cwd,
      env: options.env ?? process.env,
      stdio: [options.input === undefined ? 'ignore' : 'pipe', 'pipe', 'pipe'],
    });
    // A program that ends before it has read all of it says why in its own words.
    child.stdin?.on('error', () => {}).end(options.input);
    let output = '';
    const keep = (chunk) => {
      output += chunk;
      if (!options.quiet) process.stdout.write(chunk);
    };
    child.stdout.on('data', keep);
    child.stderr.on('data', keep);
    child.on('error', reject);
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** Whether `sudo` works here without asking for a password. */
export function sudoWithoutPassword() {
  return which('sudo') !== null && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
}
