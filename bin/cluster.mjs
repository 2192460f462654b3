#!/usr/bin/env node
/**
 * `npm run cluster [SERVERS]`: Banter on a cluster, on this machine, for trying: three nodes of the database, two servers unless said, HAProxy in
 * front, one address; everything is stopped again on Ctrl-C. docs/cluster.md has the same for real machines.
 */
import { join } from 'node:path';
import { ensureClusterParts, startCluster } from './lib/cluster.mjs';
import { credentials } from './lib/credentials.mjs';
import { takeFolder } from './lib/only-one.mjs';
import { dataDir } from './lib/places.mjs';
import { Refusal, run, say } from './lib/say.mjs';

await run(async () => {
  const servers = Number(process.argv[2] ?? 2);
  if (![1, 2].includes(servers)) throw new Refusal('the balancer on this machine knows one server or two: «npm run cluster 2».');
  const dir = join(dataDir(process.env), 'cluster');
  const giveBack = takeFolder(dir);
  const asked = new Promise((resolve) => ['SIGINT', 'SIGTERM'].forEach((signal) => process.on(signal, resolve)));
  try {
    await ensureClusterParts();
    const { databasePassword, sessionSecret } = credentials(join(dir, 'credentials.json'));
    const cluster = await startCluster({ dir, password: databasePassword, secret: sessionSecret, servers });
    say(`Banter is at ${cluster.address}, on three nodes and ${servers === 1 ? 'one server' : `${servers} servers`}.\nCtrl-C stops everything.`);
    await asked;
    say('Stopping …');
    await cluster.stop();
    say('The cluster has stopped.');
    return 0;
  } finally {
    giveBack();
  }
}, 'The cluster cannot start');
