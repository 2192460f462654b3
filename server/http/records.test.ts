import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { ENDPOINTS } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v4 as uuidv4, v7 as uuidv7 } from 'uuid';
import { houseRules } from '@banter/core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
  fitCheck,
  fittedDog,
  newKennel,
  openBanter,
  plan,
  prongChoices,
  screening,
  someCollar,
  someDog,
  somePlace,
  taping,
  type TestBanter,
} from '../test-kennels.ts';

let banter: TestBanter;
let agent: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
beforeEach(async () => {
  agent = await newKennel(banter.app);
});

describe('records by an id of their maker', () => {
  it('are created once, however often the same request comes', async () => {
    const id = uuidv7();
    const first = await agent.put(`/api/dogs/${id}`).send(someDog);
    const again = await agent.put(`/api/dogs/${id}`).send(someDog);
    expect([first.status, again.status]).toEqual([201, 200]);
    expect(again.body).toEqual(first.body);
    expect(first.body).toMatchObject({ ...someDog, id, version: 1 });
    expect((await agent.get('/api/dog-cards')).body.rows).toHaveLength(1);
  });

  it('refer to what this kennel has, new or changed: what is another’s is not there', async () => {
    const stranger = await newKennel(banter.app);
    const [place, dog, own] = [uuidv7(), uuidv7(), uuidv7()];
    expect((await stranger.put(`/api/places/${place}`).send(somePlace)).status).toBe(201);
    expect((await stranger.put(`/api/dogs/${dog}`).send(someDog)).status).toBe(201);
    const { body } = await agent.put(`/api/dogs/${own}`).send(someDog);
    const refused = async (path: string, sent: object, field: string, noun: string, version: number | null = null) => {
      const put = agent.put(path);
      const answer = await (version === null ? put : put.set('If-Match', `"${version}"`)).send(sent);
      expect([answer.status, answer.body.errors]).toEqual([422, [{ path: field, message: `There is no such ${noun} in this kennel.` }]]);
    };
    await refused(`/api/dogs/${uuidv7()}`, { ...someDog, placeId: place }, 'placeId', 'place');
    await refused(`/api/dogs/${own}`, { ...someDog, placeId: place }, 'placeId', 'place', body.version);
    await refused(`/api/wants/${uuidv7()}`, { what: 'A longer line', dogId: dog, boughtAt: null }, 'dogId', 'dog');
    const link = { name: 'Owner', dogId: dog, keyHash: 'a'.repeat(64), expiresAt: new Date(Date.now() + 86_400_000).toISOString(), revokedAt: null };
    await refused(`/api/owner-links/${uuidv7()}`, link, 'dogId', 'dog');
    const cap = { dogId: own, collarId: uuidv7(), cap: 30, note: 'Decided with the owner.', at: '2026-03-02T09:00:00.000Z' };
    await refused(`/api/level-caps/${uuidv7()}`, cap, 'collarId', 'collar');
    // Nothing of it was kept.
    expect((await agent.get(`/api/dogs/${own}`)).body).toMatchObject({ placeId: null, version: 1 });
  });

  it('are created once when the same request comes ten times at once', async () => {
    const ids = await fittedDog(agent);
    const id = uuidv7();
    const sent = fitCheck(ids.dog, ids.plan, { at: '2026-03-03T09:00:00.000Z' });
    const answers = await Promise.all(Array.from({ length: 10 }, () => agent.put(`/api/fit-checks/${id}`).send(sent)));
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(1);
    expect(answers.every(({ status }) => status === 200 || status === 201)).toBe(true);
    expect((await agent.get(`/api/dogs/${ids.dog}/page`)).body.checks).toHaveLength(2);
  });

  it('need a UUID of version 7', async () => {
    expect((await agent.put(`/api/dogs/${uuidv4()}`).send(someDog)).status).toBe(422);
    expect((await agent.put('/api/dogs/17').send(someDog)).status).toBe(422);
    expect((await agent.get('/api/dogs/17')).status).toBe(404);
    expect((await agent.get('/api/dogs/%E0%A4%A')).status).toBe(400);
  });

  it('change at the version that was seen; an older one gets the newer record', async () => {
    const id = uuidv7();
    await agent.put(`/api/dogs/${id}`).send(someDog);
    const changed = await agent
      .put(`/api/dogs/${id}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, name: 'Bilberry' });
    expect(changed.body).toMatchObject({ name: 'Bilberry', version: 2 });
    expect(changed.headers.etag).toBe('"2"');

    const stale = await agent
      .put(`/api/dogs/${id}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, name: 'Bulrush' });
    expect(stale.status).toBe(409);
    expect(stale.body).toMatchObject({ code: 'newer-version', current: { name: 'Bilberry', version: 2 } });
    expect((await agent.put(`/api/dogs/${id}`).send({ ...someDog, name: 'Bulrush' })).status).toBe(409);

    const replayed = await agent
      .put(`/api/dogs/${id}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, name: 'Bilberry' });
    expect(replayed.status).toBe(200);
    expect(replayed.body.version).toBe(2);
    expect((await agent.put(`/api/dogs/${uuidv7()}`).set('If-Match', '"1"').send(someDog)).status).toBe(404);
    expect((await agent.put(`/api/dogs/${id}`).set('If-Match', 'yesterday').send(someDog)).status).toBe(422);
  });

  it('let one of two people win who change at once, and tell the other', async () => {
    const id = uuidv7();
    await agent.put(`/api/dogs/${id}`).send(someDog);
    const both = await Promise.all(
      ['One', 'Two'].map((name) =>
        agent
          .put(`/api/dogs/${id}`)
          .set('If-Match', '"1"')
          .send({ ...someDog, name }),
      ),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    const winner = both.find(({ status }) => status === 200)!.body.name;
    expect(both.find(({ status }) => status === 409)!.body.current.name).toBe(winner);
  });

  it('that happened are never changed', async () => {
    const ids = await fittedDog(agent);
    const other = await agent.put(`/api/tapings/${ids.high}`).send(taping(ids.dog, { readingsMm: [500, 500, 500] }));
    expect(other.status).toBe(409);
    expect(other.body.code).toBe('already-recorded');
    expect(other.body.current.tapedMm).toBe(398);
    expect((await agent.get(`/api/tapings/${ids.high}`)).body.tapedMm).toBe(398);
  });
});

describe('a high girth that seems taken lower down', () => {
  it('is asked about until somebody has said for that taping that it was behind the ears', async () => {
    const ids = await fittedDog(agent);
    const put = async (settled: object) =>
      (await agent.put(`/api/tapings/${uuidv7()}`).send(taping(ids.dog, { readingsMm: [520, 520, 520], ...settled }))).body.reasons.map(
        (one: { code: string }) => one.code,
      );
    expect(await put({})).toContain('taken-lower');
    const settled = await put({ settled: true });
    expect([settled.includes('taken-lower'), settled.includes('behind-the-ears')]).toEqual([false, true]);
    expect(await put({ settled: false })).toContain('taken-lower');
  });
});

describe('what is kept with a verdict', () => {
  it('is who, when, inputs, rules, core version and reasons', async () => {
    const ids = await fittedDog(agent);
    const kept = (await agent.get(`/api/plans/${ids.plan}`)).body;
    expect(kept).toMatchObject({
      personName: 'Tester',
      at: '2026-03-02T09:10:00.000Z',
      coreVersion: expect.stringMatching(/^\d+\.\d+\.\d+$/),
      rules: { slackMinMm: 0, slackMaxMm: 25, maxRemove: null },
      inputs: { dog: { tapedGirthMm: 398, skinGirthMm: 398, headGirthMm: 472, weightKg: 29 }, collar: { id: ids.collar, numbers: { pitchMm: 31 } } },
      outcome: { keep: true, blocked: false, judgement: { verdict: 'fits', links: 11, slackMm: 20 } },
    });
    expect(kept.inputs.tapingIds.sort()).toEqual([ids.high, ids.head].sort());
    // A screen is told of many without the defaults, and comes to the same rules.
    const [onPage] = (await agent.get(`/api/dogs/${ids.dog}/page`)).body.plans;
    expect([onPage.id, houseRules(onPage.rules)]).toEqual([ids.plan, kept.rules]);
    expect(Date.parse(kept.recordedAt)).toBeGreaterThan(Date.now() - 60_000);
  });

  it('stays as it was when the collar, the dog or the house changes afterwards', async () => {
    const ids = await fittedDog(agent);
    const before = (await agent.get(`/api/plans/${ids.plan}`)).body;
    await agent
      .put(`/api/collars/${ids.collar}`)
      .set('If-Match', '"1"')
      .send({ ...someCollar, numbers: { ...someCollar.numbers, pitchMm: 33 } });
    await agent
      .put(`/api/dogs/${ids.dog}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, weightG: 31_000 });
    const { id: _id, version, demo: _demo, ...settings } = (await agent.get('/api/kennel')).body;
    expect(
      (
        await agent
          .put('/api/kennel')
          .set('If-Match', `"${version}"`)
          .send({ ...settings, rules: { slackMaxMm: 15 } })
      ).status,
    ).toBe(200);
    expect((await agent.get(`/api/plans/${ids.plan}`)).body).toEqual(before);
    const later = uuidv7();
    await agent.put(`/api/plans/${later}`).send(plan(ids.dog, ids.collar, { note: 'kept to compare', placeId: ids.place }));
    expect((await agent.get(`/api/plans/${later}`)).body.rules.slackMaxMm).toBe(15);
  });

  it('says whether a girth is on the skin or over the coat', async () => {
    const dog = uuidv7();
    await agent.put(`/api/dogs/${dog}`).send(someDog);
    const put = async (more: object) => (await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dog, more))).body;
    expect(await put({})).toMatchObject({ basis: 'skin', tapedMm: 398 });
    expect(await put({ overCoat: true })).toMatchObject({ basis: 'coat', tapedMm: 398 });
    const depth = await put({ overCoat: true, coatDepthMm: 5 });
    expect(depth).toMatchObject({ basis: 'skin', tapedMm: 398 });
    expect(depth.result.girthMm).toBeCloseTo(398 - 10 * Math.PI, 9);
    expect((await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dog, { coatDepthMm: 5 }))).status).toBe(422);
  });

  it('numbers the attempts of a plan, each leading to the next', async () => {
    const ids = await fittedDog(agent);
    const first = (await agent.get(`/api/fit-checks/${ids.check}`)).body;
    expect(first).toMatchObject({ attempt: 1, outcome: { verdict: 'adjust', step: 'take-out', then: { left: 5, right: 5 } } });
    const next = uuidv7();
    const right = { breathing: 'free', ears: 'free', sits: 'high', under: 'some', turns: 'a-little', headDrop: 'stays', overHead: 'no', gathered: null };
    await agent.put(`/api/fit-checks/${next}`).send(fitCheck(ids.dog, ids.plan, { on: { left: 5, right: 5 }, answers: right, at: '2026-03-02T09:30:00.000Z' }));
    expect((await agent.get(`/api/fit-checks/${next}`)).body).toMatchObject({ attempt: 2, outcome: { verdict: 'good' } });
  });

  it('lets a taping be corrected by a new one that names it, and only of the same site and dog', async () => {
    const ids = await fittedDog(agent);
    const fix = uuidv7();
    expect(
      (await agent.put(`/api/tapings/${fix}`).send(taping(ids.dog, { readingsMm: [390, 391, 392], correctsId: ids.high, at: '2026-03-01T09:00:00.000Z' })))
        .status,
    ).toBe(201);
    const card = (await agent.get('/api/dog-cards')).body.rows[0];
    expect(card.girths.find((one: { site: string }) => one.site === 'high').id).toBe(fix);
    const standing = (await agent.get(`/api/dogs/${ids.dog}/page`)).body.tapings as { id: string }[];
    expect(standing.map(({ id }) => id)).toEqual(expect.arrayContaining([fix, ids.head]));
    expect(standing).toHaveLength(2);
    // What was corrected stays in the record.
    const record = (await agent.get(`/api/dogs/${ids.dog}/record`)).body as { tapings: { id: string }[]; corrected: string[] };
    expect(record.tapings).toHaveLength(3);
    expect(record.corrected).toEqual([ids.high]);
    expect((await agent.put(`/api/tapings/${uuidv7()}`).send(taping(ids.dog, { correctsId: ids.head }))).body.errors[0].path).toBe('correctsId');
  });
});

