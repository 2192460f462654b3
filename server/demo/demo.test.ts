import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HandoverSheet } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { drawHandover } from '../../web/paper/paper-drawings.ts';
import { handoverPdf } from '../paper/handover-pdf.ts';
import { lettered, signsWithoutGlyph } from '../paper/paper-fonts.ts';
import { newDog, newKennel, openBanter, someDog, type TestBanter } from '../test-kennels.ts';
import { isDemoLeft } from './demo-keeper.ts';
import { resetDemo, seedDemo } from './seed-demo.ts';

const NOW = new Date('2026-06-01T08:00:00Z');
let banter: TestBanter;
let visitor: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
  await seedDemo(banter.dataSource, NOW);
  visitor = supertest.agent(banter.app);
  await visitor.post('/api/sign-in/demo');
});
afterAll(() => banter.close());

describe('the demo, which is everybody’s', () => {
  it('cannot be taken over: nobody invites, joins, ends people, or changes roles and passwords in it', async () => {
    const { people } = (await visitor.get('/api/people')).body as { people: { id: string; role: string }[] };
    const [first] = people;
    const soon = new Date(Date.now() + 3_600_000).toISOString();
    const tried = [
      await visitor.put(`/api/invites/${uuidv7()}`).send({ name: 'Me', role: 'lead', personId: null, keyHash: 'a'.repeat(64), expiresAt: soon, revokedAt: null }), // prettier-ignore
      await visitor.put(`/api/people/${people[1]!.id}`).send({ role: 'lead', left: false }),
      await visitor.put(`/api/PEOPLE/${first!.id}`).send({ role: 'reader', left: true }),
      await visitor.post('/api/my-password').send({ old: 'x', password: 'a long password' }),
      await visitor.post('/api/my-leaving').send({}),
    ];
    for (const { status, body } of tried) expect([status, body.code, body.title]).toEqual([403, 'not-in-the-demo', 'Not in the demo, which is shared. Make a kennel of your own.']); // prettier-ignore
    expect((await visitor.get('/api/people')).body.people.map(({ role }: { role: string }) => role)).toEqual(people.map(({ role }) => role));
    // What a visitor comes for still works.
    expect((await visitor.put(`/api/dogs/${uuidv7()}`).send({ ...someDog, name: 'Visitor’s' })).status).toBe(201);
    expect((await visitor.put('/api/me').send({ finger: { thicknessMm: 14, widthMm: 17 } })).status).toBe(200);
  });

  it('may be entered only so often from one address', async () => {
    const strict = banter.besides({ limits: { signUpsPerHour: 1 } });
    const address = '203.0.113.9';
    const statuses = [];
    strict.set('trust proxy', 1);
    for (let time = 0; time < 6; time += 1) statuses.push((await supertest(strict).post('/api/sign-in/demo').set('X-Forwarded-For', address)).status);
    expect(statuses).toEqual([200, 200, 200, 200, 429, 429]);
  });

  it('is put back when nobody used it for an hour, all of it, and nothing of another kennel', async () => {
    const own = await newKennel(banter.app, 'Beside');
    const dog = await newDog(own);
    const before = (await own.get('/api/deeds')).body.deeds.length;
    // In use: it stays.
    expect(await isDemoLeft(banter.dataSource)).toBe(false);
    await banter.dataSource.query('UPDATE kennels SET usedAt = DATE_SUB(UTC_TIMESTAMP(3), INTERVAL 61 MINUTE) WHERE demo');
    expect(await isDemoLeft(banter.dataSource)).toBe(true);
    expect(await resetDemo(banter.dataSource, NOW)).toBe(true);
    // Nobody has used it since: once is enough.
    expect(await isDemoLeft(banter.dataSource)).toBe(false);
    // Visitors of before are out.
    expect((await visitor.get('/api/dogs')).status).toBe(401);
    await visitor.post('/api/sign-in/demo');
    const { rows: dogs } = (await visitor.get('/api/dog-cards')).body as { rows: { dog: { name: string } }[] };
    expect(dogs.length).toBeGreaterThanOrEqual(10);
    expect(dogs.map(({ dog: { name } }) => name)).not.toContain('Visitor’s');
    expect((await own.get(`/api/dogs/${dog}/page`)).status).toBe(200);
    expect((await own.get('/api/deeds')).body.deeds).toHaveLength(before);
    // The log of any other kennel stays, whoever asks the database.
    await expect(banter.dataSource.query('DELETE FROM deeds WHERE kennelId IN (SELECT id FROM kennels WHERE NOT demo)')).rejects.toThrow('What was done stays written.'); // prettier-ignore
  });
});

describe('the demo’s dogs, handed over', () => {
  it('have pages without a sign that no typeface of paper has, in words and in drawings', async () => {
    const { rows: dogs } = (await visitor.get('/api/dog-cards')).body as { rows: { dog: { id: string; name: string } }[] };
    expect(dogs.length).toBeGreaterThan(10);
    for (const { dog } of dogs) {
      const sent = { dogId: dog.id, toWhom: 'Zofia Wąsik', callWhom: 'Wenna Sedge', lengthUnit: 'in', massUnit: 'lb', note: '', at: NOW.toISOString() };
      const answer = await visitor.put(`/api/handovers/${uuidv7()}`).send(sent);
      expect([dog.name, answer.status]).toEqual([dog.name, 201]);
      const sheet = HandoverSheet.parse(answer.body.sheet);
      const drawn = Object.values(await drawHandover(sheet)).map((svg) => svg ?? '');
      const texts = drawn.flatMap((svg) => [...svg.matchAll(/>([^<]+)</g)].map(([, text]) => text!));
      const said = [sheet.facts, sheet.lead, ...sheet.cautions, ...sheet.daily.map(({ text }) => text), ...sheet.sections.flatMap(({ lines }) => lines.map(({ label, text }) => `${label ?? ''}${text}`))]; // prettier-ignore
      expect([dog.name, signsWithoutGlyph([...said, ...texts].join(''))]).toEqual([dog.name, []]);
    }
  });

  it('have a sign that the usual typeface lacks drawn by another, not as a box', async () => {
    const svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 40" font-family="Text"><text x="5" y="20" font-size="12">high ≈ 12 ≥ 3</text></svg>';
    expect(lettered(svg)).toContain('<tspan font-family="Rest">≈ </tspan>');
    const sheet = {
      dogName: 'Hale',
      kennelName: 'Marrow Fen',
      lengthUnit: 'cm',
      worksOn: 'left',
      facts: 'f',
      lead: 'l',
      sections: [],
      daily: [],
      cautions: [],
    };
    const paper = { sheet: sheet as unknown as HandoverSheet, toWhom: 'x', callWhom: 'y', note: '', day: 'today' };
    const pdf = await handoverPdf(paper, () => Promise.resolve({ neck: svg, side: null, letter: null, clock: null }));
    const file = join(mkdtempSync(join(tmpdir(), 'banter-sign-')), 'pages.pdf');
    writeFileSync(file, pdf);
    expect(execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })).toMatch(/high ≈ 12 ≥ 3/);
  });
});
