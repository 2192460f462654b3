import { INSPECT_PRONG } from '@banter/core/collars/prong';
import { INSPECT_LEASH, type InspectionSpec } from '@banter/core';
import { currentFits, DogPage, fitsSetAside, pieceDue, UpkeepPage } from '@banter/contract';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, plan, screening, someCollar, taping, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let collar: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
  collar = uuidv7();
  await agent.put(`/api/collars/${collar}`).send(someCollar);
});

const allGood = ({ items }: InspectionSpec) => Object.fromEntries(items.map(({ id }) => [id, 'good']));
const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
const look = (answers: object = {}, more: object = {}) =>
  agent
    .put(`/api/inspections/${uuidv7()}`)
    .send({ collarId: collar, gearId: null, answers: { ...allGood(INSPECT_PRONG), ...answers }, note: '', at: ago(0), ...more });
const page = async (query: string = `piece=${collar}`) => UpkeepPage.parse((await agent.get(`/api/upkeep?${query}`)).body);
const state = async () => (await agent.get(`/api/collars/${collar}`)).body as { condition: string; retiredAt: string | null };

describe('upkeep', () => {
  it('never looked at is due; sound for a month; to be mended stays due until it is looked at again', async () => {
    const why = async () => pieceDue((await page()).rows[0]!, Date.now(), { inspectDays: 30, inspectWears: 60 }).why;
    // Measured with a ruler that day and called sound, it was inspected that day.
    expect(await why()).toBe('days');
    const { id: _id, version, ...facts } = (await agent.get(`/api/collars/${collar}`)).body as { id: string; version: number };
    const measured = (measuredOn: string | null, at: number) =>
      agent
        .put(`/api/collars/${collar}`)
        .set('If-Match', `"${at}"`)
        .send({ ...facts, measuredOn });
    await measured(ago(0).slice(0, 10), version);
    expect(await why()).toBeNull();
    await measured(null, version + 1);
    expect(await why()).toBe('never');
    expect((await look({}, { at: ago(31) })).body.outcome).toBe('ok');
    expect(await why()).toBe('days');
    await look({ chain: 'bad' }, { at: ago(2) });
    expect(await why()).toBe('mend');
    expect((await state()).condition).toBe('mend');
    await look();
    expect(await why()).toBeNull();
    expect((await state()).condition).toBe('sound');
  });

  it('scrapped gear is gone from fits at once, says which dog wore it, and comes back when it was a mistake', async () => {
    const dog = await newDog(agent, { name: 'Bracken' });
    const screened = { dogId: dog, answers: Object.fromEntries(['windpipe', 'flat-face', 'toy-throat', 'eye-pressure', 'pregnant', 'heart', 'skin', 'deaf', 'under-six-months', 'collar-fear'].map((id) => [id, 'no'])), note: '', at: ago(3) }; // prettier-ignore
    expect((await agent.put(`/api/screenings/${uuidv7()}`).send(screened)).status).toBe(201);
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dog));
    const place = uuidv7();
    await agent.put(`/api/places/${place}`).send({ name: 'Home', collars: { prong: 'allowed' }, checkedBy: 'T', checkedOn: ago(1).slice(0, 10), source: '', retiredAt: null }); // prettier-ignore
    const choices = { gaugeSchool: 'weight-line', betweenSchool: 'finer', split: { left: 6, right: 5 }, start: null, ring: 'live', ringPlace: 'nape' };
    const plan = await agent.put(`/api/plans/${uuidv7()}`).send({ dogId: dog, collarId: collar, kind: 'prong', choices, placeId: place, note: 'For the test.', at: ago(1) }); // prettier-ignore
    expect(plan.status).toBe(201);
    expect((await page()).rows[0]!.worn.map(({ dogName }) => dogName)).toEqual(['Bracken']);

    const found = await look({ tips: 'worse' });
    expect(found.body).toMatchObject({ outcome: 'scrap', copy: true });
    expect(await state()).toMatchObject({ condition: 'worn' });
    expect((await state()).retiredAt).not.toBeNull();
    const { rows: dogs } = (await agent.get('/api/dog-cards')).body as { rows: { fits: unknown[] }[] };
    expect(dogs[0]!.fits).toEqual([]);
    const { endings } = (await agent.get(`/api/dogs/${dog}/page`)).body as { endings: { ended: boolean; note: string }[] };
    expect(endings).toMatchObject([{ ended: true, note: 'Hook one was scrapped.' }]);
    // Its links are scrap, too, and no longer count.
    await look();
    expect(await state()).toMatchObject({ condition: 'sound', retiredAt: null });
    // Its fit can be taken up again, and what was done for it stands in the log.
    const now = DogPage.parse((await agent.get(`/api/dogs/${dog}/page`)).body);
    expect(currentFits(now)).toEqual([]);
    expect(fitsSetAside(now).map(({ plan: { collarId } }) => collarId)).toEqual([collar]);
    const { deeds } = (await agent.get('/api/deeds').query({ dogId: dog, kind: 'ending' })).body as { deeds: { label: string }[] };
    expect(deeds.map(({ label }) => label)).toEqual(['Hook one']);
    const again = { dogId: dog, planId: plan.body.id, ended: false, note: '', at: ago(0) };
    expect((await agent.put(`/api/endings/${uuidv7()}`).send(again)).status).toBe(201);
    const worn = DogPage.parse((await agent.get(`/api/dogs/${dog}/page`)).body);
    expect(currentFits(worn)).toHaveLength(1);
    expect(fitsSetAside(worn)).toEqual([]);
  });

  it('of a plan and a scrapping at the same moment none leaves a fit on scrapped gear', async () => {
    const dog = await newDog(agent, { name: 'Bracken' });
    await agent.put(`/api/screenings/${uuidv7()}`).send(screening(dog)).expect(201);
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dog)).expect(201);
    for (let round = 0; round < 8; round += 1) {
      await look();
      const [planned, scrapped] = await Promise.all([
        agent.put(`/api/plans/${uuidv7()}`).send(plan(dog, collar, { placeId: null, note: 'For the test.' })),
        look({ tips: 'worse' }),
      ]);
      expect(scrapped.body.outcome).toBe('scrap');
      expect([201, 422]).toContain(planned.status);
      const now = DogPage.parse((await agent.get(`/api/dogs/${dog}/page`)).body);
      expect(currentFits(now)).toEqual([]);
    }
  });

  it('one told late changes nothing of a later one', async () => {
    await look();
    await look({ tips: 'worse' }, { at: ago(5) });
    expect(await state()).toMatchObject({ condition: 'sound', retiredAt: null });
  });

  it('a piece of gear by its own list', async () => {
    const gear = uuidv7();
    await agent.put(`/api/gear/${gear}`).send({ what: 'leash', name: 'Brown', lengthMm: 1219, widthMm: 16, colour: '', material: '', condition: 'sound', note: '', retiredAt: null }); // prettier-ignore
    const answers = { ...allGood(INSPECT_LEASH), click: 'worse' };
    expect((await look({}, { collarId: null, gearId: gear, answers })).body.outcome).toBe('scrap');
    expect((await agent.get(`/api/gear/${gear}`)).body).toMatchObject({ condition: 'worn' });
  });

  it.each([
    ['a find that is none', { answers: { ...allGood(INSPECT_PRONG), tips: 'purple' } }, 'answers.tips'],
    ['an item that is not looked at', { answers: { ...allGood(INSPECT_PRONG), grip: 'good' } }, 'answers.grip'],
    ['something left out', { answers: { links: 'good' } }, 'answers.tips'],
    ['two pieces at once', { gearId: uuidv7() }, 'collarId'],
    ['nothing at all', { collarId: null }, 'collarId'],
    ['a collar that is none', { collarId: uuidv7() }, 'collarId'],
  ])('%s is refused in words', async (_what, more, path) => {
    const answer = await look({}, more);
    expect(answer.status).toBe(422);
    expect(answer.body.errors.map((error: { path: string }) => error.path)).toContain(path);
  });

  it('sees nothing of another kennel', async () => {
    const other = await newKennel(banter.app);
    expect((await other.put(`/api/inspections/${uuidv7()}`).send({ collarId: collar, gearId: null, answers: allGood(INSPECT_PRONG), note: '', at: ago(0) })).status).toBe(422); // prettier-ignore
    expect(UpkeepPage.parse((await other.get('/api/upkeep?list=later')).body)).toMatchObject({ rows: [], counts: { due: 0, later: 0, scrapped: 0 } });
    expect(UpkeepPage.parse((await other.get(`/api/upkeep?piece=${collar}`)).body).rows).toEqual([]);
  });
});
