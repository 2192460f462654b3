import { KENNEL_PART_NAMES, type KennelImport } from '@banter/contract';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '../demo/seed-demo.ts';
import { fittedDog, newKennel, openBanter, someDog, type TestBanter } from '../test-kennels.ts';

type File = Record<string, { id: string }[]> & { kennel: Record<string, unknown> };
let banter: TestBanter;
let demo: TestAgent;
let file: File;
beforeAll(async () => {
  banter = await openBanter();
  await seedDemo(banter.dataSource, new Date('2026-11-20T12:00:00Z'));
  demo = supertest.agent(banter.app);
  await demo.post('/api/sign-in/demo').send({});
  file = await taken(demo);
}, 120_000);
afterAll(() => banter.close());

async function taken(agent: TestAgent): Promise<File> {
  const answer = await agent.get('/api/kennel.json');
  expect(answer.status).toBe(200);
  return answer.body as File;
}
async function looked(agent: TestAgent, body: unknown): Promise<KennelImport> {
  const sent = await agent
    .post('/api/imports')
    .set('Content-Type', 'application/json')
    .send(typeof body === 'string' ? body : JSON.stringify(body));
  expect(sent.status, sent.text).toBe(201);
  return until(agent, sent.body.id, ['reading']);
}
async function until(agent: TestAgent, id: string, while_: string[]): Promise<KennelImport> {
  for (;;) {
    const view = (await agent.get(`/api/imports/${id}`)).body as KennelImport;
    if (!while_.includes(view.state)) return view;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
async function kept(agent: TestAgent, id: string, conflicts: 'ours' | 'file' = 'ours'): Promise<KennelImport> {
  expect((await agent.post(`/api/imports/${id}/keep`).send({ conflicts })).status).toBe(200);
  return until(agent, id, ['keeping']);
}
const byId = (records: readonly { id: string }[]) => new Map(records.map((record) => [record.id, record]));

describe('a whole kennel as a file', () => {
  it('goes out and back into an empty kennel of the same database, and is record by record what it was', async () => {
    const agent = await newKennel(banter.app, 'New Fen');
    const view = await looked(agent, file);
    expect([view.state, view.faults, view.conflictCount]).toEqual(['ready', [], 0]);
    expect(view.counts.dogs).toEqual({ fresh: file.dogs!.length, same: 0, other: 0 });
    expect((await kept(agent, view.id)).state).toBe('kept');
    const again = await taken(agent);
    const { id: _own, ...settings } = file.kennel;
    expect(again.kennel).toMatchObject(settings);
    const me = (await agent.get('/api/doorstep')).body.me.person.id as string;
    for (const part of KENNEL_PART_NAMES) {
      const records = byId(again[part]!);
      if (part === 'people') records.delete(me);
      expect([part, records.size]).toEqual([part, file[part]!.length]);
      for (const record of file[part]!) expect(records.get(record.id)).toEqual(record);
    }
    // What is worked out from the records is the same, too.
    const presses = 'SELECT COUNT(*) AS count, SUM(level) AS level FROM presses p JOIN kennels k ON k.id = p.kennelId WHERE k.demo = ?';
    const [one, other] = [await banter.dataSource.query(presses, [true]), await banter.dataSource.query(presses, [false])];
    expect(Number(one[0].count)).toBeGreaterThan(500);
    expect(other).toEqual(one);
    for (const dog of file.dogs!.slice(0, 3)) {
      const levels = async (by: TestAgent) => JSON.stringify((await by.get(`/api/dogs/${dog.id}/levels`)).body.sessions);
      expect(await levels(agent)).toBe(await levels(demo));
    }
    // Nobody gets in by a file: those who stand in the records sign in nowhere.
    expect((await agent.get('/api/people')).body.people.filter(({ signsIn }: { signsIn: boolean }) => signsIn)).toHaveLength(1);
    expect((await agent.post('/api/my-leaving').send({})).body.code).toBe('last-lead');
    const deeds = (await agent.get('/api/deeds').query({ kind: 'kennel' })).body.deeds as { act: string }[];
    expect(deeds.map(({ act }) => act)).toEqual(['took', 'brought', 'made']);
  }, 120_000);

  it('is what its published schema says, by another validator', async () => {
    const schema = (await supertest(banter.app).get('/api/kennel-file.schema.json')).body;
    const ajv = new Ajv2020({ strict: false, allErrors: true });
    addFormats.default(ajv);
    ajv.addFormat('base64', true);
    const valid = ajv.compile(schema);
    expect([valid(file), valid.errors?.slice(0, 5) ?? []]).toEqual([true, []]);
    expect(valid({ ...file, version: 2 })).toBe(false);
    expect(valid({ ...file, dogs: [{ ...file.dogs![0], colour: 'blue' }] })).toBe(false);
  });

  it('holds nothing that lets anybody in', () => {
    const text = JSON.stringify(file);
    for (const name of ['passwordHash', 'keyHash', '"email"', 'kennelId']) expect(text).not.toContain(name);
  });

  it('is a lead’s to take and to bring', async () => {
    expect((await supertest(banter.app).get('/api/kennel.json')).status).toBe(401);
    expect((await supertest(banter.app).post('/api/imports').send('{}')).status).toBe(401);
  });
});

describe('a file brought into a used kennel', () => {
  it('finds what is there already, lists what is otherwise first, and keeps ours or the file’s as was said', async () => {
    const agent = await newKennel(banter.app);
    const ids = await fittedDog(agent);
    const mine = await taken(agent);
    const same = await looked(agent, mine);
    expect(Object.values(same.counts).every(({ fresh, other }) => fresh === 0 && other === 0)).toBe(true);
    await agent
      .put(`/api/dogs/${ids.dog}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, name: 'Renamed' });
    const view = await looked(agent, mine);
    expect(view.conflicts).toEqual([{ part: 'dogs', id: ids.dog, label: 'Renamed', versioned: true, fields: ['version', 'name'] }]);
    expect((await kept(agent, view.id, 'ours')).state).toBe('kept');
    expect((await agent.get(`/api/dogs/${ids.dog}`)).body.name).toBe('Renamed');
    const second = await looked(agent, mine);
    expect((await kept(agent, second.id, 'file')).state).toBe('kept');
    expect((await agent.get(`/api/dogs/${ids.dog}`)).body).toMatchObject({ name: 'Bracken', version: 3 });
  });

  it('never rewrites what happened: that stays ours', async () => {
    const agent = await newKennel(banter.app);
    const ids = await fittedDog(agent);
    const mine = await taken(agent);
    const changed = { ...mine, tapings: mine.tapings!.map((one) => ({ ...one, tapedMm: 999 })) };
    const view = await looked(agent, changed);
    expect(view.conflicts.map(({ part, versioned }) => [part, versioned])).toEqual([['tapings', false], ['tapings', false]]); // prettier-ignore
    await kept(agent, view.id, 'file');
    expect((await agent.get(`/api/tapings/${ids.high}`)).body.tapedMm).toBe(398);
  });
});

describe('a file that is not right', () => {
  const some = () => ({ format: 'banter-kennel', version: 1, exportedAt: '2026-01-01T00:00:00.000Z', kennel: file.kennel, dogs: file.dogs!.slice(0, 2).map((dog) => ({ ...dog, placeId: null })) }); // prettier-ignore
  const dogOf = () => some().dogs[0]!;
  const cases: [string, () => unknown, RegExp, string][] = [
    ['no JSON', () => 'id;name\n1;Rex', /no JSON/, 'file'],
    ['a list', () => [1, 2], /no object/, 'file'],
    ['cut off', () => JSON.stringify(some()).slice(0, -40), /no JSON|ends before/, 'file'],
    ['nothing', () => '', /no JSON|ends before/, 'file'],
    ['of another version', () => ({ ...some(), version: 7 }), /version 7/, 'file'],
    ['of another program', () => ({ animals: [] }), /not known here/, 'animals'],
    ['without a format', () => ({ dogs: [] }), /missing/, 'format'],
    ['with an id twice', () => ({ ...some(), dogs: [dogOf(), dogOf()] }), /stands twice/, 'dogs[1]'],
    ['with a broken reference', () => ({ ...some(), endings: [{ id: uuidv7(), dogId: dogOf().id, planId: uuidv7(), ended: true, note: '', at: '2026-01-01T00:00:00Z', recordedAt: '2026-01-01T00:00:00Z', personId: file.people![0]!.id }], people: file.people }), /refers to/, 'endings[0].planId'],
    ['with a field of the wrong kind', () => ({ ...some(), dogs: [{ ...dogOf(), weightG: 'heavy' }] }), /./, 'dogs[0].weightG'],
    ['with a field nobody knows', () => ({ ...some(), dogs: [{ ...dogOf(), colour: 'blue' }] }), /colour/, 'dogs[0]'],
    ['with a press off every scale', () => ({ ...some(), events: [{ ...file.events![0], event: 'press', data: { level: -4, mode: 'momentary' } }] }), /./, 'events[0]'],
    ['with a photo that is none', () => ({ ...some(), photos: [{ id: uuidv7(), personId: file.people![0]!.id, jpeg: 'aGVsbG8=', widthPx: 10, heightPx: 10, createdAt: '2026-01-01T00:00:00Z' }] }), /JPEG/, 'photos[0]'],
  ]; // prettier-ignore
  it.each(cases)('%s: says what and where, and changes nothing', async (_what, make, message, where) => {
    const agent = await newKennel(banter.app);
    const before = JSON.stringify({ ...(await taken(agent)), exportedAt: '' });
    const view = await looked(agent, make());
    expect(view.state).toBe('refused');
    expect(view.faults[0]).toEqual({ where, message: expect.stringMatching(message) });
    expect((await agent.post(`/api/imports/${view.id}/keep`).send({ conflicts: 'file' })).body.state).toBe('refused');
    expect(JSON.stringify({ ...(await taken(agent)), exportedAt: '' })).toBe(before);
  });

  it('is let go, and is nobody else’s to see', async () => {
    const agent = await newKennel(banter.app);
    const view = await looked(agent, some());
    expect((await (await newKennel(banter.app)).get(`/api/imports/${view.id}`)).status).toBe(404);
    expect((await agent.post(`/api/imports/${view.id}/drop`).send({})).status).toBe(204);
    expect((await agent.get(`/api/imports/${view.id}`)).status).toBe(404);
  });
});
