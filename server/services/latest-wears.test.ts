import { wearAndDeviceEvents } from '@banter/contract';
import { wearsOf } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { HappeningEntity, type HappeningRow } from '../data/entities/happening.ts';
import { newDog, newKennel, openBanter, someCollar, type TestBanter } from '../test-kennels.ts';
import { happeningAsKept, toldByHand } from './happenings/kept-happenings.ts';
import { KennelScope } from './kennel-scope.ts';
import { lastWearOf } from './latest-wears.ts';

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
}, 120_000);
afterAll(() => banter.close());

it('finds the last wear of a dog from the end of the log as all that was ever told gives it, whatever devices told', async () => {
  const agent = await newKennel(banter.app);
  const dogs = [await newDog(agent), await newDog(agent)];
  const { me } = (await agent.get('/api/doorstep')).body as { me: { kennel: { id: string }; person: { id: string } } };
  const scope = new KennelScope(banter.dataSource, { kennelId: me.kennel.id, personId: me.person.id, role: 'lead' });
  // By a seed of its own, so that what fails once fails again.
  let seed = 7;
  const chance = (below: number) => {
    seed = (seed * 48_271) % 2_147_483_647;
    return seed % below;
  };
  const begins = Date.UTC(2026, 2, 2, 8);
  let compared = 0;
  for (let round = 0; round < 25; round += 1) {
    const collar = uuidv7();
    expect((await agent.put(`/api/collars/${collar}`).send({ ...someCollar, name: `Hook ${round}` })).status).toBe(201);
    const rows: Omit<HappeningRow, 'kennelId'>[] = [];
    for (let n = 0; n < 24; n += 1) {
      // Several at one moment, put on twice, off while it is not on, on two dogs at once, and taken back.
      const at = new Date(begins + chance(16) * 60_000);
      const told = (event: string, data: object) => ({ ...toldByHand({ id: uuidv7(), event, collarId: collar, data } as never, { personId: me.person.id, at, recordedAt: at }), dogId: dogs[chance(2)]! }); // prettier-ignore
      const which = chance(8);
      if (which < 3) rows.push(told('put-on', { clock: chance(3) === 0 ? null : 1 + chance(12), state: 'worked' }));
      else if (which < 5) rows.push(told('taken-off', {}));
      else if (which < 7) rows.push(told('moved', { clock: 1 + chance(12) }));
      else if (rows.length > 0) rows.push({ ...told('void', {}), dogId: null, eventId: rows[chance(rows.length)]!.id });
    }
    await scope.insertMany(HappeningEntity, rows);
    for (const dogId of dogs)
      for (let minute = 0; minute < 16; minute += 3) {
        const until = new Date(begins + minute * 60_000);
        const told = rows.filter(({ at, event }) => event === 'void' || at <= until).map((row) => happeningAsKept(row));
        const known = wearsOf(wearAndDeviceEvents(told).wear).wears.findLast((wear) => wear.dogId === dogId) ?? null;
        const found = await lastWearOf(scope, dogId, collar, until);
        const parts = (wear: typeof known) => wear && { from: wear.from, to: wear.to, places: wear.places };
        expect([round, minute, parts(found)]).toEqual([round, minute, parts(known)]);
        if (known) compared += 1;
      }
  }
  expect(compared).toBeGreaterThan(150);
});
