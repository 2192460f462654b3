import {
  ClassPage,
  Collar,
  currentFits,
  DogPage,
  inspectionOf,
  DogCards,
  LockerPage,
  madeUpWords,
  TodayPage,
  type FitsAnswer,
  type LinkBalance,
  type UpkeepPage,
} from '@banter/contract';
import { contractSpeaker } from '@banter/core';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
  fitCheck,
  fittedDog,
  newDog,
  newKennel,
  openBanter,
  plan,
  screening,
  someCollar,
  someDog,
  somePlace,
  taping,
  type TestBanter,
} from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
});

const links = async (): Promise<LinkBalance[]> => (await agent.get('/api/locker')).body.links;
const at = async (account: string, gaugeMm = 3) => (await links()).find((one) => one.account === account && one.gaugeMm === gaugeMm)?.count ?? 0;
const sum = async () => (await links()).reduce((total, { count }) => total + count, 0);
const move = (from: string, to: string, count: number, why = 'counted', gaugeMm = 3) =>
  agent.put(`/api/link-moves/${uuidv7()}`).send({ gaugeMm, count, from, to, why, note: '', at: '2026-03-02T09:00:00.000Z' });

describe('the links of the locker', () => {
  it('come in with a collar, go into the bag when a fit takes them out, and always add up', async () => {
    const ids = await fittedDog(agent);
    // Stocked with 13; the first check found 11 on the dog.
    expect([await at(`collar:${ids.collar}`), await at('bag'), await at('outside')]).toEqual([11, 2, -13]);
    const answers = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
    await agent
      .put(`/api/fit-checks/${uuidv7()}`)
      .send(fitCheck(ids.dog, ids.plan, { on: { left: 5, right: 5 }, answers }))
      .expect(201);
    expect([await at(`collar:${ids.collar}`), await at('bag')]).toEqual([10, 3]);
    expect(await sum()).toBe(0);
  });

  it('are kept once however often the same check is sent', async () => {
    const ids = await fittedDog(agent);
    const id = uuidv7();
    const body = fitCheck(ids.dog, ids.plan, { on: { left: 5, right: 5 } });
    await Promise.all(Array.from({ length: 6 }, () => agent.put(`/api/fit-checks/${id}`).send(body)));
    expect([await at(`collar:${ids.collar}`), await at('bag')]).toEqual([10, 3]);
  });

  it('that are not in the bag cannot be put in: the check is refused whole, and says what is missing', async () => {
    const ids = await fittedDog(agent);
    await move('bag', 'scrap', 2, 'scrapped').expect(201);
    const id = uuidv7();
    const refused = await agent.put(`/api/fit-checks/${id}`).send(fitCheck(ids.dog, ids.plan, { on: { left: 6, right: 6 } }));
    expect([refused.status, refused.body.code]).toEqual([409, 'not-enough-links']);
    expect(refused.body.detail).toMatch(/^one link of 3.0 mm should come from there, and there is none in the bag\.$/i);
    expect((await agent.get(`/api/fit-checks/${id}`)).status).toBe(404);
    await move('outside', 'bag', 1, 'bought').expect(201);
    await agent
      .put(`/api/fit-checks/${id}`)
      .send(fitCheck(ids.dog, ids.plan, { on: { left: 6, right: 6 } }))
      .expect(201);
    expect(await at('bag')).toBe(0);
  });

  it('the last spare one goes to one of two people who take it at once; the other is told', async () => {
    const ids = await fittedDog(agent);
    await move('bag', 'scrap', 1, 'scrapped').expect(201);
    const answers = await Promise.all([
      move('bag', `dog:${ids.dog}`, 1, 'lent'),
      move('bag', `dog:${ids.dog}`, 1, 'lent'),
      move('bag', `dog:${ids.dog}`, 1, 'lent'),
    ]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    expect([await at('bag'), await at(`dog:${ids.dog}`)]).toEqual([0, 1]);
    expect(await sum()).toBe(0);
  });

  it('of a scrapped collar are scrapped with it, and come back with it; a recount goes by the ruler', async () => {
    const id = uuidv7();
    await agent.put(`/api/collars/${id}`).send(someCollar);
    await agent
      .put(`/api/collars/${id}`)
      .set('If-Match', '"1"')
      .send({ ...someCollar, retiredAt: '2026-03-03T09:00:00.000Z' })
      .expect(200);
    expect([await at(`collar:${id}`), await at('scrap')]).toEqual([0, 13]);
    const again = uuidv7();
    await agent.put(`/api/collars/${again}`).send(someCollar);
    await agent
      .put(`/api/collars/${again}`)
      .set('If-Match', '"1"')
      .send({ ...someCollar, numbers: { ...someCollar.numbers, links: 12 } });
    expect([await at(`collar:${again}`), await at('bag')]).toEqual([12, 1]);
  });

  it('are moved by no look at the collar and by no new name; scrapped by mistake, it brings back what it took along', async () => {
    const ids = await fittedDog(agent);
    const held = async () => [await at(`collar:${ids.collar}`), await at('bag'), await at('scrap')];
    expect(await held()).toEqual([11, 2, 0]);
    const answers = Object.fromEntries(inspectionOf({ kind: 'prong', numbers: someCollar.numbers }).items.map(({ id }) => [id, 'good']));
    const look = (found: object, minute: number) =>
      agent
        .put(`/api/inspections/${uuidv7()}`)
        .send({
          collarId: ids.collar,
          gearId: null,
          answers: { ...answers, ...found },
          note: '',
          at: new Date(Date.now() - (60 - minute) * 1000).toISOString(),
        })
        .expect(201);
    await look({}, 1);
    await look({ chain: 'bad' }, 2);
    expect(await held()).toEqual([11, 2, 0]);
    const collar = Collar.parse((await agent.get(`/api/collars/${ids.collar}`)).body);
    const { id: _id, version, ...facts } = collar;
    await agent
      .put(`/api/collars/${ids.collar}`)
      .set('If-Match', `"${version}"`)
      .send({ ...facts, name: 'Hook two' })
      .expect(200);
    expect(await held()).toEqual([11, 2, 0]);
    await look({ tips: 'worse' }, 3);
    expect(await held()).toEqual([0, 2, 11]);
    await look({}, 4);
    expect(await held()).toEqual([11, 2, 0]);
    expect(await sum()).toBe(0);
  });

  it.each([
    ['none', { count: 0 }, 'count'],
    ['half of one', { count: 1.5 }, 'count'],
    ['nowhere', { to: 'pocket' }, 'to'],
    ['where they are', { from: 'bag', to: 'bag' }, 'to'],
    ['onto a collar that is not there', { to: `collar:${uuidv7()}` }, 'to'],
    ['with a dog that is not there', { to: `dog:${uuidv7()}` }, 'to'],
  ])('move not: %s', async (_what, change, path) => {
    const body = { gaugeMm: 3, count: 1, from: 'outside', to: 'bag', why: 'bought', note: '', at: '2026-03-02T09:00:00.000Z', ...change };
    const response = await agent.put(`/api/link-moves/${uuidv7()}`).send(body);
    expect(response.status).toBe(422);
    expect(response.body.errors[0].path).toBe(path);
  });
});

describe('what speaks against a collar', () => {
  async function readyDog(answers: object = {}, place: object = {}) {
    const ids = { dog: uuidv7(), collar: uuidv7(), place: uuidv7() };
    await agent.put(`/api/dogs/${ids.dog}`).send(someDog);
    await agent.put(`/api/collars/${ids.collar}`).send(someCollar);
    await agent.put(`/api/places/${ids.place}`).send({ ...somePlace, ...place });
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(ids.dog));
    if (answers) await agent.put(`/api/screenings/${uuidv7()}`).send(screening(ids.dog, answers));
    return { ...ids, plan: () => agent.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, ids.collar, { placeId: ids.place })) };
  }

  it('stops its plan with the reason, until it is lifted with a note', async () => {
    const { dog, plan: put } = await readyDog({ windpipe: 'yes' });
    const stopped = await put();
    expect([stopped.status, stopped.body.errors[0].path]).toEqual([422, 'kind']);
    expect(stopped.body.errors[0].message).toMatch(/^Stop: Windpipe or neck disease\?/);
    const lift = { dogId: dog, item: 'windpipe', lifted: true, note: '', at: new Date().toISOString() };
    expect((await agent.put(`/api/lifts/${uuidv7()}`).send(lift)).body.errors[0].path).toBe('note');
    await agent
      .put(`/api/lifts/${uuidv7()}`)
      .send({ ...lift, note: 'X-rayed, clear.' })
      .expect(201);
    const kept = await put();
    expect(kept.status).toBe(201);
    expect(kept.body.inputs.screen).toEqual({ level: 'none', findings: [{ id: 'windpipe', level: 'stop', lifted: true }] });
    await agent.put(`/api/lifts/${uuidv7()}`).send({ ...lift, lifted: false, note: 'Coughs again.', at: new Date(Date.now() + 1000).toISOString() });
    expect((await put()).status).toBe(422);
  });

  it('needs the dog to have been screened at all', async () => {
    const { plan: put } = await readyDog(null as never);
    expect((await put()).body.errors[0]).toMatchObject({ path: 'dogId', message: expect.stringContaining('Screen the dog first') });
  });

  it('is also the law: what is not allowed is not planned there; what was never looked up is kept as that', async () => {
    const law = async (place: object) => (await (await readyDog({}, place)).plan()).body;
    expect((await law({ collars: { prong: 'not-allowed' } })).errors[0]).toMatchObject({
      path: 'placeId',
      message: 'Prong collars are not allowed at Home field.',
    });
    expect((await law({ collars: {} })).inputs.place).toEqual({ name: 'Home field', status: 'never-checked' });
    expect((await law({ checkedOn: null })).inputs.place).toEqual({ name: 'Home field', status: 'never-checked' });
    expect((await law({ checkedOn: '2024-01-01' })).inputs.place).toEqual({ name: 'Home field', status: 'check-again' });
    expect((await law({})).inputs.place).toEqual({ name: 'Home field', status: 'allowed' });
  });

  it('asks for a day that has been and a person who looked', async () => {
    const put = (change: object) => agent.put(`/api/places/${uuidv7()}`).send({ ...somePlace, ...change });
    expect((await put({ checkedOn: '2999-01-01' })).body.errors[0].path).toBe('checkedOn');
    expect((await put({ checkedBy: ' ' })).body.errors[0].path).toBe('checkedBy');
    expect((await put({ collars: { leash: 'allowed' } })).status).toBe(422);
  });
});

