import { pressFacts, FieldPage, FieldSessionPage, LevelsPage, PressesPage, type NewHappening } from '@banter/contract';
import { contractSpeaker, houseRules, PRESS_GUARD_WORDS, pressGuards, PROGRAMME_TEMPLATES, sessionStory, wordReason } from '@banter/core';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
  fitCheck,
  fittedDog,
  happeningBatch,
  mustTell,
  newDog,
  newKennel,
  openBanter,
  plan,
  somePlace,
  someRemote,
  taping,
  tell,
  type TestBanter,
} from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let remote: string;
let me: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

const must = async (path: string, body: object) => {
  const response = await agent.put(path).send(body);
  if (response.status !== 201) throw new Error(`${path} answered ${response.status}: ${response.text}`);
};
beforeEach(async () => {
  agent = await newKennel(banter.app);
  dog = (await fittedDog(agent)).dog;
  remote = uuidv7();
  const place = uuidv7();
  await must(`/api/places/${place}`, { ...somePlace, name: 'Far field', collars: { remote: 'allowed' } });
  await must(`/api/tapings/${uuidv7()}`, taping(dog, { site: 'coat-depth', readingsMm: [2, 2, 2], typed: ['2', '2', '2'] }));
  await must(`/api/collars/${remote}`, someRemote);
  const choices = { options: { placement: 'upper-half' }, on: { strapMm: 437, postMm: 12, clock: 3 } };
  await must(`/api/plans/${uuidv7()}`, plan(dog, remote, { kind: 'remote', choices, placeId: place }));
  me = (await agent.get('/api/doorstep')).body.me.person.id;
});

const MINUTE = 60_000;
/** A session that began some minutes ago; each event so many seconds into it. */
function session(minutesAgo = 30, sessionId = uuidv7()) {
  const from = Date.now() - minutesAgo * MINUTE;
  const event = (seconds: number, own: object): NewHappening =>
    ({ id: uuidv7(), sessionId, at: new Date(from + seconds * 1000).toISOString(), ...own }) as NewHappening;
  const begin = (own: object = {}) => event(0, { event: 'begin', dogId: dog, setting: 'yard', handlerId: me, purpose: 'work', ...own });
  const press = (seconds: number, level: number, own: object = {}) => event(seconds, { event: 'press', collarId: remote, level, mode: 'momentary', ...own });
  const response = (seconds: number, pressId: string, said: string, latencyMs: number | null = 900) =>
    event(seconds, { event: 'response', pressId, response: said, latencyMs });
  return { sessionId, event, begin, press, response };
}
const send = (events: readonly object[], more: object = {}, who = agent) => tell(who, events, more);
const statuses = async (events: readonly object[], more: object = {}) => (await send(events, more)).map(({ status }) => status);
const page = async (id: string) => FieldSessionPage.parse((await agent.get(`/api/field-sessions/${id}`)).body);
const levels = async () => LevelsPage.parse((await agent.get(`/api/dogs/${dog}/levels`)).body);

