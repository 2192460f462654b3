/** The built pages: made again only when something they are made from has changed. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runToEnd } from './commands.mjs';
import { projectDir } from './places.mjs';
import { Refusal, say } from './say.mjs';

const madeFrom = ['core', 'contract', 'web', 'package-lock.json'];
const leaveOut = new Set(['dist', 'node_modules']);

function* filesBelow(path) {
  const entries = readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1));
  for (const entry of entries) {
    if (leaveOut.has(entry.name) || entry.name.endsWith('.test.ts')) continue;
    const inside = join(path, entry.name);
    if (entry.isDirectory()) yield* filesBelow(inside);
    else yield inside;
  }
}

function sourcesHash() {
  const hash = createHash('sha256');
  for (const part of madeFrom) {
    const path = join(projectDir, part);
    const files = part.includes('.') ? [path] : filesBelow(path);
    for (const file of files) hash.update(file.slice(projectDir.length)).update('\0').update(readFileSync(file)).update('\0');
  }
  return hash.digest('hex');
}

export async function ensureWebBuild() {
  const mark = join(projectDir, 'dist', '.banter-sources');
  const now = sourcesHash();
  if (existsSync(mark) && existsSync(join(projectDir, 'build', 'paper-drawings.js')) && readFileSync(mark, 'utf8') === now) return;
  say('Building the pages …');
  // The pages, and the drawings apart, which the server puts on paper.
  const builds = [['web'], ['web', '--config', 'web/vite.server.config.ts']];
  for (const build of builds) {
    // Pages that are served are the real ones, whatever else this process is for.
    const env = { ...process.env, NODE_ENV: 'production' };
    const done = await runToEnd('npx', ['vite', 'build', ...build, '--logLevel', 'warn'], { cwd: projectDir, env, quiet: true });
    if (done.code !== 0) throw new Refusal(`the pages could not be built:\n${done.output.trim()}`);
  }
  writeFileSync(mark, now);
}