describe('bad input', () => {
  it.each([
    ['a name of 5,000 characters', { name: 'x'.repeat(5000) }, 'name'],
    ['no name', { name: '  ' }, 'name'],
    ['a birth date in the future', { bornOn: '2999-01-01' }, 'bornOn'],
    ['a birth date that is none', { bornOn: '2023-02-30' }, 'bornOn'],
    ['a weight of nothing', { weightG: 0 }, 'weightG'],
    ['an unknown side', { worksOn: 'both' }, 'worksOn'],
    ['an unknown field', { kennelId: uuidv7() }, 'kennelId'],
    ['a name with control characters', { name: 'a\u0000b' }, 'name'],
  ])('refuses %s at its field and keeps nothing', async (_what, change, path) => {
    const id = uuidv7();
    const response = await agent.put(`/api/dogs/${id}`).send({ ...someDog, ...change });
    expect(response.status).toBe(422);
    expect(response.body.errors[0].path).toBe(path);
    expect((await agent.get(`/api/dogs/${id}`)).status).toBe(404);
  });

  it('keeps HTML in a name as the text it is, and any script of the world', async () => {
    for (const name of ['<img src=x onerror=alert(1)>', 'Wölfchen', '狼', '🐕 Rex', "O'Malley"]) {
      const id = uuidv7();
      await agent.put(`/api/dogs/${id}`).send({ ...someDog, name });
      expect((await agent.get(`/api/dogs/${id}`)).body.name).toBe(name);
    }
  });

  it('does not keep a collar that would pass the head, nor one that does not fit without saying why', async () => {
    const ids = await fittedDog(agent);
    const put = (split: object, note = '') =>
      agent.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, ids.collar, { choices: { ...prongChoices, split }, placeId: ids.place, note }));
    const over = await put({ left: 7, right: 6 }, 'all the same');
    expect(over.status).toBe(422);
    expect(over.body.errors[0]).toMatchObject({ path: 'choices', message: expect.stringContaining('over the head') });
    expect((await put({ left: 5, right: 5 })).body.errors[0].path).toBe('note');
    expect((await put({ left: 5, right: 5 }, 'He is being clipped tomorrow.')).status).toBe(201);
  });

  it('asks for the tape and the weight before anything is planned, and for a collar that is there', async () => {
    const dog = uuidv7();
    const collar = uuidv7();
    await agent.put(`/api/collars/${collar}`).send(someCollar);
    await agent.put(`/api/dogs/${dog}`).send({ ...someDog, weightG: null });
    const placeId = uuidv7();
    await agent.put(`/api/places/${placeId}`).send(somePlace);
    await agent.put(`/api/screenings/${uuidv7()}`).send(screening(dog));
    const put = (collarId = collar) => agent.put(`/api/plans/${uuidv7()}`).send(plan(dog, collarId, { placeId }));
    expect((await put()).body.errors[0].message).toContain('Tape the high girth');
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dog));
    expect((await put()).body.errors[0].message).toContain('Weigh');
    expect((await put(uuidv7())).body.errors[0].path).toBe('collarId');
  });

  it('refuses collar numbers, choices and answers that are none, at their path', async () => {
    const ids = await fittedDog(agent);
    const collar = await agent.put(`/api/collars/${uuidv7()}`).send({ ...someCollar, numbers: { ...someCollar.numbers, pitchMm: 0, links: -3 } });
    expect(collar.body.errors.map((error: { path: string }) => error.path)).toEqual(['numbers.pitchMm', 'numbers.links']);
    const choices = await agent
      .put(`/api/plans/${uuidv7()}`)
      .send(plan(ids.dog, ids.collar, { choices: { ...prongChoices, gaugeSchool: 'guess', split: { left: -1, right: 2 } } }));
    expect(choices.body.errors.map((error: { path: string }) => error.path)).toEqual(['choices.gaugeSchool', 'choices.split.left']);
    const answers = await agent.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(ids.dog, ids.plan, { answers: { under: 'a lot' } }));
    expect(answers.body.errors.map((error: { path: string }) => error.path)).toContain('answers.under');
  });
});

