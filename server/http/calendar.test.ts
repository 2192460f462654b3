import { CalendarPage, calendarCase, dayOf, placedSession, plannedFacts, scheduleDays, stagesPlanned, stageWish, type Kennel } from '@banter/contract';
import { drillScenes, placeSessions, PROGRAMME_TEMPLATES, BACK_AND_IN, sessionClash } from '@banter/core';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { newColleague, newDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let kennel: Kennel;
let person: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

const today = () => dayOf(Date.now(), kennel.timeZone);
const dayAfter = (days: number) => dayOf(Date.now() + days * 86_400_000, kennel.timeZone);
const facts = (more: object = {}) => ({
  dogId: dog,
  programmeId: null,
  stageId: null,
  personId: person,
  day: dayAfter(2),
  from: 600,
  minutes: 30,
  aroundMinutes: 0,
  state: 'planned',
  note: '',
  ...more,
});
const change = (...sessions: { id: string; version: number | null; facts: object }[]) => agent.post('/api/calendar-changes').send({ sessions });
const page = async (days = 28) => CalendarPage.parse((await agent.get(`/api/calendar?from=${today()}&days=${days}`)).body);

beforeEach(async () => {
  agent = await newKennel(banter.app);
  dog = await newDog(agent);
  const { body } = await agent.get('/api/doorstep');
  kennel = body.me.kennel;
  person = body.me.person.id;
});

describe('the kennel’s calendar', () => {
  it('a session is planned once however often it is sent, moved at its version, and dropped', async () => {
    const id = uuidv7();
    for (let time = 0; time < 2; time += 1) {
      const kept = await change({ id, version: null, facts: facts() });
      expect([kept.status, kept.body.sessions[0].version]).toEqual([200, 1]);
    }
    const moved = await change({ id, version: 1, facts: facts({ from: 660 }) });
    expect(moved.body.sessions[0]).toMatchObject({ from: 660, version: 2 });
    const late = await change({ id, version: 1, facts: facts({ from: 720 }) });
    expect(late.status).toBe(409);
    expect(late.body.current.from).toBe(660);
    expect((await page()).sessions).toHaveLength(1);
    await change({ id, version: 2, facts: facts({ from: 660, state: 'dropped' }) });
    expect((await page()).sessions).toEqual([]);
  });
  it('all of a change or nothing: a dog or a pair of hands is in one place at a time, in words', async () => {
    const other = await newDog(agent, { name: 'Sedge' });
    const [a, b] = [uuidv7(), uuidv7()];
    const hands = await change({ id: a, version: null, facts: facts() }, { id: b, version: null, facts: facts({ dogId: other, from: 615 }) });
    expect(hands.status).toBe(422);
    expect(hands.body.errors[0].message).toBe(`Tester has another session at 10:15 on ${dayAfter(2)}.`);
    expect((await page()).sessions).toEqual([]);
    expect((await change({ id: a, version: null, facts: facts() })).status).toBe(200);
    const same = await change({ id: b, version: null, facts: facts({ from: 615 }) });
    expect(same.body.errors[0].message).toMatch(/^Bracken has another session at 10:00/);
    // One after the other, and two that change places, are no clash.
    expect((await change({ id: b, version: null, facts: facts({ dogId: other, from: 630 }) })).status).toBe(200);
    const swapped = await change({ id: a, version: 1, facts: facts({ from: 630 }) }, { id: b, version: 1, facts: facts({ dogId: other, from: 600 }) });
    expect(swapped.status).toBe(200);
  });
  it('somebody who has left has no lane but for what was planned for them, which is handed on; nothing new is planned for them', async () => {
    const { agent: hand, me } = await newColleague(banter.app, agent, 'assistant');
    const id = uuidv7();
    expect((await change({ id, version: null, facts: facts({ personId: me.person.id }) })).status).toBe(200);
    await agent.put(`/api/people/${me.person.id}`).send({ role: 'assistant', left: true });
    expect((await hand.get('/api/dogs')).status).toBe(401);
    const before = await page();
    expect(before.people.find((one) => one.id === me.person.id)).toMatchObject({ left: true });
    // Nobody is there: no session is laid with them.
    expect(
      calendarCase(before, kennel, Date.now())
        .hands.find((one) => one.id === me.person.id)!
        .hours.every((hours) => hours === null),
    ).toBe(true);
    const another = await change({ id: uuidv7(), version: null, facts: facts({ personId: me.person.id, from: 700 }) });
    expect([another.status, another.body.errors[0].message]).toEqual([422, `${me.person.name} has left this kennel. Plan it with somebody else.`]);
    expect((await change({ id, version: 1, facts: facts({ personId: me.person.id, from: 640 }) })).status).toBe(200);
    expect((await change({ id, version: 2, facts: facts({ from: 640 }) })).status).toBe(200);
    const after = await page();
    expect(after.people.map((one) => one.id)).toEqual([person]);
    expect(after.hands).toEqual([person]);
  });
  it('what is over is not planned, moved or dropped; what is of another kennel does not exist', async () => {
    const past = await change({ id: uuidv7(), version: null, facts: facts({ day: dayAfter(-1) }) });
    expect(past.body.errors).toEqual([{ path: 'sessions[0].facts.day', message: 'That day is over; what happened then is told in the field log.' }]);
    const id = uuidv7();
    await change({ id, version: null, facts: facts() });
    const mine = agent;
    agent = await newKennel(banter.app);
    expect((await change({ id, version: 1, facts: facts() })).status).toBe(422);
    const ownDog = await newDog(agent);
    const { body } = await agent.get('/api/doorstep');
    expect((await change({ id, version: 1, facts: facts({ dogId: ownDog, personId: body.me.person.id }) })).status).toBe(404);
    expect((await page()).sessions).toEqual([]);
    agent = mine;
    expect((await page()).sessions).toHaveLength(1);
  });
  it.each([
    [{ from: 1430 }, 'minutes', 'It would go past midnight.'],
    [{ day: '2026-02-30' }, 'day', ''],
    [{ minutes: 0 }, 'minutes', ''],
  ])('%j is refused at its field', async (more, path, message) => {
    const { status, body } = await change({ id: uuidv7(), version: null, facts: facts(more) });
    expect(status).toBe(422);
    expect(body.errors[0].path).toBe(`sessions[0].facts.${path}`);
    if (message) expect(body.errors[0].message).toBe(message);
  });
  it('hours of the kennel and of its people decide where sessions go; nobody else has hours here', async () => {
    const week = Array.from({ length: 7 }, (_day, day) => (day === 6 ? null : [480, 600]));
    const kept = await agent.put(`/api/hours/${kennel.id}`).send({ personId: null, week, away: [{ from: dayAfter(1), to: dayAfter(1), note: 'fair' }] });
    expect(kept.status).toBe(201);
    expect((await agent.put(`/api/hours/${person}`).send({ personId: null, week, away: [] })).status).toBe(422);
    expect((await agent.put(`/api/hours/${uuidv7()}`).send({ personId: uuidv7(), week, away: [] })).status).toBe(422);
    expect((await agent.put(`/api/hours/${person}`).send({ personId: person, week: week.slice(1), away: [] })).status).toBe(422);
    const { days, hands } = calendarCase(await page(8), kennel, Date.now());
    expect(days[1]!.open).toBeNull();
    expect(days.filter(({ open }) => open !== null).every(({ open }) => open![1] === 600)).toBe(true);
    // Nobody said otherwise for the person: there whenever the kennel is open.
    expect(hands[0]!.hours).toEqual(days.map(({ open }) => open));
  });
});

describe('twelve dogs and two people for a month', () => {
  it('every programme’s sessions are placed, kept in one change, and none clashes; a stage moved on says which are stale', async () => {
    const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'wear-first')!;
    const ids: string[] = [];
    for (let one = 0; one < 12; one += 1) {
      const dogId = await newDog(agent, { name: `Dog ${one + 1}` });
      const id = uuidv7();
      const sent = { dogId, templateId: template.id, name: template.name, stages: template.stages, startsOn: today(), state: 'running', note: '' };
      expect((await agent.put(`/api/programmes/${id}`).send(sent)).status).toBe(201);
      ids.push(id);
    }
    await banter.dataSource.query('INSERT INTO people (id, kennelId, name, createdAt) VALUES (?, ?, ?, NOW(3))', [uuidv7(), kennel.id, 'Second']);
    const before = await page(31);
    const dates = scheduleDays(before);
    const from = { fromDay: 1, aroundMinutes: 30, hands: null };
    const wishes = stagesPlanned(before, kennel, Date.now()).map((one) => stageWish(one, from));
    const around = calendarCase(before, kennel, Date.now());
    const { placed, noRoom } = placeSessions({ ...around, wishes, fixed: [] });
    expect(noRoom).toEqual([]);
    expect(placed).toHaveLength(12 * 2 * 30);
    const kept = await change(...placed.map((one) => ({ id: uuidv7(), version: null, facts: plannedFacts(one, dates) })));
    expect(kept.status).toBe(200);
    const after = await page(31);
    const all = after.sessions.map((one) => placedSession(one, dates));
    expect(all).toHaveLength(720);
    all.forEach((one, index) => {
      for (const other of all.slice(index + 1)) if (sessionClash(one, other, 60)) throw new Error(`${one.id} clashes with ${other.id}`);
    });
    const note = 'It wore one before.';
    await agent.put(`/api/stage-moves/${uuidv7()}`).send({ programmeId: ids[0], toStage: 'yield', note, at: new Date().toISOString() });
    const moved = stagesPlanned(await page(31), kennel, Date.now() + 1000);
    expect(moved.map(({ stale }) => stale.length)).toEqual([60, ...new Array<number>(11).fill(0)]);
  });
});

