#!/usr/bin/env node
/**
 * `npm run cluster:releases [REVISION]`: a server of an earlier revision beside one of this, on one database that this has brought up to date: what both
 * show is asked of each, and records are kept through both under load; all that was acknowledged is looked for. Unless said, the revision is the last one
 * whose tables were others.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { onThrowawayCluster } from './lib/cluster.mjs';
import { acknowledgedMissing, beginLoad, signUp, tellLoad } from './lib/cluster-load.mjs';
import { runToEnd } from './lib/commands.mjs';
import { projectDir } from './lib/places.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const LOAD_MS = 20_000;
const LOOKS = [
  ...['today', 'dogs', 'field', 'wearing', 'upkeep', 'class', 'locker?shelf=collars', 'people', 'deeds'],
  `calendar?from=${new Date().toISOString().slice(0, 10)}&days=7`,
];

async function inFolder(cwd, program, ...args) {
  const done = await runToEnd(program, args, { cwd, quiet: true });
  if (done.code !== 0) throw new Refusal(`«${program} ${args.join(' ')}» said: ${done.output.trim().split('\n').at(-1)}`);
  return done.output.trim();
}

await run(async () => {
  const steps = await inFolder(projectDir, 'git', 'log', '-1', '--format=%H', '--', 'server/data/migrations');
  const revision = await inFolder(projectDir, 'git', 'rev-parse', '--verify', process.argv[2] ?? `${steps}^`);
  const earlier = mkdtempSync(join(tmpdir(), 'banter-earlier-'));
  try {
    say(`Revision ${revision.slice(0, 8)} is laid out and built …`);
    await inFolder(projectDir, 'git', 'worktree', 'add', '--detach', earlier, revision);
    await inFolder(earlier, 'npm', 'ci');
    await inFolder(earlier, 'npm', 'run', 'build');
    return await onThrowawayCluster({ env: { ...process.env, BANTER_SIGN_UPS_PER_HOUR: '1000000' } }, async (cluster) => {
      const { v7: uuidv7 } = await import('uuid');
      const second = cluster.servers[1];
      await second.drain();
      await second.start({ root: earlier });
      say('A server of that revision serves beside one of this.');
      const person = await signUp(cluster.address);
      let refused = 0;
      for (const server of cluster.servers)
        for (const look of LOOKS) {
          const { status } = await fetch(`http://${server.address}:8080/api/${look}`, { headers: { cookie: person.cookie } });
          if (status !== 200) say(`${server === second ? 'the earlier' : 'this'} answers ${look} with ${status}`);
          refused += status === 200 ? 0 : 1;
        }
      const load = beginLoad(cluster.address, person, uuidv7);
      await pause(LOAD_MS);
      tellLoad('both under load', load);
      await load.stop();
      const missing = await acknowledgedMissing(load, cluster.nodes);
      return refused + missing === 0 ? 0 : 1;
    });
  } finally {
    await runToEnd('git', ['worktree', 'remove', '--force', earlier], { cwd: projectDir, quiet: true });
    rmSync(earlier, { recursive: true, force: true });
  }
}, 'It cannot be tried');
