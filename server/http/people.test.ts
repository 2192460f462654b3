import { createHash, randomBytes } from 'node:crypto';
import type { InviteFacts, Me } from '@banter/contract';
import { DEED_KINDS, ENDPOINTS } from '@banter/contract';
import supertest from 'supertest';
import type TestAgent from 'supertest/lib/agent.js';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DeedEntity } from '../data/entities/deed.ts';
import { deedKindOf } from '../records/deeds.ts';
import { invite, newColleague, newDog, newKennel, openBanter, screening, soon, someDog, somePlace, taping, type TestBanter } from '../test-kennels.ts';

let banter: TestBanter;
let lead: TestAgent;
beforeAll(async () => {
  banter = await openBanter();
});
afterAll(() => banter.close());

const colleague = (by: TestAgent, role: InviteFacts['role'], more: Partial<InviteFacts> = {}) => newColleague(banter.app, by, role, more);

describe('an invitation', () => {
  it('is shown, holds once, and lets somebody in with their role', async () => {
    lead = await newKennel(banter.app, 'Alder Carr');
    const { key, answer } = await invite(lead, { role: 'reader' });
    expect(answer.status, answer.text).toBe(201);
    const shown = await supertest(banter.app).post('/api/invitation').send({ key });
    expect(shown.body).toMatchObject({ kennelName: 'Alder Carr', name: 'Bryony Reed', role: 'reader' });
    const join = { key, name: 'Bryony Reed', email: 'bryony@example.test', password: 'reeds in the wind' };
    // Two who hold the same link at the same moment: one is in.
    const both = await Promise.all([join, { ...join, email: 'other@example.test' }].map((one) => supertest(banter.app).post('/api/join').send(one)));
    expect(both.map(({ status }) => status).sort()).toEqual([201, 404]);
    expect(both.find(({ status }) => status === 201)!.body).toMatchObject({ person: { role: 'reader' }, kennel: { name: 'Alder Carr' } });
    expect((await supertest(banter.app).post('/api/invitation').send({ key })).body.code).toBe('no-invitation');
  });

  it('that ran out, was taken back, or is guessed lets nobody in, and all three are answered alike', async () => {
    const late = await invite(lead, { expiresAt: new Date(Date.now() - 1000).toISOString() });
    const back = await invite(lead);
    await lead
      .put(`/api/invites/${back.id}`)
      .set('If-Match', '"1"')
      .send({ ...back.facts, revokedAt: new Date().toISOString() });
    const answers = await Promise.all([late.key, back.key, 'ab'.repeat(32)].map((key) => supertest(banter.app).post('/api/join').send({ key, name: 'X', email: 'x@example.test', password: 'long enough it is' }))); // prettier-ignore
    expect(answers.map(({ body }) => body.code)).toEqual(['no-invitation', 'no-invitation', 'no-invitation']);
    expect(new Set(answers.map(({ text }) => text)).size).toBe(1);
  });

  it('holds a week at most, is not made longer, and is only a lead’s to make', async () => {
    expect((await invite(lead, { expiresAt: new Date(Date.now() + 30 * 86_400_000).toISOString() })).answer.body.errors[0].path).toBe('expiresAt');
    const made = await invite(lead);
    const longer = await lead.put(`/api/invites/${made.id}`).set('If-Match', '"1"').send({ ...made.facts, expiresAt: new Date(Date.now() + 6 * 86_400_000).toISOString() }); // prettier-ignore
    expect(longer.body.errors[0].path).toBe('expiresAt');
    const { agent } = await colleague(lead, 'assistant');
    expect((await invite(agent)).answer.status).toBe(403);
    expect((await agent.get('/api/invites')).status).toBe(403);
  });

  it('of another kennel’s person is refused; an e-mail that signs in elsewhere joins here too, with a password of its own', async () => {
    const stranger = await newKennel(banter.app);
    const me = (await stranger.get('/api/doorstep')).body.me as Me;
    expect((await invite(lead, { personId: me.person.id })).answer.body.errors[0].path).toBe('personId');
    const { key } = await invite(lead);
    const join = (password: string) => supertest(banter.app).post('/api/join').send({ key, name: 'X', email: me.person.email, password });
    const same = await join('a long password');
    expect([same.status, same.body.errors[0].path]).toEqual([422, 'password']);
    expect((await supertest(banter.app).post('/api/invitation').send({ key })).status).toBe(200);
    expect((await join('long enough it is')).body.kennel.name).toBe('Alder Carr');
    // The other account is as it was.
    expect((await supertest(banter.app).post('/api/sign-in').send({ email: me.person.email, password: 'a long password' })).body.kennel.id).toBe(me.kennel.id);
  });

  it('is for nobody who signs in already, and a second one for somebody takes the first back', async () => {
    const own = await newKennel(banter.app, 'Invited Twice');
    const { agent, me } = await colleague(own, 'reader');
    expect((await invite(own, { personId: me.person.id, role: 'lead' })).answer.body.errors[0].path).toBe('personId');
    await own.put(`/api/people/${me.person.id}`).send({ role: 'reader', left: true });
    const first = await invite(own, { personId: me.person.id, role: 'reader' });
    const second = await invite(own, { personId: me.person.id, role: 'lead' });
    expect([first.answer.status, second.answer.status]).toEqual([201, 201]);
    const join = (key: string, email: string, password: string) => supertest(banter.app).post('/api/join').send({ key, name: 'Bryony', email, password });
    expect((await join(first.key, 'first@example.test', 'reeds in the wind')).status).toBe(404);
    expect((await join(second.key, 'second@example.test', 'reeds in the rain')).status).toBe(201);
    // One made before they were in, by whatever way it still stands, changes nothing of an account in use.
    await banter.dataSource.query('UPDATE invites SET revokedAt = NULL WHERE kennelId = ? AND id = ?', [me.kennel.id, first.id]);
    expect((await join(first.key, 'third@example.test', 'reeds in the snow')).status).toBe(404);
    expect((await supertest(banter.app).post('/api/sign-in').send({ email: 'second@example.test', password: 'reeds in the rain' })).body.person).toMatchObject({ role: 'lead', name: 'Bryony' }); // prettier-ignore
    expect((await agent.get('/api/dogs')).status).toBe(401);
  });

  it('of two that are used at the same moment for one person lets one in', async () => {
    const own = await newKennel(banter.app, 'At Once');
    const { me } = await colleague(own, 'reader');
    await own.put(`/api/people/${me.person.id}`).send({ role: 'reader', left: true });
    const made = [await invite(own, { personId: me.person.id }), await invite(own, { personId: me.person.id })];
    await banter.dataSource.query('UPDATE invites SET revokedAt = NULL WHERE kennelId = ? AND personId = ?', [me.kennel.id, me.person.id]);
    const joined = await Promise.all(made.map(({ key }, index) => supertest(banter.app).post('/api/join').send({ key, name: 'X', email: `at-once-${index}@example.test`, password: `long enough ${index}` }))); // prettier-ignore
    expect(joined.map(({ status }) => status).sort()).toEqual([201, 404]);
  });
});

