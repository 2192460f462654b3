#!/usr/bin/env node
/** `npm test`: everything, on a throwaway database; ends with one line of counts and a failing exit code when anything failed. */
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runToEnd } from './lib/commands.mjs';
import { browserPackages, databasePackages, ensurePackages, readerPackages } from './lib/debian-packages.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { ensureNpmPackages } from './lib/npm-packages.mjs';
import { projectDir } from './lib/places.mjs';
import { freePort } from './lib/ports.mjs';
import { run, say } from './lib/say.mjs';
import { ensureWebBuild } from './lib/web-build.mjs';

/** Runs a suite beside others: what it says is said when it has ended, all together. */
async function beside(name, command, args, env = process.env) {
  const begunAt = Date.now();
  const { code, output } = await runToEnd(command, args, { cwd: projectDir, env, quiet: true });
  say(`\n— ${name}, ${Math.round((Date.now() - begunAt) / 1000)} s\n${output.trim()}`);
  return code;
}

/** A suite that is one check: it passes or it fails. */
async function check(name, command, args) {
  const code = await beside(name, command, args);
  return { name, passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
}

/** Counts out of a report file; a suite that left no report, or failed without naming a test, counts as one failure. */
function counted(name, code, file, read) {
  if (!existsSync(file)) return { name, passed: 0, failed: 1 };
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
  return { name, passed, failed: failed === 0 && code !== 0 ? 1 : failed };
}

async function vitest(name, projects, scratch, env, more = []) {
  const file = join(scratch, `${projects[0]}.json`);
  const args = [
    'vitest',
    'run',
    ...projects.flatMap((project) => ['--project', project]),
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${file}`,
    ...more,
  ];
  const code = await beside(name, 'npx', args, env);
  return counted(name, code, file, (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? 1 : 0),
  }));
}

/** A Banter of its own for the browser, on the throwaway database. */
async function startServer(databaseUrl, port) {
  const server = spawn(process.execPath, ['--import', 'tsx', join(projectDir, 'server', 'main.ts')], {
    cwd: projectDir,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      BANTER_SECRET: 'for tests',
      BANTER_DEMO: 'on',
      BANTER_SIGN_UPS_PER_HOUR: '1000',
    },
  });
  await new Promise((resolve, reject) => {
    server.stdout.on('data', (chunk) => String(chunk).includes('Banter is at') && resolve());
    server.on('exit', (code) => reject(new Error(`the server for the browser tests ended with ${code}`)));
  });
  return () => new Promise((resolve) => (server.once('exit', resolve), server.kill('SIGTERM')));
}

async function browser(scratch, databaseUrl) {
  say('\n— browser');
  const port = await freePort();
  const stopServer = await startServer(databaseUrl, port);
  const file = join(scratch, 'browser.json');
  try {
    const env = { ...process.env, BANTER_TEST_PORT: String(port), BANTER_TEST_REPORT: file };
    const { code } = await runToEnd('npx', ['playwright', 'test'], { cwd: projectDir, env });
    return counted('browser', code, file, ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }));
  } finally {
    await stopServer();
  }
}

await run(async () => {
  await ensurePackages({ ...databasePackages, ...browserPackages, ...readerPackages, openssl: 'openssl' });
  await ensureNpmPackages();
  await ensureWebBuild();
  const scratch = mkdtempSync(join(tmpdir(), 'banter-test-'));
  const database = await startMariadb({ dir: scratch, password: 'throwaway', testSchemas: true });
  const results = [];
  try {
    // Each of these uses one core for most of its time, and much of the last two is waiting: two and two go side by side.
    results.push(
      ...(await Promise.all([
        check('types', 'npx', ['vue-tsc', '--noEmit', '-p', 'tsconfig.json']),
        check('lint', 'npx', ['eslint', '.']),
        check('layout', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
        vitest('unit', ['core', 'contract', 'web', 'docs'], scratch, process.env),
      ])),
    );
    results.push(
      ...(await Promise.all([
        // Each file has a schema of its own, and much of its time is the database's.
        vitest('interface', ['server'], scratch, { ...process.env, BANTER_TEST_DATABASE_URL: database.url }, ['--maxWorkers=2']),
        vitest('start and stop', ['bin'], scratch, process.env),
      ])),
    );
    results.push(await browser(scratch, database.url));
  } finally {
    await database.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
  say('');
  for (const { name, passed, failed } of results) say(`${name.padEnd(16)} ${passed} passed, ${failed} failed`);
  const total = (key) => results.reduce((sum, result) => sum + result[key], 0);
  say(`${total('passed')} passed, ${total('failed')} failed`);
  return total('failed') === 0 ? 0 : 1;
});
