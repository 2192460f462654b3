import { DogPage, DogRecord, latestGirths, type Taping } from '@banter/contract';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, taping, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
let dog: string;
const DAY = 86_400_000;
const NOON = Date.parse(`${new Date(Date.now() - DAY).toISOString().slice(0, 10)}T12:00:00Z`);
const at = (daysAgo: number, minute = 0) => new Date(NOON - daysAgo * DAY + minute * 60_000).toISOString();
const put = async (path: string, body: object) => {
  const answer = await agent.put(path).send(body);
  if (answer.status >= 300) throw new Error(`${path} answered ${answer.status}: ${answer.text}`);
};
const corrected = uuidv7();
const correcting = uuidv7();
const told: { id: string; at: string }[] = [];

beforeAll(async () => {
  banter = await openBanter();
  agent = await newKennel(banter.app);
  dog = await newDog(agent, { name: 'Teasel' });
  const tape = async (id: string, site: string, when: string, more: object = {}) => {
    await put(`/api/tapings/${id}`, { ...taping(dog), site, at: when, ...more });
    told.push({ id, at: when });
  };
  // Two sites every other day, for a hundred days.
  for (let day = 0; day < 100; day += 2) {
    await tape(uuidv7(), 'high', at(day));
    await tape(uuidv7(), 'base', at(day, 5));
  }
  await tape(corrected, 'high', at(150));
  await tape(correcting, 'high', at(1), { correctsId: corrected });
  for (let day = 0; day < 30; day += 1) {
    const id = uuidv7();
    await put(`/api/skin-looks/${id}`, { dogId: dog, clock: 3, under: 'strap', grade: 0, sore: null, note: '', photoId: null, at: at(day, 30) });
    told.push({ id, at: at(day, 30) });
  }
});
afterAll(() => banter.close());

const record = async (query = '') => {
  const answer = await agent.get(`/api/dogs/${dog}/record${query}`);
  if (answer.status !== 200) throw new Error(answer.text);
  return { page: DogRecord.parse(answer.body), link: answer.headers.link as string | undefined };
};
const idsOf = ({ tapings, skinLooks }: DogRecord) => [...tapings, ...skinLooks].map(({ id }) => id);
async function parts(query = ''): Promise<DogRecord[]> {
  const all: DogRecord[] = [];
  for (let after: string | null = ''; after !== null;) {
    const asked: string[] = [query, after && `after=${encodeURIComponent(after)}`].filter(Boolean);
    const { page }: { page: DogRecord } = await record(asked.length > 0 ? `?${asked.join('&')}` : '');
    all.push(page);
    after = page.next;
  }
  return all;
}

describe('the record of a dog', () => {
  it('comes some days at a time, the latest first, everything once, and no day in two parts', async () => {
    const all = await parts();
    expect(all.length).toBeGreaterThan(2);
    expect(all.flatMap(idsOf).sort()).toEqual(told.map(({ id }) => id).sort());
    const days = all.map((part) => new Set([...part.tapings, ...part.skinLooks].map((one) => one.at.slice(0, 10))));
    for (const [index, own] of days.slice(1).entries()) for (const day of own) for (const newer of days[index]!) expect(day < newer).toBe(true);
    expect((await record()).link).toMatch(/rel="next"$/);
  });

  it('says which tapings were corrected later, however much lies between', async () => {
    const all = await parts();
    expect(all.flatMap((part) => part.corrected)).toEqual([corrected]);
    expect(all.at(-1)!.tapings.map(({ id }) => id)).toContain(corrected);
  });

  it('is sifted by what somebody looks for', async () => {
    const skin = await parts('part=skin');
    expect(skin.flatMap(({ skinLooks }) => skinLooks)).toHaveLength(30);
    expect(skin.flatMap(({ tapings }) => tapings)).toEqual([]);
    expect((await parts('part=fits')).flatMap(idsOf)).toEqual([]);
  });

  it('goes on for nobody else: another dog, another part, another kennel', async () => {
    const { next } = (await record()).page;
    const after = `after=${encodeURIComponent(next!)}`;
    const other = await newDog(agent, { name: 'Sorrel' });
    expect((await agent.get(`/api/dogs/${other}/record?${after}`)).status).toBe(422);
    expect((await agent.get(`/api/dogs/${dog}/record?part=tape&${after}`)).status).toBe(422);
    const stranger = await newKennel(banter.app);
    expect((await stranger.get(`/api/dogs/${dog}/record`)).status).toBe(404);
  });

  it('is not in what the other screens ask for: these have the latest of each site that stands', async () => {
    const page = DogPage.parse((await agent.get(`/api/dogs/${dog}/page`)).body);
    const all = (await parts()).flatMap(({ tapings }) => tapings);
    expect(page.tapings.length).toBeLessThan(30);
    expect(page.tapings.some(({ id }) => id === corrected)).toBe(false);
    const latest = (tapings: readonly Taping[]) => Object.values(latestGirths(tapings)).map(({ id }) => id);
    expect(latest(page.tapings).sort()).toEqual(latest(all).sort());
  });
});
