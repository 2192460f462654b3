import { createHash, randomBytes } from 'node:crypto';
import { dayOf } from '@banter/contract';
import ICAL from 'ical.js';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, someCollar, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let person: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
  dog = await newDog(agent, { name: 'Bracken; of the "fen", north' });
  person = (await agent.get('/api/doorstep')).body.me.person.id as string;
});

const dayAfter = (days: number) => dayOf(Date.now() + days * 86_400_000, 'Europe/London');
async function session(id: string, from: number, version: number | null = null, more: object = {}) {
  const facts = { dogId: dog, programmeId: null, stageId: null, personId: person, day: dayAfter(3), from, minutes: 25, aroundMinutes: 0, state: 'planned', note: 'Heel line, past the pond\nand back', ...more }; // prettier-ignore
  const kept = await agent
    .post('/api/calendar-changes')
    .send({ sessions: [{ id, version, facts: { ...facts, note: String(facts.note).replace('\n', ' ') } }] });
  expect(kept.status).toBe(200);
}
async function feed(facts: object = {}): Promise<{ key: string; id: string }> {
  const [key, id] = [randomBytes(32).toString('hex'), uuidv7()];
  const keyHash = createHash('sha256').update(key).digest('hex');
  expect((await agent.put(`/api/calendar-feeds/${id}`).send({ name: 'Phone', keyHash, personId: null, revokedAt: null, ...facts })).status).toBe(201);
  return { key, id };
}
const read = (key: string, headers: Record<string, string> = {}) => supertest(banter.app).get(`/api/feeds/${key}.ics`).set(headers);
/** Read by a parser that knows nothing of Banter. */
function eventsOf(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown as string);
  return calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
}

describe('a calendar elsewhere', () => {
  it('reads sessions where they lie, in the kennel’s zone, with an id that stays and a number that grows when they move', async () => {
    const { key } = await feed();
    const id = uuidv7();
    await session(id, 9 * 60 + 15);
    const first = await read(key);
    expect([first.status, first.headers['content-type']]).toEqual([200, 'text/calendar; charset=utf-8']);
    const [event] = eventsOf(first.text).filter(({ uid }) => uid.includes(id));
    expect(event!.summary).toBe('Bracken; of the "fen", north: Heel line, past the pond and back');
    expect(event!.description).toContain('With Tester.');
    const local = new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', hour: '2-digit', minute: '2-digit' }).format(event!.startDate.toJSDate());
    expect([local, event!.duration.toSeconds(), event!.sequence]).toEqual(['09:15', 25 * 60, 0]);
    expect(dayOf(event!.startDate.toJSDate().getTime(), 'Europe/London')).toBe(dayAfter(3));

    await session(id, 11 * 60, 1);
    const file = (await agent.get('/api/calendar.ics')).text;
    const [moved] = eventsOf(file).filter(({ uid }) => uid === event!.uid);
    expect([moved!.sequence, moved!.startDate.toJSDate().getTime() - event!.startDate.toJSDate().getTime()]).toEqual([1, 105 * 60_000]);
    await session(id, 11 * 60, 2, { state: 'dropped' });
    expect(eventsOf((await agent.get('/api/calendar.ics')).text).some(({ uid }) => uid === event!.uid)).toBe(false);
  });

  it('tells gear to be looked at on its day, each thing once, every line as long as the format allows', async () => {
    await agent.put(`/api/collars/${uuidv7()}`).send(someCollar);
    const { text } = await agent.get('/api/calendar.ics');
    const events = eventsOf(text);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    const look = events.find(({ summary }) => summary === 'Inspect Hook one')!;
    expect(look.startDate.isDate).toBe(true);
    // RFC 5545 §3.1: lines end in CRLF and are no longer than 75 octets.
    const lines = text.split('\r\n');
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of lines) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(lines[0]).toBe('BEGIN:VCALENDAR');
    expect(text).toMatch(/\r\nVERSION:2\.0\r\n/);
  });

  it('whoever asks again is told that nothing has changed', async () => {
    const { key } = await feed();
    const first = await read(key);
    const again = await read(key, { 'If-None-Match': first.headers.etag as string });
    expect([again.status, again.text]).toEqual([304, '']);
  });

  it('one person’s sessions alone, where the address is theirs', async () => {
    const id = uuidv7();
    await session(id, 600);
    const own = await feed({ personId: person });
    expect(eventsOf((await read(own.key)).text).some(({ uid }) => uid.includes(id))).toBe(true);
    const wrong = await agent.put(`/api/calendar-feeds/${uuidv7()}`).send({ name: 'X', keyHash: '0'.repeat(64), personId: uuidv7(), revokedAt: null });
    expect(wrong.status).toBe(422);
  });

  it('guessed, taken back, or another kennel’s: nothing is told', async () => {
    expect((await read(randomBytes(32).toString('hex'))).status).toBe(404);
    expect((await read('x')).status).toBe(404);
    const { key, id } = await feed();
    expect((await read(key)).status).toBe(200);
    const { name, keyHash, personId } = (await agent.get(`/api/calendar-feeds/${id}`)).body;
    await agent.put(`/api/calendar-feeds/${id}`).set('If-Match', '"1"').send({ name, keyHash, personId, revokedAt: new Date().toISOString() });
    expect((await read(key)).status).toBe(404);
    const other = await newKennel(banter.app);
    expect((await other.get('/api/calendar-feeds')).body.feeds).toEqual([]);
    expect(eventsOf((await other.get('/api/calendar.ics')).text)).toEqual([]);
    expect((await supertest(banter.app).get('/api/calendar.ics')).status).toBe(401);
  });

  it('a client that polls every second is slowed down, and told so', async () => {
    const { key } = await feed();
    let status = 200;
    for (let poll = 0; poll < 150 && status !== 429; poll += 1) status = (await read(key)).status;
    expect(status).toBe(429);
  });
});
