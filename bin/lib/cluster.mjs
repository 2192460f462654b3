/**
 * A cluster on one machine, by the very files that real machines have (deploy/cluster): three nodes of MariaDB with Galera, HAProxy in front, and
 * Banter's servers, each at an address of loopback of its own. For trying, and for the tests of what survives.
 */
import { randomBytes } from 'node:crypto';
import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { ensureCertificates, layCertificates } from './certificates.mjs';
import { runToEnd, which } from './commands.mjs';
import { urlOf as addressOf } from './database-reach.mjs';
import { ensurePackages } from './debian-packages.mjs';
import { ensureNpmPackages } from './npm-packages.mjs';
import { projectDir } from './places.mjs';
import { Refusal, say } from './say.mjs';
import { ensureWebBuild } from './web-build.mjs';

const deployDir = join(projectDir, 'deploy', 'cluster');
const NODES = [1, 2, 3];
/** The address at which all of it answers, and those of Banter's servers, as haproxy.cfg has them. */
export const CLUSTER_ADDRESS = '127.0.77.10';
const serverAddress = (number) => `127.0.77.2${number}`;
const nodeAddress = (number) => `127.0.77.1${number}`;
const PORT = 8080;
/** Where certificates lie in the folder of a cluster, and by which addresses those who show one are called. */
export const certificatesIn = (dir) => join(dir, 'certificates');
export const CERTIFIED = [CLUSTER_ADDRESS, ...NODES.map((number) => nodeAddress(number))];
/** Where the rows of a node lie, in the folder of a cluster. */
export const nodeFolder = (dir, number) => join(dir, `node-${number}`);
/** A node that gets all rows anew takes its time, s. */
const JOIN_SECONDS = 180;
/** What a server serves for after it was told to stop, s: HAProxy looks every half second. */
const DRAIN_SECONDS = 3;

const clusterPackages = {
  mariadbd: 'mariadb-server',
  'mariadb-admin': 'mariadb-client',
  mariabackup: 'mariadb-backup',
  '/usr/lib/galera/libgalera_smm.so': 'galera-4',
  haproxy: 'haproxy',
  socat: 'socat',
  ss: 'iproute2',
  openssl: 'openssl',
};