describe('a kennel with more hands than one looks at together', () => {
  const somebody = async (name: string) => {
    const id = uuidv7();
    await banter.dataSource.query('INSERT INTO people (id, kennelId, name, createdAt) VALUES (?, ?, ?, NOW(3))', [id, kennel.id, name]);
    return id;
  };
  const planned = async (more: object) => {
    const id = uuidv7();
    expect((await change({ id, version: null, facts: facts(more) })).status).toBe(200);
    return id;
  };
  const asked = async (more = '') => CalendarPage.parse((await agent.get(`/api/calendar?from=${today()}&days=28${more}`)).body);
  const idsOf = (rows: readonly { id: string }[]) => rows.map(({ id }) => id).sort();

  it('shows one’s own sessions and all of the same dogs; others by name, six together; a dog by itself brings who works with it', async () => {
    const others = [];
    for (let one = 0; one < 7; one += 1) others.push(await somebody(`Hand ${one}`));
    const [bracken, sedge, rush] = [dog, await newDog(agent, { name: 'Sedge' }), await newDog(agent, { name: 'Rush' })];
    const mine = await planned({ dogId: bracken });
    const same = await planned({ dogId: bracken, personId: others[0], from: 700 });
    const far = await planned({ dogId: sedge, personId: others[0] });
    const rest = await planned({ dogId: rush, personId: others[1] });

    const own = await asked();
    expect([own.people.length, own.hands, idsOf(own.sessions)]).toEqual([8, [person], [mine, same].sort()]);
    // What lies in the way of the dog is known; whose hours and lanes these are is not everybody's.
    expect(calendarCase(own, kennel, Date.now()).hands.map(({ id }) => id)).toEqual([person]);
    const two = await asked(`&hands=${others[0]},${others[1]}`);
    expect([two.hands, idsOf(two.sessions)]).toEqual([[others[0], others[1]], [mine, same, far, rest].sort()]);
    expect((await asked(`&hands=${others.slice(0, 6).join(',')}`)).hands).toEqual(others.slice(0, 6));
    expect((await agent.get(`/api/calendar?from=${today()}&days=28&hands=${others.join(',')}`)).status).toBe(422);
    expect(idsOf((await asked(`&hands=${person}&dog=${rush}`)).sessions)).toEqual([mine, same, rest].sort());
    expect((await asked(`&dog=${sedge}`)).hands[0]).toBe(others[0]);
    // Nobody of that id: whose it would be anyway.
    expect((await asked(`&hands=${uuidv7()}`)).hands).toEqual([person]);
  });

  it('offers sixty dogs and sixty programmes that run with nothing planned, and says how many more there are', async () => {
    const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'wear-first')!;
    for (let one = 0; one < 62; one += 1) {
      const dogId = await newDog(agent, { name: `Dog ${one}` });
      const sent = { dogId, templateId: template.id, name: template.name, stages: template.stages, startsOn: today(), state: 'running', note: '' };
      expect((await agent.put(`/api/programmes/${uuidv7()}`).send(sent)).status).toBe(201);
    }
    const before = await asked();
    expect([before.programmes.length, before.moreUnplanned]).toEqual([60, 2]);
    expect(before.dogs.length + before.moreDogs).toBe(63);
    const { id: programmeId, dogId, stage } = before.programmes[0]!;
    await planned({ dogId, programmeId, stageId: stage.id });
    const after = await asked();
    // What is planned stays on the calendar, and makes room for one that is not.
    expect([after.programmes.length, after.moreUnplanned]).toEqual([61, 1]);
    expect(after.programmes.some(({ id }) => id === programmeId)).toBe(true);
  });
});

