import { CalendarAsked, DogCardsAsked, DogRecordAsked, DogsAsked, FindAsked, LockerAsked, UpkeepAsked, CalendarChange } from '@banter/contract';
import { Router } from 'express';
import type { DataSource } from 'typeorm';
import { bridgeKind } from '../services/bridges.ts';
import { calendarPage, changeCalendar } from '../services/calendar.ts';
import { classPage } from '../services/class-page.ts';
import { collarKindOfRecord } from '../services/collars.ts';
import { dogCards, dogList } from '../services/dog-lists.ts';
import { dogRecord } from '../services/dog-record.ts';
import { dogPage, growthPage, kennelBench } from '../services/dog-pages.ts';
import { found } from '../services/found.ts';
import { drillsPage } from '../services/drills.ts';
import { upkeepPage } from '../services/upkeep.ts';
import { templatesPage } from '../services/kennel-templates.ts';
import { lockerPage } from '../services/locker-page.ts';
import { neckPage } from '../services/neck-page.ts';
import { wearingPage } from '../services/wearing.ts';
import { placeKind } from '../services/places.ts';
import { programmesPage } from '../services/programmes-page.ts';
import { goesOn, idOf, parseBody, parseQuery, readLargeJson } from './read-request.ts';
import { keptRoutes } from './kept-routes.ts';
import { scopeOf } from './scope-of.ts';

/** Everything that a kennel keeps. */
export function recordRoutes(dataSource: DataSource): Router {
  const routes = Router();

  routes.get('/dogs', async (request, response) => {
    const page = await dogList(scopeOf(request, dataSource), new Date(), parseQuery(DogsAsked, request));
    goesOn(request, response, page.next);
    response.json(page);
  });
  routes.get('/dog-cards', async (request, response) => {
    const page = await dogCards(scopeOf(request, dataSource), parseQuery(DogCardsAsked, request));
    goesOn(request, response, page.next);
    response.json(page);
  });
  routes.get('/found', async (request, response) => {
    response.json(await found(scopeOf(request, dataSource), parseQuery(FindAsked, request)));
  });
  routes.get('/bench', async (request, response) => {
    response.json(await kennelBench(scopeOf(request, dataSource)));
  });
  routes.get('/dogs/:id/page', async (request, response) => {
    response.json(await dogPage(scopeOf(request, dataSource), idOf(request)));
  });
  routes.get('/dogs/:id/bench', async (request, response) => {
    response.json(await dogPage(scopeOf(request, dataSource), idOf(request), { stock: 'all' }));
  });
  routes.get('/dogs/:id/neck', async (request, response) => {
    response.json(await neckPage(scopeOf(request, dataSource), idOf(request), new Date()));
  });
  routes.get('/dogs/:id/record', async (request, response) => {
    const page = await dogRecord(scopeOf(request, dataSource), idOf(request), parseQuery(DogRecordAsked, request));
    goesOn(request, response, page.next);
    response.json(page);
  });
  routes.get('/dogs/:id/growth', async (request, response) => {
    response.json(await growthPage(scopeOf(request, dataSource), idOf(request)));
  });
  routes.get('/dogs/:id/programmes', async (request, response) => {
    response.json(await programmesPage(scopeOf(request, dataSource), idOf(request), new Date()));
  });
  routes.get('/wearing', async (request, response) => {
    response.json(await wearingPage(scopeOf(request, dataSource), new Date()));
  });
  routes.get('/bridges', async (request, response) => {
    const rows = await scopeOf(request, dataSource).all(bridgeKind.entity, {}, { name: 'ASC', id: 'ASC' });
    response.json({ bridges: rows.map(bridgeKind.toAnswer) });
  });
  routes.get('/collars', async (request, response) => {
    const rows = await scopeOf(request, dataSource).all(collarKindOfRecord.entity, {}, { name: 'ASC', id: 'ASC' });
    response.json({ collars: rows.map(collarKindOfRecord.toAnswer) });
  });
  routes.get('/class', async (request, response) => {
    response.json(await classPage(scopeOf(request, dataSource), new Date()));
  });
  routes.get('/upkeep', async (request, response) => {
    const page = await upkeepPage(scopeOf(request, dataSource), new Date(), parseQuery(UpkeepAsked, request));
    goesOn(request, response, page.next);
    response.json(page);
  });
  routes.get('/locker', async (request, response) => {
    response.json(await lockerPage(scopeOf(request, dataSource), new Date(), parseQuery(LockerAsked, request)));
  });
  routes.get('/places', async (request, response) => {
    const rows = await scopeOf(request, dataSource).all(placeKind.entity, {}, { name: 'ASC', id: 'ASC' });
    response.json({ places: rows.map(placeKind.toAnswer) });
  });
  routes.get('/drills', async (request, response) => {
    response.json(await drillsPage(scopeOf(request, dataSource), new Date()));
  });
  routes.get('/kennel-templates', async (request, response) => {
    response.json(await templatesPage(scopeOf(request, dataSource)));
  });
  routes.get('/calendar', async (request, response) => {
    response.json(await calendarPage(scopeOf(request, dataSource), parseQuery(CalendarAsked, request), new Date()));
  });
  routes.post('/calendar-changes', ...readLargeJson, async (request, response) => {
    response.json(await changeCalendar(scopeOf(request, dataSource), parseBody(CalendarChange, request), new Date()));
  });
  keptRoutes(routes, dataSource);
  return routes;
}
