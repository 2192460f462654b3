#!/usr/bin/env node
/**
 * `npm run cluster:survive [MINUTES]`: a cluster under load whose parts are killed and stopped one after another, then by chance for so many minutes;
 * afterwards every record that was acknowledged is looked for on every node. Says for each how long nothing could be kept and what was refused.
 */
import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { clusterPackages, startCluster } from './lib/cluster.mjs';
import { ensurePackages } from './lib/debian-packages.mjs';
import { ensureNpmPackages } from './lib/npm-packages.mjs';
import { Refusal, run, say } from './lib/say.mjs';
import { ensureWebBuild } from './lib/web-build.mjs';

const WRITERS = 12;
/** A phone's outbox asks again after so long, ms. */
const AGAIN_MS = 150;
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** What became of one request: its status, or why there was no answer. */
async function keep(url, cookie, body) {
  try {
    const answer = await fetch(url, { method: 'PUT', headers: { cookie, 'content-type': 'application/json' }, body, signal: AbortSignal.timeout(15_000) });
    await answer.arrayBuffer();
    return answer.status;
  } catch (error) {
    return error.cause?.code ?? error.name;
  }
}

/** Phones that keep places, each one after another, and ask again with the same id until it is acknowledged. */
function load(address, cookie, uuidv7) {
  const acknowledged = [];
  const refusals = [];
  let stopping = false;
  let lastAt = performance.now();
  let longest = 0;
  let slowest = 0;
  const writer = async (number) => {
    for (let count = 0; !stopping; count += 1) {
      const id = uuidv7();
      const body = JSON.stringify({ name: `Field ${number}.${count}`, collars: {}, checkedBy: '', checkedOn: null, source: '', retiredAt: null });
      const begun = performance.now();
      for (;;) {
        const status = await keep(`${address}/api/places/${id}`, cookie, body);
        if (status === 201 || status === 200) break;
        refusals.push(status);
        await pause(AGAIN_MS);
        if (stopping) return;
      }
      const now = performance.now();
      acknowledged.push(id);
      longest = Math.max(longest, now - lastAt);
      slowest = Math.max(slowest, now - begun);
      lastAt = now;
    }
  };
  const all = Array.from({ length: WRITERS }, (_none, number) => writer(number));
  return {
    acknowledged,
    /** What happened since it was asked last. */
    since: () => {
      longest = Math.max(longest, performance.now() - lastAt);
      const seen = { count: acknowledged.length, longest, slowest, refused: refusals.splice(0) };
      [longest, slowest] = [0, 0];
      return seen;
    },
    stop: () => ((stopping = true), Promise.all(all)),
  };
}

await run(async () => {
  const minutes = Number(process.argv[2] ?? 0);
  await ensurePackages(clusterPackages);
  await ensureNpmPackages();
  await ensureWebBuild();
  const { v7: uuidv7 } = await import('uuid');
  const dir = mkdtempSync(join(tmpdir(), 'banter-survive-'));
  const options = { dir, password: randomBytes(12).toString('hex'), secret: 'for trying' };
  let cluster = await startCluster(options);
  try {
    const account = {
      kennelName: 'Survives',
      name: 'Tester',
      email: 'survives@example.org',
      password: 'a long password',
      timeZone: 'Europe/London',
      lengthUnit: 'cm',
      massUnit: 'kg',
    };
    const signedUp = await fetch(`${cluster.address}/api/sign-up`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(account),
    });
    if (signedUp.status !== 201) throw new Refusal(`nobody can sign up: ${await signedUp.text()}`);
    const cookie = signedUp.headers
      .getSetCookie()
      .map((one) => one.split(';')[0])
      .join('; ');
    let writing = load(cluster.address, cookie, uuidv7);
    const kept = [];
    const [nodes, servers] = [cluster.nodes, cluster.servers];
    const wordsOf = (refused) => {
      const counts = new Map();
      for (const what of refused) counts.set(what, (counts.get(what) ?? 0) + 1);
      return [...counts].map(([what, count]) => `${count} × ${what}`).join(', ') || 'none';
    };
    const tell = (what) => {
      const { longest, slowest, refused } = writing.since();
      say(
        `${what.padEnd(34)} nothing kept for ${(longest / 1000).toFixed(2)} s at most · slowest ${(slowest / 1000).toFixed(2)} s · refused ${wordsOf(refused)}`,
      );
    };
    const STEPS = [
      ['a node that is written to, killed', async (one = nodes[0]) => (await one.kill(), await pause(12_000), one), (one) => one.start()],
      ['a node that stands by, killed', async (one = nodes[2]) => (await one.kill(), await pause(6000), one), (one) => one.start()],
      ['a node that is written to, hanging', async (one = nodes[0]) => (one.hang(), await pause(15_000), one), (one) => one.goOn()],
      ['a node, stopped in order', async (one = nodes[1]) => (await one.stop(), await pause(4000), one), (one) => one.start()],
      ['a server, killed', async (one = servers[0]) => (await one.kill(), await pause(4000), one), (one) => one.start()],
      ['a server, stopped in order', async (one = servers[1]) => (await one.drain(), await pause(2000), one), (one) => one.start()],
    ];
    await pause(5000);
    tell('nothing happens');
    for (const [what, hit, mend] of STEPS) {
      const one = await hit();
      tell(what);
      await mend(one);
      await pause(4000);
      tell('… and back');
    }
    const until = performance.now() + minutes * 60_000;
    while (performance.now() < until) {
      const [what, hit, mend] = STEPS[Math.floor(Math.random() * STEPS.length)];
      const of = /node/.test(what) ? nodes : servers;
      const one = await hit(of[Math.floor(Math.random() * of.length)]);
      await mend(one);
      await pause(1000 + Math.random() * 4000);
      tell(what);
    }
    await writing.stop();
    kept.push(...writing.acknowledged);
    await pause(1000);
    const lookFor = async (node) => {
      const there = new Set((await node.sql('SELECT id FROM places', 'banter')).split('\n'));
      return kept.filter((id) => !there.has(id)).length;
    };
    const lost = await Promise.all(cluster.nodes.map(lookFor));
    say(`${kept.length} records acknowledged; of those missing on the nodes: ${lost.join(', ')}`);
    say('All of it is killed at once and begun again …');
    await Promise.all([...servers, ...nodes].map((one) => one.kill()));
    await cluster.stop();
    cluster = await startCluster(options);
    const after = await Promise.all(cluster.nodes.map(lookFor));
    say(`afterwards missing: ${after.join(', ')}`);
    return [...lost, ...after].some((count) => count > 0) ? 1 : 0;
  } finally {
    await cluster.stop();
    rmSync(dir, { recursive: true, force: true });
  }
}, 'It cannot be tried');