describe('what a phone logged', () => {
  it('is kept once each, however often it is sent, whole or in part', async () => {
    const { sessionId, begin, press, response, event } = session();
    const first = press(60, 12);
    const events = [begin(), first, response(61, first.id, 'small'), event(62, { event: 'reward' }), event(600, { event: 'end' })];
    expect(await statuses(events)).toEqual(['kept', 'kept', 'kept', 'kept', 'kept']);
    expect(await statuses(events)).toEqual(['known', 'known', 'known', 'known', 'known']);
    expect(await statuses(events.slice(2, 4))).toEqual(['known', 'known']);
    const { session: kept, events: told } = await page(sessionId);
    expect(told).toHaveLength(5);
    expect(kept).toMatchObject({ dogId: dog, handlerName: 'Tester', settings: ['yard'], purpose: 'work' });
    expect(kept.tally).toMatchObject({
      presses: 1,
      rewards: 1,
      lastedMs: 600_000,
      latencyMs: 900,
      needed: [{ collarId: remote, setting: 'yard', level: 12, presses: 1 }],
    });
    expect((await send([{ ...events[1]!, level: 13 }]))[0]).toMatchObject({ status: 'refused', message: 'Something else is already recorded under this id.' });
  });

  it('in whatever order it comes; what waits for another is told so, and kept when that is there', async () => {
    const { sessionId, begin, press, response, event } = session();
    const [start, first] = [begin(), press(60, 12)];
    const answer = response(61, first.id, 'did');
    const end = event(90, { event: 'end' });
    expect(await statuses([answer])).toEqual(['waits']);
    expect(await statuses([start, answer])).toEqual(['kept', 'waits']);
    expect(await statuses([end, first])).toEqual(['kept', 'kept']);
    expect(await statuses([answer])).toEqual(['kept']);
    expect((await page(sessionId)).session.tally.responses).toEqual({ none: 0, small: 0, did: 1, 'too-much': 0 });
  });

  it('two phones on one session merge, at the same moment too', async () => {
    const { sessionId, begin, press, event } = session();
    await send([begin()]);
    const one = Array.from({ length: 20 }, (_x, i) => press(10 + i, 5 + i));
    const other = Array.from({ length: 20 }, (_x, i) => event(10.5 + i, { event: i % 2 ? 'reward' : 'cue' }));
    const results = await Promise.all([
      ...[0, 5, 10, 15].map((from) => send(one.slice(from, from + 5), { phone: 'first phone' })),
      ...[0, 5, 10, 15].map((from) => send(other.slice(from, from + 5), { phone: 'second phone' })),
    ]);
    expect(results.flat().every(({ status }) => status === 'kept')).toBe(true);
    const { session: kept, events } = await page(sessionId);
    expect(events).toHaveLength(41);
    expect(kept.tally).toMatchObject({ presses: 20, rewards: 10, cues: 10 });
    expect(new Set(events.map(({ phone }) => phone)).size).toBe(3);
  });

  it('the same from three tabs at once is kept once', async () => {
    const { sessionId, begin, event } = session();
    const told = [begin(), ...Array.from({ length: 30 }, (_none, index) => event(index + 1, { event: 'cue' }))];
    const results = await Promise.all([send(told), send(told), send(told.slice(0, 10))]);
    expect(new Set(results.flat().map(({ status }) => status))).toEqual(new Set(['kept', 'known']));
    expect(results.flat().filter(({ status }) => status === 'kept')).toHaveLength(told.length);
    expect((await page(sessionId)).events).toHaveLength(told.length);
  });

  it('taking back: the press and its response no longer count, and stay in the record', async () => {
    const { sessionId, begin, press, response, event } = session();
    const [first, second] = [press(10, 12), press(20, 40)];
    const much = response(21, second.id, 'too-much');
    await send([begin(), first, second, much]);
    expect((await levels()).ceilings).toEqual([{ collarId: remote, level: 40, at: second.at }]);
    expect(await statuses([event(25, { event: 'void', eventId: second.id })])).toEqual(['kept']);
    const { session: kept, events } = await page(sessionId);
    expect(kept.tally.presses).toBe(1);
    expect(events).toHaveLength(5);
    expect((await levels()).ceilings).toEqual([]);
  });

  it.each([
    ['a press off the scale', { level: 101 }, 'This device’s scale goes from 1 to 100 in steps of 1.'],
    ['a press between two steps', { level: 5.5 }, 'This device’s scale goes from 1 to 100 in steps of 1.'],
    ['a press of an unknown device', { collarId: uuidv7() }, 'There is no such device in this kennel.'],
    ['a press in the future', { at: new Date(Date.now() + 10 * MINUTE).toISOString() }, 'This time lies in the future.'],
    ['a press before the session', { at: new Date(Date.now() - 31 * MINUTE).toISOString() }, 'This lies before the session began.'],
  ])('refuses %s in words, and keeps the rest', async (_what, own, message) => {
    const { begin, press, event } = session();
    const results = await send([begin(), press(10, 5, own), event(20, { event: 'reward' })]);
    expect(results.map(({ status }) => status)).toEqual(['kept', 'refused', 'kept']);
    expect(results[1]!.message).toBe(message);
  });
  it('refuses a device that was not fitted to this dog, a setting nobody has, a second beginning', async () => {
    const other = uuidv7();
    await must(`/api/collars/${other}`, { ...someRemote, name: 'Heron' });
    const { begin, press, event } = session();
    const results = await send([begin(), press(10, 5, { collarId: other }), event(20, { event: 'setting', setting: 'moon' }), begin()]);
    expect(results.map(({ message }) => message)).toEqual([
      '',
      'Heron has not been fitted to this dog.',
      'This kennel has no such setting.',
      'This session has been begun already.',
    ]);
  });
  it('a kennel’s own setting is one of its settings', async () => {
    const { id: _id, version, demo: _demo, ...settings } = (await agent.get('/api/kennel')).body;
    const changed = await agent.put('/api/kennel').set('If-Match', `"${version}"`).send({ ...settings, moreSettings: [{ id: 'bog', name: 'cranberry bog' }] }); // prettier-ignore
    expect(changed.status).toBe(200);
    const { begin } = session();
    expect(await statuses([begin({ setting: 'bog' })])).toEqual(['kept']);
    expect(FieldPage.parse((await agent.get('/api/field')).body).settings.at(-1)).toEqual({ id: 'bog', name: 'cranberry bog' });
  });

  it('a phone whose clock is an hour off is asked about; decided, both times are kept', async () => {
    const { sessionId, begin } = session();
    const hour = 60 * MINUTE;
    const start = { ...begin(), at: new Date(Date.now() + hour - 5 * MINUTE).toISOString() };
    const ahead = { sentAt: new Date(Date.now() + hour).toISOString() };
    const asked = await agent.post('/api/happenings').send(happeningBatch([start], ahead));
    expect(asked.status).toBe(409);
    expect(asked.body).toMatchObject({ code: 'clock-off', current: { phoneAt: ahead.sentAt } });
    const { aheadMs, phoneAt, serverAt } = asked.body.current;
    expect(aheadMs).toBe(Date.parse(phoneAt) - Date.parse(serverAt));
    expect(aheadMs).toBeGreaterThan(hour / 2);
    expect((await agent.get(`/api/field-sessions/${sessionId}`)).status).toBe(404);
    expect(await statuses([start], { ...ahead, clock: { aheadMs: hour } })).toEqual(['kept']);
    const { session: kept, events } = await page(sessionId);
    expect(Date.parse(start.at) - Date.parse(kept.begunAt)).toBe(hour);
    expect(events[0]!.saidAt).toBe(start.at);
    expect(await statuses([start], { ...ahead, clock: { aheadMs: hour } })).toEqual(['known']);
  });

  it('nobody sees another kennel’s sessions, nor writes into them', async () => {
    const { sessionId, begin, press } = session();
    const first = press(10, 5);
    await send([begin(), first]);
    const stranger = await newKennel(banter.app);
    expect((await stranger.get(`/api/field-sessions/${sessionId}`)).status).toBe(404);
    expect((await stranger.get(`/api/dogs/${dog}/levels`)).status).toBe(404);
    expect((await stranger.get(`/api/dogs/${dog}/presses?collar=${remote}&from=2026-01-01T00:00:00Z&to=2027-01-01T00:00:00Z`)).status).toBe(404);
    const results = await send([press(20, 6), first, { ...begin(), dogId: dog }], {}, stranger);
    // The session does not exist for them, and the dog is not theirs.
    expect(results.map(({ status }) => status)).toEqual(['waits', 'waits', 'refused']);
    expect((await page(sessionId)).events).toHaveLength(2);
  });

  it('contact felt in the field counts for the routine of the device, and taken back it does not', async () => {
    const { begin, event } = session();
    const felt = event(30, { event: 'contact', collarId: remote, made: true });
    await send([begin(), felt]);
    const device = async () => (await agent.get(`/api/dogs/${dog}/neck`)).body.events.map((one: { event: string }) => one.event);
    expect(await device()).toEqual(['contact']);
    expect((await levels()).contactChecks).toEqual([{ collarId: remote, at: felt.at, made: true }]);
    await send([event(40, { event: 'void', eventId: felt.id })]);
    expect(await device()).toEqual(['contact', 'void']);
    expect((await levels()).contactChecks).toEqual([]);
  });
});

