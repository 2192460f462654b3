import { readFileSync } from 'node:fs';
import { createServer, get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { Express } from 'express';
import pino from 'pino';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { DEEDS_STAY, deedsStay } from '../data/deeds-stay.ts';
import { whileAlone } from '../data/lease.ts';
import { ChangeBell } from '../services/change-bell.ts';
import { KennelBus } from '../services/kennel-bus.ts';
import { Serving } from '../services/serving.ts';
import { newDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
const bells: ChangeBell[] = [];
const servers: Server[] = [];
beforeAll(async () => {
  banter = await openBanter();
});
afterEach(() => {
  for (const bell of bells.splice(0)) bell.end();
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});
afterAll(() => banter.close());

/** Another server on the same database, as main.ts makes one. */
function anotherServer(): { app: Express; serving: Serving } {
  const [bus, serving] = [new KennelBus(), new Serving()];
  const bell = new ChangeBell(banter.dataSource, bus, pino({ level: 'silent' }), serving.serverId);
  bell.begin();
  bells.push(bell);
  return { app: banter.besides({ bus, serving }), serving };
}
async function listening(app: Express): Promise<number> {
  const server = createServer(app).listen(0, '127.0.0.1');
  servers.push(server);
  await new Promise((resolve) => server.once('listening', resolve));
  return (server.address() as AddressInfo).port;
}
/** The same person on another server. */
async function onServer(app: Express, agent: TestAgent): Promise<TestAgent> {
  const { email } = (await agent.get('/api/doorstep')).body.me.person as { email: string };
  const other = supertest.agent(app);
  expect((await other.post('/api/sign-in').send({ email, password: 'a long password' })).status).toBe(200);
  return other;
}
const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
  while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 20));
};
/** Today as a screen listens to it: what it was told, and whether it was told to go elsewhere. */
async function listensTo(port: number, agent: TestAgent): Promise<{ told: () => string; isOver: () => boolean }> {
  const cookie = String((await agent.get('/api/doorstep')).headers['set-cookie']![0]).split(';')[0]!;
  let told = '';
  let isOver = false;
  const stream = await new Promise<IncomingMessage>((resolve) => get({ host: '127.0.0.1', port, path: '/api/today', headers: { cookie, accept: 'text/event-stream' } }, resolve)); // prettier-ignore
  stream.on('data', (part: Buffer) => (told += part.toString()));
  stream.on('end', () => (isOver = true));
  stream.on('error', () => {});
  await until(() => told.includes('event: today'));
  return { told: () => told, isOver: () => isOver };
}

describe('several servers on one database', () => {
  it('hear of each other’s changes long before the clock would tell', async () => {
    const [first, second] = [anotherServer(), anotherServer()];
    const agent = await newKennel(first.app);
    const elsewhere = await onServer(second.app, agent);
    const screen = await listensTo(await listening(first.app), agent);
    const before = Date.now();
    await newDog(elsewhere, { name: 'Teasel' });
    await until(() => screen.told().includes('Teasel'));
    // The clock looks every half minute.
    expect(Date.now() - before).toBeLessThan(15_000);
  });

  it('keep a file that another took, once, and both know how far it is', async () => {
    const [first, second] = [anotherServer(), anotherServer()];
    const giver = await newKennel(first.app);
    await newDog(giver, { name: 'Yarrow' });
    const { text } = await giver.get('/api/kennel.json');
    const agent = await newKennel(first.app);
    const elsewhere = await onServer(second.app, agent);
    const { id } = (await agent.post('/api/imports').set('Content-Type', 'application/json').send(text)).body as { id: string };
    const state = async (by: TestAgent) => (await by.get(`/api/imports/${id}`)).body.state as string;
    await until(async () => (await state(elsewhere)) === 'ready');
    const both = await Promise.all([agent, elsewhere].map((by) => by.post(`/api/imports/${id}/keep`).send({ conflicts: 'ours' })));
    expect(both.map(({ status }) => status)).toEqual([200, 200]);
    await until(async () => (await state(agent)) === 'kept' && (await state(elsewhere)) === 'kept');
    expect((await agent.get('/api/dogs')).body.rows.map(({ name }: { name: string }) => name)).toEqual(['Yarrow']);
    const deeds = (await agent.get('/api/deeds')).body.deeds as { act: string }[];
    expect(deeds.filter(({ act }) => act === 'brought')).toHaveLength(1);
    // A server that dies before it has told so changes nothing of that.
    await banter.dataSource.query(
      "UPDATE imports SET view = REPLACE(view, '\"kept\"', '\"keeping\"'), seenAt = '2026-01-01' WHERE kennelId IS NOT NULL AND id = ?",
      [id],
    );
    expect([await state(agent), await state(elsewhere)]).toEqual(['kept', 'kept']);
    // Nothing of the file stays in the database.
    expect(await banter.dataSource.query('SELECT part FROM import_parts WHERE importId = ?', [id])).toEqual([]);
  });

  it('one that is about to stop says so, serves what comes all the same, and sends its streams elsewhere', async () => {
    const { app, serving } = anotherServer();
    const agent = await newKennel(app);
    expect((await supertest(app).get('/api/ready')).body).toEqual({ ok: true });
    const screen = await listensTo(await listening(app), agent);
    serving.drain();
    const ready = await supertest(app).get('/api/ready');
    expect([ready.status, ready.body.code]).toEqual([503, 'stopping']);
    const served = await agent.put(`/api/places/${uuidv7()}`).send({ name: 'Home field', collars: {}, checkedBy: '', checkedOn: null, source: '', retiredAt: null }); // prettier-ignore
    expect([served.status, served.headers.connection]).toEqual([201, 'close']);
    expect((await supertest(app).get('/api/health')).status).toBe(200);
    expect(screen.isOver()).toBe(false);
    serving.moveStreams();
    await until(screen.isOver);
  });
});

