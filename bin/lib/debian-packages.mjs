/** The Debian packages Banter stands on, installed when that is allowed, asked for when it is not. */
import { existsSync } from 'node:fs';
import { runToEnd, sudoWithoutPassword, which } from './commands.mjs';
import { Refusal, say } from './say.mjs';

/** Program, or a file by its whole path, that proves a package is there → the package. */
export const databasePackages = { mariadbd: 'mariadb-server', 'mariadb-admin': 'mariadb-client' };
export const browserPackages = { chromium: 'chromium' };
/** What the tests read PDFs with. */
export const readerPackages = { pdftotext: 'poppler-utils', pdfimages: 'poppler-utils' };

/**
 * How missing packages can be had: nothing to do, a command to run, or a sentence to show.
 * @param {Record<string, string>} needed program → package
 * @param {{ has: (program: string) => boolean, root: boolean, sudo: boolean, apt: boolean }} machine
 */
export function packagePlan(needed, machine) {
  const missing = [
    ...new Set(
      Object.entries(needed)
        .filter(([program]) => !machine.has(program))
        .map(([, name]) => name),
    ),
  ];
  if (missing.length === 0) return { kind: 'ready' };
  const install = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (machine.apt && (machine.root || machine.sudo)) return { kind: 'install', missing, sudo: !machine.root };
  return {
    kind: 'refuse',
    sentence: `the Debian package${missing.length > 1 ? 's' : ''} ${missing.join(' and ')} ${
      missing.length > 1 ? 'are' : 'is'
    } missing and may not be installed by this user; run «sudo ${install}» and start again.`,
  };
}

/**
 * Makes sure the packages are there.
 * @param {Record<string, string>} needed
 */
export async function ensurePackages(needed) {
  const plan = packagePlan(needed, {
    has: (program) => (program.startsWith('/') ? existsSync(program) : which(program) !== null),
    root: process.getuid?.() === 0,
    sudo: process.getuid?.() !== 0 && sudoWithoutPassword(),
    apt: which('apt-get') !== null,
  });
  if (plan.kind === 'ready') return;
  if (plan.kind === 'refuse') throw new Refusal(plan.sentence);
  say(`Installing ${plan.missing.join(', ')} …`);
  const [program, before] = plan.sudo ? ['sudo', ['-n', 'env']] : ['env', []];
  const apt = (...args) => runToEnd(program, [...before, 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args], { quiet: true });
  const install = ['install', '-y', '-q', '--no-install-recommends', ...plan.missing];
  let done = await apt(...install);
  if (done.code !== 0) {
    await apt('update', '-q');
    done = await apt(...install);
  }
  if (done.code !== 0) {
    const last = done.output.trim().split('\n').at(-1);
    throw new Refusal(`installing ${plan.missing.join(', ')} failed: ${last}`);
  }
}
