import { EndSessions, KennelSettings, NewPassword, PersonFacts, SignIn, SignUp, type Doorstep, type Me } from '@banter/contract';
import { Router, type Request, type Response } from 'express';
import type { DataSource } from 'typeorm';
import { Accounts } from '../services/accounts.ts';
import type { SessionStore, Somebody } from '../data/session-store.ts';
import { writeDeed } from '../records/deeds.ts';
import { Failure } from '../services/failure.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { deviceOf, endSessions, mySessionsPage } from '../services/my-sessions.ts';
import { changeKennel, kennelAnswer, kennelOf } from '../services/kennels.ts';
import type { Pauses, Tries } from '../services/tries.ts';
import { knowDevice, knownDevice } from './known-devices.ts';
import type { Limits } from './limits.ts';
import { parseBody, readJson, versionOf } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Puts somebody into a new session, so that an id known before sign-in is worth nothing after it. */
export async function beginSession(dataSource: DataSource, request: Request, me: Me): Promise<Me> {
  await new Promise<void>((resolve, reject) => request.session.regenerate((error) => (error ? reject(error) : resolve())));
  request.session.personId = me.person.id;
  request.session.kennelId = me.kennel.id;
  request.session.role = me.person.role;
  request.session.enteredAt = new Date().toISOString();
  request.session.device = deviceOf(request.get('user-agent'));
  await new Promise<void>((resolve, reject) => request.session.save((error) => (error ? reject(error) : resolve())));
  await writeDeed(new KennelScope(dataSource, { kennelId: me.kennel.id, personId: me.person.id, role: me.person.role }), {
    act: 'in',
    kind: 'session',
    label: `on ${request.session.device}`,
  });
  return me;
}

/** People that one address may stand for, as behind a router. From memory. */
const SHARE_AN_ADDRESS = 20;

/** Who is signed in. */
const whoOf = (request: Request): Somebody => ({ kennelId: request.session.kennelId!, personId: request.session.personId! });

export type AccountOptions = {
  demo: boolean;
  cookieName: string;
  sessions: SessionStore;
  limits: Limits;
  tries: Tries;
  pauses: Pauses;
  secret: string;
};

/** The way in and out, and the kennel's own settings. */
export function accountRoutes(dataSource: DataSource, options: AccountOptions): Router {
  const accounts = new Accounts(dataSource);
  const routes = Router();
  const { limits, tries, secret, pauses } = options;
  /** Many people may share an address: it has many more free tries than one e-mail. */
  const ofAddress = (request: Request) => ({ key: `address ${request.ip}`, pauses: { ...pauses, free: pauses.free * SHARE_AN_ADDRESS } });
  /** Begins a try of a password by what it is counted under; whoever has to wait is told how long. */
  async function begin(keys: Parameters<Tries['begin']>[0], response: Response): Promise<void> {
    const waitMs = await tries.begin(keys);
    if (waitMs === 0) return;
    const seconds = Math.ceil(waitMs / 1000);
    response.set('Retry-After', String(seconds));
    throw new Failure('too-many', { detail: `Too many wrong passwords: try again in ${seconds < 60 ? `${seconds} s` : `${Math.ceil(seconds / 60)} min`}.` });
  }

  routes.get('/doorstep', async (request, response) => {
    const { personId, kennelId } = request.session;
    const answer: Doorstep = {
      demo: options.demo && (await accounts.demoKennel()) !== null,
      me: null,
      waitingRole: request.waitingRole ?? null,
    };
    const me = personId && kennelId ? await accounts.me({ kennelId, personId }) : null;
    response.json({ ...answer, me: me && { ...me, person: { ...me.person, role: request.role! } } } satisfies Doorstep);
  });
  routes.post('/sign-up', limits.signUps, ...readJson, async (request, response) => {
    const asked = parseBody(SignUp, request);
    // Tried passwords are tried passwords, by whichever door.
    const address = ofAddress(request);
    await begin([address], response);
    const me = await beginSession(dataSource, request, await accounts.signUp(asked));
    await tries.takeBack(address.key);
    knowDevice(request, response, secret, asked.email);
    response.status(201).json(me);
  });
  routes.post('/sign-in', ...readJson, async (request, response) => {
    const asked = parseBody(SignIn, request);
    const device = knownDevice(request, secret, asked.email);
    const own = device === null ? `e-mail ${asked.email}` : `device ${asked.email} ${device}`;
    const address = ofAddress(request);
    await begin([{ key: own, pauses }, ...(device === null ? [address] : [])], response);
    const me = await beginSession(dataSource, request, await accounts.signIn(asked));
    await Promise.all([tries.forget(own), ...(device === null ? [tries.takeBack(address.key)] : [])]);
    knowDevice(request, response, secret, asked.email);
    response.json(me);
  });
  routes.post('/sign-in/demo', limits.demoSignIns, async (request, response) => {
    if (!options.demo) throw new Failure('not-found');
    response.json(await beginSession(dataSource, request, await accounts.signInToDemo()));
  });
  routes.post('/sign-out', async (request, response) => {
    const { personId, kennelId } = request.session;
    if (personId && kennelId) await writeDeed(scopeOf(request, dataSource), { act: 'out', kind: 'session' });
    await new Promise<void>((resolve, reject) => request.session.destroy((error) => (error ? reject(error) : resolve())));
    response.clearCookie(options.cookieName).status(204).end();
  });

  routes.put('/me', ...readJson, async (request, response) => {
    response.json(await accounts.change(whoOf(request), parseBody(PersonFacts, request)));
  });
  const mine = (request: Request) => mySessionsPage(dataSource, options.sessions, whoOf(request), request.sessionID);
  routes.get('/my-sessions', async (request, response) => {
    response.json(await mine(request));
  });
  routes.post('/my-sessions', ...readJson, async (request, response) => {
    await endSessions(dataSource, options.sessions, whoOf(request), request.sessionID, parseBody(EndSessions, request).id);
    response.json(await mine(request));
  });
  routes.post('/my-password', ...readJson, async (request, response) => {
    const asked = parseBody(NewPassword, request);
    const { kennelId, personId } = whoOf(request);
    const own = `password ${kennelId} ${personId}`;
    await begin([{ key: own, pauses }], response);
    await accounts.changePassword(whoOf(request), asked);
    await tries.forget(own);
    // Whoever knew the old one is out everywhere else.
    await endSessions(dataSource, options.sessions, whoOf(request), request.sessionID, null);
    response.json(await mine(request));
  });
  routes.get('/kennel', async (request, response) => {
    response.json(kennelAnswer(await kennelOf(scopeOf(request, dataSource))));
  });
  routes.put('/kennel', ...readJson, async (request, response) => {
    response.json(await changeKennel(scopeOf(request, dataSource), parseBody(KennelSettings, request), versionOf(request)));
  });
  return routes;
}
