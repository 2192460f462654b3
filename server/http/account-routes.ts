import { EndSessions, KennelSettings, NewPassword, PersonFacts, SignIn, SignUp, type Doorstep, type Me } from '@banter/contract';
import { Router, type Request } from 'express';
import type { DataSource } from 'typeorm';
import { Accounts } from '../services/accounts.ts';
import type { SessionStore, Somebody } from '../data/session-store.ts';
import { note } from '../services/deeds.ts';
import { Failure } from '../services/failure.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import { deviceOf, endSessions, mySessionsPage } from '../services/my-sessions.ts';
import { changeKennel, kennelAnswer, kennelOf } from '../services/kennels.ts';
import { limitSignIns, limitSignUps, signedIn } from './guards.ts';
import { parseBody, readJson, versionOf } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Puts somebody into a new session, so that an id known before sign-in is worth nothing after it. */
export async function enter(dataSource: DataSource, request: Request, me: Me): Promise<Me> {
  await new Promise<void>((resolve, reject) => request.session.regenerate((error) => (error ? reject(error) : resolve())));
  request.session.personId = me.person.id;
  request.session.kennelId = me.kennel.id;
  request.session.enteredAt = new Date().toISOString();
  request.session.device = deviceOf(request.get('user-agent'));
  await new Promise<void>((resolve, reject) => request.session.save((error) => (error ? reject(error) : resolve())));
  await note(new KennelScope(dataSource, { kennelId: me.kennel.id, personId: me.person.id }), {
    act: 'in',
    kind: 'session',
    label: `on ${request.session.device}`,
  });
  return me;
}

/** Who is signed in. */
const whoOf = (request: Request): Somebody => ({ kennelId: request.session.kennelId!, personId: request.session.personId! });

export type AccountOptions = { demo: boolean; signInsPerQuarterHour: number; signUpsPerHour: number; cookieName: string; sessions: SessionStore };

/** The way in and out, and the kennel's own settings. */
export function accountRoutes(dataSource: DataSource, options: AccountOptions): Router {
  const accounts = new Accounts(dataSource);
  const routes = Router();

  routes.get('/doorstep', async (request, response) => {
    const { personId, kennelId } = request.session;
    const answer: Doorstep = {
      demo: options.demo && (await accounts.demoKennel()) !== null,
      me: personId && kennelId ? await accounts.me({ kennelId, personId }) : null,
    };
    response.json(answer);
  });
  routes.post('/sign-up', limitSignUps(options.signUpsPerHour), ...readJson, async (request, response) => {
    response.status(201).json(await enter(dataSource, request, await accounts.signUp(parseBody(SignUp, request))));
  });
  routes.post('/sign-in', ...readJson, ...limitSignIns(options.signInsPerQuarterHour), async (request, response) => {
    response.json(await enter(dataSource, request, await accounts.signIn(parseBody(SignIn, request))));
  });
  routes.post('/sign-in/demo', async (request, response) => {
    if (!options.demo) throw new Failure('not-found');
    response.json(await enter(dataSource, request, await accounts.signInToDemo()));
  });
  routes.post('/sign-out', async (request, response) => {
    const { personId, kennelId } = request.session;
    if (personId && kennelId) await note(scopeOf(request, dataSource), { act: 'out', kind: 'session' });
    await new Promise<void>((resolve, reject) => request.session.destroy((error) => (error ? reject(error) : resolve())));
    response.clearCookie(options.cookieName).status(204).end();
  });

  routes.put('/me', signedIn, ...readJson, async (request, response) => {
    response.json(await accounts.change(whoOf(request), parseBody(PersonFacts, request)));
  });
  const mine = (request: Request) => mySessionsPage(dataSource, options.sessions, whoOf(request), request.sessionID);
  routes.get('/my-sessions', signedIn, async (request, response) => {
    response.json(await mine(request));
  });
  routes.post('/my-sessions', signedIn, ...readJson, async (request, response) => {
    await endSessions(dataSource, options.sessions, whoOf(request), request.sessionID, parseBody(EndSessions, request).id);
    response.json(await mine(request));
  });
  routes.post('/my-password', signedIn, ...readJson, ...limitSignIns(options.signInsPerQuarterHour), async (request, response) => {
    await accounts.changePassword(whoOf(request), parseBody(NewPassword, request));
    // Whoever knew the old one is out everywhere else.
    await endSessions(dataSource, options.sessions, whoOf(request), request.sessionID, null);
    response.json(await mine(request));
  });
  routes.get('/kennel', signedIn, async (request, response) => {
    response.json(kennelAnswer(await kennelOf(scopeOf(request, dataSource))));
  });
  routes.put('/kennel', signedIn, ...readJson, async (request, response) => {
    response.json(await changeKennel(scopeOf(request, dataSource), parseBody(KennelSettings, request), versionOf(request)));
  });
  return routes;
}