describe('what is shown of it', () => {
  it('felt in a session and taken back at the neck is one thing: gone from the session, too', async () => {
    const { sessionId, begin, event } = session();
    const felt = event(30, { event: 'contact', collarId: remote, made: false });
    await send([begin(), felt, event(60, { event: 'reward' })]);
    await mustTell(agent, [{ event: 'void', id: uuidv7(), at: new Date().toISOString(), eventId: felt.id }]);
    const { events } = await page(sessionId);
    expect(events.map(({ event: name }) => name)).toEqual(['begin', 'contact', 'reward', 'void']);
    expect((await agent.get(`/api/dogs/${dog}/levels`)).body.contactChecks).toEqual([]);
  });

  it('a finding run that settled: every page says one level, and the next run begins three steps under it', async () => {
    const { begin, press, response } = session();
    const run: [number, string][] = [[5, 'none'], [6, 'small'], [5, 'none'], [6, 'small'], [5, 'none'], [6, 'small'], [5, 'none']]; // prettier-ignore
    const presses = run.map(([level], index) => press(10 + index * 20, level));
    await send([begin({ purpose: 'finding' }), ...presses, ...presses.map(({ id }, index) => response(15 + index * 20, id, run[index]![1]))]);
    const [own] = FieldPage.parse((await agent.get('/api/field')).body).dogs.find(({ id }) => id === dog)!.devices;
    expect(own!.levels.yard!.offered).toEqual({ level: 6, how: 'known' });
    expect(own!.runBegins).toMatchObject({ yard: 3 });
    const sheet = (
      await agent
        .put(`/api/handovers/${uuidv7()}`)
        .send({ dogId: dog, toWhom: 'Zofia', callWhom: 'us', lengthUnit: 'cm', massUnit: 'kg', note: '', at: new Date().toISOString() })
    ).body.sheet;
    expect(JSON.stringify(sheet.sections)).toContain('Yard 6. The lowest that it notices, no more.');
  });

  it('what a check answers of contact and skin stands on the dog’s pages, under the place where the contacts sat, and is kept once', async () => {
    const { plans } = (await agent.get(`/api/dogs/${dog}/page`)).body as { plans: { id: string; kind: string }[] };
    const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE).toISOString();
    const on = { event: 'put-on', id: uuidv7(), at: ago(60), dogId: dog, collarId: remote, clock: 9, state: 'worked' };
    await mustTell(agent, [on]);
    const right = { breathing: 'free', skinMoves: 'yes', under: '2', touch: 'both', place: 'side', skin: 'pink' };
    const check = { dogId: dog, planId: plans.find(({ kind }) => kind === 'remote')!.id, kind: 'remote', on: { strapMm: 437, postMm: 12, clock: 3 }, answers: right, note: '', at: ago(30) }; // prettier-ignore
    const id = uuidv7();
    await must(`/api/fit-checks/${id}`, check);
    expect((await agent.put(`/api/fit-checks/${id}`).send(check)).status).toBe(200);
    const neck = (await agent.get(`/api/dogs/${dog}/neck`)).body;
    expect(neck.skinLooks).toMatchObject([{ id, clock: 9, grade: 1, under: 'contacts', at: check.at }]);
    expect(neck.events).toMatchObject([{ event: 'put-on' }, { event: 'contact', made: true, at: check.at, source: 'hand' }]);
    const [own] = FieldPage.parse((await agent.get('/api/field')).body).dogs.find(({ id: one }) => one === dog)!.devices;
    expect(own).toMatchObject({ contact: { made: true, at: check.at }, skin: { clock: 9, grade: 1 } });
    // A putting on that was taken back is no place: the check's own counts then.
    const gone = { event: 'void', id: uuidv7(), at: ago(20), eventId: on.id };
    await mustTell(agent, [gone]);
    await must(`/api/fit-checks/${uuidv7()}`, { ...check, at: ago(10) });
    expect((await agent.get(`/api/dogs/${dog}/neck`)).body.skinLooks).toMatchObject([{ clock: 9 }, { clock: 3, grade: 1 }]);
  });

  it('a prong’s check may tell of the skin, too: pink there rests that place and is no good fit; clear clears what was flagged under it', async () => {
    const fitted = await fittedDog(agent);
    const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE).toISOString();
    const answers = { ...fitCheck(fitted.dog, fitted.plan).answers, under: 'some', turns: 'a-little', headDrop: 'stays' };
    const check = (more: object, minutes: number) =>
      agent.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(fitted.dog, fitted.plan, { at: ago(minutes), answers: { ...answers, ...more } }));
    expect((await check({ skin: 'pink', skinAt: '9' }, 30)).body.outcome).toMatchObject({ verdict: 'adjust', step: 'rest-skin' });
    const looks = async () => ((await agent.get(`/api/dogs/${fitted.dog}/neck`)).body as { skinLooks: { clock: number; grade: number }[] }).skinLooks;
    expect(await looks()).toMatchObject([{ clock: 9, grade: 1, under: 'prong', personName: 'Tester' }]);
    expect((await check({ skin: 'clear' }, 20)).body.outcome.verdict).toBe('good');
    expect((await looks()).filter(({ grade }) => grade === 0).map(({ clock }) => clock).sort()).toEqual([12, 9]); // prettier-ignore
    // Left out, nothing is told.
    expect((await check({}, 10)).body.outcome.verdict).toBe('good');
    expect(await looks()).toHaveLength(3);
  });

  it('strapped anew while it is on the dog: its contacts are to be felt again', async () => {
    const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE).toISOString();
    const on = { event: 'put-on', id: uuidv7(), at: ago(60), dogId: dog, collarId: remote, clock: 9, state: 'worked' };
    const felt = { event: 'contact', id: uuidv7(), at: ago(50), collarId: remote, made: true };
    await mustTell(agent, [on, felt]);
    const contact = async () => FieldPage.parse((await agent.get('/api/field')).body).dogs.find(({ id }) => id === dog)!.devices[0]!.contact;
    expect(await contact()).toMatchObject({ made: true });
    const { plans } = (await agent.get(`/api/dogs/${dog}/page`)).body as {
      plans: { kind: string; collarId: string; choices: unknown; placeId: string | null }[];
    };
    const { collarId, choices, placeId } = plans.find(({ kind }) => kind === 'remote')!;
    await must(`/api/plans/${uuidv7()}`, { dogId: dog, collarId, kind: 'remote', choices, placeId, note: 'Strapped anew.', at: ago(40) });
    expect(await contact()).toMatchObject({ made: null });
    const soaked = { event: 'contact', id: uuidv7(), at: ago(20), collarId: remote, made: null };
    await mustTell(agent, [soaked]);
    expect(await contact()).toMatchObject({ made: null, at: soaked.at });
  });

  it('what is on a dog, and what its skin says, stand however long ago they were told; skin of a dog without a device as well', async () => {
    const days = (ago: number) => new Date(Date.now() - ago * 24 * 60 * MINUTE).toISOString();
    const on = { event: 'put-on', id: uuidv7(), at: days(6), dogId: dog, collarId: remote, clock: 9, state: 'worked' };
    await mustTell(agent, [on]);
    const bare = await newDog(agent, { name: 'Sedge' });
    const look = { clock: 12, under: 'strap', grade: 2, sore: null, note: '', photoId: null, at: days(120) };
    for (const dogId of [dog, bare]) await must(`/api/skin-looks/${uuidv7()}`, { ...look, dogId });
    const field = FieldPage.parse((await agent.get('/api/field')).body);
    expect(field.dogs.find(({ id }) => id === dog)!.devices[0]).toMatchObject({ worn: { from: on.at, clock: 9 }, skin: { clock: 12, grade: 2, until: null } });
    const off = async () =>
      (await agent.get('/api/today')).body.items.flatMap(({ code, dogId }: { code: string; dogId: string }) => (code === 'skin-off' ? dogId : []));
    expect(new Set(await off())).toEqual(new Set([dog, bare]));
    await must(`/api/skin-looks/${uuidv7()}`, { ...look, dogId: bare, grade: 0, at: days(1) });
    expect(new Set(await off())).toEqual(new Set([dog]));
  });

  it('a phone gets every dog with its device, cap, ceiling, what is usual, and sessions nobody ended', async () => {
    const { sessionId, begin, press, response } = session();
    const presses = [press(10, 11), press(20, 13), press(30, 13), press(40, 60)];
    await send([begin(), ...presses, ...presses.map(({ id }, i) => response(11 + i * 10, id, i === 3 ? 'too-much' : 'did'))]);
    await must(`/api/level-caps/${uuidv7()}`, { dogId: dog, collarId: remote, cap: 30, note: 'Decided with the owner.', at: new Date().toISOString() });
    const field = FieldPage.parse((await agent.get('/api/field')).body);
    const [own] = field.dogs.find(({ id }) => id === dog)!.devices;
    expect(own).toMatchObject({
      name: 'Curlew',
      scale: { min: 1, max: 100, step: 1 },
      ceiling: 60,
      cap: 30,
      levels: { yard: { offered: { level: 11, how: 'needed' }, lastNeeded: 11, alarm: null } },
      // Three steps under what was last needed; where nothing is known, the lowest.
      runBegins: { yard: 8, home: 1 },
      worn: null,
    });
    expect(field.open).toMatchObject([{ id: sessionId, endedAt: null }]);
    // Where it worked last is where its next session begins, whoever begins it on whichever phone.
    expect(field.lastSettings).toEqual({ [dog]: 'yard' });
    expect(field.handlers).toEqual([{ id: me, name: 'Tester' }]);
  });
  it('presses of a span: each for itself while they are few, else put together, with nothing lost', async () => {
    const { begin, press, response } = session(120);
    const presses = Array.from({ length: 150 }, (_x, i) => press(10 + i * 20, 5 + (i % 7)));
    await send([begin(), ...presses]);
    await send(presses.map(({ id }, i) => response(11 + i * 20, id, ['none', 'small', 'did'][i % 3]!)));
    const ask = async (most: number) =>
      PressesPage.parse(
        (
          await agent
            .get(`/api/dogs/${dog}/presses`)
            .query({ collar: remote, from: new Date(Date.now() - 180 * MINUTE).toISOString(), to: new Date().toISOString(), most })
        ).body,
      );
    const each = await ask(200);
    expect(each).toMatchObject({ total: 150, bins: null });
    expect(each.presses!.map(({ level }) => level)).toEqual(presses.map((one) => (one as { level: number }).level));
    const together = await ask(40);
    expect(together.presses).toBeNull();
    expect(together.bins!.length).toBeLessThanOrEqual(40);
    const sum = (of: 'count' | 'none' | 'small' | 'did' | 'tooMuch') => together.bins!.reduce((all, bin) => all + bin[of], 0);
    expect([sum('count'), sum('none'), sum('small'), sum('did'), sum('tooMuch')]).toEqual([150, 50, 50, 50, 0]);
    const first = together.bins![0]!;
    const inFirst = presses.filter(({ at }) => at >= first.from && at < first.to);
    expect(first.count).toBe(inFirst.length);
    expect(first.high).toBe(Math.max(...inFirst.map((one) => (one as { level: number }).level)));
    const wrong = await agent.get(`/api/dogs/${dog}/presses`).query({ collar: remote, from: 'yesterday', to: 'now' });
    expect(wrong.body.errors.map(({ path }: { path: string }) => path)).toEqual(['from', 'to']);
  });
  it('a dog without a session has an empty page of levels', async () => {
    const other = await newDog(agent, { name: 'Sorrel' });
    const empty = LevelsPage.parse((await agent.get(`/api/dogs/${other}/levels`)).body);
    expect(empty).toMatchObject({ sessions: [], findings: [], ceilings: [], collars: [] });
  });
});

