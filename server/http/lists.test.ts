import { DogCards, DogLines, FieldDogsFound, FieldPage, TodayItems, TodayPage, UpkeepPage } from '@banter/contract';
import pino from 'pino';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { StandingKeeper } from '../standings/standing-keeper.ts';
import { newDog, mustTell, newKennel, openBanter, someCollar, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
const DOGS = 130;
const names = Array.from({ length: DOGS }, (_none, index) => `Dog ${String(index).padStart(3, '0')}`);
beforeAll(async () => {
  banter = await openBanter();
  agent = await newKennel(banter.app);
  for (const name of names) await newDog(agent, { name, breed: name.endsWith('7') ? 'Hovawart' : 'Whippet' });
  for (let index = 0; index < 70; index += 1)
    await agent.put(`/api/collars/${uuidv7()}`).send({ ...someCollar, name: `Hook ${String(index).padStart(2, '0')}` });
});
afterAll(() => banter.close());

const get = async (path: string, who = agent) => {
  const answer = await who.get(path);
  if (answer.status !== 200) throw new Error(`${path} answered ${answer.status}: ${answer.text}`);
  return answer;
};
/** Every part of a list, one after another, by the cursor that each answers. */
async function walk<Page extends { next: string | null }, Row>(
  path: string,
  parse: (body: unknown) => Page,
  rowsOf: (page: Page) => readonly Row[],
): Promise<Row[][]> {
  const parts: Row[][] = [];
  for (let after: string | null = ''; after !== null;) {
    const page: Page = parse((await get(`${path}${after ? `${path.includes('?') ? '&' : '?'}after=${encodeURIComponent(after)}` : ''}`)).body);
    parts.push([...rowsOf(page)]);
    after = page.next;
  }
  return parts;
}

describe('a long list', () => {
  it('of dogs comes a part at a time, each dog once, in one order; the answer says where it goes on', async () => {
    const parts = await walk('/api/dogs', DogLines.parse, ({ rows }) => rows);
    expect(parts.map((part) => part.length)).toEqual([60, 60, 10]);
    expect(parts.flat().map(({ name }) => name)).toEqual(names);
    const { headers, body } = await get('/api/dogs?search=dog');
    expect(headers.link).toMatch(/^<\/api\/dogs\?search=dog&after=[\w-]+>; rel="next"$/);
    expect(body.counts).toEqual({ here: DOGS, away: 0 });
  });

  it('of dogs is searched by name, breed and owner; signs of a pattern stand for themselves', async () => {
    const found = async (text: string) => DogLines.parse((await get(`/api/dogs?search=${encodeURIComponent(text)}`)).body).rows.map(({ name }) => name);
    expect(await found('hovawart')).toHaveLength(13);
    expect(await found('dog 12')).toEqual(names.slice(120));
    expect(await found('%')).toEqual([]);
    expect(await found('_')).toEqual([]);
    expect(await found('nobody')).toEqual([]);
  });

  it('goes on in its own kennel and list alone: another’s cursor, or one that nobody gave, is refused in words', async () => {
    const { next } = DogLines.parse((await get('/api/dogs')).body);
    const other = await newKennel(banter.app);
    for (const path of [
      `/api/dogs?after=${next}`,
      `/api/dogs?list=away&after=${next}`,
      '/api/dogs?after=x',
      `/api/upkeep?after=${next}`,
      `/api/today/items?after=${next}`,
    ]) {
      const refused = await (path === `/api/dogs?after=${next}` ? other : agent).get(path);
      expect([path, refused.status, refused.body.errors[0].path]).toEqual([path, 422, 'after']);
      expect(refused.body.errors[0].message).toMatch(/from its beginning/);
    }
  });

  it('of cards brings every dog once', async () => {
    const cards = await walk('/api/dog-cards', DogCards.parse, ({ rows }) => rows);
    expect(new Set(cards.flat().map(({ dog }) => dog.name))).toEqual(new Set(names));
    expect(cards.flat()).toHaveLength(DOGS);
  });

  it('of gear: what is due, then what comes later, with how many there are', async () => {
    const due = await walk('/api/upkeep?list=due', UpkeepPage.parse, ({ rows }) => rows);
    expect(due.map((part) => part.length)).toEqual([60, 10]);
    expect(UpkeepPage.parse((await get('/api/upkeep?list=later')).body)).toMatchObject({ rows: [], counts: { due: 70, later: 0, scrapped: 0 } });
  });

  it('of what is due today goes on after the first of it, and counts all of it', async () => {
    const first = TodayPage.parse((await get('/api/today')).body);
    expect(first.items).toHaveLength(60);
    expect(first.counts).toMatchObject({ dogs: DOGS, kept: 1 });
    const rest: TodayItems['items'] = [];
    for (let after = first.next; after !== null;) {
      const more = TodayItems.parse((await get(`/api/today/items?after=${encodeURIComponent(after)}`)).body);
      rest.push(...more.items);
      after = more.next;
    }
    const all = [...first.items, ...rest];
    expect(new Set(all.map(({ id }) => id)).size).toBe(DOGS + 1);
    expect(all).toHaveLength(DOGS + 1);
    expect(all.at(-1)).toMatchObject({ code: 'upkeep', title: '70 pieces of gear to inspect.' });
  });
});

describe('a large kennel’s field log', () => {
  it('offers those that work; others are found by name, and are there once they are asked for', async () => {
    const page = FieldPage.parse((await get('/api/field')).body);
    expect([page.dogs.length, page.here]).toEqual([40, DOGS]);
    const { dogs } = FieldDogsFound.parse((await get('/api/field/dogs?search=dog%20127')).body);
    expect(dogs.map(({ name }) => name)).toEqual(['Dog 127']);
    const offered = async (query = '') => FieldPage.parse((await get(`/api/field${query}`)).body).dogs.map(({ name }) => name);
    expect(await offered()).not.toContain('Dog 127');
    expect(await offered(`?dogs=${dogs[0]!.id}`)).toContain('Dog 127');
    const me = (await agent.get('/api/doorstep')).body.me.person.id as string;
    const begin = {
      event: 'begin',
      id: uuidv7(),
      sessionId: uuidv7(),
      at: new Date().toISOString(),
      dogId: dogs[0]!.id,
      setting: 'yard',
      handlerId: me,
      purpose: 'work',
    };
    await mustTell(agent, [begin]);
    // Whoever worked last comes first.
    expect((await offered())[0]).toBe('Dog 127');
    const other = await newKennel(banter.app);
    expect(FieldPage.parse((await get(`/api/field?dogs=${dogs[0]!.id}`, other)).body).dogs).toEqual([]);
  });
});

describe('what time has made another', () => {
  it('is worked out before anybody comes', async () => {
    await get('/api/today');
    const { id } = (await agent.get('/api/kennel')).body as { id: string };
    await banter.dataSource.query("UPDATE standings SET untilAt = '2026-01-01' WHERE kennelId = ? AND kind = 'day'", [id]);
    const over = async () =>
      Number(
        ((await banter.dataSource.query('SELECT COUNT(*) AS count FROM standings WHERE kennelId = ? AND untilAt <= NOW(3)', [id])) as { count: string }[])[0]!
          .count,
      );
    expect(await over()).toBe(DOGS);
    await new StandingKeeper(banter.dataSource, pino({ level: 'silent' })).look(new Date());
    expect(await over()).toBe(0);
  });
});
