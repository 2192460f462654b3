import { FieldAsked, PressesAsked, SessionAsked } from '@banter/contract';
import { Router } from 'express';
import type { DataSource } from 'typeorm';
import { fieldSessionPage } from '../services/field-sessions.ts';
import { fieldDogsCalled, fieldPage } from '../services/field-page.ts';
import { levelsPage, pressesOf } from '../services/levels.ts';
import { idOf, parseQuery } from './read-request.ts';
import { scopeOf } from './scope-of.ts';

/** The field log, and what its numbers say. */
export function fieldRoutes(dataSource: DataSource): Router {
  const routes = Router();
  routes.get('/field', async (request, response) => {
    response.json(await fieldPage(scopeOf(request, dataSource), new Date(), parseQuery(FieldAsked, request).dogs));
  });
  routes.get('/field/dogs', async (request, response) => {
    response.json({ dogs: await fieldDogsCalled(scopeOf(request, dataSource), new Date(), parseQuery(FieldAsked, request).search) });
  });
  routes.get('/field-sessions/:id', async (request, response) => {
    const asked = parseQuery(SessionAsked, request);
    const since = asked.since === undefined ? null : new Date(asked.since);
    response.json(await fieldSessionPage(scopeOf(request, dataSource), idOf(request), since));
  });
  routes.get('/dogs/:id/levels', async (request, response) => {
    response.json(await levelsPage(scopeOf(request, dataSource), idOf(request), new Date()));
  });
  routes.get('/dogs/:id/presses', async (request, response) => {
    const parsed = parseQuery(PressesAsked, request);
    response.json(await pressesOf(scopeOf(request, dataSource), idOf(request), parsed));
  });
  return routes;
}
