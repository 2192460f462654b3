import { DeedsAsked, InvitationAsked, Join, PersonStanding } from '@banter/contract';
import { Router } from 'express';
import type { DataSource } from 'typeorm';
import { hashOf, type SessionStore, type Somebody } from '../data/session-store.ts';
import { deedsPage } from '../services/deeds-page.ts';
import { invitationOf, inviteKind, joinBy } from '../services/invites.ts';
import type { KennelBus } from '../services/kennel-bus.ts';
import { peoplePage, setStanding } from '../services/people.ts';
import { beginSession } from './account-routes.ts';
import { knowDevice } from './known-devices.ts';
import type { Limits } from './limits.ts';
import { idOf, parseBody, parseQuery, readJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

export type PeopleOptions = { sessions: SessionStore; limits: Limits; bus: KennelBus; cookieName: string; secret: string };

/** The people of a kennel: their parts in it, invitations, and the log of who did what. Which of it is a lead's stands in the contract. */
export function peopleRoutes(dataSource: DataSource, { sessions, limits, bus, cookieName, secret }: PeopleOptions): Router {
  const routes = Router();
  const endAll = async (who: Somebody) => {
    const rows = await sessions.ofPerson(who);
    await sessions.end(
      who,
      rows.map(({ idHash }) => idHash),
    );
  };

  routes.post('/invitation', limits.invitations, ...readJson, async (request, response) => {
    response.json(await invitationOf(dataSource, parseBody(InvitationAsked, request).key));
  });
  routes.post('/join', limits.signUps, ...readJson, async (request, response) => {
    const asked = parseBody(Join, request);
    const me = await beginSession(dataSource, request, await joinBy(dataSource, asked));
    knowDevice(request, response, secret, asked.email);
    response.status(201).json(me);
  });

  routes.get('/people', async (request, response) => {
    response.json(await peoplePage(scopeOf(request, dataSource)));
  });
  routes.put('/people/:id', ...readJson, async (request, response) => {
    const [scope, personId, standing] = [scopeOf(request, dataSource), idOf(request), parseBody(PersonStanding, request)];
    await setStanding(scope, personId, standing);
    if (standing.left) {
      await endAll({ kennelId: scope.kennelId, personId });
      // Screens that listen look whether they may.
      bus.changed(scope.kennelId);
    }
    response.json(await peoplePage(scope));
  });
  routes.post('/my-leaving', async (request, response) => {
    const scope = scopeOf(request, dataSource);
    await setStanding(scope, scope.personId, { role: request.role!, left: true });
    const own = hashOf(request.sessionID);
    await sessions.end(
      scope,
      (await sessions.ofPerson(scope)).flatMap(({ idHash }) => (idHash === own ? [] : [idHash])),
    );
    await new Promise<void>((resolve, reject) => request.session.destroy((error) => (error ? reject(error) : resolve())));
    bus.changed(scope.kennelId);
    response.clearCookie(cookieName).status(204).end();
  });
  routes.get('/invites', async (request, response) => {
    const rows = await scopeOf(request, dataSource).all(inviteKind.entity, {}, { expiresAt: 'DESC', id: 'ASC' });
    response.json({ invites: rows.map(inviteKind.toAnswer) });
  });
  routes.get('/deeds', async (request, response) => {
    const parsed = parseQuery(DeedsAsked, request);
    response.json(await deedsPage(scopeOf(request, dataSource), parsed));
  });
  return routes;
}
