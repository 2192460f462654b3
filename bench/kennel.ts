/**
 * `npm run bench:kennel [COPIES]`: what each screen asks for, in the demo and in a kennel made of the demo's own file so many times over
 * (42 unless said: 588 dogs), topped up to a million presses, on one throwaway MariaDB: median and 95th percentile of requests one after
 * another, the bytes of the answer plain and as the wire carries it, the same request's ratio between the two kennels, the time that its
 * own reads take by themselves on the large one, and which long tables any of them reads whole. Then a batch of a hundred happenings of one session,
 * kept, beside the bare inserts of the same rows, one after another in one transaction and in one statement; sixty screens on Today while
 * twenty happenings a second arrive; and the screens of one dog as five years of it are told. With `stay` behind it, it does none of that and serves the large kennel, for bench:paint.
 */
import { createHash, randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type IncomingHttpHeaders, request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
// @ts-expect-error — plain JavaScript that runs before anything is installed
import { startMariadb } from '../bin/lib/mariadb.mjs';
import { makeApp } from '../server/app.ts';
import { CalculationPool } from '../server/calculations/calculation-pool.ts';
import { makeDataSource, migrate } from '../server/data/data-source.ts';
import { seedDemo } from '../server/demo/seed-demo.ts';
import { FirstPictures } from '../server/pictures/first-pictures.ts';
import { timesOfBoth } from './measure.ts';

const stays = process.argv.includes('stay');
const COPIES = Number(process.argv[2]) || 42;
const PRESSES = Math.round((1_000_000 * COPIES) / 42);
const RUNS = 12;

const scratch = mkdtempSync(join(tmpdir(), 'banter-bench-'));
const database = await startMariadb({ dir: scratch, password: 'throwaway', testSchemas: true });
const dataSource = makeDataSource(database.url);
await dataSource.initialize();
await migrate(database.url);
await seedDemo(dataSource, new Date());
const calculations = new CalculationPool();
const root = join(import.meta.dirname, '..');
const pictures = stays ? new FirstPictures(join(root, 'build', 'draw-first-picture.js')) : undefined;
await pictures?.begin();
const app = makeApp({
  dataSource,
  calculations,
  log: pino({ level: 'silent' }),
  sessionSecret: 'bench',
  version: '0',
  demo: true,
  drawHandover: () => Promise.resolve({ neck: null, side: null, letter: null, clock: null }),
  pagesDir: join(root, 'dist'),
  pictures,
});
const server = createServer(app).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const { port } = server.address() as AddressInfo;

async function end() {
  server.closeAllConnections();
  server.close();
  await pictures?.end();
  await calculations.end();
  await dataSource.destroy();
  await database.stop();
  rmSync(scratch, { recursive: true, force: true });
}

type Answer = { status: number; headers: IncomingHttpHeaders; wire: Buffer };
/** One request as a browser sends it. The body is read whole; it is not unpacked, which is the reader's work. */
function ask(method: string, path: string, { cookie = '', body }: { cookie?: string; body?: string } = {}): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const headers = {
      cookie,
      'accept-encoding': 'gzip',
      ...(body === undefined ? {} : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) }),
    };
    const sent = httpRequest({ host: '127.0.0.1', port, method, path, headers, agent: false }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => resolve({ status: response.statusCode!, headers: response.headers, wire: Buffer.concat(parts) }));
    });
    sent.on('error', reject);
    sent.end(body);
  });
}
const plain = ({ headers, wire }: Answer) => (headers['content-encoding'] === 'gzip' ? gunzipSync(wire) : wire);
const json = <Body>(answer: Answer): Body => JSON.parse(plain(answer).toString()) as Body;
const cookieOf = ({ headers }: Answer) => (headers['set-cookie'] ?? []).map((one) => one.split(';')[0]).join('; ');

