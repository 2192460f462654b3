import { Found } from '@banter/contract';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newDog, newKennel, openBanter, someCollar, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
  agent = await newKennel(banter.app);
  for (const name of ['Bramble', 'Old Bramble', 'Teasel', '100 %']) await newDog(agent, { name });
  await newDog(agent, { name: 'Bram', archivedAt: new Date().toISOString() });
  for (const name of ['Bramble’s prong', 'Hazel']) await agent.put(`/api/collars/${uuidv7()}`).send({ ...someCollar, name });
});
afterAll(() => banter.close());

const found = async (text: string, who = agent) => Found.parse((await who.get(`/api/found?text=${encodeURIComponent(text)}`)).body);
const names = (all: readonly { name: string }[]) => all.map(({ name }) => name);

describe('what is found by a name', () => {
  it('is dogs and collars, what begins with it first, and what was put away last', async () => {
    const { dogs, collars } = await found('bram');
    expect(names(dogs)).toEqual(['Bramble', 'Old Bramble', 'Bram']);
    expect(dogs.map(({ away }) => away)).toEqual([false, false, true]);
    expect(names(collars)).toEqual(['Bramble’s prong']);
  });

  it('takes signs of a pattern for themselves, and asks for a text', async () => {
    expect(names((await found('%')).dogs)).toEqual(['100 %']);
    expect((await agent.get('/api/found?text=%20')).status).toBe(422);
    expect((await agent.get('/api/found')).status).toBe(422);
  });

  it('is nobody else’s', async () => {
    const stranger = await newKennel(banter.app);
    expect(await found('bram', stranger)).toEqual({ dogs: [], collars: [] });
  });
});