describe('roles', () => {
  it('let a reader see everything and change nothing but what is theirs', async () => {
    const { agent } = await colleague(lead, 'reader');
    const dogId = await newDog(lead);
    expect((await agent.get('/api/dog-cards')).body.rows.length).toBeGreaterThan(0);
    const refused = await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dogId));
    expect(refused.status).toBe(403);
    expect(refused.body.detail).toMatch(/You can only read here/);
    // Every address that changes something, but one's own affairs.
    const own = /^\/api\/(sign-|me$|my-|invitation$|join$|owner(\/|$)|calc\/|fits$)/;
    for (const { method, path } of ENDPOINTS.filter((one) => one.method !== 'get' && !own.test(one.path))) {
      const answer = await agent[method as 'put' | 'post'](path.replace('{id}', uuidv7())).send({});
      expect([path, answer.status]).toEqual([path, 403]);
    }
    expect((await agent.put('/api/me').send({ finger: { thicknessMm: 14, widthMm: 17 } })).status).toBe(200);
  });

  it('let an assistant do the day’s work, and leave to a lead what decides: rules, law, stops, a dog’s own rules and its leaving', async () => {
    const { agent } = await colleague(lead, 'assistant');
    const dogId = await newDog(agent);
    expect((await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dogId))).status).toBe(201);
    const kennel = (await agent.get('/api/kennel')).body;
    const { id: _id, version, demo: _demo, ...settings } = kennel;
    const forbidden: [string, object][] = [
      ['/api/kennel', { ...settings, name: 'Mine' }],
      [`/api/places/${uuidv7()}`, somePlace],
      [`/api/lifts/${uuidv7()}`, { dogId, item: 'deaf', lifted: true, note: 'x', at: new Date().toISOString() }],
    ];
    for (const [path, body] of forbidden) expect([path, (await agent.put(path).set('If-Match', `"${version}"`).send(body)).status]).toEqual([path, 403]);
    // An address in capitals is the same address.
    expect(
      (
        await agent
          .put('/api/KENNEL')
          .set('If-Match', `"${version}"`)
          .send({ ...settings, name: 'Mine' })
      ).status,
    ).toBe(403);
    for (const path of ['/api/kennel.json', '/api/Kennel.JSON', '/api/INVITES']) expect([path, (await agent.get(path)).status]).toEqual([path, 403]);
    const archived = await agent
      .put(`/api/dogs/${dogId}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, archivedAt: new Date().toISOString() });
    expect([archived.status, archived.body.detail]).toEqual([403, 'Only a lead takes a dog off the list or puts it back.']);
    const ownRules = await agent.put(`/api/dogs/${dogId}`).set('If-Match', '"1"').send({ ...someDog, house: { schools: {}, rules: { slackAimMm: 12 }, note: 'thin coat' } }); // prettier-ignore
    expect(ownRules.status).toBe(403);
    expect(
      (
        await agent
          .put(`/api/dogs/${dogId}`)
          .set('If-Match', '"1"')
          .send({ ...someDog, notes: 'Shy of the tape.' })
      ).status,
    ).toBe(200);
    expect(
      (
        await lead
          .put(`/api/dogs/${dogId}`)
          .set('If-Match', '"2"')
          .send({ ...someDog, archivedAt: new Date().toISOString() })
      ).status,
    ).toBe(200);
  });

  it('that rise hold from the next sign-in on, and are said until then', async () => {
    const { agent, me, email } = await colleague(lead, 'reader');
    await lead.put(`/api/people/${me.person.id}`).send({ role: 'assistant', left: false });
    const dogId = await newDog(lead);
    expect((await agent.put(`/api/screenings/${uuidv7()}`).send(screening(dogId))).status).toBe(403);
    const doorstep = (await agent.get('/api/doorstep')).body;
    expect([doorstep.me.person.role, doorstep.waitingRole]).toEqual(['reader', 'assistant']);
    await agent.post('/api/sign-in').send({ email, password: 'reeds in the wind' });
    expect((await agent.put(`/api/screenings/${uuidv7()}`).send(screening(dogId))).status).toBe(201);
    expect((await agent.get('/api/doorstep')).body.waitingRole).toBe(null);
  });

  it('change for the very next request; the last lead stays one', async () => {
    const { agent, me } = await colleague(lead, 'assistant');
    const dogId = await newDog(agent);
    await lead.put(`/api/people/${me.person.id}`).send({ role: 'reader', left: false });
    expect((await agent.put(`/api/screenings/${uuidv7()}`).send(screening(dogId))).status).toBe(403);
    const own = ((await lead.get('/api/doorstep')).body.me as Me).person.id;
    expect((await lead.put(`/api/people/${own}`).send({ role: 'reader', left: false })).body.code).toBe('last-lead');
    expect((await lead.post('/api/my-leaving').send({})).body.code).toBe('last-lead');
    const stranger = await newKennel(banter.app);
    expect((await stranger.put(`/api/people/${me.person.id}`).send({ role: 'lead', left: false })).status).toBe(404);
  });
});

describe('leaving', () => {
  it('ends the access of somebody in every session at once, takes their calendar addresses back, and keeps their name in the records', async () => {
    const { agent, me, email } = await colleague(lead, 'assistant');
    const phone = supertest.agent(banter.app);
    await phone.post('/api/sign-in').send({ email, password: 'reeds in the wind' });
    const dogId = await newDog(agent);
    const tapingId = uuidv7();
    await agent.put(`/api/tapings/${tapingId}`).send(taping(dogId));
    const feedKey = randomBytes(32).toString('hex');
    await agent.put(`/api/calendar-feeds/${uuidv7()}`).send({ name: 'Phone', keyHash: createHash('sha256').update(feedKey).digest('hex'), personId: null, revokedAt: null }); // prettier-ignore
    expect((await supertest(banter.app).get(`/api/feeds/${feedKey}.ics`)).status).toBe(200);

    const people = await lead.put(`/api/people/${me.person.id}`).send({ role: 'assistant', left: true });
    expect(people.body.people.find(({ id }: { id: string }) => id === me.person.id)).toMatchObject({ name: 'Bryony Reed', signsIn: false });
    for (const one of [agent, phone]) expect((await one.get('/api/dogs')).status).toBe(401);
    expect((await supertest.agent(banter.app).post('/api/sign-in').send({ email, password: 'reeds in the wind' })).body.code).toBe('wrong-sign-in');
    expect((await supertest(banter.app).get(`/api/feeds/${feedKey}.ics`)).status).toBe(404);
    expect((await lead.get(`/api/tapings/${tapingId}`)).body.personName).toBe('Bryony Reed');

    // They come back by an invitation, as themselves.
    const back = await colleague(lead, 'reader', { personId: me.person.id });
    expect(back.me.person).toMatchObject({ id: me.person.id, role: 'reader' });
  });

  it('takes back every key that somebody made, or hands them to another lead; what tells of them stops either way', async () => {
    const own = await newKennel(banter.app, 'Keys');
    const dogId = await newDog(own);
    const keyOf = () => {
      const key = randomBytes(32).toString('hex');
      return { key, keyHash: createHash('sha256').update(key).digest('hex') };
    };
    async function makes(who: TestAgent, personId: string) {
      const [bridge, link, feed, about] = [keyOf(), keyOf(), keyOf(), keyOf()];
      const made = [
        await who.put(`/api/bridges/${uuidv7()}`).send({ name: 'Bridge', keyHash: bridge.keyHash, revokedAt: null }),
        await who.put(`/api/owner-links/${uuidv7()}`).send({ dogId, name: 'Owner', keyHash: link.keyHash, expiresAt: soon(), revokedAt: null }),
        await who.put(`/api/calendar-feeds/${uuidv7()}`).send({ name: 'All', keyHash: feed.keyHash, personId: null, revokedAt: null }),
        await own.put(`/api/calendar-feeds/${uuidv7()}`).send({ name: 'Theirs', keyHash: about.keyHash, personId, revokedAt: null }),
      ];
      expect(made.map(({ status }) => status)).toEqual([201, 201, 201, 201]);
      return async () => [
        (await supertest(banter.app).post('/api/events').set('Authorization', `Bearer ${bridge.key}`).send('')).status,
        (await supertest(banter.app).post('/api/owner').send({ key: link.key })).status,
        (await supertest(banter.app).get(`/api/feeds/${feed.key}.ics`)).status,
        (await supertest(banter.app).get(`/api/feeds/${about.key}.ics`)).status,
      ];
    }
    const keysOf = async (who: TestAgent, id: string) => (await who.get('/api/people')).body.people.find((one: { id: string }) => one.id === id).keys.map(({ kind }: { kind: string }) => kind).sort(); // prettier-ignore
    const first = await colleague(own, 'lead');
    const opened = await makes(first.agent, first.me.person.id);
    expect(await opened()).toEqual([200, 200, 200, 200]);
    expect(await keysOf(own, first.me.person.id)).toEqual(['bridge', 'calendarFeed', 'ownerLink']);
    expect((await own.put(`/api/people/${first.me.person.id}`).send({ role: 'lead', left: true })).status).toBe(200);
    expect(await opened()).toEqual([401, 404, 404, 404]);

    const second = await colleague(own, 'lead');
    const handed = await makes(second.agent, second.me.person.id);
    const mine = ((await own.get('/api/doorstep')).body.me as Me).person.id;
    const reader = await colleague(own, 'reader');
    const refused = await own.put(`/api/people/${second.me.person.id}`).send({ role: 'lead', left: true, keysTo: reader.me.person.id });
    expect([refused.status, refused.body.errors[0].path]).toEqual([422, 'keysTo']);
    expect(await handed()).toEqual([200, 200, 200, 200]);
    await own.put(`/api/people/${second.me.person.id}`).send({ role: 'lead', left: true, keysTo: mine });
    expect(await handed()).toEqual([200, 200, 200, 404]);
    expect(await keysOf(own, mine)).toEqual(['bridge', 'calendarFeed', 'ownerLink']);
    // Whose keys are whose is a lead’s to know.
    expect(await keysOf(reader.agent, mine)).toEqual([]);
  });

  it('of a lead takes back the invitations that they made and nobody has used: no way back in is left behind', async () => {
    const { agent, me } = await colleague(lead, 'lead');
    const { key } = await invite(agent, { role: 'lead' });
    const ours = await invite(lead);
    await lead.put(`/api/people/${me.person.id}`).send({ role: 'lead', left: true });
    expect((await supertest(banter.app).post('/api/invitation').send({ key })).body.code).toBe('no-invitation');
    expect((await supertest(banter.app).post('/api/invitation').send({ key: ours.key })).status).toBe(200);
  });

  it('of one’s own accord ends all one’s sign-ins', async () => {
    const { agent, email } = await colleague(lead, 'reader');
    const phone = supertest.agent(banter.app);
    await phone.post('/api/sign-in').send({ email, password: 'reeds in the wind' });
    expect((await agent.post('/api/my-leaving').send({})).status).toBe(204);
    for (const one of [agent, phone]) expect((await one.get('/api/dogs')).status).toBe(401);
  });
});

describe('the log of who did what', () => {
  it('tells it by person, dog, kind and day, with what changed, and nothing of another kennel', async () => {
    const own = await newKennel(banter.app, 'Log Kennel');
    const { agent, me } = await colleague(own, 'assistant');
    const dogId = await newDog(agent, { name: 'Teasel' });
    await agent.put(`/api/tapings/${uuidv7()}`).send(taping(dogId));
    await own
      .put(`/api/dogs/${dogId}`)
      .set('If-Match', '"1"')
      .send({ ...someDog, name: 'Teasel', pull: 'settled' });
    const all = (await own.get('/api/deeds')).body;
    expect(all.deeds.map(({ act, kind }: { act: string; kind: string }) => `${act} ${kind}`)).toEqual(
      expect.arrayContaining(['made kennel', 'made invite', 'made person', 'in session', 'made dog', 'made taping', 'changed dog']),
    );
    const changed = all.deeds.find(({ act, kind }: { act: string; kind: string }) => act === 'changed' && kind === 'dog');
    expect(changed).toMatchObject({ dogName: 'Teasel', personName: 'Tester', about: { changed: [{ field: 'pull', from: 'drags', to: 'settled' }] } });
    const theirs = (await own.get('/api/deeds').query({ personId: me.person.id, dogId })).body.deeds;
    expect(theirs.map(({ kind }: { kind: string }) => kind).sort()).toEqual(['dog', 'taping', 'weighing']);
    expect((await own.get('/api/deeds').query({ kind: 'taping' })).body.deeds).toHaveLength(1);
    expect((await own.get('/api/deeds').query({ to: '2020-01-01' })).body.deeds).toHaveLength(0);
    expect((await (await newKennel(banter.app)).get('/api/deeds').query({ dogId })).body.deeds).toEqual([]);
  });

  it('goes back by pages and misses nothing', async () => {
    const own = await newKennel(banter.app, 'Paged');
    const dogId = await newDog(own);
    const ids = Array.from({ length: 130 }, () => uuidv7());
    for (const id of ids) await own.put(`/api/screenings/${id}`).send(screening(dogId));
    const first = (await own.get('/api/deeds').query({ kind: 'screening' })).body;
    const second = (await own.get('/api/deeds').query({ kind: 'screening', before: first.deeds.at(-1).id })).body;
    expect([first.more, second.more]).toEqual([true, false]);
    const seen = [...first.deeds, ...second.deeds].map(({ recordId }: { recordId: string }) => recordId);
    expect(new Set(seen)).toEqual(new Set(ids));
  });

  it('is refused a change by the database itself', async () => {
    const deeds = banter.dataSource.getRepository(DeedEntity);
    const [deed] = await deeds.find({ take: 1 });
    const { id, kennelId } = deed!;
    await expect(deeds.update({ id, kennelId }, { label: 'nothing happened' })).rejects.toThrow('What was done stays written.');
    await expect(deeds.delete({ id, kennelId })).rejects.toThrow('What was done stays written.');
    // Nor is any record changed by its id alone: another kennel may have the same.
    await expect(deeds.update({ id }, { label: 'nothing happened' })).rejects.toThrow('a record was to be changed without its kennel');
    await expect(banter.dataSource.query('DELETE FROM dogs WHERE id = ?', [id])).rejects.toThrow('a record was to be changed without its kennel');
  });

  it('has words for every kind of record that is kept by its id', () => {
    const silent = new Set(['deed', 'fieldSession', 'press', 'ownerVisit']);
    for (const { name, options } of banter.dataSource.entityMetadatas.map((one) => ({ name: one.name, options: { name: one.name } }))) {
      if (silent.has(name)) continue;
      expect(DEED_KINDS).toContain(deedKindOf({ options }));
    }
  });
});