describe('work that one server does at a time', () => {
  it('waits for whoever is at it, or is left to them', async () => {
    const done: string[] = [];
    let finish = () => {};
    const first = whileAlone(banter.dataSource, 'demo', () => new Promise<void>((resolve) => (finish = () => (done.push('first'), resolve()))), null);
    await until(async () => Number((await banter.dataSource.query('SELECT holder IS NOT NULL AS held FROM leases WHERE name = ?', ['demo']))[0]?.held) === 1);
    let hasWaited = false;
    const second = whileAlone(banter.dataSource, 'demo', () => Promise.resolve(done.push('second')), () => (hasWaited = true)); // prettier-ignore
    const left = whileAlone(banter.dataSource, 'demo', () => Promise.resolve(done.push('left')), null);
    await until(() => hasWaited);
    expect(done).toEqual([]);
    finish();
    await Promise.all([first, second]);
    expect([await left, done]).toEqual([null, ['first', 'second']]);
  });

  it('is taken from one that has died, and from nobody who lives', async () => {
    await banter.dataSource.query("REPLACE INTO leases (name, holder, turn) VALUES ('demo', UUID(), 7)");
    expect(await whileAlone(banter.dataSource, 'demo', () => Promise.resolve('done'), () => {}, 500)).toBe('done'); // prettier-ignore
    // Work that takes longer than a dead one is waited for: whoever works says so all the while.
    const done: string[] = [];
    const long = whileAlone(banter.dataSource, 'demo', async () => {
      await new Promise((resolve) => setTimeout(resolve, 1500));
      done.push('long');
    }, null, 500); // prettier-ignore
    await until(async () => (await banter.dataSource.query<{ holder: string | null }[]>("SELECT holder FROM leases WHERE name = 'demo'"))[0]!.holder !== null);
    await whileAlone(banter.dataSource, 'demo', () => Promise.resolve(done.push('next')), () => {}, 500); // prettier-ignore
    await long;
    expect(done).toEqual(['long', 'next']);
  });
});

describe('the log that nobody edits', () => {
  it('is kept by the database itself, by what an administrator lays where this account may not', async () => {
    const ours = (text: string) => text.replaceAll(/\s+/g, ' ').trim();
    const file = readFileSync(join(import.meta.dirname, '../../deploy/cluster/deeds-stay.sql'), 'utf8');
    for (const sql of Object.values(DEEDS_STAY)) expect(ours(file)).toContain(ours(sql));
    await banter.dataSource.query('DROP TRIGGER deeds_no_update');
    expect(await deedsStay(banter.dataSource)).toBe(true);
    await newDog(await newKennel(banter.app));
    await expect(banter.dataSource.query("UPDATE deeds SET label = 'another' WHERE kennelId IS NOT NULL")).rejects.toThrow('What was done stays written.');
  });
});

describe('what an operator sees', () => {
  it('is one id a request, a balancer’s where it gave one, and metrics where they were asked for, without any id', async () => {
    const app = banter.besides({ metrics: true });
    const agent = await newKennel(app);
    const dog = await newDog(agent);
    const own = await agent.get(`/api/dogs/${dog}`);
    expect(own.headers['x-request-id']).toMatch(/^[\w-]{36}$/);
    expect((await agent.get(`/api/dogs/${dog}`).set('X-Request-Id', 'balancer-17-a')).headers['x-request-id']).toBe('balancer-17-a');
    expect((await agent.get(`/api/dogs/${dog}`).set('X-Request-Id', 'a "quoted" one')).headers['x-request-id']).toMatch(/^[\w-]{36}$/);
    const { text } = await supertest(app).get('/api/metrics');
    expect(text).toMatch(/^banter_request_seconds_count\{method="GET",path="\/dogs\/:id",status="200"\} 3$/m);
    expect(text).not.toContain(dog);
    expect((await supertest(banter.app).get('/api/metrics')).status).toBe(401);
  });
});
