#!/usr/bin/env node
/** `npm run cluster:test [ROUNDS]`: what must hold on a cluster, tried on one that is started for it and thrown away: two servers on two nodes. */
import { randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { clusterPackages, startCluster } from './lib/cluster.mjs';
import { ensurePackages } from './lib/debian-packages.mjs';
import { ensureNpmPackages } from './lib/npm-packages.mjs';
import { projectDir } from './lib/places.mjs';
import { run, say } from './lib/say.mjs';
import { ensureWebBuild } from './lib/web-build.mjs';

await run(async () => {
  await ensurePackages(clusterPackages);
  await ensureNpmPackages();
  await ensureWebBuild();
  const dir = mkdtempSync(join(tmpdir(), 'banter-cluster-test-'));
  const password = randomBytes(12).toString('hex');
  const cluster = await startCluster({ dir, password, secret: 'for tests', servers: 0 });
  try {
    await cluster.nodes[0].sql(
      "CREATE DATABASE `banter_test_two` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci; GRANT ALL ON `banter_test_two`.* TO 'banter'@'127.0.0.1'",
    );
    const nodes = cluster.nodes.map(({ address }) => `mysql://banter:${password}@${address}:3306/banter_test_two`);
    const tests = spawn('npx', ['vitest', 'run', '--project', 'cluster', ...process.argv.slice(3)], {
      cwd: projectDir,
      stdio: 'inherit',
      env: { ...process.env, BANTER_CLUSTER_NODES: nodes.join(' '), ...(process.argv[2] ? { BANTER_ROUNDS: process.argv[2] } : {}) },
    });
    const code = await new Promise((resolve) => tests.on('exit', (status) => resolve(status ?? 1)));
    // What nodes said of each other explains most of what goes wrong between them.
    if (code !== 0)
      for (const { number, errorLog } of cluster.nodes)
        for (const line of readFileSync(errorLog, 'utf8')
          .split('\n')
          .filter((one) => /ERROR|non-Primary|suspect|declaring|Server status change/.test(one))
          .slice(-20))
          say(`node ${number}: ${line}`);
    return code;
  } finally {
    await cluster.stop();
    rmSync(dir, { recursive: true, force: true });
  }
}, 'The cluster cannot be tried');
