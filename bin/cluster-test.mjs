#!/usr/bin/env node
/** `npm run cluster:test [ROUNDS]`: what must hold on a cluster, tried on one that is started for it and thrown away: two servers on two nodes. */
import { spawn } from 'node:child_process';
import { onThrowawayCluster } from './lib/cluster.mjs';
import { projectDir } from './lib/places.mjs';
import { run } from './lib/say.mjs';

const DATABASE = 'banter_test_two';

await run(
  () =>
    onThrowawayCluster({ servers: 0 }, async (cluster) => {
      await cluster.nodes[0].sql(
        `CREATE DATABASE ${DATABASE} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci; GRANT ALL ON ${DATABASE}.* TO 'banter'@'127.0.0.1'`,
      );
      const tests = spawn('npx', ['vitest', 'run', '--project', 'cluster', ...process.argv.slice(3)], {
        cwd: projectDir,
        stdio: 'inherit',
        env: {
          ...process.env,
          BANTER_CLUSTER_NODES: cluster.nodes.map(({ address }) => cluster.urlOf(address, DATABASE)).join(' '),
          ...(process.argv[2] ? { BANTER_ROUNDS: process.argv[2] } : {}),
        },
      });
      return new Promise((resolve) => tests.on('exit', (status) => resolve(status ?? 1)));
    }),
  'The cluster cannot be tried',
);