describe('a handling drill', () => {
  const drill = (more: object = {}) => ({
    seed: 12,
    pace: 'calm',
    collar: 'slip-or-prong',
    answers: [{ pressures: [], paidAt: null }],
    at: new Date().toISOString(),
    ...more,
  });
  it('is scored here by its seed and what hands did, kept once, and shown for everybody', async () => {
    const id = uuidv7();
    const scenes = drillScenes({ seed: 12, count: 5, pace: 'calm' });
    const answers = scenes.map((scene) => {
      const [direction] = BACK_AND_IN.right[scene.happening];
      const from = scene.quietMs + 500;
      return { pressures: direction ? [{ direction, from, to: from + scene.yieldsMs }] : [], paidAt: null };
    });
    const sent = drill({ answers });
    const kept = await agent.put(`/api/drills/${id}`).send(sent);
    expect(kept.status).toBe(201);
    expect(kept.body.score).toMatchObject({
      scenes: 5,
      toTell: 4,
      inTime: 4,
      rightWay: 4,
      letGo: 4,
      medianSeconds: 0.5,
      leftInPeace: 1,
      paid: 0,
      workOn: 'pay',
    });
    expect((await agent.put(`/api/drills/${id}`).send(sent)).status).toBe(200);
    const { drills } = (await agent.get('/api/drills')).body;
    expect(drills.map((one: { id: string; personName: string }) => [one.id, one.personName])).toEqual([[id, 'Tester']]);
    const other = await newKennel(banter.app);
    expect((await other.get('/api/drills')).body.drills).toEqual([]);
  });
  it('of no scene, or that ends before it begins, is refused', async () => {
    expect((await agent.put(`/api/drills/${uuidv7()}`).send(drill({ answers: [] }))).body.errors[0].message).toBe('A drill has at least one scene.');
    const back = [{ pressures: [{ direction: 'back', from: 500, to: 400 }], paidAt: null }];
    expect((await agent.put(`/api/drills/${uuidv7()}`).send(drill({ answers: back }))).body.errors[0].message).toBe('It ends before it begins.');
  });
});