describe('one event that is not right', () => {
  it('holds up no other, wherever it stands and whatever is wrong with it', async () => {
    const { begin, event, press } = session();
    const good = [begin(), event(5, { event: 'cue' }), press(10, 20), event(20, { event: 'note', text: 'Keen.' }), event(30, { event: 'end' })];
    const bad: [object, RegExp][] = [
      [event(6, { event: 'levitate' }), /^event: /],
      [{ ...press(11, 20), level: 'high' }, /^level: This must be a finite number\.$/],
      [event(12, { event: 'note', text: 'half \ud83d of it' }), /^text: This has half a character/],
      [press(13, 1e-320), /^level: This number is too close to nothing/],
      [press(14, 999), /scale goes from 1 to 100/],
      [{ ...event(15, { event: 'cue' }), id: 'seven' }, /^id: /],
      [{ ...good[1], at: good[2]!.at }, /has this id already/],
      [{ event: 'cue' }, /^id: /],
      [null as unknown as object, /This must be an object/],
    ];
    const sent = good.flatMap((one, index) => [one, ...bad.filter((_bad, at) => at % good.length === index).map(([event_]) => event_)]);
    const results = await send(sent);
    expect(results).toHaveLength(sent.length);
    for (const [index, one] of sent.entries()) {
      const known = bad.find(([event_]) => event_ === one);
      if (known) expect([results[index]!.status, results[index]!.message]).toEqual(['refused', expect.stringMatching(known[1])]);
      else expect(results[index]!.status).toBe('kept');
    }
  });

  it('that the database itself will not take is found among the others and refused alone', async () => {
    const { begin, event } = session();
    const events = [begin(), ...Array.from({ length: 20 }, (_none, index) => event(index + 1, { event: 'cue' }))];
    const bad = events[13]!.id;
    await banter.dataSource.query(
      `CREATE TRIGGER refuses_one BEFORE INSERT ON happenings FOR EACH ROW IF NEW.id = '${bad}' THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'no'; END IF`,
    );
    try {
      const results = await send(events);
      expect(results.filter(({ status }) => status === 'kept')).toHaveLength(20);
      expect(results.find(({ id }) => id === bad)).toMatchObject({ status: 'refused', message: 'This could not be saved as it is. The fault is noted.' });
    } finally {
      await banter.dataSource.query('DROP TRIGGER refuses_one');
    }
  });
});