/** Stops what an earlier start that was killed left behind: the process that its file names, where it works on this folder still. */
async function stopLeftOver(pidFile, folder) {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  const isOurs = () => {
    try {
      return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(folder);
    } catch {
      return false;
    }
  };
  if (pid && isOurs()) process.kill(pid, 'SIGTERM');
  for (let waited = 0; waited < 600 && isOurs(); waited += 1) await pause(100);
  rmSync(pidFile, { force: true });
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const isReady = (address) =>
  fetch(`${address}/api/ready`).then(
    (answer) => answer.ok,
    () => false,
  );
const ended = (child) => child === null || child.exitCode !== null || child.signalCode !== null;
async function stopChild(child, signal = 'SIGTERM') {
  if (ended(child)) return;
  await new Promise((resolve) => {
    child.once('exit', resolve);
    child.kill(signal);
  });
}

/** One node of the database. */
class Node {
  constructor(number, { dir, socketDir }) {
    this.number = number;
    this.address = nodeAddress(number);
    this.databaseDir = nodeFolder(dir, number);
    this.certificates = certificatesIn(dir);
    this.errorLog = join(dir, `node-${number}.err`);
    this.defaultsFile = join(dir, `node-${number}.cnf`);
    this.socket = join(socketDir, `${number}.sock`);
    this.child = null;
    this.user = userInfo().username;
  }

  get stateFile() {
    return join(this.databaseDir, 'grastate.dat');
  }

  args(...more) {
    return [
      `--defaults-file=${this.defaultsFile}`,
      `--defaults-group-suffix=-${this.number}`,
      `--user=${this.user}`,
      `--datadir=${this.databaseDir}`,
      `--socket=${this.socket}`,
      `--pid-file=${this.databaseDir}.pid`,
      `--log-error=${this.errorLog}`,
      // Rows are given to a node that comes back by whoever runs this one.
      `--wsrep-sst-auth=${this.user}:`,
      ...more,
    ];
  }

  async create() {
    if (existsSync(join(this.databaseDir, 'mysql'))) return;
    mkdirSync(this.databaseDir, { recursive: true, mode: 0o700 });
    const done = await runToEnd(
      which('mariadb-install-db') ?? 'mariadb-install-db',
      [
        '--no-defaults',
        `--user=${this.user}`,
        `--datadir=${this.databaseDir}`,
        '--auth-root-authentication-method=socket',
        `--auth-root-socket-user=${this.user}`,
        '--skip-test-db',
        '--skip-name-resolve',
      ],
      { quiet: true },
    );
    if (done.code !== 0) throw new Refusal(`the folder of node ${this.number} could not be made: ${done.output.trim().split('\n').at(-1)}`);
  }

  /** Starts the node and waits until it is in step with the others; `isFirst` begins a cluster of which it is the only one. */
  async start({ isFirst = false, env = {} } = {}) {
    mkdirSync(this.databaseDir, { recursive: true, mode: 0o700 });
    layCertificates(this.certificates, this.databaseDir);
    const ofRealMachines = readFileSync(join(deployDir, 'node.cnf'), 'utf8');
    writeFileSync(this.defaultsFile, ofRealMachines.replaceAll('/etc/banter', deployDir).replaceAll('/var/lib/banter-node', this.databaseDir));
    rmSync(this.socket, { force: true });
    this.child = spawn(which('mariadbd') ?? 'mariadbd', this.args(...(isFirst ? ['--wsrep-new-cluster'] : [])), {
      stdio: 'ignore',
      detached: true,
      env: { ...process.env, ...env },
    });
    const { child } = this;
    for (let waited = 0; waited < JOIN_SECONDS * 5; waited += 1) {
      if (ended(child)) throw new Refusal(`node ${this.number} did not come up (${this.errorLog}): ${this.complaint}`);
      if (existsSync(this.socket) && (await this.isInStep())) return;
      await pause(200);
    }
    throw new Refusal(`node ${this.number} was not in step within ${JOIN_SECONDS} s (${this.errorLog}): ${this.complaint}`);
  }

  /** The last of what it complained of. */
  get complaint() {
    const lines = existsSync(this.errorLog) ? readFileSync(this.errorLog, 'utf8').split('\n') : [];
    return lines.filter((line) => line.includes('[ERROR]')).at(-1) ?? 'it said nothing';
  }

  async isInStep() {
    const state = await this.sql("SHOW STATUS LIKE 'wsrep_local_state'").catch(() => '');
    return /\b4\s*$/.test(state);
  }

  /** Runs statements as the node's administrator; answers what they print. */
  async sql(statements, database = '') {
    const client = which('mariadb') ?? 'mariadb';
    const done = await runToEnd(
      client,
      ['--no-defaults', `--user=${this.user}`, `--socket=${this.socket}`, '--batch', '--skip-column-names', ...(database ? [database] : [])],
      {
        quiet: true,
        input: statements,
      },
    );
    if (done.code !== 0) throw new Error(done.output.trim());
    return done.output;
  }

  /** How far what it wrote down goes, after it was killed: the cluster's id and the number of its last change. */
  async recovered() {
    const file = `${this.databaseDir}.recovered`;
    rmSync(file, { force: true });
    const args = this.args('--wsrep-recover').filter((one) => !one.startsWith('--log-error'));
    await runToEnd(which('mariadbd') ?? 'mariadbd', [...args, `--log-error=${file}`], { quiet: true });
    const found = existsSync(file) ? /Recovered position:\s*([\w-]+):(-?\d+)/.exec(readFileSync(file, 'utf8')) : null;
    return found ? Number(found[2]) : -1;
  }

  kill() {
    return stopChild(this.child, 'SIGKILL');
  }
  stop() {
    return stopChild(this.child);
  }

  /** It answers nobody, and its connections stay open: as one whose network is gone looks to the others. */
  hang() {
    this.child.kill('SIGSTOP');
  }
  /** It goes on where it was, and is given what it missed. */
  async goOn() {
    this.child.kill('SIGCONT');
    await this.untilInStep();
  }
  async untilInStep() {
    for (let waited = 0; waited < JOIN_SECONDS * 5 && !(await this.isInStep()); waited += 1) await pause(200);
  }
}

/** One of Banter's servers. */
class AppServer {
  constructor(number, env, dir) {
    this.number = number;
    this.address = serverAddress(number);
    this.log = join(dir, `server-${number}.log`);
    this.env = env;
    this.child = null;
  }

  async start({ root = projectDir, env = {} } = {}) {
    this.child = spawn(process.execPath, ['--import', 'tsx', join(root, 'server', 'main.ts')], {
      cwd: root,
      // It ends when this pipe does, so that a killed start leaves nothing serving behind.
      stdio: ['pipe', openSync(this.log, 'a'), 'inherit'],
      detached: true,
      env: { ...this.env, ...env, BANTER_ENDS_WITH_STDIN: 'yes', BANTER_HOST: this.address, PORT: String(PORT) },
    });
    const { child } = this;
    child.stdin.on('error', () => {});
    for (;;) {
      if (ended(child)) throw new Refusal(`server ${this.number} did not come up`);
      if (await isReady(`http://${this.address}:${PORT}`)) return;
      await pause(100);
    }
  }

  /** Tells it to stop, as systemd does, and waits until it has. */
  drain() {
    return stopChild(this.child);
  }
  kill() {
    return stopChild(this.child, 'SIGKILL');
  }
}

/** The node that knows most, and may begin the cluster again after all were stopped or killed. */
async function firstOf(nodes) {
  const there = nodes.filter(({ stateFile }) => existsSync(stateFile));
  if (there.length === 0) return null;
  const stopped = there.find(({ stateFile }) => /safe_to_bootstrap:\s*1/.test(readFileSync(stateFile, 'utf8')));
  if (stopped) return stopped;
  const knows = await Promise.all(there.map(async (node) => ({ node, last: await node.recovered() })));
  const { node } = knows.reduce((most, one) => (one.last > most.last ? one : most));
  writeFileSync(node.stateFile, readFileSync(node.stateFile, 'utf8').replace(/safe_to_bootstrap:\s*0/, 'safe_to_bootstrap: 1'));
  return node;
}

/**
 * Starts all of it, or begins again with what is in `dir`. Throws a Refusal when something does not come up.
 * @param {{ dir: string, password: string, secret: string, servers?: number, env?: NodeJS.ProcessEnv }} options
 */
export async function startCluster({ dir, password, secret, servers: count = 2, env = process.env }) {
  mkdirSync(dir, { recursive: true, mode: 0o700 });
  const socketDir = mkdtempSync(join(tmpdir(), 'banter-cluster-'));
  chmodSync(join(deployDir, 'galera-node-ready.sh'), 0o755);
  const nodes = NODES.map((number) => new Node(number, { dir, socketDir }));
  const certificates = certificatesIn(dir);
  await ensureCertificates(certificates, CERTIFIED);
  /** The address of a database, the balancer's or a node's own, over a sealed line. */
  const urlOf = (host, schema = 'banter') => addressOf({ host, port: 3306, user: 'banter', password, schema, authority: join(certificates, 'ca.pem') });
  const servers = Array.from(
    { length: count },
    (_none, index) =>
      new AppServer(
        index + 1,
        {
          ...env,
          NODE_ENV: 'production',
          DATABASE_URL: urlOf(CLUSTER_ADDRESS),
          BANTER_SECRET: secret,
          BANTER_HOSTS: CLUSTER_ADDRESS,
          BANTER_PROXIES: '1',
          BANTER_DRAIN_SECONDS: String(DRAIN_SECONDS),
          BANTER_WAIT_SECONDS: '120',
        },
        dir,
      ),
  );
  let [balancer, stopping] = [null, false];
  const stop = async () => {
    stopping = true;
    await Promise.all(servers.map((one) => one.drain()));
    await stopChild(balancer, 'SIGTERM');
    // The last to stop knows all, and begins again.
    for (const node of [...nodes].reverse()) await node.stop();
    rmSync(socketDir, { recursive: true, force: true });
  };
  try {
    for (const { databaseDir } of nodes) await stopLeftOver(`${databaseDir}.pid`, `--datadir=${databaseDir}`);
    const known = await firstOf(nodes);
    const first = known ?? nodes[0];
    if (!known) await first.create();
    say(`Node ${first.number} begins the cluster …`);
    await first.start({ isFirst: true });
    await first.sql(
      [
        'CREATE DATABASE IF NOT EXISTS `banter` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci',
        `CREATE OR REPLACE USER 'banter'@'127.0.0.1' IDENTIFIED BY '${password}' REQUIRE SSL`,
        "GRANT ALL ON `banter`.* TO 'banter'@'127.0.0.1'",
        "CREATE OR REPLACE USER 'banter_watch'@'127.0.0.1'",
      ].join(';\n'),
    );
    for (const node of nodes.filter((one) => one !== first)) {
      say(`Node ${node.number} joins …`);
      await node.start();
    }
    const [balancerPid, balancerLog] = [join(dir, 'haproxy.pid'), join(dir, 'haproxy.log')];
    await stopLeftOver(balancerPid, balancerPid);
    balancer = spawn(which('haproxy') ?? 'haproxy', ['-db', '-p', balancerPid, '-C', deployDir, '-f', 'haproxy.cfg'], {
      stdio: ['ignore', 'ignore', openSync(balancerLog, 'a')],
      detached: true,
    });
    // What it says is in its file; that it is not there any more, nobody else would say.
    balancer.once('exit', (code, signal) => {
      if (!stopping) say(`The balancer ended (${signal ?? code}): ${readFileSync(balancerLog, 'utf8').trim().split('\n').slice(-3).join(' ')}`);
    });
    if (balancer.pid) writeFileSync(balancerPid, String(balancer.pid));
    if (count > 0) say(`${count === 1 ? 'The server comes' : `${count} servers come`} up …`);
    await Promise.all(servers.map((one) => one.start()));
    const address = `http://${CLUSTER_ADDRESS}:${PORT}`;
    // The balancer has to have seen them, too.
    while (count > 0 && !(await isReady(address))) await pause(100);
    if (count > 0) await first.sql(readFileSync(join(deployDir, 'deeds-stay.sql'), 'utf8'), 'banter');
    return { urlOf, address, nodes, servers, stop };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** What a cluster needs of this machine: Debian's packages, the project's own, and the pages built. */
export async function ensureClusterParts() {
  await ensurePackages(clusterPackages);
  await ensureNpmPackages();
  await ensureWebBuild();
}

/** The last that nodes said of each other, and servers of what went wrong: it explains most of what goes wrong between them. */
function tellWhatWentOn({ nodes, servers }) {
  const LAST = 20;
  const lines = (file, which) => (existsSync(file) ? readFileSync(file, 'utf8').split('\n').filter(which).slice(-LAST) : []);
  for (const { number, errorLog } of nodes)
    for (const line of lines(errorLog, (one) => /ERROR|non-Primary|suspect|declaring|Server status change/.test(one))) say(`node ${number}: ${line}`);
  for (const { number, log } of servers) for (const line of lines(log, (one) => one.startsWith('{'))) say(`server ${number}: ${line.slice(0, 600)}`);
}

/**
 * Starts a cluster that is thrown away afterwards, and does something with it. `begin(…)` starts it anew on the same rows, after it was stopped.
 * @param {{ servers?: number, env?: NodeJS.ProcessEnv, ground?: (dir: string) => Promise<() => Promise<void>> }} options `ground` lays what its folder
 *   stands on, and answers what takes that away again
 * @param {(cluster: Awaited<ReturnType<typeof startCluster>>, begin: () => ReturnType<typeof startCluster>) => Promise<number>} use answers an exit code
 */
export async function onThrowawayCluster({ ground, ...options }, use) {
  await ensureClusterParts();
  const dir = mkdtempSync(join(tmpdir(), 'banter-cluster-rows-'));
  const password = randomBytes(12).toString('hex');
  const takeAway = await ground?.(dir);
  let cluster;
  const begin = async () => (cluster = await startCluster({ dir, password, secret: 'for trying', ...options }));
  try {
    const code = await use(await begin(), begin);
    if (code !== 0) tellWhatWentOn(cluster);
    return code;
  } finally {
    await cluster?.stop();
    await takeAway?.();
    rmSync(dir, { recursive: true, force: true });
  }
}