/** Somebody more in the kennel, who joined by an invitation; answers what they sign in by. */
async function colleague(by: string, name: string): Promise<string> {
  const key = randomBytes(32).toString('hex');
  const keyHash = createHash('sha256').update(key).digest('hex');
  const invite = { name, role: 'lead', personId: null, keyHash, expiresAt: new Date(Date.now() + 3_600_000).toISOString(), revokedAt: null };
  const invited = await ask('PUT', `/api/invites/${uuidv7()}`, { cookie: by, body: JSON.stringify(invite) });
  if (invited.status !== 201) throw new Error(plain(invited).toString());
  const joined = await ask('POST', '/api/join', { body: JSON.stringify({ key, name, email: `${name}@example.org`, password: 'a long password' }) });
  if (joined.status !== 201) throw new Error(plain(joined).toString());
  return cookieOf(joined);
}

/** The demo's file so many times over: every id is another in each copy, and people, dogs and collars are told apart by a number. */
function manyTimesOver(file: string, copies: number): string {
  const parts = JSON.parse(file) as Record<string, unknown>;
  const OF_ALL = new Set(['format', 'version', 'exportedAt', 'kennel']);
  const NAMED = new Set(['people', 'dogs', 'collars']);
  const inCopy = (copy: number) => (id: string) =>
    copy === 0 ? id : id.slice(0, 24) + ((BigInt(`0x${id.slice(24)}`) + BigInt(copy) * 0x100_0000_0007n) & 0xffff_ffff_ffffn).toString(16).padStart(12, '0');
  const id = /[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}/g;
  const many = Object.entries(parts).map(([name, rows]): [string, unknown] => {
    if (OF_ALL.has(name)) return [name, rows];
    // The kennel's own hours are there once.
    const isOnce = (row: unknown) => name === 'hours' && (row as { personId: string | null }).personId === null;
    const all = rows as unknown[];
    const text = JSON.stringify(all.filter((row) => !isOnce(row)));
    const numbered = NAMED.has(name) ? (copy: number) => text.replaceAll(/"name":"([^"]*)"/g, `"name":"$1 ${copy + 1}"`) : () => text;
    const copied = Array.from({ length: copies }, (_none, copy) => JSON.parse(numbered(copy).replaceAll(id, inCopy(copy))) as unknown[]).flat();
    return [name, [...all.filter(isOnce), ...copied]];
  });
  return JSON.stringify(Object.fromEntries(many));
}