describe('a kennel’s own programmes', () => {
  const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'wear-first')!;
  const own = (more: object = {}) => ({
    basedOn: 'wear-first',
    name: 'Bog first',
    about: '',
    kinds: ['prong'],
    stages: template.stages,
    retired: false,
    ...more,
  });
  it('a dog that begins one keeps its copy, whatever is changed in the programme afterwards', async () => {
    const id = uuidv7();
    expect((await agent.put(`/api/kennel-templates/${id}`).send(own())).status).toBe(201);
    const programme = uuidv7();
    const sent = { dogId: dog, templateId: id, name: 'Bog first', stages: template.stages, startsOn: today(), state: 'running', note: '' };
    expect((await agent.put(`/api/programmes/${programme}`).send(sent)).status).toBe(201);
    const stages = template.stages.slice(0, 1).map((stage) => ({ ...stage, minutes: 99 }));
    expect(
      (
        await agent
          .put(`/api/kennel-templates/${id}`)
          .set('If-Match', '"1"')
          .send(own({ stages, retired: true }))
      ).status,
    ).toBe(200);
    expect((await agent.get(`/api/programmes/${programme}`)).body.stages).toEqual(JSON.parse(JSON.stringify(template.stages)));
    const listed = (await agent.get('/api/kennel-templates')).body;
    expect([listed.templates[0].stages[0].minutes, listed.running[id]]).toEqual([99, 1]);
  });
  it('without a stage, with two of one name, or of another kennel it is none', async () => {
    expect((await agent.put(`/api/kennel-templates/${uuidv7()}`).send(own({ stages: [] }))).body.errors[0].message).toBe('A programme has at least one stage.');
    const twice = [template.stages[0], template.stages[0]];
    expect((await agent.put(`/api/kennel-templates/${uuidv7()}`).send(own({ stages: twice }))).status).toBe(422);
    const sent = { dogId: dog, templateId: uuidv7(), name: 'x', stages: template.stages, startsOn: today(), state: 'running', note: '' };
    expect((await agent.put(`/api/programmes/${uuidv7()}`).send(sent)).body.errors[0].path).toBe('templateId');
  });
});
