import { createHash, randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { HappeningsKept, type DogFacts, type HappeningResult, type InviteFacts, type Me, type NewTaping } from '@banter/contract';
import { SCREEN_ITEM_IDS, NOTHING_NOTED } from '@banter/core';
import type { Express } from 'express';
import mysql from 'mysql2/promise';
import pino from 'pino';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { drawHandover } from '../web/paper/paper-drawings.ts';
import { CalculationPool } from './calculations/calculation-pool.ts';
import { makeApp, type AppOptions } from './app.ts';
import { makeDataSource, migrate } from './data/data-source.ts';
import { SERVING } from './data/patient-pool.ts';

/** A Banter over a schema of its own in the test database, with ways to make kennels and records. */
export type TestBanter = {
  app: Express;
  dataSource: DataSource;
  /** Another server on the same database. */
  besides: (options?: Partial<AppOptions>) => Express;
  close: () => Promise<void>;
};

/** Opens a Banter on a fresh, migrated schema, reached `through` another address where a test wants that. `npm test` names the database in BANTER_TEST_DATABASE_URL. */
export async function openBanter(options: Partial<AppOptions> = {}, through: (url: string) => string = (url) => url): Promise<TestBanter> {
  const base = process.env.BANTER_TEST_DATABASE_URL;
  if (!base) throw new Error('BANTER_TEST_DATABASE_URL is not set; run «npm test», which starts a database.');
  const schema = `banter_test_${randomBytes(6).toString('hex')}`;
  const root = await mysql.createConnection(base);
  await root.query(`CREATE DATABASE \`${schema}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  const url = through(base).replace(/\/[^/]*$/, `/${schema}`);
  await migrate(base.replace(/\/[^/]*$/, `/${schema}`));
  const dataSource = makeDataSource(url, SERVING);
  await dataSource.initialize();
  const calculations = options.calculations ?? new CalculationPool();
  const usual = (more: Partial<AppOptions>): AppOptions => ({
    dataSource,
    calculations,
    log: pino({ level: process.env.BANTER_LOG ?? 'silent' }),
    sessionSecret: 'for tests',
    version: '0.0.0',
    demo: true,
    drawHandover,
    pagesDir: join(import.meta.dirname, 'no-pages'),
    limits: { calculationsPerMinute: 100_000, signUpsPerHour: 1000 },
    ...more,
  });
  return {
    app: makeApp(usual(options)),
    dataSource,
    besides: (more = {}) => makeApp(usual(more)),
    close: async () => {
      await calculations.end();
      if (dataSource.isInitialized) await dataSource.destroy();
      await root.query(`DROP DATABASE \`${schema}\``);
      await root.end();
    },
  };
}

let kennels = 0;

/** Somebody signed in to a new kennel of their own; the agent keeps the cookie. */
export async function newKennel(app: Express, name = 'Testing Ground'): Promise<TestAgent> {
  const agent = supertest.agent(app);
  kennels += 1;
  const response = await agent.post('/api/sign-up').send({
    kennelName: name,
    name: 'Tester',
    email: `tester${kennels}@example.test`,
    password: 'a long password',
    lengthUnit: 'cm',
    massUnit: 'kg',
    timeZone: 'Europe/London',
  });
  if (response.status !== 201) throw new Error(`sign-up answered ${response.status}: ${response.text}`);
  return agent;
}

export const soon = () => new Date(Date.now() + 3_600_000).toISOString();
export async function invite(by: TestAgent, more: Partial<InviteFacts> = {}) {
  const key = randomBytes(32).toString('hex');
  const id = uuidv7();
  const facts = { name: 'Bryony Reed', role: 'assistant', personId: null, keyHash: createHash('sha256').update(key).digest('hex'), expiresAt: soon(), revokedAt: null, ...more }; // prettier-ignore
  const answer = await by.put(`/api/invites/${id}`).send(facts);
  return { key, id, facts, answer };
}
/** Somebody who joined by an invitation, signed in. */
export async function newColleague(app: Express, by: TestAgent, role: InviteFacts['role'], more: Partial<InviteFacts> = {}) {
  const { key } = await invite(by, { role, ...more });
  const agent = supertest.agent(app);
  const email = `colleague-${uuidv7()}@example.test`;
  const joined = await agent.post('/api/join').send({ key, name: 'Bryony Reed', email, password: 'reeds in the wind' });
  if (joined.status !== 201) throw new Error(`Nobody joined: ${joined.text}`);
  return { agent, me: joined.body as Me, email };
}

export const someDog: DogFacts = {
  name: 'Bracken',
  breed: 'Crossbreed',
  sex: 'female',
  bornOn: '2023-04-01',
  bornGuessed: false,
  weightG: 29_000,
  neckBuild: 'average',
  pull: 'drags',
  worksOn: 'left',
  heelLine: '',
  toolsWhere: null,
  ...NOTHING_NOTED,
  owner: '',
  notes: '',
  placeId: null,
  house: null,
  archivedAt: null,
};

export const someCollar = {
  kind: 'prong',
  name: 'Hook one',
  metal: 'stainless',
  condition: 'sound',
  measuredOn: '2026-03-01',
  owned: true,
  note: '',
  retiredAt: null,
  numbers: { gaugeMm: 3, pitchMm: 31, insideGirthMm: 480, links: 13, closingMm: 28 },
};