try {
  const demo = cookieOf(await ask('POST', '/api/sign-in/demo'));
  const file = plain(await ask('GET', '/api/kennel.json', { cookie: demo })).toString();
  const large = manyTimesOver(file, COPIES);
  const account = {
    kennelName: 'Many times over',
    name: 'Bench',
    email: 'bench@example.org',
    password: 'a long password',
    timeZone: 'Europe/London',
    lengthUnit: 'cm',
    massUnit: 'kg',
  };
  const signedUp = await ask('POST', '/api/sign-up', { body: JSON.stringify(account) });
  if (signedUp.status !== 201) throw new Error(plain(signedUp).toString());
  const own = cookieOf(signedUp);
  const begun = performance.now();
  const taken = await ask('POST', '/api/imports', { cookie: own, body: large });
  type View = { id: string; state: string; faults: unknown[]; faultCount: number };
  const view = async (id: string) => json<View>(await ask('GET', `/api/imports/${id}`, { cookie: own }));
  const until = async (id: string, states: string[]) => {
    for (;;) {
      const now = await view(id);
      if (states.includes(now.state)) return now;
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  };
  const looked = await until(json<View>(taken).id, ['ready', 'refused', 'failed']);
  if (looked.state !== 'ready') throw new Error(JSON.stringify(looked).slice(0, 2000));
  const lookedFor = performance.now() - begun;
  await ask('POST', `/api/imports/${looked.id}/keep`, { cookie: own, body: JSON.stringify({ conflicts: 'ours' }) });
  const kept = await until(looked.id, ['kept', 'failed']);
  if (kept.state !== 'kept') throw new Error(JSON.stringify(kept).slice(0, 2000));
  console.log(
    `brought in: ${(large.length / 1e6).toFixed(0)} MB, looked through in ${(lookedFor / 1000).toFixed(1)} s, kept in ${((performance.now() - begun - lookedFor) / 1000).toFixed(1)} s`,
  );

  // Topped up with presses of one dog in each copy, whose sessions stay as they are.
  const [[kennel], [had]] = (await Promise.all([
    dataSource.query('SELECT id FROM kennels WHERE NOT demo'),
    dataSource.query('SELECT COUNT(*) AS count FROM presses WHERE kennelId = (SELECT id FROM kennels WHERE NOT demo)'),
  ])) as [{ id: string }[], { count: string }[]];
  await dataSource.query(
    `INSERT INTO presses (id, kennelId, sessionId, dogId, collarId, setting, purpose, level, mode, response, latencyMs, at)
     SELECT UUID(), some.kennelId, some.sessionId, some.dogId, some.collarId, some.setting, 'work', 8 + FLOOR(RAND(seq) * 9), 'momentary', ELT(1 + FLOOR(RAND(seq + 7) * 3), 'none', 'small', 'did'), 800,
       DATE_SUB(NOW(3), INTERVAL FLOOR(RAND(seq + 3) * 7776000) SECOND)
     FROM (SELECT *, ROW_NUMBER() OVER (PARTITION BY dogId ORDER BY at) AS place FROM presses WHERE kennelId = ? AND purpose = 'work') some
     JOIN seq_1_to_${Math.ceil((PRESSES - Number(had!.count)) / COPIES)} WHERE some.place = 1`,
    [kennel!.id],
  );
  await dataSource.query('ANALYZE TABLE presses, happenings, field_sessions, plans, fit_checks, tapings');
  const [sums] = (await dataSource.query('SELECT COUNT(*) AS presses, (SELECT COUNT(*) FROM dogs WHERE kennelId = ?) AS dogs FROM presses WHERE kennelId = ?', [
    kennel!.id,
    kennel!.id,
  ])) as { presses: string; dogs: string }[];
  console.log(
    `${sums!.dogs} dogs, ${Number(sums!.presses).toLocaleString('en')} presses; medians and 95th percentiles of ${RUNS} requests one after another, in turns\n`,
  );

  if (stays) {
    console.log(`BANTER_URL=http://127.0.0.1:${port} BANTER_COOKIE='${own.split(';')[0]}' npm run bench:paint\nCtrl-C ends it.`);
    await new Promise((resolve) => process.once('SIGINT', resolve).once('SIGTERM', resolve));
    await end();
    process.exit();
  }

  const today = new Date().toISOString().slice(0, 10);
  const bramble = ((await dataSource.query("SELECT id FROM dogs WHERE name = 'Bramble'")) as { id: string }[])[0]!.id;
  const SCREENS: readonly [name: string, path: (dog: string) => string][] = [
    ['health', () => '/api/health'],
    ['Today', () => '/api/today'],
    ['dogs', () => '/api/dogs'],
    ['field log', () => '/api/field'],
    ['wearing', () => '/api/wearing'],
    ['upkeep', () => '/api/upkeep'],
    ['class', () => '/api/class'],
    ['locker', () => '/api/locker?shelf=collars'],
    ['links', () => '/api/locker?shelf=links'],
    // As the screen asks: from the Monday before last on.
    ['calendar, 7 weeks', () => `/api/calendar?from=${new Date(Date.parse(today) - 7 * 86_400_000).toISOString().slice(0, 10)}&days=49`],
    ['a dog found', () => '/api/dogs?search=bram'],
    ['dog found in the field', () => '/api/field/dogs?search=bram'],
    ['a dog as it stands', (dog) => `/api/dogs/${dog}/page`],
    ['record of a dog', (dog) => `/api/dogs/${dog}/record`],
    ['bench of a dog', (dog) => `/api/dogs/${dog}/bench`],
    ['neck of a dog', (dog) => `/api/dogs/${dog}/neck`],
    ['levels of a dog', (dog) => `/api/dogs/${dog}/levels`],
    ['growth of a dog', (dog) => `/api/dogs/${dog}/growth`],
    ['programmes of a dog', (dog) => `/api/dogs/${dog}/programmes`],
    ['handovers of a dog', (dog) => `/api/dogs/${dog}/handovers`],
    ['log of who did what', () => '/api/deeds'],
  ];
  /** What a request reads, as it is sent to the database. */
  let reads: { sql: string; values: unknown[] }[] | null = null;
  const quiet = () => {};
  dataSource.logger = {
    logQuery: (sql, values) => {
      if (reads !== null && /^\s*SELECT/i.test(sql)) reads.push({ sql, values: Array.isArray(values) ? values : [] });
    },
    logQueryError: quiet,
    logQuerySlow: quiet,
    logSchemaBuild: quiet,
    logMigration: quiet,
    log: quiet,
  };
  /** A table that is read whole although it has so many rows is named. */
  const MANY_ROWS = 2000;
  type Step = { table: string; type: string; rows: string | number | null };
  async function readBare(request: () => Promise<Answer>): Promise<{ ms: number; whole: string[] }> {
    reads = [];
    await request();
    const own = reads;
    reads = null;
    const times: number[] = [];
    for (let run = 0; run < RUNS; run += 1) {
      const begun = performance.now();
      for (const { sql, values } of own) await dataSource.query(sql, values);
      times.push(performance.now() - begun);
    }
    const whole = new Set<string>();
    for (const { sql, values } of own)
      for (const { table, type, rows } of await dataSource.query<Step[]>(`EXPLAIN ${sql}`, values))
        if (type === 'ALL' && Number(rows ?? 0) > MANY_ROWS && !String(table).startsWith('<')) whole.add(table);
    return { ms: times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!, whole: [...whole] };
  }
  console.log(
    `${'screen'.padEnd(22)}${'demo'.padStart(10)}${'large'.padStart(10)}${'p95'.padStart(10)}${'ratio'.padStart(8)}${'bare SQL'.padStart(10)}${'plain kB'.padStart(10)}${'wire kB'.padStart(9)}`,
  );
  for (const [name, path] of SCREENS) {
    // Bramble of the first copy keeps its id, so that the two kennels are asked for the same dog.
    const both = [demo, own].map((cookie) => () => ask('GET', path(bramble), { cookie })) as [() => Promise<Answer>, () => Promise<Answer>];
    const answer = await both[1]();
    if (answer.status !== 200) throw new Error(`${name} answered ${answer.status}: ${plain(answer).toString().slice(0, 300)}`);
    const { medians, p95s } = await timesOfBoth(both[0], both[1], { runs: RUNS, warmUp: 1 });
    const bare = await readBare(both[1]);
    console.log(
      name.padEnd(22) +
        `${medians[0].toFixed(0)} ms`.padStart(10) +
        `${medians[1].toFixed(0)} ms`.padStart(10) +
        `${p95s[1].toFixed(0)} ms`.padStart(10) +
        (medians[1] / medians[0]).toFixed(1).padStart(8) +
        `${bare.ms.toFixed(0)} ms`.padStart(10) +
        (plain(answer).length / 1000).toFixed(0).padStart(10) +
        (answer.wire.length / 1000).toFixed(0).padStart(9) +
        (bare.whole.length > 0 ? `  read whole: ${bare.whole.join(', ')}` : ''),
    );
  }

  const me = json<{ me: { person: { id: string }; kennel: { id: string } } }>(await ask('GET', '/api/doorstep', { cookie: own })).me;
  const [device] = json<{ collars: { id: string }[] }>(await ask('GET', `/api/dogs/${bramble}/levels`, { cookie: own })).collars;
  const batchOf = () => {
    const from = Date.now() - 600_000;
    const sessionId = uuidv7();
    const told = (seconds: number, own: object) => ({ id: uuidv7(), sessionId, at: new Date(from + seconds * 1000).toISOString(), ...own });
    const presses = Array.from({ length: 49 }, (_none, index) => {
      const press = told(10 + index * 10, { event: 'press', collarId: device!.id, level: 9, mode: 'momentary' });
      return [press, told(11 + index * 10, { event: 'response', pressId: press.id, response: 'did', latencyMs: 900 })];
    });
    return [
      told(0, { event: 'begin', dogId: bramble, setting: 'yard', handlerId: me.person.id, purpose: 'work' }),
      ...presses.flat(),
      told(550, { event: 'end' }),
    ];
  };
  const sendBatch = async () => {
    const body = JSON.stringify({ source: 'hand', phone: 'bench', sentAt: new Date().toISOString(), clock: null, happenings: batchOf() });
    const answer = await ask('POST', '/api/happenings', { cookie: own, body });
    const { results } = json<{ results?: { status: string }[] }>(answer);
    if (!results?.every(({ status }) => status === 'kept')) throw new Error(plain(answer).toString().slice(0, 300));
  };
  const columns = 'id, kennelId, event, dogId, collarId, sessionId, eventId, data, source, phone, personId, bridgeId, saidAt, at, recordedAt';
  const rowsOf = () =>
    batchOf().map(({ id, sessionId, at, event, ...own }: Record<string, unknown>) => {
      const { collarId = null, ...data } = own;
      const now = new Date(at as string);
      return [id, me.kennel.id, event, bramble, collarId, sessionId, null, JSON.stringify(data), 'hand', 'bench', me.person.id, null, now, now, now];
    });
  const insertBare = (atOnce: boolean) => async () => {
    const rows = rowsOf();
    const places = (count: number) => Array.from({ length: count }, () => `(${columns.replaceAll(/\w+/g, '?')})`).join(', ');
    await dataSource.transaction(async (manager) => {
      if (atOnce) await manager.query(`INSERT INTO happenings (${columns}) VALUES ${places(rows.length)}`, rows.flat());
      else for (const row of rows) await manager.query(`INSERT INTO happenings (${columns}) VALUES ${places(1)}`, row);
    });
  };
  const { medians: batch, p95s: slow } = await timesOfBoth(sendBatch, insertBare(false), { runs: RUNS, warmUp: 1 });
  const { medians: few } = await timesOfBoth(sendBatch, insertBare(true), { runs: RUNS, warmUp: 1 });
  console.log(
    `\na hundred happenings of a session: kept in ${batch[0].toFixed(0)} ms (p95 ${slow[0].toFixed(0)} ms); their rows bare, one by one ${batch[1].toFixed(0)} ms, at once ${few[1].toFixed(0)} ms`,
  );

  // The most that one person may have open, of each of three.
  const EACH = 20;
  const signedIn = [own, await colleague(own, 'second'), await colleague(own, 'third')];
  const LISTENERS = EACH * signedIn.length;
  const SECONDS = 15;
  const A_SECOND = 20;
  let heard = 0;
  const listeners = await Promise.all(
    Array.from(
      { length: LISTENERS },
      (_none, n) =>
        new Promise<ReturnType<typeof httpRequest>>((resolve, reject) => {
          const headers = { cookie: signedIn[n % signedIn.length], accept: 'text/event-stream' };
          const sent = httpRequest({ host: '127.0.0.1', port, path: '/api/today', headers, agent: false }, (response) => {
            response.on('data', (part: Buffer) => (heard += part.toString().split('event: changed').length - 1));
            response.on('error', () => {});
            response.once('data', () => resolve(sent));
          });
          sent.on('error', reject);
          sent.end();
        }),
    ),
  );
  const sessionId = uuidv7();
  const from = Date.now() - 60_000;
  const tellOne = async (what: object, at = new Date().toISOString()) => {
    const happenings = [{ id: uuidv7(), sessionId, at, ...what }];
    const body = JSON.stringify({ source: 'hand', phone: 'bench', sentAt: new Date().toISOString(), clock: null, happenings });
    const begun = performance.now();
    const answer = await ask('POST', '/api/happenings', { cookie: own, body });
    if (json<{ results?: { status: string }[] }>(answer).results?.[0]?.status !== 'kept') throw new Error(plain(answer).toString().slice(0, 300));
    return performance.now() - begun;
  };
  await tellOne({ event: 'begin', dogId: bramble, setting: 'yard', handlerId: me.person.id, purpose: 'work' }, new Date(from).toISOString());
  const told: Promise<number>[] = [];
  const lookedAt: Promise<number>[] = [];
  const began = performance.now();
  for (let n = 0; n < SECONDS * A_SECOND; n += 1) {
    const wait = began + (n * 1000) / A_SECOND - performance.now();
    if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
    // Most are taps of sessions; each second a collar is felt, or not: every Today is looked through after each, once for all sixty.
    told.push(tellOne(n % A_SECOND === 0 ? { event: 'contact', collarId: device!.id, made: n % (2 * A_SECOND) === 0 } : { event: 'reward' }));
    if (n % 10 === 0) {
      const begun = performance.now();
      lookedAt.push(ask('GET', '/api/dogs', { cookie: own }).then(() => performance.now() - begun));
    }
  }
  const p = (values: number[], share: number) => [...values].sort((a, b) => a - b)[Math.floor((values.length - 1) * share)]!.toFixed(0);
  const [keptIn, lists] = [await Promise.all(told), await Promise.all(lookedAt)];
  console.log(
    `${LISTENERS} screens on Today, ${A_SECOND} happenings a second for ${SECONDS} s: each kept in ${p(keptIn, 0.5)} ms (p95 ${p(keptIn, 0.95)} ms); the list of dogs meanwhile ${p(lists, 0.5)} ms (p95 ${p(lists, 0.95)} ms); changes heard ${heard}`,
  );
  for (const one of listeners) one.destroy();

  // A dog of years opens as fast as it did before they were told, and a tap on its collar is as soon kept.
  const YEARS = 5;
  const wornLong = json<{ collars: { id: string }[] }>(await ask('GET', `/api/dogs/${bramble}/neck`, { cookie: own })).collars.find(
    ({ id }) => id !== device!.id,
  )!;
  const OF_A_DOG = SCREENS.filter(([name, path]) => name === 'Today' || path('one') !== path('other'));
  const tap = (event: 'put-on' | 'taken-off') => {
    const of = { dogId: bramble, collarId: wornLong.id };
    const happening = { id: uuidv7(), at: new Date().toISOString(), event, ...of, ...(event === 'put-on' ? { clock: null, state: 'worked' } : {}) };
    return JSON.stringify({ source: 'hand', phone: 'bench', sentAt: new Date().toISOString(), clock: null, happenings: [happening] });
  };
  let isOn = false;
  const onOrOff = async () => {
    isOn = !isOn;
    const { results } = json<{ results?: { status: string }[] }>(
      await ask('POST', '/api/happenings', { cookie: own, body: tap(isOn ? 'put-on' : 'taken-off') }),
    );
    if (results?.[0]?.status !== 'kept') throw new Error('a collar could not be put on or taken off');
  };
  async function asItStands(): Promise<Map<string, number>> {
    const times = new Map<string, number>();
    for (const [name, path] of OF_A_DOG) {
      const one = () => ask('GET', path(bramble), { cookie: own });
      times.set(name, (await timesOfBoth(one, one, { runs: RUNS, warmUp: 1 })).medians[0]);
    }
    times.set('a collar on or off', (await timesOfBoth(onOrOff, onOrOff, { runs: RUNS, warmUp: 1 })).medians[0]);
    return times;
  }
  const firstDay = new Date(Date.now() - (YEARS * 365 + 61) * 86_400_000).toISOString().slice(0, 10);
  /** The first of the dog's rows of a table that are like `which`, `count` times more, so many minutes apart since the first day; `more` says what is otherwise in them, in SQL, each with its number `seq`. */
  async function again(table: string, which: string, [count, minutes]: readonly [number, number], more: Record<string, string> = {}): Promise<void> {
    const columns = await dataSource.query<{ name: string; type: string }[]>(
      'SELECT column_name AS name, data_type AS type FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ?',
      [table],
    );
    const valueOf = ({ name, type }: (typeof columns)[number]) => {
      if (name in more) return more[name]!;
      if (name === 'id') return 'UUID()';
      return type === 'datetime' ? `IF(one.${name} IS NULL, NULL, '${firstDay}' + INTERVAL (seq * ${minutes}) MINUTE)` : `one.${name}`;
    };
    await dataSource.query(
      `INSERT INTO ${table} (${columns.map(({ name }) => name).join(', ')}) SELECT ${columns.map(valueOf).join(', ')}
         FROM seq_1_to_${count}, (SELECT * FROM ${table} WHERE kennelId = ? AND ${which} LIMIT 1) one`,
      [me.kennel.id],
    );
  }
  const DAYS = YEARS * 365;
  const WEEKS = Math.floor(DAYS / 7);
  const [plan] = await dataSource.query<{ planId: string; programmeId: string }[]>(
    `SELECT (SELECT planId FROM fit_checks WHERE kennelId = ? AND dogId = ? ORDER BY at DESC LIMIT 1) AS planId,
            (SELECT id FROM programmes WHERE kennelId = ? AND dogId = ? AND state = 'running' ORDER BY startsOn DESC LIMIT 1) AS programmeId`,
    [me.kennel.id, bramble, me.kennel.id, bramble],
  );
  const wear = { dogId: `'${bramble}'`, collarId: `'${wornLong.id}'` };
  const TOLD: readonly [what: string, tell: () => Promise<void>][] = [
    [
      `${DAYS * 2} wears of one collar`,
      async () => {
        // Twice a day for an hour.
        for (const hour of [0, 2]) {
          const at = (later: number) => `'${firstDay}' + INTERVAL (seq * 24 + ${hour + later}) HOUR`;
          for (const [event, later] of [
            ['put-on', 0],
            ['taken-off', 1],
          ] as const)
            // prettier-ignore
            await again('happenings', `event = '${event}'`, [DAYS, 1], { ...wear, at: at(later), saidAt: at(later), recordedAt: at(later) });
        }
      },
    ],
    [`${DAYS} checks of one plan`, () => again('fit_checks', `planId = '${plan!.planId}'`, [DAYS, 1440], { attempt: '100 + seq' })],
    [`${DAYS} girths`, () => again('tapings', `dogId = '${bramble}' AND site = 'high'`, [DAYS, 1440], { correctsId: 'NULL' })],
    [`${WEEKS} plans`, () => again('plans', `dogId = '${bramble}'`, [WEEKS, 10_080])],
    [`${DAYS * 2} results of one stage`, () => again('stage_results', 'TRUE', [DAYS * 2, 720], { programmeId: `'${plan!.programmeId}'`, sessionId: 'NULL' })],
    [`${DAYS} looks at the skin`, () => again('skin_looks', `dogId = '${bramble}'`, [DAYS, 1440])],
    [`${WEEKS} weighings`, () => again('weighings', `dogId = '${bramble}'`, [WEEKS, 10_080])],
    [`${DAYS} inspections of one collar`, () => again('inspections', 'collarId IS NOT NULL', [DAYS, 1440], { collarId: wear.collarId })],
  ];
  const before = await asItStands();
  console.log(
    `\n${YEARS} years of one dog, told one kind after another: ms, and how often as long as before\n${''.padEnd(32)}${[...before.keys()].map((name) => name.replace(/ (of a|as it stands|or).*$/, '').padStart(13)).join('')}`,
  );
  for (const [what, told] of [['before', async () => {}] as (typeof TOLD)[number], ...TOLD]) {
    await told();
    const after = what === 'before' ? before : await asItStands();
    console.log(what.padEnd(32) + [...after].map(([name, ms]) => `${ms.toFixed(0)} ${(ms / before.get(name)!).toFixed(1)}x`.padStart(13)).join(''));
  }
} finally {
  await end();
}
