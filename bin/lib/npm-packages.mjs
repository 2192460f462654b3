/** The npm packages: installed from the lockfile, again only when the lockfile changed. */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runToEnd } from './commands.mjs';
import { projectDir } from './places.mjs';
import { Refusal, say } from './say.mjs';

export async function ensureNpmPackages() {
  const mark = join(projectDir, 'node_modules', '.banter-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(projectDir, 'package-lock.json')))
    .digest('hex');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  say('Installing the npm packages …');
  const done = await runToEnd('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error'], { cwd: projectDir, quiet: true });
  if (done.code !== 0) {
    const cause = done.output.split('\n').find((line) => /error/i.test(line)) ?? `npm ci ended with ${done.code}`;
    throw new Refusal(`the npm packages could not be installed: ${cause.trim()}`);
  }
  writeFileSync(mark, lock);
}