describe('one session that two phones began apart', () => {
  it('is made one: presses, events and numbers of both count as the earlier one’s; taken back, they part', async () => {
    const first = session(40);
    const second = session(30);
    const [a, b] = [first.press(60, 12), second.press(60, 14)];
    expect(await statuses([first.begin(), a, first.event(1500, { event: 'reward' })])).toEqual(['kept', 'kept', 'kept']);
    expect(await statuses([second.begin(), b, second.event(90, { event: 'correction', direction: 'back' })])).toEqual(['kept', 'kept', 'kept']);
    const joins = second.event(100, { event: 'joins', intoId: first.sessionId });
    expect(await statuses([joins])).toEqual(['kept']);
    const one = await page(first.sessionId);
    expect(one.session.tally).toMatchObject({ presses: 2, corrections: 1, rewards: 1 });
    expect((await page(second.sessionId)).session.id).toBe(first.sessionId);
    const asked = async () => FieldPage.parse((await agent.get('/api/field')).body).open.map(({ id }) => id);
    expect(await asked()).toEqual([first.sessionId]);
    // What the other phone tells afterwards belongs to the same session.
    expect(await statuses([second.response(70, b.id, 'did')])).toEqual(['kept']);
    expect((await page(first.sessionId)).session.tally.responses.did).toBe(1);
    expect(await statuses([second.event(200, { event: 'void', eventId: joins.id })])).toEqual(['kept']);
    expect((await page(first.sessionId)).session.tally).toMatchObject({ presses: 1, corrections: 0, rewards: 1 });
    expect((await page(second.sessionId)).session.tally).toMatchObject({ presses: 1, corrections: 1, rewards: 0 });
    expect((await asked()).sort()).toEqual([first.sessionId, second.sessionId].sort());
  });
  it('waits for a session that has not arrived; joins none of another dog, nor itself', async () => {
    const [first, second] = [session(40), session(30)];
    expect(await statuses([second.begin(), second.event(10, { event: 'joins', intoId: first.sessionId })])).toEqual(['kept', 'waits']);
    const other = await newDog(agent);
    await send([first.begin({ dogId: other })]);
    const [refused] = await send([second.event(20, { event: 'joins', intoId: first.sessionId })]);
    expect(refused).toMatchObject({ status: 'refused', message: 'A session joins only another of the same dog.' });
    expect(await send([second.event(20, { event: 'joins', intoId: second.sessionId })])).toMatchObject([
      { status: 'refused', message: 'intoId: A session does not join itself.' },
    ]);
  });
});

