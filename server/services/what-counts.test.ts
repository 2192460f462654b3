import { DogPage, GrowthPage, LevelsPage, ProgrammesPage } from '@banter/contract';
import { PROGRAMME_TEMPLATES } from '@banter/core';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { fitCheck, fittedDog, newDog, newKennel, openBanter, taping, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
}, 120_000);
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
});

const ask = async (path: string): Promise<unknown> => (await agent.get(path)).body;
const must = async (path: string, body: object) => {
  const answer = await agent.put(path).send(body);
  if (answer.status !== 201) throw new Error(`${path} answered ${answer.status}: ${answer.text}`);
  return answer.body as Record<string, unknown>;
};
const onDay = (day: number, hour = 10) => new Date(Date.UTC(2026, 2, 2 + day, hour)).toISOString();

describe('a dog of years', () => {
  it('shows the latest dozen checks of a collar that has been checked more often, and goes on counting', async () => {
    const ids = await fittedDog(agent);
    for (let day = 1; day <= 14; day += 1) await must(`/api/fit-checks/${uuidv7()}`, fitCheck(ids.dog, ids.plan, { at: onDay(day) }));
    const { checks } = DogPage.parse(await ask(`/api/dogs/${ids.dog}/page`));
    expect(checks.map(({ attempt }) => attempt)).toEqual([4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15]);
    expect(checks.at(-1)!.at).toBe(onDay(14));
    expect(GrowthPage.parse(await ask(`/api/dogs/${ids.dog}/growth`)).checks.map(({ id }) => id)).toEqual(checks.map(({ id }) => id));
    expect(LevelsPage.parse(await ask(`/api/dogs/${ids.dog}/levels`)).fits[0]!.check!.id).toBe(checks.at(-1)!.id);
    // All of them are in the record.
    const record = (await ask(`/api/dogs/${ids.dog}/record`)) as { checks: unknown[] };
    expect(record.checks.length).toBe(15);
  });

  it('goes by the latest tapings that nothing corrects, and draws its growth from every girth that stands', async () => {
    const dog = await newDog(agent);
    const girth = (day: number, mm: number, more: object = {}) =>
      taping(dog, { readingsMm: [mm, mm, mm], typed: [`${mm} mm`, `${mm} mm`, `${mm} mm`], at: onDay(day), ...more });
    const wrong = uuidv7();
    await must(`/api/tapings/${wrong}`, girth(0, 500));
    await must(`/api/tapings/${uuidv7()}`, girth(0, 300, { correctsId: wrong, at: onDay(0, 11) }));
    for (let day = 1; day <= 14; day += 1) await must(`/api/tapings/${uuidv7()}`, girth(day, 300 + day));
    const { tapings, tapedBefore } = GrowthPage.parse(await ask(`/api/dogs/${dog}/growth`));
    expect(tapings.map(({ tapedMm }) => tapedMm)).toEqual([303, 304, 305, 306, 307, 308, 309, 310, 311, 312, 313, 314]);
    expect(tapedBefore.map(({ tapedMm }) => tapedMm)).toEqual([300, 301, 302]);
    expect(LevelsPage.parse(await ask(`/api/dogs/${dog}/levels`)).girths.map(({ tapedMm }) => tapedMm)).toEqual([314]);
  });

  it('brings of its programmes what is asked for in the end: results of those under way, none of one that is over', async () => {
    const dog = await newDog(agent);
    const template = PROGRAMME_TEMPLATES[0]!;
    const facts = { dogId: dog, templateId: template.id, name: template.name, stages: template.stages, startsOn: '2026-03-02', state: 'running', note: '' };
    const [old, now] = [uuidv7(), uuidv7()];
    for (const id of [old, now]) {
      await must(`/api/programmes/${id}`, JSON.parse(JSON.stringify(facts)) as object);
      const result = { programmeId: id, stageId: template.stages[0]!.id, sessionId: null, met: 8, of: 10, setback: false, note: '', at: onDay(1) };
      await must(`/api/stage-results/${uuidv7()}`, result);
      await must(`/api/stage-moves/${uuidv7()}`, { programmeId: id, toStage: template.stages[1]!.id, note: 'Goes on.', at: onDay(2) });
    }
    const over = await agent
      .put(`/api/programmes/${old}`)
      .set('If-Match', '"1"')
      .send(JSON.parse(JSON.stringify({ ...facts, state: 'done' })));
    expect(over.status, over.text).toBe(200);
    const page = ProgrammesPage.parse(await ask(`/api/dogs/${dog}/programmes`));
    expect(page.programmes.map(({ id, state }) => [id, state]).sort()).toEqual(
      [
        [old, 'done'],
        [now, 'running'],
      ].sort(),
    );
    expect([...page.results, ...page.moves].map(({ programmeId }) => programmeId)).toEqual([now, now]);
  });
});
