import { FieldBatchSent, PressesAsked, SessionAsked, fieldErrors } from '@banter/contract';
import { Router } from 'express';
import type { Logger } from 'pino';
import type { DataSource } from 'typeorm';
import { Failure } from '../services/failure.ts';
import { fieldSessionPage, keepFieldBatch } from '../services/field-log.ts';
import { fieldPage } from '../services/field-page.ts';
import { levelsPage, pressesOf } from '../services/levels.ts';
import { signedIn } from './guards.ts';
import { idOf, parseBody, readLargeJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** The field log, and what its numbers say. */
export function fieldRoutes(dataSource: DataSource, log: Logger): Router {
  const routes = Router();
  routes.use(['/field', '/field-log', '/field-sessions'], signedIn);
  routes.get('/field', async (request, response) => {
    response.json(await fieldPage(scopeOf(request, dataSource), new Date()));
  });
  routes.post('/field-log', ...readLargeJson, async (request, response) => {
    const failed = (error: unknown) => log.error({ error }, 'an event of the field log could not be kept');
    response.json(await keepFieldBatch(scopeOf(request, dataSource), parseBody(FieldBatchSent, request), new Date(), failed));
  });
  routes.get('/field-sessions/:id', async (request, response) => {
    const asked = SessionAsked.safeParse(request.query);
    if (!asked.success) throw new Failure('bad-input', { errors: fieldErrors(asked.error) });
    const since = asked.data.since === undefined ? null : new Date(asked.data.since);
    response.json(await fieldSessionPage(scopeOf(request, dataSource), idOf(request), since));
  });
  routes.get('/dogs/:id/levels', signedIn, async (request, response) => {
    response.json(await levelsPage(scopeOf(request, dataSource), idOf(request), new Date()));
  });
  routes.get('/dogs/:id/presses', signedIn, async (request, response) => {
    const parsed = PressesAsked.safeParse(request.query);
    if (!parsed.success) throw new Failure('bad-input', { errors: fieldErrors(parsed.error) });
    response.json(await pressesOf(scopeOf(request, dataSource), idOf(request), parsed.data));
  });
  return routes;
}
