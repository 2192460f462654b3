import { execFileSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HandoverSheet, type NewHandover, type OwnerPage } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fitCheck, fittedDog, newDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dogId: string;
beforeAll(async () => {
  banter = await openBanter();
  agent = await newKennel(banter.app, 'Alder Carr');
  dogId = (await fittedDog(agent)).dog;
});
afterAll(() => banter.close());

const handover = (more: Partial<NewHandover> = {}): NewHandover => ({
  dogId,
  toWhom: 'Zofia Wąsik',
  callWhom: 'Tester, 01234 567 890',
  lengthUnit: 'in',
  massUnit: 'lb',
  note: 'Feed him before the walk, not after. ½ cup.',
  at: '2026-03-05T10:00:00.000Z',
  ...more,
});
async function handOver(more: Partial<NewHandover> = {}, by = agent) {
  const id = uuidv7();
  const answer = await by.put(`/api/handovers/${id}`).send(handover(more));
  return { id, answer };
}
async function ownerLink(more: object = {}) {
  const key = randomBytes(32).toString('hex');
  const id = uuidv7();
  const facts = { dogId, name: 'Zofia', keyHash: createHash('sha256').update(key).digest('hex'), expiresAt: new Date(Date.now() + 86_400_000).toISOString(), revokedAt: null, ...more }; // prettier-ignore
  const answer = await agent.put(`/api/owner-links/${id}`).send(facts);
  return { key, id, facts, answer };
}
const open = (key: string) => supertest(banter.app).post('/api/owner').send({ key });
function poppler(program: string, pdf: Buffer, ...args: string[]): string {
  const file = join(mkdtempSync(join(tmpdir(), 'banter-pdf-')), 'pages.pdf');
  writeFileSync(file, pdf);
  return execFileSync(program, [...args, file, ...(program === 'pdftotext' ? ['-'] : [])], { encoding: 'utf8' });
}
const bytes = (request: supertest.Test) => request.buffer(true).parse((response, done) => {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => done(null, Buffer.concat(parts)));
}); // prettier-ignore

describe('a handover', () => {
  it('tells nothing about wearing a collar that a check has stopped, but that it stays off', async () => {
    const ids = await fittedDog(agent);
    const told = (body: { sheet: HandoverSheet }) =>
      JSON.stringify([body.sheet.lead, body.sheet.sections, body.sheet.daily, body.sheet.cautions, body.sheet.drawings]);
    const before = (await handOver({ dogId: ids.dog })).answer;
    expect(told(before.body)).toContain('rong collar goes on');
    const over = fitCheck(ids.dog, ids.plan, { at: '2026-03-04T10:00:00.000Z', answers: { ...fitCheck(ids.dog, ids.plan).answers, breathing: 'not-free' } });
    expect((await agent.put(`/api/fit-checks/${uuidv7()}`).send(over)).body.outcome.verdict).toBe('stop');
    const { body } = (await handOver({ dogId: ids.dog })).answer;
    expect(body.sheet.lead).toContain('wears no collar of ours for now');
    expect(told(body)).toContain('Stays off: it is not right for this dog as it is.');
    expect(told(body)).not.toContain('goes on');
    expect(body.sheet.drawings.neck.collars).toEqual([]);
  });

  it('is made of the records as they stand, in the owner’s units, and stays as it was', async () => {
    const { id, answer } = await handOver();
    expect(answer.status, answer.text).toBe(201);
    const sheet = HandoverSheet.parse(answer.body.sheet);
    const text = JSON.stringify(sheet.sections);
    // 398 mm is 15.67 in, to an eighth 15 5/8; 29 kg is 63.9 lb, said as 64.
    expect(sheet.facts).toContain('15 5/8 in');
    expect(sheet.facts).toContain('64 lb');
    expect(text).toContain('6 left, 5 right');
    expect(text).not.toMatch(/ cm\b| kg\b/);
    await agent.put(`/api/tapings/${uuidv7()}`).send({ dogId, site: 'high', way: 'tape', readingsMm: [410, 410, 410], typed: ['41', '41', '41'], overCoat: false, coatDepthMm: null, weightG: 30_000, neckBuild: 'average', at: '2026-03-06T09:00:00.000Z', correctsId: null }); // prettier-ignore
    expect((await agent.get(`/api/handovers/${id}`)).body.sheet.facts).toContain('15 5/8 in');
  });

  it('reads in poppler: two pages at most, every letter of the owner’s name, drawings as vectors and not as pictures', async () => {
    const { id } = await handOver();
    const answer = await bytes(agent.get(`/api/handovers/${id}/pages.pdf`));
    expect(answer.headers['content-type']).toBe('application/pdf');
    const pdf = answer.body as Buffer;
    const info = poppler('pdfinfo', pdf);
    expect(Number(/Pages:\s+(\d+)/.exec(info)![1])).toBeLessThanOrEqual(2);
    expect(info).toMatch(/Page size:\s+612 x 792/);
    const text = poppler('pdftotext', pdf, '-layout');
    for (const said of ['Bracken', 'Zofia Wąsik', 'Call Tester, 01234 567 890', '½ cup', '6 left, 5 right', 'Every day', 'When to call', '12 nape'])
      expect(text).toContain(said);
    // A header line and no image: everything is drawn.
    expect(poppler('pdfimages', pdf, '-list').trim().split('\n')).toHaveLength(2);
    expect(poppler('pdffonts', pdf)).toMatch(/yes\s+yes\s+yes/);
  });

  it('of another kennel’s dog is refused, and its pages are not found', async () => {
    const stranger = await newKennel(banter.app);
    expect((await handOver({}, stranger)).answer.status).toBe(404);
    const { id } = await handOver();
    expect((await stranger.get(`/api/handovers/${id}/pages.pdf`)).status).toBe(404);
    expect((await stranger.get(`/api/dogs/${dogId}/handovers`)).status).toBe(404);
  });

  it('of a dog with nothing fitted still has its pages', async () => {
    const bare = await newDog(agent, { name: 'Żółw «½»' });
    const { id, answer } = await handOver({ dogId: bare, lengthUnit: 'cm', massUnit: 'kg' });
    expect(answer.body.sheet.lead).toContain('wears no collar of ours for now');
    const pdf = (await bytes(agent.get(`/api/handovers/${id}/pages.pdf`))).body as Buffer;
    expect(poppler('pdfinfo', pdf)).toMatch(/A4/);
    expect(poppler('pdftotext', pdf)).toContain('Żółw «½»');
  });
});