describe('every kind of collar', () => {
  it('is kept, planned and checked as the prong is', async () => {
    const ids = { dog: uuidv7(), flat: uuidv7(), plan: uuidv7(), check: uuidv7() };
    await agent.put(`/api/dogs/${ids.dog}`).send(someDog);
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(ids.dog));
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(ids.dog, { site: 'head', readingsMm: [471, 472, 473] }));
    const flat = { ...someCollar, kind: 'flat', name: 'Reed', numbers: { minMm: 330, maxMm: 470, widthMm: 20, buckle: 'metal tongue', holePitchMm: 25.4 } };
    await agent.put(`/api/collars/${ids.flat}`).send(flat).expect(201);
    const choices = { options: { fingers: 2 }, on: { setMm: 431.6 } };
    const kept = await agent.put(`/api/plans/${ids.plan}`).send({ ...plan(ids.dog, ids.flat), kind: 'flat', choices });
    expect(kept.status).toBe(201);
    // Four holes beyond the first: 330 + 4 × 25.4; the head of 472 over it is 1.094, high and tight.
    expect(kept.body.outcome).toMatchObject({ keep: true, verdict: 'fits' });
    const answers = { breathing: 'free', sits: 'high', shake: 'stays', under: '4', comesOver: 'yes', buckle: 'sound' };
    const check = await agent.put(`/api/fit-checks/${ids.check}`).send({ ...fitCheck(ids.dog, ids.plan), kind: 'flat', on: { setMm: 431.6 }, answers });
    expect(check.body.outcome).toMatchObject({ verdict: 'adjust', step: 'take-in' });
    expect((await agent.put(`/api/collars/${uuidv7()}`).send({ ...flat, numbers: { ...flat.numbers, maxMm: 300 } })).body.errors[0].path).toBe('numbers.maxMm');
  });

  it('may be worn together, one fit of each kind; setting one aside is taken back as easily, and forgets nothing', async () => {
    const ids = await fittedDog(agent);
    const flat = { ...someCollar, kind: 'flat', name: 'Reed', numbers: { minMm: 330, maxMm: 470, widthMm: 20, buckle: 'metal tongue', holePitchMm: 25.4 } };
    const reed = { collar: uuidv7(), plan: uuidv7() };
    await agent.put(`/api/collars/${reed.collar}`).send(flat);
    const choices = { options: { fingers: 2 }, on: { setMm: 431.6 } };
    await agent
      .put(`/api/plans/${reed.plan}`)
      .send({ ...plan(ids.dog, reed.collar), kind: 'flat', choices })
      .expect(201);
    const worn = async () => {
      const [card] = (await agent.get('/api/dog-cards')).body.rows as { fits: { plan: { kind: string } }[] }[];
      return card!.fits.map((fit) => fit.plan.kind).sort();
    };
    const aside = (planId: string, ended: boolean, at: string) => agent.put(`/api/endings/${uuidv7()}`).send({ dogId: ids.dog, planId, ended, note: '', at });
    expect(await worn()).toEqual(['flat', 'prong']);
    await aside(reed.plan, true, '2026-03-05T09:00:00.000Z').expect(201);
    expect(await worn()).toEqual(['prong']);
    await aside(reed.plan, false, '2026-03-05T09:00:05.000Z').expect(201);
    expect(await worn()).toEqual(['flat', 'prong']);
    await aside(ids.plan, true, '2026-03-05T09:01:00.000Z').expect(201);
    const page = (await agent.get(`/api/dogs/${ids.dog}/page`)).body;
    expect([page.plans.length, page.checks.length, page.endings.length]).toEqual([2, 1, 3]);
    const dog = uuidv7();
    await agent.put(`/api/dogs/${dog}`).send(someDog);
    const foreign = await agent.put(`/api/endings/${uuidv7()}`).send({ dogId: dog, planId: ids.plan, ended: true, note: '', at: '2026-03-05T09:02:00.000Z' });
    expect(foreign.body.errors[0]).toEqual({ path: 'planId', message: 'This fit is not one of this dog.' });
  });

  it('follows a dog’s own schools and limits where it has some, and keeps them with the verdict', async () => {
    const ids = await fittedDog(agent);
    const house = { schools: { betweenSchool: 'snug' }, rules: { slackMaxMm: 12 }, note: 'Thin coat in summer.' };
    await agent
      .put(`/api/dogs/${ids.dog}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, house })
      .expect(200);
    const kept = await agent.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, ids.collar, { placeId: ids.place, note: 'To compare.' }));
    expect(kept.body.rules.slackMaxMm).toBe(12);
    expect(kept.body.outcome.judgement.verdict).not.toBe('fits');
    const nameless = await agent
      .put(`/api/dogs/${ids.dog}`)
      .set('If-Match', '"2"')
      .send({ ...someDog, house: { ...house, note: '' } });
    expect(nameless.body.errors[0].path).toBe('house.note');
  });
});

describe('people', () => {
  it('measure their finger once, and see whose tape agrees with itself', async () => {
    const ids = await fittedDog(agent);
    await agent
      .put('/api/me')
      .send({ finger: { thicknessMm: 18, widthMm: 12 } })
      .expect(422);
    expect((await agent.put('/api/me').send({ finger: { thicknessMm: 15, widthMm: 18 } })).body.person.finger).toEqual({ thicknessMm: 15, widthMm: 18 });
    const { people } = (await agent.get('/api/people')).body;
    // Two sites read as m−1, m, m+1: each has a variance of 1, so the technical error is 1 mm.
    expect(people).toEqual([expect.objectContaining({ name: 'Tester', tape: [{ month: '2026-03', sets: 2, temMm: 1, temPercent: expect.any(Number) }] })]);
    const kept = await agent.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, ids.collar, { placeId: ids.place, note: 'Once more.' }));
    expect(kept.body.inputs.dog.finger).toEqual({ thicknessMm: 15, widthMm: 18 });
  });
});

describe('many dogs at once', () => {
  const fits = (body: object) => supertest(banter.app).post('/api/fits').send(body);
  const prong = { id: 'alder', kind: 'prong', numbers: someCollar.numbers };

  it('are sized against one stock, each kind with its deciding number', async () => {
    const { body } = await fits({
      dogs: [
        { id: 'a', girthMm: 398, weightKg: 29, pull: 'drags', headGirthMm: 472 },
        { id: 'b', girthMm: 300 },
      ],
      stock: [prong],
      kinds: ['prong', 'slip'],
    });
    const answer = body as FitsAnswer;
    expect(answer.dogs.map(({ id }) => id)).toEqual(['a', 'b']);
    const [first, slip] = answer.dogs[0]!.fits;
    expect(first).toMatchObject({ kind: 'prong', verdict: 'Fits', tone: 'good', collarId: 'alder', sentence: 'Take out 2 links, one each side.' });
    // A head of 472 and the ring need a slip of 20 in, 508 mm: 90 mm of gap on a neck of 398, over the 63.5 that are allowed.
    expect(slip).toMatchObject({ kind: 'slip', verdict: 'None in the locker', wanted: expect.stringContaining('a clip-on slip instead') });
    expect(answer.dogs[1]!.fits[0]!.missing).toEqual(['Weigh the dog: the schools choose the gauge by weight.']);
  });

  it('say which of them cannot be read, and where', async () => {
    const bad = await fits({ dogs: [{ id: 'a', girthMm: 3 }], stock: [{ ...prong, numbers: { ...prong.numbers, pitchMm: 0 } }] });
    expect(bad.status).toBe(422);
    expect(bad.body.errors.map((error: { path: string }) => error.path)).toEqual(['dogs[0].girthMm', 'stock[0].numbers.pitchMm']);
    expect(
      (
        await fits({
          dogs: [
            { id: 'a', girthMm: 300 },
            { id: 'a', girthMm: 300 },
          ],
          stock: [],
        })
      ).body.errors[0].path,
    ).toBe('dogs[1].id');
    expect((await fits({ dogs: [], stock: [] })).status).toBe(422);
  });
});

describe('one collar and two dogs', () => {
  it('is made up for the dog it was last found on: the other’s page, card and dues say so, with what to put back', async () => {
    const first = await fittedDog(agent);
    const good = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
    await agent
      .put(`/api/fit-checks/${uuidv7()}`)
      .send(fitCheck(first.dog, first.plan, { answers: good, at: '2026-03-02T09:40:00.000Z' }))
      .expect(201);
    const wearers = async () =>
      ClassPage.parse((await agent.get('/api/class')).body)
        .worn.filter(({ collarId }) => collarId === first.collar)
        .map(({ dogId }) => dogId);
    expect(await wearers()).toEqual([first.dog]);
    const second = await fittedDog(agent);
    // The second dog is fitted in the first one's collar, with a link less.
    const id = uuidv7();
    await agent.put(`/api/plans/${id}`).send(plan(second.dog, first.collar)).expect(201);
    const later = new Date().toISOString();
    await agent
      .put(`/api/fit-checks/${uuidv7()}`)
      .send(fitCheck(second.dog, id, { on: { left: 5, right: 5 }, at: later }))
      .expect(201);
    const page = DogPage.parse((await agent.get(`/api/dogs/${first.dog}/page`)).body);
    const [fit] = currentFits(page);
    expect(fit!.elsewhere).toMatchObject({ collarId: first.collar, dogId: second.dog, on: { left: 5, right: 5 } });
    expect(madeUpWords(fit!.elsewhere!, fit!, contractSpeaker)).toMatch(/^Put one link back in: Hook one is set for \S+, 10 links\.$/);
    const cards = DogCards.parse((await agent.get('/api/dog-cards')).body).rows;
    expect(cards.find(({ dog }) => dog.id === first.dog)!.fits[0]!.elsewhere?.dogId).toBe(second.dog);
    expect(cards.find(({ dog }) => dog.id === second.dog)!.fits[0]!.elsewhere).toBeNull();
    // Whoever would fit it at a bench is told for whom it is set, but for that dog itself; a class counts it on that dog alone.
    const setFor = async (dog: string) => DogPage.parse((await agent.get(`/api/dogs/${dog}/bench`)).body).setFor.filter((one) => one.collarId === first.collar);
    expect(await setFor(first.dog)).toEqual([{ collarId: first.collar, dogName: someDog.name, on: { left: 5, right: 5 } }]);
    expect(await setFor(second.dog)).toEqual([]);
    expect(await wearers()).not.toContain(first.dog);
    const { items } = TodayPage.parse((await agent.get('/api/today')).body);
    const due = items.filter(({ dogId }) => dogId === first.dog).map(({ title, why }) => `${title} ${why}`);
    expect(due.join(' ')).toContain('put one link back in. Hook one is set for');
    // The locker says which links are still needed, on the shelves that show them, and stands on every other.
    for (const shelf of ['?shelf=links', '?shelf=shopping', '']) {
      const { needed } = LockerPage.parse((await agent.get(`/api/locker${shelf}`)).body);
      expect(needed.filter(({ dogId }) => dogId === first.dog)).toEqual([
        { dogId: first.dog, dogName: someDog.name, collarName: someCollar.name, gaugeMm: 3, needs: 1 },
      ]);
    }
    for (const shelf of ['collars', 'gear']) expect((await agent.get(`/api/locker?shelf=${shelf}`)).status).toBe(200);
  });
});

describe('the links that a bench is told', () => {
  it('are those in the bag, in the dog’s own collars, and in collars that hold another number than their own numbers say', async () => {
    const ids = await fittedDog(agent);
    const [other, spare] = [await newDog(agent, { name: 'Sorrel' }), uuidv7()];
    await agent
      .put(`/api/collars/${spare}`)
      .send({ ...someCollar, name: 'Spare' })
      .expect(201);
    const told = async (dogId: string) => {
      const { links: all } = (await agent.get(`/api/dogs/${dogId}/bench`)).body as DogPage;
      return all.map(({ account, count }) => `${account} ${count}`).sort();
    };
    // It was found with 11 of its 13 links; the spare one holds its 13.
    const fitted = [`bag 2`, `collar:${ids.collar} 11`];
    expect(await told(other)).toEqual(fitted);
    expect(await told(ids.dog)).toEqual(fitted);
    expect((await move(`collar:${spare}`, 'bag', 1)).status).toBe(201);
    expect(await told(other)).toEqual([`bag 3`, `collar:${ids.collar} 11`, `collar:${spare} 12`].sort());
    expect((await move('bag', `collar:${spare}`, 1)).status).toBe(201);
    expect((await move('bag', `collar:${ids.collar}`, 2)).status).toBe(201);
    // Back at its own number it is told to the dog alone whose it is.
    expect(await told(other)).toEqual([]);
    expect(await told(ids.dog)).toEqual([`collar:${ids.collar} 13`]);
  });
});

describe('a collar that could be bought', () => {
  it('is planned with by nobody, brings no links, and is not looked after, until somebody says that it is here', async () => {
    const { dog } = await fittedDog(agent);
    const id = uuidv7();
    const bought = { ...someCollar, name: 'Usual', measuredOn: null, owned: false };
    await agent.put(`/api/collars/${id}`).send(bought).expect(201);
    expect(await at(`collar:${id}`)).toBe(0);
    const refused = await agent.put(`/api/plans/${uuidv7()}`).send(plan(dog, id));
    expect([refused.status, refused.body.errors[0]]).toEqual([422, { path: 'collarId', message: 'Usual is still to be bought: say that it is here first.' }]);
    const pieces = async () =>
      (await Promise.all(['due', 'later'].map((list) => agent.get(`/api/upkeep?list=${list}`)))).flatMap(({ body }) =>
        (body as UpkeepPage).rows.map(({ name }) => name),
      );
    expect(await pieces()).not.toContain('Usual');
    await agent
      .put(`/api/collars/${id}`)
      .set('If-Match', '"1"')
      .send({ ...bought, owned: true })
      .expect(200);
    expect(await at(`collar:${id}`)).toBe(13);
    expect(await pieces()).toContain('Usual');
    await agent.put(`/api/plans/${uuidv7()}`).send(plan(dog, id)).expect(201);
  });

  it('a collar that is to be mended or worn out goes on no dog until it is inspected as sound: no fit is saved on it, and no other dog is offered it', async () => {
    const ids = await fittedDog(agent);
    const [other, third] = [await newDog(agent, { name: 'Sorrel' }), uuidv7()];
    await agent
      .put(`/api/collars/${third}`)
      .send({ ...someCollar, name: 'Sound one' })
      .expect(201);
    const collarNow = async () => ((await agent.get('/api/locker')).body as LockerPage).collars.find(({ id }) => id === ids.collar)!;
    const offered = async (dogId: string) => ((await agent.get(`/api/dogs/${dogId}/bench`)).body as DogPage).collars.map(({ name }) => name);
    for (const [condition, says] of [
      ['mend', 'Hook one is to be mended: inspect it as sound first.'],
      ['worn', 'Hook one is worn out: inspect it as sound first.'],
    ] as const) {
      const { id, version, ...facts } = await collarNow();
      await agent
        .put(`/api/collars/${id}`)
        .set('If-Match', `"${version}"`)
        .send({ ...facts, condition })
        .expect(200);
      const refused = await agent.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, ids.collar, { placeId: ids.place }));
      expect([refused.status, refused.body.errors[0]]).toEqual([422, { path: 'collarId', message: says }]);
      expect(await offered(other)).toEqual(['Sound one']);
      // Whose it is sees it still.
      expect(await offered(ids.dog)).toEqual(['Hook one', 'Sound one']);
      expect(((await agent.get('/api/class')).body as ClassPage).collars.map(({ name }) => name)).toEqual(['Sound one']);
    }
    const { id, version, ...facts } = await collarNow();
    await agent
      .put(`/api/collars/${id}`)
      .set('If-Match', `"${version}"`)
      .send({ ...facts, condition: 'sound' })
      .expect(200);
    expect(await offered(other)).toEqual(['Hook one', 'Sound one']);
    expect((await agent.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, ids.collar, { placeId: ids.place, note: 'Sound again.' }))).status).toBe(201);
  });
  it('is what an older program sends as one that is owned', async () => {
    const id = uuidv7();
    const { owned: _left, ...older } = someCollar;
    const answer = await agent.put(`/api/collars/${id}`).send(older);
    expect([answer.status, answer.body.owned]).toEqual([201, true]);
  });
});
