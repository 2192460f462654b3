import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { SessionEntity } from '../data/entities/session.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { seedDemo } from '../demo/seed-demo.ts';
import { newKennel, openBanter, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());
afterEach(() => void vi.useRealTimers());
const signUp = {
  kennelName: 'Gorse End',
  name: 'Robin',
  email: 'Robin@Example.test',
  password: 'heather and gorse',
  lengthUnit: 'in',
  massUnit: 'lb',
  timeZone: 'Europe/Dublin',
};
const cookieOf = (response: supertest.Response) =>
  (response.headers['set-cookie'] as unknown as string[] | undefined)?.find((one) => one.startsWith('banter.session=')) ?? '';

describe('signing up and in', () => {
  it('makes a kennel, keeps the password as an argon2id hash, and signs in', async () => {
    const agent = supertest.agent(banter.app);
    const made = await agent.post('/api/sign-up').send(signUp);
    expect(made.status).toBe(201);
    expect(made.body).toMatchObject({ person: { name: 'Robin', email: 'robin@example.test' }, kennel: { name: 'Gorse End', lengthUnit: 'in', demo: false } });
    const person = await banter.dataSource.getRepository(PersonEntity).findOneByOrFail({ email: 'robin@example.test' });
    expect(person.passwordHash).toMatch(/^\$argon2id\$/);
    expect((await agent.get('/api/doorstep')).body.me.person.name).toBe('Robin');

    const cookie = cookieOf(made);
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Strict/i);
  });

  it('an answer that was on its way while somebody signed in anew brings no earlier sign-in back: none but what a page asks first sets one', async () => {
    const agent = await newKennel(banter.app);
    for (const path of ['/api/today', '/api/dogs', '/api/kennel', '/api/not-there']) expect([path, cookieOf(await agent.get(path))]).toEqual([path, '']);
  });

  it('says the same to an e-mail that is known, whatever its capitals: a kennel more, which its own password opens', async () => {
    const asked = { ...signUp, kennelName: 'Furze End', email: 'ROBIN@example.test', password: 'furze and bracken' };
    const [known, unknown] = [await supertest(banter.app).post('/api/sign-up').send(asked), await supertest(banter.app).post('/api/sign-up').send({ ...asked, email: 'wren@example.test' })]; // prettier-ignore
    const shape = ({ status, headers, body }: supertest.Response) => [status, Object.keys(headers).sort(), Object.keys(body.person).sort(), Object.keys(body.kennel).sort(), body.kennel.name]; // prettier-ignore
    expect(shape(known)).toEqual(shape(unknown));
    const kennelBy = async (password: string) => (await supertest(banter.app).post('/api/sign-in').send({ email: 'robin@example.test', password })).body.kennel.name; // prettier-ignore
    expect(await kennelBy(signUp.password)).toBe('Gorse End');
    expect(await kennelBy('furze and bracken')).toBe('Furze End');
    // With the password of one there is, it is that one that is entered: nobody loses a kennel by signing up again.
    const again = await supertest(banter.app)
      .post('/api/sign-up')
      .send({ ...asked, kennelName: 'Third' });
    expect([again.status, again.body.kennel.name]).toEqual([201, 'Furze End']);
  });

  it.each([
    ['short', { password: 'short' }, 'password'],
    ['no e-mail', { email: 'robin' }, 'email'],
    ['a kennel of blanks', { kennelName: '   ' }, 'kennelName'],
    ['a name of 5,000 characters', { name: 'x'.repeat(5000) }, 'name'],
    ['an unknown zone', { timeZone: 'Mars/Olympus' }, 'timeZone'],
  ])('refuses %s', async (_what, change, path) => {
    const response = await supertest(banter.app)
      .post('/api/sign-up')
      .send({ ...signUp, email: 'other@example.test', ...change });
    expect(response.status).toBe(422);
    expect(response.body.errors[0].path).toBe(path);
  });

  it('gives a new session at each sign-in and ends the old one', async () => {
    const agent = supertest.agent(banter.app);
    const credentials = { email: 'robin@example.test', password: signUp.password };
    const first = cookieOf(await agent.post('/api/sign-in').send(credentials)).split(';')[0]!;
    const second = cookieOf(await agent.post('/api/sign-in').send(credentials)).split(';')[0]!;
    expect(second).not.toBe(first);
    expect((await supertest(banter.app).get('/api/dogs').set('Cookie', second)).status).toBe(200);
    expect((await supertest(banter.app).get('/api/dogs').set('Cookie', first)).status).toBe(401);
  });

  it('keeps sessions in the database, only by the hash of their id', async () => {
    const agent = supertest.agent(banter.app);
    const id = decodeURIComponent(cookieOf(await agent.post('/api/sign-in').send({ email: 'robin@example.test', password: signUp.password }))).match(
      /s:([^.]+)\./,
    )![1]!;
    const rows = await banter.dataSource.getRepository(SessionEntity).find();
    expect(rows.length).toBeGreaterThan(0);
    expect(JSON.stringify(rows)).not.toContain(id);
  });

  it('signs out for good', async () => {
    const agent = supertest.agent(banter.app);
    const cookie = cookieOf(await agent.post('/api/sign-in').send({ email: 'robin@example.test', password: signUp.password })).split(';')[0]!;
    expect((await agent.post('/api/sign-out')).status).toBe(204);
    expect((await supertest(banter.app).get('/api/dogs').set('Cookie', cookie)).status).toBe(401);
  });

  it('says the same to a wrong password and an unknown e-mail', async () => {
    const wrong = await supertest(banter.app).post('/api/sign-in').send({ email: 'robin@example.test', password: 'wrong password' });
    const unknown = await supertest(banter.app).post('/api/sign-in').send({ email: 'nobody@example.test', password: 'wrong password' });
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(unknown.body);
  });

  it('pauses for longer with each wrong password of one e-mail, and says how long; a device that is known for it passes', async () => {
    const strict = await openBanter({ pauses: { free: 3, firstMs: 60_000 } });
    const known = supertest.agent(strict.app);
    await known.post('/api/sign-up').send(signUp);
    const credentials = (password: string) => ({ email: 'robin@example.test', password });
    const stranger = (password: string) => supertest(strict.app).post('/api/sign-in').send(credentials(password));
    for (let i = 0; i < 3; i += 1) expect((await stranger('wrong password')).status).toBe(401);
    const paused = await stranger(signUp.password);
    expect([paused.status, Number(paused.headers['retry-after']) > 0, Number(paused.headers['retry-after']) <= 60]).toEqual([429, true, true]);
    expect(paused.body.detail).toMatch(/^Too many wrong passwords: try again in \d+ (s|min)\.$/);
    // Somebody's own phone is not kept out by what strangers try.
    expect((await known.post('/api/sign-in').send(credentials(signUp.password))).status).toBe(200);
    // And what is tried on it is counted for itself.
    for (let i = 0; i < 3; i += 1) expect((await known.post('/api/sign-in').send(credentials('wrong password'))).status).toBe(401);
    expect((await known.post('/api/sign-in').send(credentials(signUp.password))).status).toBe(429);
    await strict.close();
  });

  it('counts many tries at the same moment one by one, and with another server on the database together', async () => {
    const strict = await openBanter({ pauses: { free: 3, firstMs: 60_000 } });
    const second = strict.besides({ pauses: { free: 3, firstMs: 60_000 } });
    await supertest(strict.app).post('/api/sign-up').send(signUp);
    const tries = Array.from({ length: 20 }, (_none, index) => supertest(index % 2 ? strict.app : second).post('/api/sign-in').send({ email: 'robin@example.test', password: `guess ${index}` })); // prettier-ignore
    const statuses = (await Promise.all(tries)).map(({ status }) => status);
    expect(statuses.filter((status) => status === 401)).toHaveLength(3);
    expect(statuses.filter((status) => status === 429)).toHaveLength(17);
    await strict.close();
  });

  it('counts wrong passwords of one address for whatever e-mail, and right ones not', async () => {
    const strict = await openBanter({ pauses: { free: 1, firstMs: 60_000 } });
    const guess = (index: number) =>
      supertest(strict.app)
        .post('/api/sign-in')
        .send({ email: `nobody${index}@example.test`, password: 'wrong password' });
    // Twenty people behind one router, each with a kennel of their own, keep nobody out.
    for (let index = 0; index < 25; index += 1) await newKennel(strict.app);
    const statuses = [];
    for (let index = 0; index < 22; index += 1) statuses.push((await guess(index)).status);
    expect(statuses.indexOf(429)).toBe(20);
    await strict.close();
  });

  it('does not take anything but text for an e-mail', async () => {
    for (const email of [{ toString: 1 }, ['a'], 5, null]) {
      const response = await supertest(banter.app).post('/api/sign-in').send({ email, password: 'whatever it is' });
      expect([response.status, response.body.errors?.[0]?.path]).toEqual([422, 'email']);
    }
  });

  it('renews the cookie with use, and ends it for good after half a year', async () => {
    const agent = await newKennel(banter.app);
    const used = await agent.get('/api/doorstep');
    const expires = Date.parse(/Expires=([^;]+)/.exec(cookieOf(used))![1]!);
    expect(expires - Date.now()).toBeGreaterThan(29 * 86_400_000);
    const rows = banter.dataSource.getRepository(SessionEntity);
    const { person, kennel } = (await agent.get('/api/doorstep')).body.me;
    const [row] = await rows.findBy({ kennelId: kennel.id, personId: person.id });
    const old = new Date(Date.now() - 181 * 86_400_000).toISOString();
    await banter.dataSource.query('UPDATE sessions SET data = ? WHERE idHash = ?', [JSON.stringify({ ...row!.data, enteredAt: old }), row!.idHash]);
    expect((await agent.get('/api/dogs')).status).toBe(401);
  });

  it('counts wrong old passwords of each person for themselves', async () => {
    const strict = await openBanter({ pauses: { free: 2, firstMs: 60_000 } });
    const [one, other] = [await newKennel(strict.app), await newKennel(strict.app)];
    const change = (who: TestAgent, old: string) => who.post('/api/my-password').send({ old, password: 'another long one' });
    for (let i = 0; i < 2; i += 1) expect((await change(one, 'not the password')).status).toBe(422);
    expect((await change(one, 'a long password')).status).toBe(429);
    expect((await change(other, 'a long password')).status).toBe(200);
    await strict.close();
  });
});

