import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import { dressedDog, NeckPage, wearAndDeviceEvents, type NewHappening } from '@banter/contract';
import { contractSpeaker, wearsOf } from '@banter/core';
import sharp from 'sharp';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { fittedDog, happeningBatch, newKennel, openBanter, someCollar, someDog, someRemote, taping, tell, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let remote: string;
let prong: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

beforeEach(async () => {
  agent = await newKennel(banter.app);
  const ids = await fittedDog(agent);
  dog = ids.dog;
  prong = ids.collar;
  remote = uuidv7();
  await agent.put(`/api/collars/${remote}`).send(someRemote);
});

const HOUR = 3_600_000;
const ago = (hours: number) => new Date(Date.now() - hours * HOUR).toISOString();
const on = (hours: number, more: object = {}): NewHappening =>
  ({ event: 'put-on', id: uuidv7(), at: ago(hours), dogId: dog, collarId: remote, clock: 3, state: 'worked', ...more }) as NewHappening;
const off = (hours: number, more: object = {}): NewHappening =>
  ({ event: 'taken-off', id: uuidv7(), at: ago(hours), dogId: dog, collarId: remote, ...more }) as NewHappening;
/** What became of things that are told together, kept whole or not at all. */
const entry = async (events: NewHappening[], who = agent) => await tell(who, events, events.length > 1 ? { together: [events.map(({ id }) => id)] } : {});
const keptAll = async (events: NewHappening[]) => (await entry(events)).every(({ status }) => status === 'kept');
const messages = async (events: NewHappening[], who = agent) => (await entry(events, who)).map(({ message }) => message).join(' ');
const neck = async () => NeckPage.parse((await agent.get(`/api/dogs/${dog}/neck`)).body);
const lines = (events: readonly (object | string)[]) => events.map((event) => (typeof event === 'string' ? event : JSON.stringify(event))).join('\n');

describe('what a hand tells of wearing', () => {
  it('is kept once, however often it is sent, and is on the dog’s page', async () => {
    const events = [on(2)];
    expect([...(await entry(events)), ...(await entry(events))].map(({ status }) => status)).toEqual(['kept', 'known']);
    expect((await neck()).events).toMatchObject([{ event: 'put-on', clock: 3, source: 'hand', personName: 'Tester' }]);
    expect(await messages([{ ...events[0]!, clock: 9 } as NewHappening])).toBe('Something else is already recorded under this id.');
  });

  it('refuses a wear that ends before it begins, in words', async () => {
    const sent = on(2);
    await entry([sent]);
    expect(await entry([off(3)])).toMatchObject([{ status: 'refused', message: expect.stringContaining('cannot end before it begins') }]);
    expect((await neck()).events).toHaveLength(1);
  });

  it('refuses overlapping wears of one collar, on this dog or another, and keeps nothing of the entry', async () => {
    await entry([on(8), off(6)]);
    expect(await messages([on(7), off(5)])).toContain('overlap');
    expect(await messages([on(9), off(7)])).toContain('overlap');
    const other = uuidv7();
    await agent.put(`/api/dogs/${other}`).send({ ...someDog, name: 'Bilberry' });
    expect(await messages([on(7, { dogId: other })])).toContain('another dog');
    expect((await neck()).events).toHaveLength(2);
    // A wear of yesterday beside it is no overlap, nor is one that begins when the other ends.
    expect(await keptAll([on(30), off(28)])).toBe(true);
    const end = (await neck()).events.find((event) => event.event === 'taken-off' && event.at > ago(10))!.at;
    expect(await keptAll([on(0, { at: end })])).toBe(true);
  });

  it('two people undress the same dog: both are kept, the first counts', async () => {
    await entry([on(2)]);
    expect(await Promise.all([keptAll([off(1)]), keptAll([off(0.99)])])).toEqual([true, true]);
    const { wears } = wearsOf(wearAndDeviceEvents((await neck()).events).wear);
    expect(wears).toMatchObject([{ oddities: [{ code: 'taken-off-twice' }] }]);
    expect(new Date(wears[0]!.to!).toISOString() < ago(0.995)).toBe(true);
  });

  it('two people put one collar on two dogs at once: one of them is told', async () => {
    const other = uuidv7();
    await agent.put(`/api/dogs/${other}`).send({ ...someDog, name: 'Bilberry' });
    const answers = await Promise.all([entry([on(1)]), entry([on(0.99, { dogId: other })])]);
    expect(answers.flat().map(({ status }) => status).sort()).toEqual(['kept', 'refused']); // prettier-ignore
  });

  it('told together is kept whole or not at all: an end put later, and back again where it would overlap', async () => {
    const [first, wrong, later] = [on(8), off(6), on(4)];
    expect(await keptAll([first, wrong, later])).toBe(true);
    const ends = (hours: number) => [{ event: 'void', id: uuidv7(), at: ago(0), eventId: wrong.id }, off(hours)] as NewHappening[];
    // Until three hours ago it would lie over the next wear; the end that was told before still stands.
    expect((await entry(ends(3))).map(({ status }) => status)).toEqual(['refused', 'refused']);
    expect((await neck()).events).toHaveLength(3);
    expect(await keptAll(ends(5))).toBe(true);
    const { wears } = wearsOf(wearAndDeviceEvents((await neck()).events).wear);
    expect(wears.map(({ to }) => to !== null && Math.round((Date.now() - to) / HOUR))).toEqual([5, false]);
    // One that cannot even be read takes the other with it, with its sentence.
    const broken = { ...on(1), clock: 25 } as NewHappening;
    const [one, other] = await entry([off(2), broken]);
    expect([one!.status, other!.status, one!.message === other!.message]).toEqual(['refused', 'refused', true]);
  });

  it('sent as lines by somebody who is signed in, it comes in any order', async () => {
    const told = [off(2), on(3)];
    const answer = await agent.post('/api/happenings').set('Content-Type', 'application/x-ndjson').send(lines(told));
    expect(answer.body).toEqual({ kept: 2, known: 0, refused: [] });
    expect(wearsOf(wearAndDeviceEvents((await neck()).events).wear).wears).toHaveLength(1);
  });

  it('is taken back by a later event, and stays in the record', async () => {
    const wrong = on(2);
    await entry([wrong]);
    const void_ = { event: 'void', id: uuidv7(), at: ago(0), eventId: wrong.id } as NewHappening;
    expect(await keptAll([void_])).toBe(true);
    const { events } = await neck();
    expect(events).toHaveLength(2);
    expect(wearsOf(wearAndDeviceEvents(events).wear).wears).toEqual([]);
    expect(await keptAll([on(3)])).toBe(true);
    expect(await entry([{ ...void_, id: uuidv7(), eventId: uuidv7() } as NewHappening])).toMatchObject([{ status: 'waits' }]);
  });

  it('refuses the future, levels off the scale, collars that are no device, and what is of another kennel', async () => {
    const device = (more: object) => ({ id: uuidv7(), at: ago(0), collarId: remote, ...more }) as NewHappening;
    const refused: [NewHappening, string][] = [
      [on(-1), 'This time lies in the future.'],
      [device({ event: 'tried', level: 0 }), 'This device’s scale goes from 1 to 100.'],
      [device({ event: 'tried', level: 101 }), 'This device’s scale goes from 1 to 100.'],
      [device({ event: 'charged', percent: 80, collarId: prong }), 'This collar is no device.'],
      [on(1, { collarId: uuidv7() }), 'There is no such collar in this kennel.'],
      [on(1, { dogId: uuidv7() }), 'There is no such dog in this kennel.'],
    ];
    for (const [event, message] of refused) expect(await entry([event])).toMatchObject([{ status: 'refused', message }]);
    const stranger = await newKennel(banter.app, 'Elsewhere');
    expect(await messages([on(1)], stranger)).toBe('There is no such dog in this kennel.');
    const mine = on(1);
    await entry([mine]);
    expect((await stranger.get(`/api/dogs/${dog}/neck`)).status).toBe(404);
    // The id is theirs to use, but the dog and the collar are not.
    expect(await messages([mine], stranger)).toBe('There is no such dog in this kennel.');
    expect((await stranger.get('/api/wearing')).body).toEqual({ wearing: [] });
    expect(
      (
        await supertest(banter.app)
          .post('/api/happenings')
          .send(happeningBatch([mine]))
      ).status,
    ).toBe(401);
  });
});

describe('a week replayed through the open event format', () => {
  /** Seven days: routine, on, moved, crated, off, battery; one line an event. */
  function week(): NewHappening[] {
    const events: NewHappening[] = [];
    for (let day = 8; day > 1; day -= 1) {
      const at = (hour: number) => new Date(Date.now() - day * 24 * HOUR + hour * HOUR).toISOString();
      const device = (hour: number, own: object) => events.push({ id: uuidv7(), at: at(hour), collarId: remote, ...own } as NewHappening);
      const wear = (hour: number, own: object) => events.push({ id: uuidv7(), at: at(hour), collarId: remote, dogId: dog, ...own } as NewHappening);
      device(0, { event: 'charged', percent: 95 });
      device(0.1, { event: 'covers', shut: true });
      device(0.2, { event: 'switched', on: true });
      device(0.3, { event: 'paired', paired: true });
      device(0.4, { event: 'tried', level: 1 });
      wear(1, { event: 'put-on', clock: day % 2 === 0 ? 3 : 9, state: 'worked' });
      device(1.1, { event: 'contact', made: true });
      wear(4, { event: 'moved', clock: 12 });
      wear(5, { event: 'state', state: 'crated' });
      wear(6, { event: 'taken-off' });
    }
    return events;
  }
  const tellLines = (body: string, bearer: string) =>
    supertest(banter.app).post('/api/events').set('Authorization', `Bearer ${bearer}`).set('Content-Type', 'application/x-ndjson').send(body);

  const secret = () => `key-${uuidv7()}`;
  const newBridge = async () => {
    const id = uuidv7();
    const bearer = secret();
    const facts = { name: 'Shed gateway', keyHash: createHash('sha256').update(bearer).digest('hex'), revokedAt: null };
    expect((await agent.put(`/api/bridges/${id}`).send(facts)).status).toBe(201);
    return { id, facts, bearer };
  };

  it('comes out the same in order, shuffled, late and twice', async () => {
    const { bearer } = await newBridge();
    const events = week();
    const shuffled = [...events].sort((a, b) => (a.id.slice(-6) < b.id.slice(-6) ? -1 : 1));
    const first = await tellLines(lines(shuffled.slice(0, 40)), bearer);
    expect(first.body).toEqual({ kept: 40, known: 0, refused: [] });
    // The whole of it once more, with the late ones, each line twice.
    const second = await tellLines(lines([...events, ...events]), bearer);
    expect(second.body).toEqual({ kept: 30, known: 110, refused: [] });
    const page = await neck();
    expect(page.events).toHaveLength(70);
    const { wears, strays } = wearsOf(wearAndDeviceEvents(page.events).wear);
    expect(strays).toEqual([]);
    expect(wears).toHaveLength(7);
    for (const wear of wears) expect(wear).toMatchObject({ oddities: [], states: [{ value: 'worked' }, { value: 'crated' }], places: [{}, { value: 12 }] });
    expect(page.events[0]).toMatchObject({ source: 'bridge', personName: 'Shed gateway', personId: null });
  });

  it('keeps what can be kept, and names every other line', async () => {
    const { bearer } = await newBridge();
    const good = on(3);
    const response = await tellLines(
      lines([good, 'not json', { event: 'put-on' }, '', { ...on(2), dogId: uuidv7() }, { ...good, clock: 9 }, { ...off(1), id: uuidv7() }]),
      bearer,
    );
    expect(response.body).toMatchObject({ kept: 2, known: 0 });
    expect(response.body.refused.map(({ line }: { line: number }) => line)).toEqual([2, 3, 5, 6]);
    expect(response.body.refused[3].message).toContain('already recorded');
  });

  it('needs a key that is known and has not been taken back', async () => {
    const { id, facts, bearer } = await newBridge();
    expect((await tellLines(lines([on(1)]), 'guessed')).status).toBe(401);
    expect((await agent.get('/api/bridges')).body.bridges).toMatchObject([{ name: 'Shed gateway', lastSeenAt: null }]);
    await tellLines(lines([on(1)]), bearer);
    const [seen] = (await agent.get('/api/bridges')).body.bridges;
    expect(seen.lastSeenAt).not.toBeNull();
    await agent
      .put(`/api/bridges/${id}`)
      .set('If-Match', `"${seen.version}"`)
      .send({ ...facts, revokedAt: ago(0) });
    expect((await tellLines(lines([off(0.5)]), bearer)).status).toBe(401);
    // Somebody signed in may tell lines, too.
    expect(
      (
        await agent
          .post('/api/events')
          .set('Content-Type', 'application/x-ndjson')
          .send(lines([off(0.5)]))
      ).body.kept,
    ).toBe(1);
    expect((await supertest(banter.app).post('/api/events').send('{}')).status).toBe(401);
  });

  it('a bridge takes back what it told itself, never what a hand told', async () => {
    const { bearer } = await newBridge();
    const [byHand, byBridge] = [on(5), on(3)];
    await entry([byHand, off(4)]);
    await tellLines(lines([byBridge]), bearer);
    const back = (eventId: string) => ({ event: 'void', id: uuidv7(), at: ago(0), eventId });
    expect((await tellLines(lines([back(byHand.id), back(byBridge.id)]), bearer)).body).toMatchObject({ kept: 1, refused: [{ line: 1 }] });
  });

  it('a bridge of one kennel tells nothing of another’s dogs', async () => {
    const { bearer } = await newBridge();
    const stranger = await newKennel(banter.app, 'Elsewhere');
    const theirs = await fittedDog(stranger);
    const response = await tellLines(
      lines([
        { ...on(1), dogId: theirs.dog },
        { ...on(1), collarId: theirs.collar },
      ]),
      bearer,
    );
    expect(response.body.kept).toBe(0);
    expect(response.body.refused).toHaveLength(2);
  });
});

describe('what is on now', () => {
  it('is told for the whole kennel, with its alarms, the longest on first', async () => {
    await entry([on(7)]);
    await entry([{ ...on(1), collarId: prong, clock: null, state: 'crated' } as NewHappening]);
    const { wearing } = (await agent.get('/api/wearing')).body;
    expect(wearing).toMatchObject([
      { collarName: 'Curlew', dogName: 'Bracken', clock: 3, alarms: [{ code: 'place-over' }] },
      { collarName: 'Hook one', state: 'crated', alarms: [{ code: 'unsupervised', tone: 'stop' }] },
    ]);
    await entry([off(0), { ...off(0), collarId: prong } as NewHappening]);
    expect((await agent.get('/api/wearing')).body).toEqual({ wearing: [] });
  });

  it('a wear that has lasted longer than what is shown is still there', async () => {
    const facts = { ...someCollar, kind: 'flat', name: 'Reed', numbers: { minMm: 300, maxMm: 470, widthMm: 20, buckle: 'metal tongue', holePitchMm: 25 } };
    const flat = uuidv7();
    await agent.put(`/api/collars/${flat}`).send(facts);
    await entry([{ ...on(24 * 100), collarId: flat, clock: null, state: 'supervised' } as NewHappening]);
    await entry([{ event: 'state', id: uuidv7(), at: ago(24 * 80), dogId: dog, collarId: flat, state: 'alone' } as NewHappening]);
    const { wears } = wearsOf(wearAndDeviceEvents((await neck()).events).wear);
    expect(wears).toMatchObject([{ collarId: flat, to: null, states: [{ value: 'supervised' }, { value: 'alone' }] }]);
    expect((await agent.get('/api/wearing')).body.wearing).toMatchObject([{ collarName: 'Reed', state: 'alone', alarms: [], ask: false }]);
  });
});

describe('how a dog is dressed', () => {
  const part = (id: string, kind: string, from: string, to: string) => ({ id, kind, from, to, slackMm: null, massG: null, loadRated: null });
  const dressing = {
    stack: [
      { as: 'fit', kind: 'prong' },
      { as: 'extra', key: 'own', what: 'flat collar', name: 'Blue', widthMm: 25, holds: true, plastic: false },
    ],
    rig: [
      part('leash', 'leash', 'hand', 'leash end'),
      part('snap', 'snap', 'leash end', 'live ring'),
      part('swivel', 'swivel', 'live ring', 'swivel ring'),
      part('chain', 'chain', 'swivel ring', 'dead ring'),
      part('links', 'links', 'dead ring', 'dog'),
    ],
  };

  it('is one record under the dog’s id, changed at a version, and judged by what the dog wears', async () => {
    expect((await agent.put(`/api/dressings/${dog}`).send(dressing)).status).toBe(201);
    const page = await neck();
    expect(page.dressing).toMatchObject({ id: dog, version: 1 });
    const kennel = (await agent.get('/api/kennel')).body;
    const { items, rig, door } = dressedDog(page, kennel, Date.now(), contractSpeaker);
    expect(items.map(({ name }) => name)).toEqual(['prong Hook one', 'flat collar Blue']);
    expect(rig).toMatchObject({ sound: false, singlePoints: ['leash', 'snap', 'swivel', 'chain', 'links'] });
    expect(door.go).toBe(false);
    const changed = await agent
      .put(`/api/dressings/${dog}`)
      .set('If-Match', '"1"')
      .send({ ...dressing, rig: [] });
    expect(changed.body.version).toBe(2);
    expect((await agent.put(`/api/dressings/${dog}`).set('If-Match', '"1"').send(dressing)).status).toBe(409);
  });

  it('knows which pieces of the locker a rig is of: one to be mended stops at the door and is the first of its dues, and a rating is asked once', async () => {
    const piece = async (what: string, name: string, more: object = {}) => {
      const id = uuidv7();
      const facts = { what, name, lengthMm: null, widthMm: null, colour: '', material: '', condition: 'sound', note: '', retiredAt: null, ...more };
      expect((await agent.put(`/api/gear/${id}`).send(facts)).status).toBe(201);
      return { id, facts };
    };
    const leash = await piece('leash', 'Brown', { condition: 'mend' });
    const clip = await piece('carabiner', 'Small steel');
    const rig = [
      { ...dressing.rig[0], gearId: leash.id },
      ...dressing.rig.slice(1),
      { ...part('flat', 'flat collar', 'flat ring', 'dog') },
      { ...part('clip', 'carabiner', 'dead ring', 'flat ring'), slackMm: 60, gearId: clip.id },
    ];
    expect((await agent.put(`/api/dressings/${dog}`).send({ ...dressing, rig })).status).toBe(201);
    const kennel = (await agent.get('/api/kennel')).body;
    const dressed = async () => dressedDog(await neck(), kennel, Date.now(), contractSpeaker);
    const { door, rig: judged } = await dressed();
    expect(door.lines.find(({ what }) => what === 'gear')).toEqual({ what: 'gear', tone: 'stop', says: 'Leash Brown is to be mended: leave off.' });
    expect(judged!.reasons.map(({ code }) => code)).toContain('load-rating-unknown');
    const { items } = (await agent.get('/api/today')).body as { items: { dogId: string; title: string; tone: string }[] };
    expect(items.find(({ dogId }) => dogId === dog)).toMatchObject({ title: expect.stringMatching(/: mend Brown before it goes on\.$/), tone: 'stop' });
    // Said of the piece, in the locker or at whichever rig it hangs.
    const rated = await agent
      .put(`/api/gear/${clip.id}`)
      .set('If-Match', '"1"')
      .send({ ...clip.facts, loadRated: true, massG: 38 });
    expect(rated.body).toMatchObject({ loadRated: true, massG: 38 });
    expect((await dressed()).rig!.reasons.map(({ code }) => code)).not.toContain('load-rating-unknown');
    // A piece of another sort, or of nobody, is none of a rig's.
    for (const gearId of [clip.id, uuidv7()])
      expect(
        (
          await agent
            .put(`/api/dressings/${dog}`)
            .set('If-Match', '"1"')
            .send({ ...dressing, rig: [{ ...dressing.rig[0], gearId }] })
        ).body.errors,
      ).toMatchObject([{ path: 'rig.0.gearId' }]);
  });

  it('refuses one thing twice, and a dog that is not there', async () => {
    const twice = { ...dressing, stack: [dressing.stack[0], dressing.stack[0]] };
    expect((await agent.put(`/api/dressings/${dog}`).send(twice)).body.errors).toMatchObject([{ path: 'stack[1]' }]);
    const parts = { ...dressing, rig: [dressing.rig[0], dressing.rig[0]] };
    expect((await agent.put(`/api/dressings/${dog}`).send(parts)).body.errors).toMatchObject([{ path: 'rig[1]' }]);
    expect((await agent.put(`/api/dressings/${uuidv7()}`).send(dressing)).status).toBe(404);
    const stranger = await newKennel(banter.app, 'Elsewhere');
    expect((await stranger.put(`/api/dressings/${dog}`).send(dressing)).status).toBe(404);
  });
});

describe('skin and its photos', () => {
  const look = (more: object = {}) => ({ dogId: dog, clock: 3, under: 'contacts', grade: 1, sore: null, note: '', photoId: null, at: ago(1), ...more });
  const photo = (body: Buffer, id = uuidv7(), type = 'image/jpeg', who = agent) => ({
    id,
    sent: who.put(`/api/photos/${id}`).set('Content-Type', type).send(body),
  });
  const plain = () => sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#c98' } });

  it('a look is kept with who and when, and flags its place', async () => {
    const id = uuidv7();
    expect((await agent.put(`/api/skin-looks/${id}`).send(look({ clock: 2.5 }))).status).toBe(201);
    const page = await neck();
    expect(page.skinLooks).toMatchObject([{ clock: 2.5, grade: 1, personName: 'Tester' }]);
    const kennel = (await agent.get('/api/kennel')).body;
    expect(dressedDog(page, kennel, Date.now(), contractSpeaker).skin.flags).toMatchObject([{ clock: 2.5, grade: 1 }]);
    const bad = await agent.put(`/api/skin-looks/${uuidv7()}`).send(look({ clock: 3.3, grade: 4 }));
    expect(bad.body.errors.map(({ path }: { path: string }) => path).sort()).toEqual(['clock', 'grade']);
    expect((await agent.put(`/api/skin-looks/${uuidv7()}`).send(look({ photoId: uuidv7() }))).body.errors[0].path).toBe('photoId');
  });

  it('a photo is made anew: smaller, upright, without what the camera wrote into it', async () => {
    const bytes = await plain()
      .withExif({ IFD0: { Artist: 'Somebody', Orientation: '6' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    const { id, sent } = photo(bytes);
    const kept = await sent;
    expect(kept.status).toBe(201);
    expect(kept.body).toMatchObject({ id, widthPx: 800, heightPx: 1600 });
    const got = await agent.get(`/api/photos/${id}`).buffer(true);
    expect(got.headers['content-type']).toBe('image/jpeg');
    const meta = await sharp(got.body as Buffer).metadata();
    expect(meta.exif).toBeUndefined();
    expect(meta.orientation).toBeUndefined();
    expect((await photo(bytes, id).sent).status).toBe(200);
    expect((await agent.put(`/api/skin-looks/${uuidv7()}`).send(look({ photoId: id }))).status).toBe(201);
    const stranger = await newKennel(banter.app, 'Elsewhere');
    expect((await stranger.get(`/api/photos/${id}`)).status).toBe(404);
    expect((await supertest(banter.app).get(`/api/photos/${id}`)).status).toBe(401);
  });

  it('takes PNG and WebP, and nothing that is no photo, whatever it says it is', async () => {
    expect((await photo(await plain().png().toBuffer(), uuidv7(), 'image/png').sent).status).toBe(201);
    expect((await photo(await plain().webp().toBuffer(), uuidv7(), 'image/webp').sent).status).toBe(201);
    const jpeg = await plain().jpeg().toBuffer();
    const no: [string, Buffer][] = [
      ['HTML', Buffer.from('<!doctype html><script>alert(1)</script>')],
      ['SVG with script', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')],
      ['a zip', Buffer.concat([Buffer.from('PK\u0003\u0004'), Buffer.alloc(2000)])],
      ['half a photo', jpeg.subarray(0, jpeg.length / 2)],
      ['bytes that begin like a photo', Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.from('<script>')])],
      ['nothing', Buffer.alloc(0)],
      ['a picture bomb', bomb()],
    ];
    for (const [what, bytes] of no) {
      const response = await photo(bytes).sent;
      expect([what, response.status, response.body.code]).toEqual([what, 415, 'not-a-photo']);
    }
  });

  it('refuses 40 MB, and is well after it', async () => {
    const response = await photo(Buffer.alloc(40 * 1024 * 1024, 0xff)).sent.catch((error: { code?: string }) => error);
    // The server may close the line while the client is still sending.
    expect('status' in response ? response.status : response.code).toSatisfy((what: unknown) => what === 413 || what === 'EPIPE' || what === 'ECONNRESET');
    expect((await agent.get('/api/health')).status).toBe(200);
  });

  /** A PNG of 40,000 by 40,000 grey pixels in a few kilobytes: 1.6 gigapixels when unpacked. */
  function bomb(): Buffer {
    const crcTable = Array.from({ length: 256 }, (_none, n) => {
      let c = n;
      for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xed_b8_83_20 ^ (c >>> 1) : c >>> 1;
      return c >>> 0;
    });
    const crc = (data: Buffer) => (data.reduce((c, byte) => crcTable[(c ^ byte) & 0xff]! ^ (c >>> 8), 0xff_ff_ff_ff) ^ 0xff_ff_ff_ff) >>> 0;
    const chunk = (type: string, data: Buffer) => {
      const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
      const out = Buffer.alloc(8 + body.length);
      out.writeUInt32BE(data.length, 0);
      body.copy(out, 4);
      out.writeUInt32BE(crc(body), 4 + body.length);
      return out;
    };
    const header = Buffer.alloc(13);
    header.writeUInt32BE(40_000, 0);
    header.writeUInt32BE(40_000, 4);
    header.set([1, 0, 0, 0, 0], 8);
    return Buffer.concat([
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
      chunk('IHDR', header),
      chunk('IDAT', deflateSync(Buffer.alloc(5001 * 2000))),
      chunk('IEND', Buffer.alloc(0)),
    ]);
  }
});

it('the neck of a dog that has only been taped is there, with nothing on it', async () => {
  const id = uuidv7();
  await agent.put(`/api/dogs/${id}`).send({ ...someDog, name: 'Bilberry' });
  await agent.put(`/api/tapings/${uuidv7()}`).send(taping(id));
  const page = NeckPage.parse((await agent.get(`/api/dogs/${id}/neck`)).body);
  const kennel = (await agent.get('/api/kennel')).body;
  const { door, items } = dressedDog(page, kennel, Date.now(), contractSpeaker);
  expect(items).toEqual([]);
  expect(door.lines.filter(({ tone }) => tone === 'good')).toEqual([]);
});