describe('another kennel', () => {
  it('gets 404 for everything of the first: reading, changing and referring to it; the same id is its own to use, and changes nothing of the first', async () => {
    const ids = await fittedDog(agent);
    const other = await newKennel(banter.app);
    const own = await fittedDog(other);
    const paths = [
      `dogs/${ids.dog}`,
      `collars/${ids.collar}`,
      `tapings/${ids.high}`,
      `plans/${ids.plan}`,
      `fit-checks/${ids.check}`,
      `places/${ids.place}`,
      `screenings/${ids.screening}`,
    ];
    for (const path of [...paths, `dogs/${ids.dog}/page`]) expect([path, (await other.get(`/api/${path}`)).status]).toEqual([path, 404]);
    const bodies: Record<string, object> = {
      [paths[0]!]: someDog,
      [paths[1]!]: someCollar,
      [paths[2]!]: taping(own.dog),
      [paths[3]!]: plan(own.dog, own.collar),
      [paths[4]!]: fitCheck(own.dog, own.plan),
      [paths[5]!]: somePlace,
      [paths[6]!]: screening(own.dog),
    };
    const versioned = /^(dogs|collars|places)\//;
    for (const [path, body] of Object.entries(bodies)) {
      if (versioned.test(path)) expect([path, (await other.put(`/api/${path}`).set('If-Match', '"1"').send(body)).status]).toEqual([path, 404]);
    }
    expect((await other.put(`/api/tapings/${uuidv7()}`).send(taping(ids.dog))).status).toBe(404);
    expect((await other.put(`/api/plans/${uuidv7()}`).send(plan(ids.dog, own.collar))).status).toBe(404);
    expect((await other.put(`/api/plans/${uuidv7()}`).send(plan(own.dog, ids.collar))).status).toBe(422);
    expect((await other.put(`/api/plans/${uuidv7()}`).send(plan(own.dog, own.collar, { placeId: ids.place }))).body.errors[0].path).toBe('placeId');
    expect((await other.put(`/api/screenings/${uuidv7()}`).send(screening(ids.dog))).status).toBe(404);
    expect((await other.put(`/api/fit-checks/${uuidv7()}`).send(fitCheck(own.dog, ids.plan))).status).toBe(404);
    const at = new Date().toISOString();
    const ending = { dogId: own.dog, planId: ids.plan, ended: true, note: '', at };
    expect((await other.put(`/api/endings/${uuidv7()}`).send(ending)).status).toBe(404);
    const lift = { dogId: ids.dog, item: 'windpipe', lifted: true, note: 'Seen.', at };
    expect((await other.put(`/api/lifts/${uuidv7()}`).send(lift)).status).toBe(404);
    const move = { gaugeMm: 3, count: 1, from: `collar:${ids.collar}`, to: 'bag', why: 'counted', note: '', at };
    expect((await other.put(`/api/link-moves/${uuidv7()}`).send(move)).status).toBeGreaterThanOrEqual(400);
    const seen = JSON.stringify([
      (await other.get('/api/dogs')).body,
      (await other.get('/api/collars')).body,
      (await other.get('/api/locker')).body,
      (await other.get('/api/places')).body,
    ]);
    for (const id of Object.values(ids)) expect(seen).not.toContain(id);
    for (const path of paths.slice(0, 1)) expect((await other.put(`/api/${path}`).send({ ...someDog, name: 'Theirs' })).status).toBe(201);
    expect((await agent.get(`/api/dogs/${ids.dog}`)).body).toMatchObject(someDog);
    expect((await other.get(`/api/dogs/${ids.dog}`)).body.name).toBe('Theirs');
  });

  it('cannot be referred to even past the services: the database itself refuses', async () => {
    const ids = await fittedDog(agent);
    const other = await newKennel(banter.app);
    const own = await fittedDog(other);
    const kennelOf = async (dog: string) => (await banter.dataSource.query('SELECT kennelId FROM dogs WHERE id = ?', [dog]))[0].kennelId;
    const [theirs, ours] = [await kennelOf(own.dog), await kennelOf(ids.dog)];
    await expect(banter.dataSource.query('UPDATE plans SET kennelId = ? WHERE kennelId = ? AND id = ?', [theirs, ours, ids.plan])).rejects.toThrow(
      /foreign key/i,
    );
  });

  it('does not exist for somebody who is not signed in', async () => {
    const ids = await fittedDog(agent);
    for (const endpoint of ENDPOINTS.filter((one) => one.signIn)) {
      const path = endpoint.path.replace('{id}', ids.dog);
      const response = await supertest(banter.app)[endpoint.method](path);
      expect([path, response.status]).toEqual([path, 401]);
    }
  });
});

