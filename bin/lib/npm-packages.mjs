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
    // npm says the kind of error first and the reason on the line after it that is a sentence.
    const lines = done.output.split('\n').map((line) => line.replace(/^npm error\s*/, '').trim());
    const cause = lines.find((line) => / /.test(line) && !/^code /.test(line)) ?? `npm ci ended with ${done.code}`;
    throw new Refusal(`the npm packages could not be installed: ${cause}`);
  }
  writeFileSync(mark, lock);
}