export const someRemote = {
  kind: 'remote',
  name: 'Curlew',
  metal: null,
  condition: 'sound',
  measuredOn: '2026-03-01',
  owned: true,
  note: '',
  retiredAt: null,
  numbers: {
    scaleMin: 1,
    scaleMax: 100,
    scaleStep: 1,
    modes: ['momentary'],
    massG: 92,
    footprintMm: 62,
    spacingMm: 37,
    postsMm: [12, 16],
    strapMinMm: 200,
    strapMaxMm: 700,
  },
};

export const taping = (dogId: string, more: Partial<NewTaping> = {}): NewTaping => ({
  dogId,
  site: 'high',
  way: 'tape',
  readingsMm: [397, 398, 399],
  typed: ['39.7', '39.8', '39.9'],
  overCoat: false,
  coatDepthMm: null,
  weightG: 29_000,
  neckBuild: 'average',
  at: '2026-03-02T09:00:00.000Z',
  correctsId: null,
  settled: false,
  ...more,
});

/** A dog of a kennel; answers its id. */
export async function newDog(agent: TestAgent, more: Partial<DogFacts> = {}): Promise<string> {
  const id = uuidv7();
  const response = await agent.put(`/api/dogs/${id}`).send({ ...someDog, ...more });
  if (response.status !== 201) throw new Error(`a dog answered ${response.status}: ${response.text}`);
  return id;
}

/** A dog, taped, with a collar in the locker and a plan for it. Answers their ids. */
export async function fittedDog(agent: TestAgent) {
  const ids = { place: uuidv7(), screening: uuidv7(), dog: uuidv7(), collar: uuidv7(), high: uuidv7(), head: uuidv7(), plan: uuidv7(), check: uuidv7() };
  const must = async (path: string, body: object) => {
    const response = await agent.put(path).send(body);
    if (response.status !== 201) throw new Error(`${path} answered ${response.status}: ${response.text}`);
  };
  await must(`/api/dogs/${ids.dog}`, someDog);
  await must(`/api/places/${ids.place}`, somePlace);
  await must(`/api/screenings/${ids.screening}`, screening(ids.dog));
  await must(`/api/collars/${ids.collar}`, someCollar);
  await must(`/api/tapings/${ids.high}`, taping(ids.dog));
  await must(`/api/tapings/${ids.head}`, taping(ids.dog, { site: 'head', readingsMm: [471, 472, 473] }));
  await must(`/api/plans/${ids.plan}`, plan(ids.dog, ids.collar, { placeId: ids.place }));
  await must(`/api/fit-checks/${ids.check}`, fitCheck(ids.dog, ids.plan));
  return ids;
}

export const somePlace = {
  name: 'Home field',
  collars: { prong: 'allowed' },
  checkedBy: 'Tester',
  checkedOn: '2026-03-01',
  source: '',
  retiredAt: null,
};

export const screening = (dogId: string, answers: object = {}) => ({
  dogId,
  answers: { ...Object.fromEntries(SCREEN_ITEM_IDS.map((id) => [id, 'no'])), ...answers },
  note: '',
  at: '2026-03-02T08:50:00.000Z',
});

export const prongChoices = { gaugeSchool: 'pull-first', betweenSchool: 'finer', split: { left: 6, right: 5 }, start: null, ring: 'live', ringPlace: 'nape' };

export const plan = (dogId: string, collarId: string, more: object = {}) => ({
  dogId,
  collarId,
  kind: 'prong',
  choices: prongChoices,
  placeId: null,
  note: '',
  at: '2026-03-02T09:10:00.000Z',
  ...more,
});

export const fitCheck = (dogId: string, planId: string, more: object = {}) => ({
  dogId,
  planId,
  kind: 'prong',
  on: { left: 6, right: 5 },
  answers: { breathing: 'free', ears: 'free', sits: 'high', under: 'flat-hand', turns: 'spins', headDrop: 'slides', overHead: 'no', gathered: null },
  note: '',
  at: '2026-03-02T09:20:00.000Z',
  ...more,
});

/** A batch of what happened, as a phone sends it now. */
export const happeningBatch = (happenings: readonly object[], more: object = {}) => ({
  source: 'hand',
  phone: 'pocket phone',
  sentAt: new Date().toISOString(),
  clock: null,
  happenings,
  ...more,
});
/** Tells what happened; what became of each, in their order. */
export async function tell(agent: TestAgent, happenings: readonly object[], more: object = {}): Promise<HappeningResult[]> {
  const response = await agent.post('/api/happenings').send(happeningBatch(happenings, more));
  if (response.status !== 200) throw new Error(`what happened was answered ${response.status}: ${response.text}`);
  return HappeningsKept.parse(response.body).results;
}
/** Tells what happened, all of which must be kept. */
export async function mustTell(agent: TestAgent, happenings: readonly object[]): Promise<void> {
  const odd = (await tell(agent, happenings)).find(({ status }) => status !== 'kept');
  if (odd) throw new Error(`${odd.status}: ${odd.message}`);
}
