import { laidOver, GrowthPage, Me, NeckPage, type Made } from '@banter/contract';
import { houseRules, type HouseRuleOverrides } from '@banter/core';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { fitCheck, fittedDog, mustTell, newKennel, openBanter, plan, somePlace, someRemote, taping, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let ids: Awaited<ReturnType<typeof fittedDog>>;
let by: Parameters<typeof laidOver>[2];
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
  ids = await fittedDog(agent);
  const { person, kennel } = Me.parse(((await agent.get('/api/doorstep')).body as { me: unknown }).me);
  by = { person, kennel };
});

const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
const make = (path: Made['path'], body: object): Made => ({ path, id: uuidv7(), at: new Date().toISOString(), sent: false, body: { ...body } });
const pages = async () => ({
  neck: NeckPage.parse((await agent.get(`/api/dogs/${ids.dog}/neck`)).body),
  growth: GrowthPage.parse((await agent.get(`/api/dogs/${ids.dog}/growth`)).body),
});
type Pages = Awaited<ReturnType<typeof pages>>;
const laid = ({ neck, growth }: Pages, made: readonly Made[]): Pages => ({ neck: laidOver(neck, made, by), growth: laidOver(growth, made, by) });
/** What a page says of what was made, but for when it arrived, ids that the kennel gives, links counted by the ledger, and versions. */
const says = ({ neck, growth }: Pages) => {
  const but = <One extends object>({ recordedAt: _then, id: _id, ...one }: One & { recordedAt?: unknown; id?: unknown }) =>
    // The rules of then are told in short: those beside the defaults.
    'rules' in one ? { ...one, rules: houseRules(one.rules as HouseRuleOverrides) } : one;
  return {
    weighs: [neck.dog.weightG, growth.dog.weightG],
    tapings: neck.tapings.map(but),
    growthTapings: growth.tapings.map(but),
    weighings: growth.weighings.map(but),
    checks: neck.checks.map(but),
    setFor: neck.madeUp,
    felt: neck.events.filter(({ event }) => event === 'contact').map(but),
    skin: neck.skinLooks.map(but),
  };
};
async function send(made: readonly Made[]) {
  for (const { path, id, body } of made) await agent.put(`/api/${path}/${id}`).send(body).expect(201);
}

const good = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };

describe('what a device lays over a dog’s page is what the kennel tells once it has it', () => {
  it('of a tape, one that corrects it, a weight, and one that strikes it out', async () => {
    const high = make('tapings', taping(ids.dog, { readingsMm: [405, 406, 405], at: ago(50) }));
    const made = [
      high,
      make('tapings', taping(ids.dog, { readingsMm: [395], overCoat: true, coatDepthMm: 12, correctsId: high.id, at: ago(45) })),
      make('weighings', { dogId: ids.dog, weightG: 31_200, correctsId: null, note: '', at: ago(0) }),
    ];
    const before = await pages();
    const foreseen = laid(before, made);
    expect(foreseen.neck.dog.weightG).toBe(31_200);
    expect(before.neck.dog.weightG).not.toBe(31_200);
    await send(made);
    const told = await pages();
    // A corrected taping no longer counts, and is not told any more.
    const standing = (one: Pages): Pages => ({
      neck: { ...one.neck, tapings: one.neck.tapings.filter(({ id }) => id !== high.id) },
      growth: { ...one.growth, tapings: one.growth.tapings.filter(({ id }) => id !== high.id) },
    });
    expect(says(standing(foreseen))).toEqual(says(told));
    // Of an earlier day it waits for the kennel, where no other weighings are told.
    const earlier = make('weighings', { dogId: ids.dog, weightG: 30_000, correctsId: null, note: '', at: ago(90) });
    expect(laidOver(before.neck, [earlier], by).dog.weightG).toBe(before.neck.dog.weightG);
    // What is told already is not laid over it again.
    expect(laid(told, made.slice(1))).toEqual(told);
    const strike = make('weighings', { dogId: ids.dog, weightG: null, correctsId: made[2]!.id, note: '', at: ago(0) });
    expect(laidOver(told.growth, [strike], by).dog.weightG).toBe(before.growth.dog.weightG);
    await send([strike]);
    expect((await pages()).growth.dog.weightG).toBe(before.growth.dog.weightG);
  });

  it('of checks on a prong one after another: what to do next, for whom it is set, skin that was flagged and is clear', async () => {
    const check = (minutes: number, on: object, answers: object) => make('fit-checks', fitCheck(ids.dog, ids.plan, { at: ago(minutes), on, answers }));
    const made = [
      check(40, { left: 6, right: 5 }, { ...good, under: 'flat-hand', turns: 'spins' }),
      check(30, { left: 5, right: 5 }, { ...good, skin: 'pink', skinAt: '9' }),
      check(20, { left: 5, right: 5 }, { ...good, skin: 'clear' }),
    ];
    const foreseen = laid(await pages(), made);
    expect(foreseen.neck.checks.slice(-3).map(({ outcome }) => outcome.verdict)).toEqual(['adjust', 'adjust', 'good']);
    await send(made);
    expect(says(foreseen)).toEqual(says(await pages()));
  });

  it('of a check of contacts where they sat last, and of the skin by itself; of another dog nothing', async () => {
    const [remote, planId] = [uuidv7(), uuidv7()];
    const place = uuidv7();
    await agent
      .put(`/api/places/${place}`)
      .send({ ...somePlace, name: 'Far field', collars: { remote: 'allowed' } })
      .expect(201);
    const coat = taping(ids.dog, { site: 'coat-depth', readingsMm: [2, 2, 2], typed: ['2', '2', '2'] });
    await agent.put(`/api/tapings/${uuidv7()}`).send(coat).expect(201);
    await agent.put(`/api/collars/${remote}`).send(someRemote).expect(201);
    const choices = { options: { placement: 'upper-half' }, on: { strapMm: 437, postMm: 12, clock: 3 } };
    await agent
      .put(`/api/plans/${planId}`)
      .send(plan(ids.dog, remote, { kind: 'remote', choices, placeId: place }))
      .expect(201);
    await mustTell(agent, [{ event: 'put-on', id: uuidv7(), at: ago(60), dogId: ids.dog, collarId: remote, clock: 9, state: 'worked' }]);
    const answers = { breathing: 'free', skinMoves: 'yes', under: '2', touch: 'both', place: 'side', skin: 'pink' };
    const on = { strapMm: 437, postMm: 12, clock: 3 };
    const made = [
      make('fit-checks', { dogId: ids.dog, planId, kind: 'remote', on, answers, note: '', at: ago(30) }),
      make('skin-looks', { dogId: ids.dog, clock: 9, under: 'contacts', grade: 2, sore: { fit: 'good', stayed: 'yes', metal: 'same' }, note: '', photoId: null, at: ago(10) }), // prettier-ignore
    ];
    const foreseen = laid(await pages(), [...made, make('skin-looks', { ...made[1]!.body, dogId: uuidv7() })]);
    expect(foreseen.neck.skinLooks).toMatchObject([
      { clock: 9, grade: 1 },
      { clock: 9, grade: 2 },
    ]);
    await send(made);
    expect(says(foreseen)).toEqual(says(await pages()));
  });

  it('what cannot be read, or is of a plan that does not count any more, changes nothing', async () => {
    const before = await pages();
    const odd = [make('tapings', { dogId: ids.dog, site: 'tail' }), make('fit-checks', fitCheck(ids.dog, uuidv7())), make('weighings', { dogId: ids.dog })];
    expect(laid(before, odd)).toEqual(before);
  });
});
