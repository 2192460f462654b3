import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DogEntity } from '../data/entities/dog.ts';
import { newDog, newKennel, openBanter, type TestBanter } from '../test-kennels.ts';
import { KennelScope } from './kennel-scope.ts';

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

describe('two transactions that wait for each other', () => {
  it('both end: the one that the database undid is done again', async () => {
    const agent = await newKennel(banter.app);
    const [one, other] = [await newDog(agent), await newDog(agent)];
    const [row] = await banter.dataSource.getRepository(DogEntity).findBy({ id: one });
    const scope = new KennelScope(banter.dataSource, { kennelId: row!.kennelId, personId: row!.id, role: 'lead' });
    let met = 0;
    let meet = () => {};
    const bothHoldOne = new Promise<void>((resolve) => (meet = resolve));
    let tries = 0;
    const crosswise = (first: string, second: string) =>
      scope.inOne(async (within) => {
        tries += 1;
        await within.hold(DogEntity, first);
        met += 1;
        if (met === 2) meet();
        await bothHoldOne;
        const held = await within.hold(DogEntity, second);
        return held.id;
      });
    expect(await Promise.all([crosswise(one, other), crosswise(other, one)])).toEqual([other, one]);
    expect(tries).toBe(3);
  });
  it('what fails for another reason is not done again', async () => {
    let tries = 0;
    const scope = new KennelScope(banter.dataSource, {
      kennelId: '01890000-0000-7000-8000-000000000000',
      personId: '01890000-0000-7000-8000-000000000001',
      role: 'lead',
    });
    await expect(
      scope.inOne(() => {
        tries += 1;
        throw new Error('otherwise');
      }),
    ).rejects.toThrow('otherwise');
    expect(tries).toBe(1);
  });
});
