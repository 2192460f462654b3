#!/usr/bin/env node
/**
 * `npm run cluster:survive [MINUTES]`: a cluster under load to which one thing after another happens, then for so many minutes by chance; afterwards every
 * record that was acknowledged is looked for on every node, and once more after all of it was killed at once. Says for each how long nothing could be kept
 * and what was refused. What needs root (a network that is cut, a full disk, clocks that are off) is left out where there is none. With a second
 * argument, a regular expression, only what is called so happens.
 */
import { setTimeout as pause } from 'node:timers/promises';
import { ensureCertificates } from './lib/certificates.mjs';
import { CERTIFIED, certificatesIn, nodeFolder, onThrowawayCluster } from './lib/cluster.mjs';
import { byClock, harmPackages, harms, onSmallDisk } from './lib/cluster-harm.mjs';
import { acknowledgedMissing, beginLoad, signUp, tellLoad } from './lib/cluster-load.mjs';
import { ensurePackages } from './lib/debian-packages.mjs';
import { run, say } from './lib/say.mjs';

const DAY_MINUTES = 24 * 60;

await run(async () => {
  const minutes = Number(process.argv[2] ?? 0);
  const only = new RegExp(process.argv[3] ?? '');
  const may = { root: process.getuid?.() === 0 };
  if (may.root) await ensurePackages(harmPackages);
  else say('Without root no network is cut, no disk filled and no clock set wrong.');
  /** The disk of a node by itself, where one is filled; and certificates that hold by a clock that is behind as well. */
  async function ground(dir) {
    if (!may.root) return () => {};
    await ensureCertificates(certificatesIn(dir), CERTIFIED, { ...process.env, ...byClock(-DAY_MINUTES) });
    return onSmallDisk(nodeFolder(dir, 3));
  }
  return onThrowawayCluster({ ground, env: { ...process.env, BANTER_SIGN_UPS_PER_HOUR: '1000000' } }, async (cluster, begin) => {
    const { v7: uuidv7 } = await import('uuid');
    const load = beginLoad(cluster.address, await signUp(cluster.address), uuidv7);
    const tell = (what) => tellLoad(what, load);
    const steps = harms(cluster, may);
    await pause(5000);
    tell('nothing happens');
    for (const { what, to, hit, ms, mend } of steps.filter((one) => only.test(one.what))) {
      await hit(to);
      await pause(ms);
      tell(what);
      await mend(to);
      await pause(4000);
      tell('… and back');
    }
    const until = performance.now() + minutes * 60_000;
    const byChance = steps.filter(({ any }) => any);
    const oneOf = (list) => list[Math.floor(Math.random() * list.length)];
    while (performance.now() < until) {
      const { what, any, hit, ms, mend } = oneOf(byChance);
      const one = oneOf(any);
      await hit(one);
      await pause(ms * Math.random());
      await mend(one);
      await pause(1000 + Math.random() * 4000);
      tell(`${what} (${one.number})`);
    }
    await load.stop();
    await pause(1000);
    const lost = await acknowledgedMissing(load, cluster.nodes);
    say('All of it is killed at once and begun again …');
    await Promise.all([...cluster.servers, ...cluster.nodes].map((one) => one.kill()));
    await cluster.stop();
    const again = await begin();
    return lost + (await acknowledgedMissing(load, again.nodes)) > 0 ? 1 : 0;
  });
}, 'It cannot be tried');
