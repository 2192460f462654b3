import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { KennelEntity } from '../data/entities/kennel.ts';
import { seedDemo } from '../demo/seed-demo.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { kennelAnswer } from '../services/kennels.ts';
import { openBanter, type TestBanter } from '../test-kennels.ts';
import { rebuildStandings } from './kept-standings.ts';
import { STANDING_KINDS } from './standing-kinds.ts';

let banter: TestBanter;
let visitor: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
  await seedDemo(banter.dataSource, new Date());
  visitor = supertest.agent(banter.app);
  await visitor.post('/api/sign-in/demo');
});
afterAll(() => banter.close());

describe('what stands of dogs is kept', () => {
  it('of every dog of the demo, after a day’s work on it: nothing differs from what is worked out anew', async () => {
    const { rows: dogs } = (await visitor.get('/api/dog-cards')).body as {
      rows: { dog: { id: string; name: string }; fits: { plan: { id: string; kind: string; collarId: string; choices: { split: object } } }[] }[];
    };
    const idOf = (name: string) => dogs.find(({ dog: { name: own } }) => own === name)!.dog.id;
    const today = async () => (await visitor.get('/api/today')).body.items as { dogId: string; code: string; title: string }[];
    const due = async (name: string, code: string) => (await today()).filter((one) => one.dogId === idOf(name) && one.code === code).map(({ title }) => title);
    expect(await due('Linnet', 'owner-says')).toEqual(['Linnet: the skin is pink, says Household Marl.']);
    // Whatever bears on a dog is told at once: its skin, its weight, and its collar on another dog.
    const look = { dogId: idOf('Teasel'), clock: 12, under: 'prong', grade: 2, sore: null, note: '', photoId: null, at: new Date().toISOString() };
    expect((await visitor.put(`/api/skin-looks/${uuidv7()}`).send(look)).status).toBe(201);
    expect(await due('Teasel', 'skin-off')).toEqual(['Teasel: nothing on the neck.']);
    const moss = dogs.find(({ dog: { name } }) => name === 'Moss')!.fits.find(({ plan: { kind } }) => kind === 'prong')!.plan;
    const forTeasel = {
      dogId: idOf('Teasel'),
      collarId: moss.collarId,
      kind: 'prong',
      choices: { ...moss.choices, split: { left: 8, right: 8 } },
      placeId: null,
      note: '',
      at: new Date().toISOString(),
    };
    const planId = uuidv7();
    expect((await visitor.put(`/api/plans/${planId}`).send(forTeasel)).status).toBe(201);
    const before = await due('Moss', 'fit');
    const check = {
      dogId: idOf('Teasel'),
      planId,
      kind: 'prong',
      on: { left: 8, right: 8 },
      answers: { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null },
      note: '',
      at: new Date().toISOString(),
    };
    expect((await visitor.put(`/api/fit-checks/${uuidv7()}`).send(check)).status).toBe(201);
    expect(await due('Moss', 'fit')).not.toEqual(before);
    expect((await due('Moss', 'fit')).join()).toContain('Long Alder is set for Teasel');
    await visitor.get('/api/field');
    const row = await banter.dataSource.getRepository(KennelEntity).findOneByOrFail({ demo: true });
    const scope = new KennelScope(banter.dataSource, { kennelId: row.id, personId: row.id, role: 'reader' });
    const { looked, differ } = await rebuildStandings(scope, STANDING_KINDS, kennelAnswer(row), new Date());
    expect(differ).toEqual([]);
    expect(looked).toBeGreaterThanOrEqual(dogs.length);
  });

  it('of each dog by itself the same as among others, whoever is worked out with it', async () => {
    const row = await banter.dataSource.getRepository(KennelEntity).findOneByOrFail({ demo: true });
    const scope = new KennelScope(banter.dataSource, { kennelId: row.id, personId: '', role: 'reader' });
    const [kennel, now] = [kennelAnswer(row), new Date()];
    const dogIds = (await scope.raw<{ id: string }>('SELECT id FROM dogs WHERE kennelId = :kennelId')).map(({ id }) => id);
    for (const kind of STANDING_KINDS.filter(({ of }) => of === 'dog')) {
      const together = await kind.work(scope, dogIds, kennel, now);
      for (const id of dogIds) {
        const alone = (await kind.work(scope, [id], kennel, now)).get(id)!;
        expect([kind.name, id, alone.data, alone.dues]).toEqual([kind.name, id, together.get(id)!.data, together.get(id)!.dues]);
      }
    }
  });
});
