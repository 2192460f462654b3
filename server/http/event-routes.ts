import { NewEntry } from '@banter/contract';
import { Router, type Request } from 'express';
import type { DataSource } from 'typeorm';
import { bridgeOfKey } from '../services/bridges.ts';
import { keepEntry, keepLines, type Teller } from '../services/events.ts';
import { badField, Failure } from '../services/failure.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import type { Limits } from './limits.ts';
import { letRunOff, linesOf } from './read-lines.ts';
import { idOf, parseBody, readJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** Who tells the lines of a request: a bridge by its key, else whoever is signed in. */
async function tellerOf(request: Request, dataSource: DataSource): Promise<{ scope: KennelScope; teller: Teller }> {
  const key = /^Bearer (\S+)$/.exec(request.get('authorization') ?? '')?.[1];
  if (key !== undefined) {
    const bridge = await bridgeOfKey(dataSource, key);
    if (!bridge) throw new Failure('wrong-key');
    return {
      scope: new KennelScope(dataSource, { kennelId: bridge.kennelId, personId: bridge.id, role: 'assistant' }),
      teller: { source: 'bridge', bridgeId: bridge.id },
    };
  }
  if (!request.session.personId) throw new Failure('not-signed-in');
  return { scope: scopeOf(request, dataSource), teller: { source: 'hand', bridgeId: null } };
}

/** What happens to collars: entries by hand, and lines by bridges. */
export function eventRoutes(dataSource: DataSource, limits: Limits): Router {
  const routes = Router();
  routes.post('/events', limits.events, async (request, response, next) => {
    // The key is looked at before anything is read.
    response.locals.told = await tellerOf(request, dataSource);
    next();
  });
  routes.post('/events', async (request, response) => {
    const { scope, teller } = response.locals.told as Awaited<ReturnType<typeof tellerOf>>;
    const kept = await keepLines(scope, linesOf(request), teller);
    await letRunOff(request);
    response.json(kept);
  });
  routes.put('/entries/:id', ...readJson, async (request, response) => {
    const { events, source } = parseBody(NewEntry, request);
    if (events[0]!.id.toLowerCase() !== idOf(request)) throw badField('events[0].id', 'The first event’s id must be the entry’s.');
    const { created, events: kept } = await keepEntry(scopeOf(request, dataSource), events, source);
    response.status(created ? 201 : 200).json({ events: kept });
  });
  return routes;
}