describe('the OpenAPI document', () => {
  it('is version 3.1, names every address, and the server serves each of them', async () => {
    const { body } = await supertest(banter.app).get('/api/openapi.json').expect(200);
    expect(body.openapi).toBe('3.1.0');
    for (const endpoint of ENDPOINTS) {
      expect(body.paths[endpoint.path][endpoint.method].summary).toBe(endpoint.summary);
      const response = await agent[endpoint.method](endpoint.path.replace('{id}', uuidv7()));
      expect([endpoint.path, response.body.code ?? 'served']).not.toEqual([endpoint.path, 'unexpected']);
      if (!/\{(id|key)\}/.test(endpoint.path))
        expect([endpoint.path, response.status]).not.toEqual([endpoint.path, endpoint.path.includes('demo') ? 405 : 404]);
    }
    const ids = Object.values(body.paths).flatMap((path) => Object.values(path as object).map((operation: { operationId: string }) => operation.operationId));
    expect(new Set(ids).size).toBe(ids.length);
    expect(body.paths['/api/calc/prong'].post.requestBody.content['application/json'].schema.required).toContain('girthMm');
  });

  it('answers an address that is not in it with a problem', async () => {
    const response = await agent.get('/api/cats');
    expect(response.status).toBe(404);
    expect(response.headers['content-type']).toContain('application/problem+json');
  });
});