describe('what came of a session for its stage', () => {
  it('a stage in which nothing is pressed yet is known on the phone, and said before a press', async () => {
    const stages = PROGRAMME_TEMPLATES.find(({ id }) => id === 'level-finding')!.stages;
    const startsOn = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
    await must(`/api/programmes/${uuidv7()}`, { dogId: dog, templateId: 'level-finding', name: 'Level finding', stages, startsOn, state: 'running', note: '' });
    const own = FieldPage.parse((await agent.get('/api/field')).body).dogs.find(({ id }) => id === dog)!;
    expect(own.programmes).toMatchObject([{ stageName: 'Worn without stimulation', notYet: ['press'] }]);
    const story = sessionStory('s', [
      { id: 'b', sessionId: 's', at: Date.now(), event: 'begin', dogId: dog, handlerId: me, setting: 'home', purpose: 'work' },
    ])!;
    const facts = pressFacts(own, own.devices[0]!, { setting: 'home', now: Date.now(), timeZone: 'UTC', session: story, earlier: [] });
    expect(pressGuards(5, facts, houseRules()).map((guard) => wordReason(PRESS_GUARD_WORDS, guard, contractSpeaker).text)).toContain(
      'Worn without stimulation: worn only, nothing is pressed yet.',
    );
  });

  it('is told with the session, moves the stage by its marks, and is gone when it is taken back', async () => {
    const programme = uuidv7();
    const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'fading')!;
    const startsOn = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
    await must(`/api/programmes/${programme}`, {
      dogId: dog,
      templateId: 'fading',
      name: 'Fading',
      stages: template.stages,
      startsOn,
      state: 'running',
      note: '',
    });
    const { sessionId, begin, event } = session();
    const result = (seconds: number, own: object = {}) =>
      event(seconds, { event: 'result', programmeId: programme, stageId: 'slip-leash', met: 9, of: 10, setback: false, ...own });
    const told = result(600);
    expect(await statuses([begin(), told, event(601, { event: 'end' })])).toEqual(['kept', 'kept', 'kept']);
    const results = async () => (await agent.get(`/api/dogs/${dog}/programmes`)).body.results;
    expect(await results()).toMatchObject([{ id: told.id, sessionId, met: 9, of: 10 }]);
    const dogs = FieldPage.parse((await agent.get('/api/field')).body).dogs;
    expect(dogs.find(({ id }) => id === dog)!.programmes).toMatchObject([{ id: programme, stageId: 'slip-leash', needed: 8, of: 10 }]);
    expect((await send([result(650, { stageId: 'nowhere' })]))[0]).toMatchObject({ status: 'refused', message: 'This programme has no such stage.' });
    expect(await statuses([event(700, { event: 'void', eventId: told.id })])).toEqual(['kept']);
    expect(await results()).toEqual([]);
  });
});

