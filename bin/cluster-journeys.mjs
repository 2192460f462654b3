#!/usr/bin/env node
/**
 * `npm run cluster:journeys [-- ARGUMENTS OF PLAYWRIGHT]`: the browser's journeys, as `npm test` drives them, through the balancer of a cluster with two
 * servers that is started for it and thrown away.
 */
import { spawn } from 'node:child_process';
import { onThrowawayCluster } from './lib/cluster.mjs';
import { browserPackages, ensurePackages } from './lib/debian-packages.mjs';
import { projectDir } from './lib/places.mjs';
import { run } from './lib/say.mjs';

await run(async () => {
  await ensurePackages(browserPackages);
  const env = { ...process.env, BANTER_DEMO: 'on', BANTER_SIGN_UPS_PER_HOUR: '1000' };
  return onThrowawayCluster({ env }, async ({ address }) => {
    const journeys = spawn('npx', ['playwright', 'test', ...process.argv.slice(2)], {
      cwd: projectDir,
      stdio: 'inherit',
      env: { ...process.env, BANTER_TEST_ADDRESS: address },
    });
    return new Promise((resolve) => journeys.on('exit', (status) => resolve(status ?? 1)));
  });
}, 'The journeys cannot be walked');
