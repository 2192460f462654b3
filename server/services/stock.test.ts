import type { Collar } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { CollarEntity } from '../data/entities/collar.ts';
import { fittedDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';
import { KennelScope } from './kennel-scope.ts';
import { collarAnswer } from './collars.ts';
import { stockOf } from './stock.ts';

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

it('the stock is read once, and again when any collar of it was written, here or by another server', async () => {
  const agent = await newKennel(banter.app);
  const { collar } = await fittedDog(agent);
  const kennelId = ((await agent.get('/api/kennel')).body as { id: string }).id;
  const scope = new KennelScope(banter.dataSource, { kennelId, personId: '', role: 'reader' });
  const plainly = async () => (await scope.all(CollarEntity, {}, { name: 'ASC', id: 'ASC' })).map(collarAnswer);
  const first = await stockOf(scope);
  expect(first).toEqual(await plainly());
  // What the database says of the versions is what was made of the rows: nothing is read anew.
  expect(await stockOf(scope)).toBe(first);
  // As another server would write it, which this process hears nothing of.
  await banter.dataSource.query('UPDATE collars SET name = ?, version = version + 1 WHERE kennelId = ? AND id = ?', ['Renamed', kennelId, collar]);
  const renamed = await stockOf(scope);
  expect(renamed.map(({ name }) => name)).toContain('Renamed');
  expect(renamed).toEqual(await plainly());
  // Written by hand, whatever of it; and a further one.
  const { id, version, ...facts } = ((await agent.get('/api/locker')).body as { collars: Collar[] }).collars.find((one) => one.id === collar)!;
  await agent
    .put(`/api/collars/${id}`)
    .set('If-Match', `"${version}"`)
    .send({ ...facts, condition: 'mend' })
    .expect(200);
  await agent
    .put(`/api/collars/${uuidv7()}`)
    .send({ ...facts, name: 'Another' })
    .expect(201);
  const told = (await agent.get('/api/locker?shelf=collars')).body as { collars: Collar[] };
  expect(told.collars.map(({ name, condition }) => [name, condition])).toEqual(
    expect.arrayContaining([
      ['Renamed', 'mend'],
      ['Another', 'sound'],
    ]),
  );
  expect(told.collars).toEqual(JSON.parse(JSON.stringify(await plainly())));
  // A class is kitted up from what is sound.
  const { collars } = (await agent.get('/api/class')).body as { collars: Collar[] };
  expect(collars.map(({ name }) => name)).toEqual(['Another']);
});

it('of another kennel nothing is told', async () => {
  const [agent, other] = [await newKennel(banter.app), await newKennel(banter.app)];
  await fittedDog(agent);
  expect(((await agent.get('/api/locker')).body as { collars: Collar[] }).collars.length).toBeGreaterThan(0);
  expect(((await other.get('/api/locker')).body as { collars: Collar[] }).collars).toEqual([]);
});