describe('an owner’s link', () => {
  it('shows the latest handover and no more, takes ticks, and writes down what was done with it', async () => {
    await handOver({ at: '2026-03-07T10:00:00.000Z', note: 'The latest.' });
    const { key, answer } = await ownerLink();
    expect(answer.status, answer.text).toBe(201);
    const shown = await open(key);
    expect(shown.body).toMatchObject({ name: 'Zofia', handover: { note: 'The latest.', sheet: { dogName: 'Bracken' } }, ticks: [] });
    expect(JSON.stringify(shown.body)).not.toContain(dogId);
    const item = (shown.body as OwnerPage).handover!.sheet.daily[0]!.key;
    const tick = { key, id: uuidv7(), item, done: true };
    const ticked = await supertest(banter.app).post('/api/owner/ticks').send(tick);
    expect(ticked.body.ticks).toEqual([{ day: ticked.body.today, items: [item] }]);
    // The same tick again, as from a phone that did not hear the answer.
    expect((await supertest(banter.app).post('/api/owner/ticks').send(tick)).body.ticks).toEqual(ticked.body.ticks);
    const back = await supertest(banter.app).post('/api/owner/ticks').send({ key, id: uuidv7(), item, done: false });
    expect(back.body.ticks).toEqual([{ day: ticked.body.today, items: [] }]);
    expect((await supertest(banter.app).post('/api/owner/ticks').send({ key, id: uuidv7(), item: 'no such line', done: true })).status).toBe(422);
    const pdf = await bytes(supertest(banter.app).post('/api/owner/pages.pdf').send({ key }));
    expect(poppler('pdftotext', pdf.body as Buffer)).toContain('The latest.');
    const { visits } = (await agent.get(`/api/dogs/${dogId}/handovers`)).body;
    expect(visits.map(({ what }: { what: string }) => what)).toEqual(['paper', 'unticked', 'ticked', 'opened']);
  });

  it('says what is not right: it stands among the dues until it is taken back or somebody has looked', async () => {
    await handOver({ at: '2026-03-07T10:00:00.000Z' });
    const { key } = await ownerLink();
    const say = (says: string, done = true, id = uuidv7()) => supertest(banter.app).post('/api/owner/says').send({ key, id, says, done });
    const due = async () =>
      ((await agent.get('/api/today')).body as { items: { code: string; title: string; to: string }[] }).items.filter(({ code }) => code === 'owner-says');
    const id = uuidv7();
    expect((await say('slid', true, id)).body.said).toEqual(['slid']);
    // The same word again, as from a phone that did not hear the answer.
    expect((await say('slid', true, id)).body.said).toEqual(['slid']);
    expect(await due()).toMatchObject([{ title: 'Bracken: it slid down, says Zofia.', to: `/dogs/${dogId}/check` }]);
    expect((await say('slid', false)).body.said).toEqual([]);
    expect(await due()).toEqual([]);
    // Pink is a look at the skin where the collar closes (nape): that place rests, on every screen, until it is undone or somebody looks.
    await say('pink');
    const looks = async () => ((await agent.get(`/api/dogs/${dogId}/neck`)).body as { skinLooks: object[] }).skinLooks;
    expect(await looks()).toMatchObject([{ clock: 12, grade: 1, under: 'prong', personName: 'Zofia', personId: null }]);
    await say('pink', false);
    expect(await looks()).toMatchObject([{ grade: 1 }, { clock: 12, grade: 0, personName: 'Zofia' }]);
    await say('pink');
    await say('off');
    expect((await due()).map(({ title }) => title)).toEqual(['Bracken: the skin is pink, says Zofia.', 'Bracken: it is off, says Zofia.']);
    const look = { dogId, clock: 3, under: 'prong', grade: 0, sore: null, note: '', photoId: null, at: new Date(Date.now() + 1000).toISOString() };
    expect((await agent.put(`/api/skin-looks/${uuidv7()}`).send(look)).status).toBe(201);
    expect((await due()).map(({ title }) => title)).toEqual(['Bracken: it is off, says Zofia.']);
    expect((await say('barks')).status).toBe(422);
    const { visits } = (await agent.get(`/api/dogs/${dogId}/handovers`)).body as { visits: { what: string; item: string }[] };
    const words = visits.filter(({ what }) => what.endsWith('said')).map(({ what, item }) => `${what} ${item}`);
    expect(words).toEqual(['said off', 'said pink', 'unsaid pink', 'said pink', 'unsaid slid', 'said slid']);
  });

  it('that is guessed, ran out, or was taken back opens nothing, and all are answered alike', async () => {
    const late = await ownerLink({ expiresAt: new Date(Date.now() - 1000).toISOString() });
    const back = await ownerLink();
    await agent
      .put(`/api/owner-links/${back.id}`)
      .set('If-Match', '"1"')
      .send({ ...back.facts, revokedAt: new Date().toISOString() });
    const answers = await Promise.all([late.key, back.key, 'cd'.repeat(32)].map(open));
    expect(answers.map(({ status, body }) => [status, body.code])).toEqual(Array.from({ length: 3 }, () => [404, 'no-owner-link']));
    expect(new Set(answers.map(({ text }) => text)).size).toBe(1);
    expect((await supertest(banter.app).post('/api/owner/pages.pdf').send({ key: back.key })).status).toBe(404);
    expect((await supertest(banter.app).post('/api/owner/ticks').send({ key: back.key, id: uuidv7(), item: 'skin', done: true })).status).toBe(404);
    expect((await supertest(banter.app).post('/api/owner/says').send({ key: back.key, id: uuidv7(), says: 'pink', done: true })).status).toBe(404);
    expect((await open('short')).status).toBe(422);
  });

  it('opens nothing but itself: no record of the kennel is reached by its key', async () => {
    const { key } = await ownerLink();
    for (const path of ['/api/dogs', `/api/dogs/${dogId}/page`, '/api/today', `/api/dogs/${dogId}/handovers`])
      expect((await supertest(banter.app).get(path).set('Authorization', `Bearer ${key}`)).status).toBe(401);
  });

  it('holds half a year at most and keeps its key and its dog', async () => {
    expect((await ownerLink({ expiresAt: new Date(Date.now() + 400 * 86_400_000).toISOString() })).answer.body.errors[0].path).toBe('expiresAt');
    const made = await ownerLink();
    const other = await newDog(agent);
    for (const change of [{ keyHash: 'ab'.repeat(32) }, { dogId: other }]) {
      const answer = await agent
        .put(`/api/owner-links/${made.id}`)
        .set('If-Match', '"1"')
        .send({ ...made.facts, ...change });
      expect(answer.body.errors[0].path).toBe(Object.keys(change)[0]);
    }
  });
});
