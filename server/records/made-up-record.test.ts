import { vi } from 'vitest';

// The one row that a new kind of record is, on either side: everything else has to find it by asking the registries.
vi.mock('../../contract/records/registry.ts', async (original) => {
  const { RECORD_KINDS } = await original<{ RECORD_KINDS: object }>();
  const { whistleTests } = await import('../../contract/records/whistle-test.fixture.ts');
  return { RECORD_KINDS: { ...RECORD_KINDS, whistleTests } };
});
vi.mock('./registry.ts', async (original) => {
  const { KEPT_KINDS } = await original<{ KEPT_KINDS: object }>();
  const { whistleTestKind } = await import('./whistle-tests.fixture.ts');
  return { KEPT_KINDS: { ...KEPT_KINDS, whistleTests: whistleTestKind } };
});

import { createHash, randomBytes } from 'node:crypto';
import { deedWords, kennelFileSchema, type Deed, type KennelImport } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';
import { WHISTLE_TABLE } from './whistle-tests.fixture.ts';

let banter: TestBanter;
let lead: TestAgent;
let dogId: string;
const id = uuidv7();
const sent = () => ({ dogId, turned: true, note: 'From forty paces.', at: '2026-03-02T09:00:00.000Z' });
beforeAll(async () => {
  banter = await openBanter();
  await banter.dataSource.query(WHISTLE_TABLE);
  lead = await newKennel(banter.app, 'Whistles');
  dogId = await newDog(lead, { name: 'Sedge' });
});
afterAll(() => banter.close());

it('a made-up kind of record, one row of the registries, is kept once at its address and read again', async () => {
  const first = await lead.put(`/api/whistle-tests/${id}`).send(sent());
  expect([first.status, first.body]).toMatchObject([201, { ...sent(), id, personName: 'Tester' }]);
  expect((await lead.put(`/api/whistle-tests/${id}`).send(sent())).status).toBe(200);
  expect((await lead.put(`/api/whistle-tests/${id}`).send({ ...sent(), turned: false })).body.code).toBe('already-recorded');
  expect((await lead.get(`/api/whistle-tests/${id}`)).body).toEqual(first.body);
  expect((await lead.put(`/api/whistle-tests/${uuidv7()}`).send({ ...sent(), turned: 'yes' })).status).toBe(422);
  const strange = await newDog(await newKennel(banter.app, 'Elsewhere'));
  expect((await lead.put(`/api/whistle-tests/${uuidv7()}`).send({ ...sent(), dogId: strange })).body).toMatchObject({
    code: 'bad-input',
    errors: [{ path: 'dogId', message: 'There is no such dog in this kennel.' }],
  });
});

it('is nobody’s who is not signed in, no other kennel’s, and changed by whom its row says', async () => {
  expect((await supertest(banter.app).get(`/api/whistle-tests/${id}`)).status).toBe(401);
  const other = await newKennel(banter.app, 'Others');
  expect((await other.get(`/api/whistle-tests/${id}`)).status).toBe(404);
  const key = randomBytes(32).toString('hex');
  const invite = { name: 'Helper', role: 'assistant', personId: null, keyHash: createHash('sha256').update(key).digest('hex'), revokedAt: null };
  await lead.put(`/api/invites/${uuidv7()}`).send({ ...invite, expiresAt: new Date(Date.now() + 86_400_000).toISOString() });
  const assistant = supertest.agent(banter.app);
  const joined = await assistant.post('/api/join').send({ key, name: 'Helper', email: 'helper@example.test', password: 'a long password' });
  expect([joined.status, joined.text]).toEqual([201, expect.any(String)]);
  expect((await assistant.put(`/api/whistle-tests/${uuidv7()}`).send(sent())).status).toBe(403);
  expect((await assistant.get(`/api/whistle-tests/${id}`)).status).toBe(200);
});

it('stands in the description of the interface, in the log and in the schema of a kennel’s file', async () => {
  const { paths } = (await lead.get('/api/openapi.json')).body as { paths: Record<string, object> };
  expect(Object.keys(paths['/api/whistle-tests/{id}']!)).toEqual(['get', 'put']);
  const { deeds, kinds } = (await lead.get('/api/deeds')).body as { deeds: Deed[]; kinds: string[] };
  expect(kinds).toContain('whistleTest');
  expect(deedWords(deeds.find(({ kind }) => kind === 'whistleTest')!)).toBe('tried the whistle on Sedge');
  expect(JSON.stringify(kennelFileSchema())).toContain('Every try of the whistle.');
});

it('leaves with the kennel’s file and comes back whole, and one of a dog that is not there is refused', async () => {
  const file = (await lead.get('/api/kennel.json')).body as { whistleTests: { id: string; dogId: string }[] };
  expect(file.whistleTests).toMatchObject([{ ...sent(), id }]);
  const bring = async (agent: TestAgent, content: object) => {
    const { id: job } = (await agent.post('/api/imports').send(content)).body as { id: string };
    const settled = async (): Promise<KennelImport> => {
      const view = (await agent.get(`/api/imports/${job}`)).body as KennelImport;
      return ['reading', 'keeping'].includes(view.state) ? settled() : view;
    };
    return { job, view: await settled(), settled };
  };
  const strange = await bring(await newKennel(banter.app, 'Strange'), { ...file, whistleTests: [{ ...file.whistleTests[0], dogId: uuidv7() }] });
  expect([strange.view.state, strange.view.faults[0]?.where]).toEqual(['refused', 'whistleTests[0].dogId']);
  const again = await newKennel(banter.app, 'Whistles again');
  const { job, view, settled } = await bring(again, file);
  expect([view.state, view.counts.whistleTests]).toEqual(['ready', { fresh: 1, same: 0, other: 0 }]);
  await again.post(`/api/imports/${job}/keep`).send({ conflicts: 'ours' });
  expect((await settled()).state).toBe('kept');
  expect((await again.get(`/api/whistle-tests/${id}`)).body).toMatchObject({ turned: true, note: 'From forty paces.' });
});
