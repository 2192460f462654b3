/** What can happen to a cluster, done to one on this machine, and how it is put right again. */
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { runToEnd } from './commands.mjs';
import { Refusal } from './say.mjs';

/** What a root user is needed for: packets that are dropped, a disk of its own for a node, and what runs a program by another clock. */
export const harmPackages = {
  nft: 'nftables',
  '/usr/lib/x86_64-linux-gnu/faketime/libfaketimeMT.so.1': 'faketime',
};
/** A node's rows, its log and what it keeps for others that were away for a while fit, and little more, MB. */
const SMALL_DISK_MB = 700;
const CLOCK_OFF_MINUTES = 5;
const CUT = 'banter_cut';
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

async function asRoot(program, args, input) {
  const done = await runToEnd(program, args, { quiet: true, input });
  if (done.code !== 0) throw new Refusal(`${program} said: ${done.output.trim().split('\n').at(-1)}`);
}

/** Nothing goes between a node and the others any more; whoever asks it for rows still reaches it. */
const cutOff = (node, others) => {
  const rest = `{ ${others.map(({ address }) => address).join(', ')} }`;
  return asRoot(
    'nft',
    ['-f', '-'],
    `table ip ${CUT} {
       chain out {
         type filter hook output priority 0;
         ip saddr ${node.address} ip daddr ${rest} drop
         ip saddr ${rest} ip daddr ${node.address} drop
       }
     }`,
  );
};
const joinAgain = () => asRoot('nft', ['delete', 'table', 'ip', CUT]);

/** The folder of a node becomes a disk of its own; answers what takes it away again. */
export async function onSmallDisk(folder) {
  mkdirSync(folder, { recursive: true });
  await asRoot('mount', ['-t', 'tmpfs', '-o', `size=${SMALL_DISK_MB}m,mode=700`, 'tmpfs', folder]);
  return () => asRoot('umount', ['-l', folder]);
}
const fillerOf = ({ databaseDir }) => join(databaseDir, 'filler.pem');
function fill(node) {
  const file = openSync(fillerOf(node), 'w');
  const megabyte = Buffer.alloc(1 << 20);
  try {
    for (;;) writeSync(file, megabyte);
  } catch (error) {
    if (error.code !== 'ENOSPC') throw error;
  } finally {
    closeSync(file);
  }
}

/** The environment of a program whose clock is so far off. */
export const byClock = (minutes) => ({
  LD_PRELOAD: '/usr/lib/x86_64-linux-gnu/faketime/libfaketimeMT.so.1',
  FAKETIME: `${minutes > 0 ? '+' : ''}${minutes}m`,
  FAKETIME_DONT_FAKE_MONOTONIC: '1',
  FAKETIME_DONT_RESET: '1',
});

/** A node that does not come up is started again, as systemd does: two at a time may find nobody to give them their rows. */
async function startUntilUp(node, times = 5) {
  for (let time = 1; ; time += 1)
    try {
      return await node.start();
    } catch (error) {
      if (time === times) throw error;
      await pause(5000);
    }
}

/**
 * The steps, for a cluster: what is done, for how long, and how it is put right. Each names whom it may be done to by chance (`any`), or nothing
 * where it is done once, as written. `may` says what this machine lets us do.
 * @param {{ nodes: any[], servers: any[] }} cluster @param {{ root: boolean }} may
 */
export function harms({ nodes, servers }, may) {
  const others = (node) => nodes.filter((one) => one !== node);
  const always = [
    { what: 'a node that is written to, killed', to: nodes[0], any: nodes, hit: (one) => one.kill(), ms: 12_000, mend: (one) => one.start() },
    { what: 'a node that stands by, killed', to: nodes[2], hit: (one) => one.kill(), ms: 6000, mend: (one) => one.start() },
    { what: 'a node that is written to, hanging', to: nodes[0], any: nodes, hit: (one) => one.hang(), ms: 15_000, mend: (one) => one.goOn() },
    { what: 'a node, stopped in order', to: nodes[1], any: nodes, hit: (one) => one.stop(), ms: 4000, mend: (one) => one.start() },
    { what: 'a server, killed', to: servers[0], any: servers, hit: (one) => one.kill(), ms: 4000, mend: (one) => one.start() },
    { what: 'a server, stopped in order', to: servers[1], any: servers, hit: (one) => one.drain(), ms: 2000, mend: (one) => one.start() },
    {
      what: 'two of three nodes, killed',
      to: nodes[0],
      hit: (one) => Promise.all(others(one).map((other) => other.kill())),
      ms: 8000,
      mend: (one) => Promise.all(others(one).map((other) => startUntilUp(other))),
    },
    {
      what: 'all nodes and servers renewed in turn',
      to: nodes[0],
      ms: 0,
      hit: async (one) => {
        // The one that is written to comes last.
        for (const node of [...others(one), one]) {
          await node.stop();
          await node.start();
          await pause(3000);
        }
        for (const server of servers) {
          await server.drain();
          await server.start();
          await pause(1500);
        }
      },
      mend: async () => {},
    },
  ];
  if (!may.root) return always;
  return [
    ...always,
    { what: 'a node that is written to, cut off', to: nodes[0], any: nodes, hit: (one) => cutOff(one, others(one)), ms: 60_000, mend: async (one) => (await joinAgain(), await one.untilInStep()) }, // prettier-ignore
    {
      what: 'the disk of a node, full',
      to: nodes[2],
      ms: 0,
      hit: async (one) => {
        fill(one);
        await pause(20_000);
      },
      mend: async (one) => {
        rmSync(fillerOf(one), { force: true });
        // It has left the others and runs on by itself.
        await one.stop();
        await startUntilUp(one);
      },
    },
    ...[CLOCK_OFF_MINUTES, -CLOCK_OFF_MINUTES].flatMap((minutes) => [
      {
        what: `the clock of a node, ${minutes} min`,
        to: nodes[0],
        ms: 6000,
        hit: async (one) => (await one.stop(), await one.start({ env: byClock(minutes) })),
        mend: async (one) => (await one.stop(), await one.start()),
      },
      {
        what: `the clock of a server, ${minutes} min`,
        to: servers[0],
        ms: 6000,
        hit: async (one) => (await one.drain(), await one.start({ env: byClock(minutes) })),
        mend: async (one) => (await one.drain(), await one.start()),
      },
    ]),
  ];
}
