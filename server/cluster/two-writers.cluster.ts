/**
 * What must hold whoever writes where: two servers, each on another node of the cluster, do the same at the same moment, round after round. Locks of
 * one node are not known to the other; only what both write tells them of each other. Run by `npm run cluster:test [ROUNDS]`.
 */
import { createHash, randomBytes } from 'node:crypto';
import type { LinkBalance, Me } from '@banter/contract';
import pino from 'pino';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CalculationPool } from '../calculations/calculation-pool.ts';
import { makeDataSource, migrate } from '../data/data-source.ts';
import { SERVING } from '../data/patient-pool.ts';
import { makeApp } from '../app.ts';
import { fitCheck, fittedDog, happeningBatch, newDog, newKennel, someCollar, someDog, someRemote } from '../test-kennels.ts';

const ROUNDS = Number(process.env.BANTER_ROUNDS ?? 1000);
/** An invitation costs two hashes of passwords: so many rounds of those. */
const FEW_ROUNDS = Math.ceil(ROUNDS / 5);
const nodes = (process.env.BANTER_CLUSTER_NODES ?? '').split(' ').filter(Boolean);
const PASSWORD = 'a long password';

let sources: DataSource[];
let one: TestAgent;
let other: TestAgent;
let apps: ReturnType<typeof makeApp>[];
const calculations = new CalculationPool();
let people = 0;

beforeAll(async () => {
  if (nodes.length < 2) throw new Error('BANTER_CLUSTER_NODES names no two nodes; run «npm run cluster:test».');
  // Two servers that start at once on an empty database.
  await Promise.all(nodes.slice(0, 2).map((url) => migrate(url)));
  sources = nodes.slice(0, 2).map((url) => makeDataSource(url, SERVING));
  await Promise.all(sources.map((source) => source.initialize()));
  apps = sources.map((dataSource) =>
    makeApp({
      dataSource,
      calculations,
      log: pino({ level: process.env.BANTER_LOG ?? 'silent' }),
      sessionSecret: 'for tests',
      version: '0.0.0',
      demo: false,
      drawHandover: () => Promise.resolve({ neck: null, side: null, letter: null, clock: null }),
      pagesDir: '/nowhere',
      limits: { calculationsPerMinute: 1e6, signUpsPerHour: 1e6 },
    }),
  );
  one = await newKennel(apps[0]!, 'Two writers');
  // The same person, by the other server: sign-ins lie in the database.
  other = supertest.agent(apps[1]!);
  const { email } = ((await one.get('/api/doorstep')).body.me as Me).person;
  expect((await other.post('/api/sign-in').send({ email, password: PASSWORD })).status).toBe(200);
});
afterAll(async () => {
  await calculations.end();
  await Promise.all(sources.map((source) => source.destroy()));
});

type Answer = { status: number; body: Record<string, never> & { code?: string } };
/** Both at the same moment; neither may be answered as a fault. */
async function both(first: PromiseLike<Answer>, second: PromiseLike<Answer>): Promise<Answer[]> {
  const answers = await Promise.all([first, second]);
  for (const { status, body } of answers) expect(status, JSON.stringify(body)).toBeLessThan(500);
  return answers;
}
const statuses = (answers: readonly Answer[]) => answers.map(({ status }) => status).sort();
async function rounds(count: number, round: (number: number) => Promise<void>): Promise<void> {
  for (let number = 0; number < count; number += 1) await round(number);
}
const links = async (by: TestAgent) => (await by.get('/api/locker')).body.links as LinkBalance[];
const at = async (account: string) => (await links(one)).find((balance) => balance.account === account && balance.gaugeMm === 3)?.count ?? 0;
const move = (by: TestAgent, from: string, to: string, count: number, why = 'lent') =>
  by.put(`/api/link-moves/${uuidv7()}`).send({ gaugeMm: 3, count, from, to, why, note: '', at: new Date().toISOString() });

const LONG_MS = 3_600_000;

