import { GrowthPage, standingWeighings } from '@banter/contract';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, someDog, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
  dog = await newDog(agent);
});

const sent = (more: object = {}) => ({ dogId: dog, weightG: 30_000, correctsId: null, note: '', at: new Date().toISOString(), ...more });
const page = async () => GrowthPage.parse((await agent.get(`/api/dogs/${dog}/growth`)).body);
const weighs = async () => (await agent.get(`/api/dogs/${dog}`)).body.weightG as number;

describe('a dog on the scales', () => {
  it('a weighing is kept once, and the dog weighs what the latest one says', async () => {
    const id = uuidv7();
    const weighing = sent();
    expect((await agent.put(`/api/weighings/${id}`).send(weighing)).status).toBe(201);
    expect((await agent.put(`/api/weighings/${id}`).send(weighing)).status).toBe(200);
    expect((await agent.put(`/api/weighings/${id}`).send({ ...weighing, weightG: 31_000 })).status).toBe(409);
    expect(await weighs()).toBe(30_000);
    // One that was forgotten for months changes nothing of today.
    await agent.put(`/api/weighings/${uuidv7()}`).send(sent({ weightG: 12_500, at: '2023-07-01T09:00:00.000Z' }));
    expect(await weighs()).toBe(30_000);
    expect(standingWeighings((await page()).weighings).map(({ weightG }) => weightG)).toEqual([12_500, 29_000, 30_000]);
  });

  it('one struck out no longer counts, and the dog weighs what is left', async () => {
    const id = uuidv7();
    await agent.put(`/api/weighings/${id}`).send(sent({ weightG: 110_000 }));
    expect(await weighs()).toBe(110_000);
    expect((await agent.put(`/api/weighings/${uuidv7()}`).send(sent({ weightG: null, correctsId: id }))).status).toBe(201);
    expect(await weighs()).toBe(29_000);
    expect((await page()).weighings).toHaveLength(3);
  });

  it('a weight written on the dog’s form is a weighing; one written over within the hour takes its place', async () => {
    const change = (weightG: number, version: number) => agent.put(`/api/dogs/${dog}`).set('If-Match', `"${version}"`).send({ ...someDog, weightG }); // prettier-ignore
    expect((await change(30_500, 1)).status).toBe(200);
    const all = (await page()).weighings;
    expect(all.map(({ weightG }) => weightG)).toEqual([29_000, 30_500]);
    expect(all[1]!.correctsId).toBe(all[0]!.id);
    expect(standingWeighings(all).map(({ weightG }) => weightG)).toEqual([30_500]);
  });

  it('is weighed on the day it was born by the kennel’s clock, and not the day before', async () => {
    const { id: _id, version, demo: _demo, ...settings } = (await agent.get('/api/kennel')).body;
    await agent
      .put('/api/kennel')
      .set('If-Match', `"${version}"`)
      .send({ ...settings, timeZone: 'Pacific/Auckland' })
      .expect(200);
    dog = await newDog(agent, { bornOn: '2026-03-02' });
    // Eleven in the morning of the second, thirteen hours east of Greenwich.
    await agent
      .put(`/api/weighings/${uuidv7()}`)
      .send(sent({ at: '2026-03-01T22:00:00.000Z', weightG: 400 }))
      .expect(201);
    const early = await agent.put(`/api/weighings/${uuidv7()}`).send(sent({ at: '2026-03-01T10:59:00.000Z', weightG: 400 }));
    expect(early.body.errors).toEqual([{ path: 'at', message: 'The dog was not born then.' }]);
  });

  it('of several weighings at once the dog weighs the latest', async () => {
    const at = (minute: number) => new Date(Date.now() - minute * 60_000).toISOString();
    await Promise.all([31, 32, 33, 34, 35, 36].map((kg) => agent.put(`/api/weighings/${uuidv7()}`).send(sent({ weightG: kg * 1000, at: at(36 - kg) })))); // prettier-ignore
    expect(await weighs()).toBe(36_000);
  });

  it('changing something else on the form weighs nothing', async () => {
    const { version } = (await agent.get(`/api/dogs/${dog}`)).body as { version: number };
    expect(
      (
        await agent
          .put(`/api/dogs/${dog}`)
          .set('If-Match', `"${version}"`)
          .send({ ...someDog, notes: 'Likes carrots.' })
      ).status,
    ).toBe(200);
    expect((await page()).weighings).toHaveLength(1);
  });

  it.each([
    ['no weight', { weightG: null }, 'weightG'],
    ['a horse', { weightG: 500_000 }, 'weightG'],
    ['before its birth', { at: '2023-01-01T09:00:00.000Z' }, 'at'],
    ['in the future', { at: new Date(Date.now() + 3 * 86_400_000).toISOString() }, 'at'],
    ['a weighing that is none', { correctsId: uuidv7() }, 'correctsId'],
  ])('%s is refused in words', async (_what, more, path) => {
    const answer = await agent.put(`/api/weighings/${uuidv7()}`).send(sent(more));
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0].path).toBe(path);
  });

  it('of another kennel’s dog nothing is kept or seen', async () => {
    const other = await newKennel(banter.app);
    expect((await other.put(`/api/weighings/${uuidv7()}`).send(sent())).status).toBe(404);
    expect((await other.get(`/api/dogs/${dog}/growth`)).status).toBe(404);
  });
});