describe('presses that a device tells of itself', () => {
  const line = (own: object) => `${JSON.stringify({ id: uuidv7(), collarId: remote, mode: 'momentary', ...own })}\n`;
  const tellLines = async (text: string) => (await agent.post('/api/events').set('Content-Type', 'application/x-ndjson').send(text)).body;
  const agoIso = (minutes: number) => new Date(Date.now() - minutes * MINUTE).toISOString();
  it('go into the session that runs, once; before it they stay with the device, off the scale they are refused', async () => {
    const { sessionId, begin } = session(20);
    await send([begin()]);
    const press = line({ event: 'press', level: 9, at: agoIso(10) });
    expect(await tellLines(press + line({ event: 'press', level: 4, at: agoIso(50) }) + line({ event: 'press', level: 400, at: agoIso(9) }))).toMatchObject({
      kept: 2,
      refused: [{ line: 3, message: 'level: This device’s scale goes from 1 to 100.' }],
    });
    expect(await tellLines(press)).toMatchObject({ kept: 0, known: 1 });
    const one = await page(sessionId);
    expect(one.events.filter(({ event }) => event === 'press')).toMatchObject([{ level: 9, source: 'hand' }]);
    // The phone answers it like one of its own.
    const pressId = one.events.find(({ event }) => event === 'press')!.id;
    const answer = { event: 'response', id: uuidv7(), sessionId, at: agoIso(9.9), pressId, response: 'did', latencyMs: null };
    expect(await statuses([answer])).toEqual(['kept']);
    expect((await page(sessionId)).session.tally.responses.did).toBe(1);
  });
  it('find their session when its phone, which was away, tells of it later; taken back, they are gone from it', async () => {
    const press = { id: uuidv7(), event: 'press', collarId: remote, mode: 'momentary', level: 7, at: agoIso(15) };
    expect(await tellLines(JSON.stringify(press))).toMatchObject({ kept: 1 });
    const { sessionId, begin, event } = session(20);
    await send([begin(), event(900, { event: 'end' })]);
    expect((await page(sessionId)).session.tally.presses).toBe(1);
    expect(await tellLines(JSON.stringify({ id: uuidv7(), event: 'void', eventId: press.id, at: agoIso(1) }))).toMatchObject({ kept: 1 });
    expect((await page(sessionId)).session.tally.presses).toBe(0);
    const since = new Date(Date.now() - 1000).toISOString();
    const late = await agent.get(`/api/field-sessions/${sessionId}?since=${since}`);
    expect(late.body.events.length).toBeGreaterThan(0);
    expect((await agent.get(`/api/field-sessions/${sessionId}?since=${new Date(Date.now() + 60_000).toISOString()}`)).body.events).toEqual([]);
    expect((await agent.get(`/api/field-sessions/${sessionId}?since=yesterday`)).status).toBe(422);
  });
});
