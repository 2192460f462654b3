import { FieldPage, type NewHappening } from '@banter/contract';
import type TestAgent from 'supertest/lib/agent.js';
import { DateTime } from 'luxon';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { randomLcg } from 'd3-random';
import { KennelEntity } from '../data/entities/kennel.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { kennelAnswer } from '../services/kennels.ts';
import { fittedDog, mustTell, newKennel, openBanter, plan, somePlace, someRemote, taping, type TestBanter } from '../test-kennels.ts';
import { rebuildStandings } from './kept-standings.ts';
import { STANDING_KINDS } from './standing-kinds.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
let remote: string;
let me: string;
const MINUTE = 60_000;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

const must = async (path: string, body: object) => {
  const response = await agent.put(path).send(body);
  if (response.status >= 300) throw new Error(`${path} answered ${response.status}: ${response.text}`);
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

const kennelRow = async () => {
  const { id } = (await agent.get('/api/kennel')).body as { id: string };
  return await banter.dataSource.getRepository(KennelEntity).findOneByOrFail({ id });
};
const rebuilt = async () => {
  const row = await kennelRow();
  return await rebuildStandings(
    new KennelScope(banter.dataSource, { kennelId: row.id, personId: me, role: 'reader' }),
    STANDING_KINDS,
    kennelAnswer(row),
    new Date(),
  );
};
const device = async () => {
  const answer = await agent.get('/api/field');
  if (answer.status !== 200) throw new Error(answer.text);
  return FieldPage.parse(answer.body).dogs.find(({ id }) => id === dog)!.devices[0]!;
};
/** A session so many minutes ago in which it did at each of these levels. */
function session(minutesAgo: number, levels: readonly number[], purpose: 'work' | 'finding' = 'work') {
  const sessionId = uuidv7();
  const from = Date.now() - minutesAgo * MINUTE;
  const at = (seconds: number) => new Date(from + seconds * 1000).toISOString();
  const own = { sessionId };
  const presses = levels.map((level, index) => ({ ...own, id: uuidv7(), at: at(10 + index * 10), event: 'press', collarId: remote, level, mode: 'momentary' }));
  const events = [
    { ...own, id: uuidv7(), at: at(0), event: 'begin', dogId: dog, setting: 'yard', handlerId: me, purpose },
    ...presses.flatMap((press, index) => [
      press,
      { ...own, id: uuidv7(), at: at(12 + index * 10), event: 'response', pressId: press.id, response: 'did', latencyMs: 600 },
    ]),
    { ...own, id: uuidv7(), at: at(20 + levels.length * 10), event: 'end' },
  ] as NewHappening[];
  return { events, presses };
}
const told = (events: readonly object[]) => mustTell(agent, events);

describe('what stands of a dog is kept', () => {
  it('and worked out anew by what bears on it: a session, a press taken back, a cap, the device’s own scale', async () => {
    await told(session(60, [9, 9, 9]).events);
    expect((await device()).levels.yard).toMatchObject({ lastNeeded: 9 });
    const second = session(30, [12, 12, 12]);
    await told(second.events);
    expect((await device()).levels.yard).toMatchObject({ lastNeeded: 12 });
    await told(second.presses.map(({ id, sessionId }) => ({ event: 'void', id: uuidv7(), sessionId, at: new Date().toISOString(), eventId: id })));
    expect((await device()).levels.yard).toMatchObject({ lastNeeded: 9 });
    await must(`/api/level-caps/${uuidv7()}`, { dogId: dog, collarId: remote, cap: 30, note: 'Decided.', at: new Date().toISOString() });
    expect((await device()).cap).toBe(30);
    const { version } = (await agent.get(`/api/collars/${remote}`)).body as { version: number };
    const numbers = { ...someRemote.numbers, firstStep: 4 };
    expect(
      (
        await agent
          .put(`/api/collars/${remote}`)
          .set('If-Match', `"${version}"`)
          .send({ ...someRemote, numbers })
      ).status,
    ).toBe(200);
    expect((await device()).scale).toMatchObject({ firstStep: 4 });
    expect((await rebuilt()).differ).toEqual([]);
  });

  it('once: what nobody touched is read as it was kept', async () => {
    await told(session(60, [9, 9, 9]).events);
    await device();
    const [row] = (await banter.dataSource.query('SELECT touched, worked FROM standings WHERE kind = ? AND kennelId = ? AND subjectId = ?', [
      'levels',
      (await kennelRow()).id,
      dog,
    ])) as {
      touched: string;
      worked: string;
    }[];
    expect(row!.worked).toBe(row!.touched);
    // Told by what is kept alone: another number in it is answered as it stands there, and found by the rebuild.
    await banter.dataSource.query(`UPDATE standings SET data = REPLACE(data, '"lastNeeded":9', '"lastNeeded":7') WHERE kennelId = ? AND subjectId = ?`, [
      (await kennelRow()).id,
      dog,
    ]);
    expect((await device()).levels.yard).toMatchObject({ lastNeeded: 7 });
    expect(await rebuilt()).toEqual({ looked: 3, differ: [{ kind: 'field', subjectId: dog }] });
    expect((await device()).levels.yard).toMatchObject({ lastNeeded: 9 });
  });

  it('and never differs from what is worked out anew, after a random history with pages read in between', async () => {
    const random = randomLcg(0.42);
    const kept: ReturnType<typeof session>[] = [];
    for (let step = 0; step < 30; step += 1) {
      const what = Math.floor(random() * 7);
      const one = session(
        4000 - step * 100,
        Array.from({ length: 3 }, () => 5 + Math.floor(random() * 20)),
        random() < 0.3 ? 'finding' : 'work',
      );
      const some = kept[Math.floor(random() * kept.length)];
      if (what < 3 || !some) kept.push(one);
      if (what < 3 || !some) await told(one.events);
      else if (what === 3)
        await told([{ event: 'void', id: uuidv7(), sessionId: some.presses[0]!.sessionId, at: new Date().toISOString(), eventId: some.presses[0]!.id }]);
      else if (what === 6) {
        const today = DateTime.now()
          .setZone((await kennelRow()).timeZone)
          .toISODate()!;
        const where = { programmeId: null, stageId: null, day: today, from: step * 30, minutes: 10, aroundMinutes: 0, note: `Step ${step}` };
        const facts = { ...where, dogId: dog, personId: me, state: random() < 0.7 ? 'planned' : 'dropped' };
        const change = { sessions: [{ id: uuidv7(), version: null, facts }] };
        expect((await agent.post('/api/calendar-changes').send(change)).status).toBe(200);
      } else if (what === 4)
        await must(`/api/level-caps/${uuidv7()}`, { dogId: dog, collarId: remote, cap: 10 + step, note: 'Again.', at: new Date().toISOString() });
      else {
        const felt = {
          event: 'contact',
          id: uuidv7(),
          at: new Date(Date.now() - (3990 - step * 100) * MINUTE).toISOString(),
          collarId: remote,
          made: random() < 0.5,
        };
        await mustTell(agent, [felt]);
      }
      if (random() < 0.5) await device();
      if (random() < 0.5) expect((await agent.get('/api/today')).status).toBe(200);
    }
    await device();
    await agent.get('/api/today');
    // Its levels, what it wears, what a phone knows of it and what is due of it; and its two collars.
    expect(await rebuilt()).toEqual({ looked: 6, differ: [] });
  });

  it('and is worked out anew while records come in, without a word about what came meanwhile, and without losing it', async () => {
    const tell = async (step: number) => {
      const one = session(3000 - step * 20, [7 + (step % 5), 8], 'work');
      await told(one.events);
      await device();
    };
    const tellAll = async () => {
      for (let step = 0; step < 12; step += 1) await tell(step);
      return 'told';
    };
    const telling = tellAll();
    let runs = 0;
    for (;;) {
      expect((await rebuilt()).differ).toEqual([]);
      runs += 1;
      if ((await Promise.race([telling, Promise.resolve('going')])) === 'told') break;
    }
    expect(runs).toBeGreaterThan(1);
    await device();
    expect((await rebuilt()).differ).toEqual([]);
  });

  it('until time makes it another: a look of a phone whose clock runs ahead counts from its own time', async () => {
    const at = new Date(Date.now() + 90_000).toISOString();
    const look = { dogId: dog, clock: 12, under: 'strap', grade: 2, sore: null, note: '', photoId: null, at };
    await must(`/api/skin-looks/${uuidv7()}`, look);
    await agent.get('/api/today');
    const [row] = (await banter.dataSource.query('SELECT untilAt FROM standings WHERE kind = ? AND kennelId = ? AND subjectId = ?', [
      'day',
      (await kennelRow()).id,
      dog,
    ])) as { untilAt: Date }[];
    // The day that ends sooner makes it another, too.
    const dayEnds = DateTime.now().setZone((await kennelRow()).timeZone).plus({ days: 1 }).startOf('day').toUTC().toISO()!; // prettier-ignore
    expect(row!.untilAt.toISOString()).toBe(at < dayEnds ? at : dayEnds);
  });
});
