import { dayStartOf, ProgrammesPage, tellTaleStory, type ProgrammeFacts } from '@banter/contract';
import { PROGRAMME_TEMPLATES } from '@banter/core';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { fittedDog, newDog, mustTell, newKennel, openBanter, someRemote, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let programme: string;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

const DAY = 86_400_000;
const ago = (days: number, minutes = 0) => new Date(Date.now() - days * DAY + minutes * 60_000).toISOString();
const template = PROGRAMME_TEMPLATES.find(({ id }) => id === 'wear-first')!;
const facts = (more: Partial<ProgrammeFacts> = {}): ProgrammeFacts =>
  JSON.parse(
    JSON.stringify({
      dogId: dog,
      templateId: template.id,
      name: template.name,
      stages: template.stages,
      startsOn: ago(10).slice(0, 10),
      state: 'running',
      note: '',
      ...more,
    }),
  );
const page = async () => ProgrammesPage.parse((await agent.get(`/api/dogs/${dog}/programmes`)).body);
const result = (stageId: string, met: number, of: number, days: number, more: object = {}) =>
  agent
    .put(`/api/stage-results/${uuidv7()}`)
    .send({ programmeId: programme, stageId, sessionId: null, met, of, setback: false, note: '', at: ago(days), ...more });
const move = (toStage: string, more: object = {}, id = uuidv7()) =>
  agent.put(`/api/stage-moves/${id}`).send({ programmeId: programme, toStage, note: '', at: ago(0), ...more });

beforeEach(async () => {
  agent = await newKennel(banter.app);
  dog = await newDog(agent);
  programme = uuidv7();
  expect((await agent.put(`/api/programmes/${programme}`).send(facts())).status).toBe(201);
});

describe('a dog’s programme', () => {
  it('is the dog’s own copy: adapted at its version, with others told of a newer one', async () => {
    const [mine] = (await page()).programmes;
    expect(mine!.stages).toEqual(template.stages);
    const stages = mine!.stages.map((stage, index) => (index === 0 ? { ...stage, minutes: 10 } : stage));
    expect((await agent.put(`/api/programmes/${programme}`).set('If-Match', '"1"').send(facts({ stages }))).status).toBe(200);
    const late = await agent
      .put(`/api/programmes/${programme}`)
      .set('If-Match', '"1"')
      .send(facts({ name: 'Other' }));
    expect(late.status).toBe(409);
    expect(late.body.current.stages[0].minutes).toBe(10);
  });
  it('moves on by its marks with the reason; otherwise only with a note, and both are kept', async () => {
    const early = await move('yield');
    expect(early.status).toBe(422);
    expect(early.body.errors).toEqual([{ path: 'note', message: 'The marks say otherwise; say in a note why it moves all the same.' }]);
    for (let day = 9; day > 3; day -= 1) expect((await result('worn', 1, 1, day)).status).toBe(201);
    const id = uuidv7();
    const moved = await move('yield', { at: ago(3) }, id);
    expect(moved.status).toBe(201);
    expect(moved.body).toMatchObject({ fromStage: 'worn', toStage: 'yield', verdict: 'on', overruled: false, reasons: [{ code: 'passed' }] });
    expect((await move('yield', { at: moved.body.at }, id)).status).toBe(200);
    expect((await result('yield', 9, 10, 2)).status).toBe(201);
    const over = await move('walks', { note: 'She knows it from her last home.' });
    expect(over.body).toMatchObject({ fromStage: 'yield', verdict: 'hold', overruled: true, reasons: [{ code: 'one-more' }] });
    expect((await page()).moves.map(({ toStage, overruled }) => [toStage, overruled])).toEqual([
      ['yield', false],
      ['walks', true],
    ]);
  });
  it('falls back by its marks: a setback, at once', async () => {
    for (let day = 9; day > 3; day -= 1) await result('worn', 1, 1, day);
    await move('yield', { at: ago(3) });
    await result('yield', 9, 10, 2, { setback: true });
    expect((await move('worn')).body).toMatchObject({ verdict: 'back', overruled: false, reasons: [{ code: 'setback' }] });
  });
  it.each([
    ['more went well than were tried', { met: 11, of: 10 }, 'met'],
    ['no try at all', { met: 0, of: 0 }, 'of'],
    ['a stage it does not have', { stageId: 'flying' }, 'stageId'],
    ['a session of no dog', { sessionId: uuidv7() }, 'sessionId'],
    ['a result of next week', { at: ago(-7) }, 'at'],
  ])('refuses %s', async (_what, more, path) => {
    const response = await result('worn', 1, 1, 1, more);
    expect(response.status).toBe(422);
    expect(response.body.errors[0].path).toBe(path);
  });
  it('refuses stages that no dog could pass, or that pass and fall back at once', async () => {
    const [first] = template.stages;
    const put = async (stage: object) => (await agent.put(`/api/programmes/${uuidv7()}`).send(facts({ stages: [stage as never] }))).body.errors?.[0]?.path;
    expect(await put({ ...first, pass: { ...first!.pass, needed: 3, of: 2 } })).toBe('stages[0].pass.needed');
    expect(await put({ ...first, pass: { ...first!.pass, needed: 1, of: 2 }, fallBack: { ...first!.fallBack, below: 0.6 } })).toBe('stages[0].fallBack.below');
    const twice = await agent.put(`/api/programmes/${uuidv7()}`).send(facts({ stages: [first!, first!] as never }));
    expect(twice.body.errors[0].path).toBe('stages[1].id');
  });
  it('belongs to its kennel', async () => {
    const stranger = await newKennel(banter.app);
    expect((await stranger.get(`/api/programmes/${programme}`)).status).toBe(404);
    expect((await stranger.get(`/api/dogs/${dog}/programmes`)).status).toBe(404);
    const response = await stranger.put(`/api/stage-moves/${uuidv7()}`).send({ programmeId: programme, toStage: 'yield', note: 'x', at: ago(0) });
    expect(response.status).toBe(422);
  });
});

describe('what wearing gives away, out of what was really put on and held', () => {
  const HOUR = 3_600_000;
  /** Days back from today with a prong on from ten to eleven and the remote from two to three, London time. */
  async function worn(careless: boolean) {
    const { dog: own, collar: prong } = await fittedDog(agent);
    const remote = uuidv7();
    expect((await agent.put(`/api/collars/${remote}`).send(someRemote)).status).toBe(201);
    const me = (await agent.get('/api/doorstep')).body.me;
    const id = uuidv7();
    const noTellTale = PROGRAMME_TEMPLATES.find((one) => one.id === 'no-tell-tale')!;
    const tellTale = { collars: [prong, remote], seed: 0.5, times: [] };
    const sent = facts({
      dogId: own,
      templateId: noTellTale.id,
      name: noTellTale.name,
      stages: noTellTale.stages as never,
      startsOn: ago(12).slice(0, 10),
      tellTale,
    });
    expect((await agent.put(`/api/programmes/${id}`).send(sent)).status).toBe(201);
    const phone: object[] = [];
    for (let day = 12; day > 0; day -= 1) {
      const midnight = dayStartOf(ago(day).slice(0, 10), 'Europe/London');
      const iso = (hours: number) => new Date(midnight + hours * HOUR).toISOString();
      for (const [collarId, from] of [
        [prong, 10],
        [remote, 14],
      ] as const) {
        // prettier-ignore
        const events = [
          { event: 'put-on', id: uuidv7(), at: iso(from), dogId: own, collarId, clock: null, state: 'supervised' },
          { event: 'taken-off', id: uuidv7(), at: iso(from + 1), dogId: own, collarId },
        ];
        await mustTell(agent, events);
      }
      // Careless: always with the prong. Careful: as often with the other, in no order.
      const hour = careless || [1, 4, 5, 8, 10, 11].includes(day) ? 10.2 : 14.2;
      const sessionId = uuidv7();
      const told = (at: number, event: object) => ({ id: uuidv7(), sessionId, at: iso(at), ...event });
      phone.push(told(hour, { event: 'begin', dogId: own, setting: 'yard', handlerId: me.person.id, purpose: 'work' }), told(hour + 0.2, { event: 'end' }));
    }
    await mustTell(agent, phone);
    const got = ProgrammesPage.parse((await agent.get(`/api/dogs/${own}/programmes`)).body);
    return { story: tellTaleStory(got.programmes[0]!, got, me.kennel, Date.now()), prong, remote };
  }
  it('work always with the same collar: it can tell, and is told what to wear when', async () => {
    const { story, prong, remote } = await worn(true);
    const row = (ids: string[]) => story.worn.counts[story.worn.rows.findIndex((one) => one.join() === ids.join())];
    expect(row([prong])).toEqual([12, 0]);
    expect(row([remote])).toEqual([0, 12]);
    expect(story.worn.reasons[0]!.code).toBe('tells');
    expect(story.worn.advice).not.toBeNull();
    expect(story.putOn.counts[0]).toEqual([12, 12]);
  });
  it('work as often with either: what is on tells less than half of that', async () => {
    const { story, prong, remote } = await worn(false);
    const row = (ids: string[]) => story.worn.counts[story.worn.rows.findIndex((one) => one.join() === ids.join())];
    expect([row([prong]), row([remote])]).toEqual([
      [6, 6],
      [6, 6],
    ]);
    // Bare, nothing ever followed: that is what it still tells.
    expect(story.worn.found.bits).toBeLessThan((await worn(true)).story.worn.found.bits * 0.6);
  });
});
