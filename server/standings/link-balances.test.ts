import type { LinkBalance, LinkMove } from '@banter/contract';
import { balances, type LinkCountAt, type LinkMoved } from '@banter/core';
import { randomLcg } from 'd3-random';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { KennelScope } from '../services/kennel-scope.ts';
import { fitCheck, fittedDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';
import { rebuildBalances } from './link-balances.ts';

let banter: TestBanter;
let agent: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
});

const scopeOf = async (one: TestAgent) =>
  new KennelScope(banter.dataSource, { kennelId: ((await one.get('/api/kennel')).body as { id: string }).id, personId: '', role: 'reader' });
const inOrder = (counts: readonly { gaugeMm: number; account: string; count: number }[]) =>
  counts.map(({ gaugeMm, account, count }) => `${gaugeMm} ${account}: ${count}`).sort();
/** What a screen tells, beside the plain sum of every move that the kennel's own file tells. */
async function told(one: TestAgent) {
  const moves = (await one.get('/api/kennel.json')).body.linkMoves as LinkMove[];
  const plain: LinkCountAt[] = balances(moves as LinkMoved[]).filter(({ count }) => count !== 0);
  return { kept: inOrder((await one.get('/api/locker')).body.links as LinkBalance[]), summed: inOrder(plain), moves: moves.length };
}

describe('how many links are where is kept with the moves', () => {
  it('and is their sum after a random history, in which some are refused and some come at once', async () => {
    const ids = await fittedDog(agent);
    const random = randomLcg(0.17);
    const one = <Of>(all: readonly Of[]) => all[Math.floor(random() * all.length)]!;
    const accounts = ['outside', 'bag', 'scrap', `dog:${ids.dog}`, `collar:${ids.collar}`];
    const move = () => {
      const from = one(accounts);
      const to = one(accounts.filter((account) => account !== from));
      const body = { gaugeMm: one([3, 3.2]), count: 1 + Math.floor(random() * 4), from, to, why: 'counted', note: '', at: new Date().toISOString() };
      return agent.put(`/api/link-moves/${uuidv7()}`).send(body);
    };
    const statuses: number[] = [];
    for (let step = 0; step < 25; step += 1) {
      statuses.push(...(await Promise.all(Array.from({ length: 3 }, move))).map(({ status }) => status));
      // A check makes the collar up from the bag, or is refused for want of links.
      const on = { left: 5 + (step % 2), right: 5 };
      statuses.push((await agent.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(ids.dog, ids.plan, { on }))).status);
    }
    expect(new Set(statuses)).toEqual(new Set([201, 409]));
    const { kept, summed, moves } = await told(agent);
    expect(moves).toBeGreaterThan(20);
    expect(kept).toEqual(summed);
    expect((await rebuildBalances(await scopeOf(agent))).differ).toEqual([]);
  });

  it('also of moves that come with a kennel’s file', async () => {
    await fittedDog(agent);
    const file = (await agent.get('/api/kennel.json')).text;
    const other = await newKennel(banter.app);
    const sent = await other.post('/api/imports').set('Content-Type', 'application/json').send(file);
    const until = async (state: string) => {
      await expect.poll(async () => (await other.get(`/api/imports/${sent.body.id}`)).body.state, { timeout: 20_000 }).toBe(state);
    };
    await until('ready');
    await other.post(`/api/imports/${sent.body.id}/keep`).send({ conflicts: 'ours' });
    await until('kept');
    const { kept, summed } = await told(other);
    expect(kept).toEqual(summed);
    expect(kept).toEqual((await told(agent)).kept);
  });

  it('and one that was written past it is found when they are summed anew, named, and right from then on', async () => {
    const { collar } = await fittedDog(agent);
    const scope = await scopeOf(agent);
    await banter.dataSource.query('UPDATE link_balances SET count = count + 2 WHERE kennelId = ? AND account = ?', [scope.kennelId, 'bag']);
    await banter.dataSource.query('DELETE FROM link_balances WHERE kennelId = ? AND account = ?', [scope.kennelId, 'outside']);
    expect(await rebuildBalances(scope)).toEqual({ looked: 3, differ: ['3 mm, bag', '3 mm, outside'] });
    expect((await told(agent)).kept).toEqual([`3 bag: 2`, `3 collar:${collar}: 11`, '3 outside: -13'].sort());
    expect((await rebuildBalances(scope)).differ).toEqual([]);
  });
});
