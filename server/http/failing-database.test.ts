import { Writable } from 'node:stream';
import type { AddressInfo } from 'node:net';
import { createServer, connect, type Server, type Socket } from 'node:net';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeLog } from '../log.ts';
import { newKennel, openBanter, someDog, type TestBanter } from '../test-kennels.ts';

/** What a log must never hold: words of records, people and keys. */
const SECRETS = ['Meadowsweet', 'tester', 'example.test', 'a long password', 'Kept in the yard'];

let lines: string[];
let banter: TestBanter;
let agent: TestAgent;
let between: Server;
const sockets = new Set<Socket>();
/** A way to the database that can be cut. */
let cut = false;
beforeAll(async () => {
  lines = [];
  const { hostname, port } = new URL(process.env.BANTER_TEST_DATABASE_URL!);
  between = createServer((from) => {
    if (cut) return void from.destroy();
    const to = connect(Number(port), hostname);
    for (const [one, other] of [[from, to], [to, from]] as const) {
      sockets.add(one);
      one.on('error', () => {}).on('close', () => (sockets.delete(one), other.destroy()));
      one.pipe(other);
    }
  }); // prettier-ignore
  await new Promise<void>((resolve) => between.listen(0, '127.0.0.1', resolve));
  const log = makeLog('debug', new Writable({ write: (chunk, _encoding, done) => (lines.push(String(chunk)), done()) }));
  banter = await openBanter({ log }, (url) => url.replace(/@[^/]+\//, `@127.0.0.1:${(between.address() as AddressInfo).port}/`));
  agent = await newKennel(banter.app, 'Meadowsweet');
});
afterAll(async () => {
  await banter.close();
  for (const socket of sockets) socket.destroy();
  between.close();
});

const dog = { ...someDog, name: 'Meadowsweet', notes: 'Kept in the yard' };
const keep = (id = uuidv7()) => agent.put(`/api/dogs/${id}`).send(dog);
/** Makes the database refuse what is put into a table, with a number of its own errors. */
async function refusing<T>(table: string, errno: number, times: number, work: () => Promise<T>): Promise<T> {
  await banter.dataSource.query('CREATE TABLE IF NOT EXISTS refusals (left_ int NOT NULL) ENGINE=MyISAM');
  await banter.dataSource.query('TRUNCATE TABLE refusals');
  await banter.dataSource.query('INSERT INTO refusals VALUES (?)', [times]);
  await banter.dataSource.query(
    `CREATE TRIGGER refuses BEFORE INSERT ON \`${table}\` FOR EACH ROW
     IF (SELECT MAX(left_) FROM refusals) > 0 THEN
       UPDATE refusals SET left_ = left_ - 1;
       SIGNAL SQLSTATE 'HY000' SET MYSQL_ERRNO = ${errno}, MESSAGE_TEXT = 'refused: Meadowsweet, Kept in the yard, tester@example.test';
     END IF`,
  );
  try {
    return await work();
  } finally {
    await banter.dataSource.query('DROP TRIGGER refuses');
  }
}
const logged = () => {
  const all = lines.join('');
  for (const secret of SECRETS) expect(all).not.toContain(secret);
  return lines.splice(0).map((line) => JSON.parse(line) as { level: number; msg: string; path?: string; error?: Record<string, unknown> });
};
const FOR_GOOD = 1000;

describe('a database that takes nothing', () => {
  it.each([
    ['read-only', 1290],
    ['full', 1114],
    ['out of disk', 1021],
  ])('as it is %s: answers 503 with when to try again, and logs the sort of it and no value', async (_what, errno) => {
    logged();
    const answer = await refusing('dogs', errno, FOR_GOOD, () => keep());
    expect([answer.status, answer.body.code, answer.headers['retry-after']]).toEqual([503, 'database-away', '2']);
    const [entry] = logged();
    expect(entry).toMatchObject({ msg: 'the database is away', path: '/api/dogs/:id', error: { errno, statement: expect.stringMatching(/^INSERT INTO `dogs`/) } }); // prettier-ignore
    expect(entry!.error).not.toHaveProperty('message');
    // It takes things again: the same request is kept.
    expect((await keep()).status).toBe(201);
  });

  it('for a fault that nobody foresaw answers 500, and logs no value of it either', async () => {
    const answer = await refusing('dogs', 1644, FOR_GOOD, () => keep());
    expect([answer.status, answer.body.code]).toEqual([500, 'unexpected']);
    expect(JSON.stringify(answer.body)).not.toContain('Meadowsweet');
    const [entry] = logged();
    expect(entry).toMatchObject({ level: 50, msg: 'unexpected failure', error: { errno: 1644 } });
  });

  it.each([
    ['a deadlock', 1213, 3, 201],
    ['another’s lock, once', 1205, 1, 201],
    ['another’s lock, and again', 1205, 5, 503],
  ])('for %s is asked again, outermost only, as often as is safe', async (_what, errno, times, status) => {
    const id = uuidv7();
    const answer = await refusing('dogs', errno, times, () => keep(id));
    expect(answer.status).toBe(status);
    // Once, however often it was tried.
    const { rows: dogs } = (await agent.get('/api/dog-cards')).body as { rows: { dog: { id: string } }[] };
    expect(dogs.filter(({ dog: one }) => one.id === id)).toHaveLength(status === 201 ? 1 : 0);
    logged();
  });
});

describe('a database that cannot be reached', () => {
  it('answers 503 to everything, its log says so without a value, and all goes on when it is back', async () => {
    logged();
    cut = true;
    for (const socket of sockets) socket.destroy();
    const answers = await Promise.all([keep(), agent.get('/api/dogs'), agent.get('/api/health'), agent.post('/api/sign-in').send({ email: 'tester@example.test', password: 'a long password' })]); // prettier-ignore
    expect(answers.map(({ status }) => status)).toEqual([503, 503, 503, 503]);
    // What needs no records goes on.
    expect((await agent.post('/api/calc/clip-on-slip').send({ girthMm: 520, use: 'training' })).status).toBe(200);
    const entries = logged();
    expect(entries.length).toBeGreaterThanOrEqual(4);
    for (const { msg, error } of entries) expect([msg, typeof error?.code]).toEqual(['the database is away', 'string']);
    cut = false;
    let status = 503;
    for (let tries = 0; tries < 50 && status === 503; tries += 1) status = (await keep()).status;
    expect(status).toBe(201);
  });

  it('in the middle of keeping something loses nothing that was acknowledged, and doubles nothing', async () => {
    const id = uuidv7();
    // The way is cut while the commit is under way, at some moment of it: either it was kept, or it is kept now.
    for (let time = 0; time < 8; time += 1) {
      const asked = keep(id);
      await new Promise((resolve) => setTimeout(resolve, 1 + time * 3));
      for (const socket of sockets) socket.destroy();
      expect([200, 201, 503]).toContain((await asked).status);
    }
    // Connections that have gone are found out one by one; whoever is told 503 sends the same again.
    let status = 503;
    for (let tries = 0; tries < 50 && status === 503; tries += 1) status = (await keep(id)).status;
    expect([200, 201]).toContain(status);
    const deeds = (await agent.get('/api/deeds').query({ dogId: id, kind: 'dog' })).body.deeds as { act: string }[];
    expect(deeds.map(({ act }) => act)).toEqual(['made']);
    logged();
  });
});