describe('two writers on two nodes', () => {
  it(
    'leave a kennel with a lead, whoever takes the role from whom',
    async () => {
      const key = randomBytes(32).toString('hex');
      const facts = { name: 'Bryony', role: 'lead', personId: null, keyHash: createHash('sha256').update(key).digest('hex'), expiresAt: new Date(Date.now() + LONG_MS).toISOString(), revokedAt: null }; // prettier-ignore
      expect((await one.put(`/api/invites/${uuidv7()}`).send(facts)).status).toBe(201);
      const second = supertest.agent(apps[1]!);
      people += 1;
      const joined = await second.post('/api/join').send({ key, name: 'Bryony', email: `bryony${people}@example.test`, password: PASSWORD });
      expect(joined.status).toBe(201);
      const [mine, theirs] = [((await one.get('/api/doorstep')).body.me as Me).person.id, (joined.body as Me).person.id];
      await rounds(ROUNDS, async () => {
        await both(
          one.put(`/api/people/${theirs}`).send({ role: 'reader', left: false }),
          second.put(`/api/people/${mine}`).send({ role: 'reader', left: false }),
        );
        const leads = ((await one.get('/api/people')).body.people as { id: string; role: string }[]).filter(({ role }) => role === 'lead');
        expect(leads).toHaveLength(1);
        const isMine = leads[0]!.id === mine;
        const back = await (isMine ? one : second).put(`/api/people/${isMine ? theirs : mine}`).send({ role: 'lead', left: false });
        expect(back.status, JSON.stringify(back.body)).toBe(200);
      });
    },
    LONG_MS,
  );

  it(
    'spend a link once, and the accounts add up',
    async () => {
      const dogs = [await newDog(one), await newDog(one)];
      await move(one, 'outside', 'bag', 1, 'bought');
      await rounds(ROUNDS, async () => {
        const answers = await both(move(one, 'bag', `dog:${dogs[0]}`, 1), move(other, 'bag', `dog:${dogs[1]}`, 1));
        expect(statuses(answers)).toEqual([201, 409]);
        const balances = await links(other);
        expect(balances.filter(({ account, count }) => account !== 'outside' && count < 0)).toEqual([]);
        expect(balances.reduce((sum, { count }) => sum + count, 0)).toBe(0);
        const has = answers[0]!.status === 201 ? dogs[0] : dogs[1];
        expect((await move(one, `dog:${has}`, 'bag', 1, 'returned')).status).toBe(201);
      });
      expect(await at('bag')).toBe(1);
    },
    LONG_MS,
  );

  it(
    'number the checks of a fit one by one',
    async () => {
      const { dog, plan } = await fittedDog(one);
      await rounds(ROUNDS, async (number) => {
        const at = new Date(Date.UTC(2026, 3, 1) + number * 60_000).toISOString();
        const answers = await both(
          one.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(dog, plan, { at })),
          other.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(dog, plan, { at })),
        );
        expect(statuses(answers)).toEqual([201, 201]);
      });
      const [row] = await sources[0]!.query<{ count: string; most: string }[]>(
        'SELECT COUNT(DISTINCT attempt) AS count, MAX(attempt) AS most FROM fit_checks WHERE planId = ?',
        [plan],
      );
      expect([Number(row!.count), Number(row!.most)]).toEqual([ROUNDS * 2 + 1, ROUNDS * 2 + 1]);
    },
    LONG_MS,
  );

  it(
    'put a collar on one dog',
    async () => {
      const collarId = uuidv7();
      expect((await one.put(`/api/collars/${collarId}`).send(someRemote)).status).toBe(201);
      const dogs = [await newDog(one), await newDog(one)];
      const from = Date.now() - 300 * 86_400_000;
      await rounds(ROUNDS, async (number) => {
        const time = (minutes: number) => new Date(from + number * 3_600_000 * 2 + minutes * 60_000).toISOString();
        const on = (by: TestAgent, dogId: string) =>
          by.post('/api/happenings').send(happeningBatch([{ event: 'put-on', id: uuidv7(), at: time(1), dogId, collarId, clock: 3, state: 'worked' }]));
        const answers = await both(on(one, dogs[0]!), on(other, dogs[1]!));
        const told = answers.map(({ body }) => (body as unknown as { results: { status: string }[] }).results[0]!.status);
        expect([...told].sort()).toEqual(['kept', 'refused']);
        const dogId = dogs[told.indexOf('kept')]!;
        const off = await one.post('/api/happenings').send(happeningBatch([{ event: 'taken-off', id: uuidv7(), at: time(30), dogId, collarId }]));
        expect(off.body.results[0].status).toBe('kept');
      });
    },
    LONG_MS,
  );

  it(
    'keep what is sent to both once',
    async () => {
      const dogId = await newDog(one);
      const { person } = (await one.get('/api/doorstep')).body.me as Me;
      const from = Date.now() - 200 * 86_400_000;
      await rounds(ROUNDS, async (number) => {
        const sessionId = uuidv7();
        const time = (seconds: number) => new Date(from + number * 7_200_000 + seconds * 1000).toISOString();
        const batch = happeningBatch([
          { event: 'begin', id: uuidv7(), sessionId, at: time(0), dogId, setting: 'yard', handlerId: person.id, purpose: 'work' },
          { event: 'cue', id: uuidv7(), sessionId, at: time(10) },
          { event: 'reward', id: uuidv7(), sessionId, at: time(12) },
          { event: 'end', id: uuidv7(), sessionId, at: time(60) },
        ]);
        const answers = await both(one.post('/api/happenings').send(batch), other.post('/api/happenings').send(batch));
        const told = answers.flatMap(({ body }) => (body as unknown as { results: { status: string }[] }).results.map(({ status }) => status));
        expect(
          told.filter((status) => status !== 'kept' && status !== 'known'),
          JSON.stringify(answers.map(({ body }) => body)),
        ).toEqual([]);
      });
      const [row] = await sources[1]!.query<{ happened: string; sessions: string }[]>(
        `SELECT (SELECT COUNT(*) FROM happenings WHERE sessionId IN (SELECT id FROM field_sessions WHERE dogId = ?)) AS happened,
                (SELECT COUNT(*) FROM field_sessions WHERE dogId = ?) AS sessions`,
        [dogId, dogId],
      );
      expect([Number(row!.happened), Number(row!.sessions)]).toEqual([ROUNDS * 4, ROUNDS]);
    },
    LONG_MS,
  );

  it(
    'let one of two changes of a record win, and tell the other',
    async () => {
      const id = uuidv7();
      expect((await one.put(`/api/dogs/${id}`).send(someDog)).status).toBe(201);
      await rounds(ROUNDS, async (number) => {
        const change = (by: TestAgent, name: string) => by.put(`/api/dogs/${id}`).set('If-Match', `"${number + 1}"`).send({ ...someDog, name: `${name} ${number}` }); // prettier-ignore
        expect(statuses(await both(change(one, 'One'), change(other, 'Two')))).toEqual([200, 409]);
      });
    },
    LONG_MS,
  );

  it(
    'make up a collar for one dog at a time',
    async () => {
      const first = await fittedDog(one);
      const collar = uuidv7();
      expect((await one.put(`/api/collars/${collar}`).send({ ...someCollar, name: 'Hook two' })).status).toBe(201);
      await move(one, 'outside', 'bag', 10, 'bought');
      await rounds(ROUNDS, async (number) => {
        const at = new Date(Date.UTC(2026, 3, 2) + number * 60_000).toISOString();
        const check = (by: TestAgent, left: number) =>
          by.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(first.dog, first.plan, { at, on: { left, right: 5 } }));
        await both(check(one, 5 + (number % 2)), check(other, 6 - (number % 2)));
        const balances = await links(other);
        expect(balances.reduce((sum, { count }) => sum + count, 0)).toBe(0);
        expect([10, 11]).toContain(balances.find(({ account }) => account === `collar:${first.collar}`)!.count);
      });
    },
    LONG_MS,
  );

  it(
    'plan a dog in one place at a time',
    async () => {
      const dogId = await newDog(one);
      const { person } = (await one.get('/api/doorstep')).body.me as Me;
      const day = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10);
      const facts = { dogId, programmeId: null, stageId: null, personId: person.id, day, from: 600, minutes: 30, aroundMinutes: 0, state: 'planned', note: '' };
      await rounds(ROUNDS, async () => {
        const ids = [uuidv7(), uuidv7()];
        const planned = (by: TestAgent, id: string, from: number) =>
          by.post('/api/calendar-changes').send({ sessions: [{ id, version: null, facts: { ...facts, from } }] });
        const answers = await both(planned(one, ids[0]!, 600), planned(other, ids[1]!, 615));
        expect(statuses(answers)).toEqual([200, 422]);
        const id = ids[answers.findIndex(({ status }) => status === 200)]!;
        const dropped = await other.post('/api/calendar-changes').send({ sessions: [{ id, version: 1, facts: { ...facts, from: id === ids[0] ? 600 : 615, state: 'dropped' } }] }); // prettier-ignore
        expect(dropped.status).toBe(200);
      });
    },
    LONG_MS,
  );

  it(
    'let one person in by an invitation',
    async () => {
      await rounds(FEW_ROUNDS, async () => {
        const key = randomBytes(32).toString('hex');
        const facts = { name: 'Reed', role: 'reader', personId: null, keyHash: createHash('sha256').update(key).digest('hex'), expiresAt: new Date(Date.now() + LONG_MS).toISOString(), revokedAt: null }; // prettier-ignore
        expect((await one.put(`/api/invites/${uuidv7()}`).send(facts)).status).toBe(201);
        people += 2;
        const join = (app: number, number: number) => supertest(apps[app]!).post('/api/join').send({ key, name: 'Reed', email: `reed${number}@example.test`, password: PASSWORD }); // prettier-ignore
        expect(statuses(await both(join(0, people), join(1, people - 1)))).toEqual([201, 404]);
      });
    },
    LONG_MS,
  );
});
