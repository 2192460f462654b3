import { HappeningBatchSent } from '@banter/contract';
import { Router, type Request, type RequestHandler } from 'express';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { bridgeOfKey } from '../services/bridges.ts';
import { Failure } from '../services/failure.ts';
import type { Teller } from '../services/happenings/admit-happening.ts';
import { keepLines } from '../services/happenings/happening-lines.ts';
import { keepBatch } from '../services/happenings/keep-happenings.ts';
import { KennelScope } from '../services/kennel-scope.ts';
import type { Limits } from './limits.ts';
import { letRunOff, linesOf } from './read-lines.ts';
import { parseBody, readLargeJson } from './read-request.ts';
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

/** The one way in of what happens: batches of phones and desks, and lines of bridges. */
export function happeningRoutes(dataSource: DataSource, limits: Limits, log: Logger): Router {
  const routes = Router();
  const failed = (error: unknown) => log.error({ error }, 'something that happened could not be saved');
  const whenLines =
    (handler: RequestHandler): RequestHandler =>
    (request, response, next) =>
      request.path.toLowerCase().startsWith('/events') || !request.is('application/json') ? handler(request, response, next) : next();
  const lines: RequestHandler[] = [
    whenLines(limits.events),
    whenLines(async (request, response, next) => {
      // The key is looked at before anything is read.
      response.locals.told = await tellerOf(request, dataSource);
      next();
    }),
    whenLines(async (request, response) => {
      const { scope, teller } = response.locals.told as Awaited<ReturnType<typeof tellerOf>>;
      const kept = await keepLines(scope, linesOf(request), teller, failed);
      await letRunOff(request);
      response.json(kept);
    }),
  ];
  // The lines' address of earlier versions, which bridges go on using.
  routes.post('/events', ...lines);
  routes.post('/happenings', ...lines, ...readLargeJson, async (request, response) => {
    if (!request.session.personId) throw new Failure('not-signed-in');
    response.json(await keepBatch(scopeOf(request, dataSource), parseBody(HappeningBatchSent, request), new Date(), failed));
  });
  return routes;
}