describe('the database away', () => {
  it('answers 503 in plain words, keeps nothing by half, and works again afterwards', async () => {
    const base = new URL(process.env.BANTER_TEST_DATABASE_URL!);
    const sockets = new Set<Socket>();
    const line = createServer((from) => {
      const to = connect(Number(base.port), base.hostname);
      for (const socket of [from, to]) {
        sockets.add(socket);
        socket.on('error', () => {}).on('close', () => (from.destroy(), to.destroy()));
      }
      from.pipe(to).pipe(from);
    });
    const listen = (port: number) => new Promise<number>((resolve) => line.listen(port, '127.0.0.1', () => resolve((line.address() as AddressInfo).port)));
    const port = await listen(0);
    const one = await openBanter({}, (url) => url.replace(base.port, String(port)));
    const somebody = await newKennel(one.app);
    const id = uuidv7();

    const closed = new Promise((resolve) => line.close(resolve));
    for (const socket of sockets) socket.destroy();
    await closed;
    for (let time = 0; time < 3; time += 1) {
      const away = await somebody.put(`/api/dogs/${id}`).send(someDog);
      expect([away.status, away.body.code]).toEqual([503, 'database-away']);
    }
    expect((await supertest(one.app).get('/api/health')).status).toBe(503);
    await listen(port);
    expect((await somebody.get(`/api/dogs/${id}`)).status).toBe(404);
    expect((await somebody.put(`/api/dogs/${id}`).send(someDog)).status).toBe(201);
    await one.close();
    line.close();
  });
});