describe('requests from elsewhere', () => {
  it.each([
    ['another origin', { Origin: 'https://elsewhere.example' }],
    ['a cross-site fetch', { 'Sec-Fetch-Site': 'cross-site' }],
    ['a sibling site', { 'Sec-Fetch-Site': 'same-site', Origin: 'http://other.localhost' }],
  ])('are refused from %s', async (_what, headers) => {
    const agent = await newKennel(banter.app);
    const response = await agent.post('/api/sign-out').set(headers as Record<string, string>);
    expect(response.status).toBe(403);
    expect((await agent.get('/api/dogs')).status).toBe(200);
  });

  it('are refused as forms, and welcome from our own page', async () => {
    const agent = await newKennel(banter.app);
    const kennel = (await agent.get('/api/kennel')).body;
    const { id: _id, version: _version, demo: _demo, ...settings } = kennel;
    expect((await agent.put('/api/kennel').type('form').send({ name: 'Stolen' })).status).toBe(415);
    expect(
      (
        await agent
          .put('/api/kennel')
          .set({ 'Sec-Fetch-Site': 'same-origin', 'If-Match': '"1"' })
          .send({ ...settings, name: 'Renamed' })
      ).status,
    ).toBe(200);
  });

  it('get a strict content policy without inline script', async () => {
    const policy = (await supertest(banter.app).get('/api/health')).headers['content-security-policy']!;
    expect(policy).toContain("script-src 'self'");
    expect(policy).toContain("object-src 'none'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(policy).toContain("frame-ancestors 'none'");
  });
});

describe('the demo kennel', () => {
  it('is entered with one click only where the database was seeded with it, and not when it is off', async () => {
    const empty = await openBanter();
    expect((await supertest(empty.app).post('/api/sign-in/demo')).status).toBe(404);
    expect((await supertest(empty.app).get('/api/doorstep')).body.demo).toBe(false);
    await seedDemo(empty.dataSource, new Date('2026-06-01T08:00:00Z'));
    expect((await supertest(empty.app).get('/api/doorstep')).body.demo).toBe(true);
    const entered = await supertest(empty.app).post('/api/sign-in/demo');
    expect(entered.body.kennel).toMatchObject({ name: 'Marrow Fen Field Dogs', demo: true });
    await empty.close();

    const off = await openBanter({ demo: false });
    await seedDemo(off.dataSource, new Date('2026-06-01T08:00:00Z'));
    expect((await supertest(off.app).post('/api/sign-in/demo')).status).toBe(404);
    expect((await supertest(off.app).get('/api/doorstep')).body.demo).toBe(false);
    await off.close();
  });

  it('is the same kennel when it is made again on the same day, and is not put beside another', async () => {
    const made = [];
    // What a card says goes by the day on which it is asked for: no midnight passes between the two.
    vi.useFakeTimers({ toFake: ['Date'], now: Date.now() });
    for (let time = 0; time < 2; time += 1) {
      const one = await openBanter();
      await seedDemo(one.dataSource, new Date(`2026-06-01T${10 + time}:00:00Z`));
      await seedDemo(one.dataSource, new Date('2026-06-02T10:00:00Z'));
      const agent = supertest.agent(one.app);
      await agent.post('/api/sign-in/demo');
      made.push((await agent.get('/api/dog-cards')).body);
      await one.close();
    }
    expect(made[0].rows.length).toBeGreaterThanOrEqual(10);
    expect(made[0]).toEqual(made[1]);
  });

  it('tells the cases that make the tool earn its keep', async () => {
    const one = await openBanter();
    await seedDemo(one.dataSource, new Date('2026-06-01T08:00:00Z'));
    const agent = supertest.agent(one.app);
    await agent.post('/api/sign-in/demo');
    const { rows: dogs } = (await agent.get('/api/dog-cards')).body as {
      rows: { dog: { name: string }; girths: { site: string; reasons: { code: string }[] }[]; fits: { check: { outcome: { step: string } } | null }[] }[];
    };
    const named = (name: string) => dogs.find((card) => card.dog.name === name)!;
    expect(named('Wick').girths[0]!.reasons.map((reason) => reason.code)).toContain('taken-lower');
    expect(named('Tansy').fits[0]!.check!.outcome.step).toBe('another-collar');
    const sorrel = (await agent.get(`/api/dogs/${(named('Sorrel').dog as unknown as { id: string }).id}/page`)).body;
    expect(sorrel.tapings.filter((one: { site: string }) => one.site === 'high').length).toBeGreaterThanOrEqual(6);
    await one.close();
  });
});

describe('my account', () => {
  const password = 'a long password';
  const mine = async (who: TestAgent) =>
    (await who.get('/api/my-sessions')).body as { sessions: { id: string; here: boolean; device: string }[]; email: string };
  async function twice() {
    const one = await newKennel(banter.app);
    const { email } = await mine(one);
    const other = supertest.agent(banter.app);
    expect((await other.post('/api/sign-in').set('User-Agent', 'Mozilla/5.0 (iPhone; CPU iPhone OS 17_0)').send({ email, password })).status).toBe(200);
    return { one, other, email };
  }

  it('says where somebody is signed in, and ends one from another at once', async () => {
    const { one, other } = await twice();
    const { sessions } = await mine(one);
    expect(sessions.map(({ here }) => here).sort()).toEqual([false, true]);
    const phone = sessions.find(({ here }) => !here)!;
    expect(phone.device).toBe('a phone');
    const left = await one.post('/api/my-sessions').send({ id: phone.id });
    expect(left.body.sessions).toHaveLength(1);
    expect((await other.get('/api/dogs')).status).toBe(401);
    expect((await one.get('/api/dogs')).status).toBe(200);
  });

  it('a new password wants the old one, and ends every other sign-in', async () => {
    const { one, other, email } = await twice();
    const wrong = await one.post('/api/my-password').send({ old: 'not the password', password: 'another long one' });
    expect([wrong.status, wrong.body.errors[0].path]).toEqual([422, 'old']);
    expect((await one.post('/api/my-password').send({ old: password, password: 'short' })).body.errors[0].path).toBe('password');
    expect((await other.get('/api/dogs')).status).toBe(200);
    expect((await one.post('/api/my-password').send({ old: password, password: 'another long one' })).status).toBe(200);
    expect((await other.get('/api/dogs')).status).toBe(401);
    expect((await one.get('/api/dogs')).status).toBe(200);
    expect((await supertest(banter.app).post('/api/sign-in').send({ email, password })).status).toBe(401);
    expect((await supertest(banter.app).post('/api/sign-in').send({ email, password: 'another long one' })).status).toBe(200);
  });

  it('nobody ends another’s, and whoever is signed in nowhere sees nothing', async () => {
    const { one } = await twice();
    const stranger = await newKennel(banter.app);
    const { id } = (await mine(one)).sessions[0]!;
    await stranger.post('/api/my-sessions').send({ id });
    expect((await mine(one)).sessions).toHaveLength(2);
    expect((await supertest(banter.app).get('/api/my-sessions')).status).toBe(401);
  });

  it('in the demo, where everybody is one person, nobody sees or ends another visitor’s sign-in', async () => {
    const demo = await openBanter();
    await seedDemo(demo.dataSource, new Date());
    const [one, other] = [supertest.agent(demo.app), supertest.agent(demo.app)];
    for (const visitor of [one, other]) expect((await visitor.post('/api/sign-in/demo')).status).toBe(200);
    expect((await mine(one)).sessions.map(({ here }) => here)).toEqual([true]);
    await one.post('/api/my-sessions').send({ id: null });
    expect((await other.get('/api/dogs')).status).toBe(200);
    await demo.close();
  });
});
