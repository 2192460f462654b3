import {
  BridgeFacts,
  CalendarAsked,
  DogCardsAsked,
  DogsAsked,
  UpkeepAsked,
  CalendarChange,
  CollarFacts,
  DogFacts,
  DressingFacts,
  GearFacts,
  HoursFacts,
  KennelTemplateFacts,
  NewDrill,
  NewEnding,
  NewFitCheck,
  NewInspection,
  NewLevelCap,
  NewLift,
  NewLinkMove,
  NewPlan,
  NewScreening,
  NewSkinLook,
  NewStageMove,
  NewStageResult,
  NewTaping,
  NewWeighing,
  PlaceFacts,
  ProgrammeFacts,
  WantFacts,
  type z,
} from '@banter/contract';
import { Router } from 'express';
import type { DataSource } from 'typeorm';
import { bridgeKind } from '../services/bridges.ts';
import { calendarPage, changeCalendar } from '../services/calendar.ts';
import { classPage } from '../services/class-page.ts';
import { collarKindOfRecord } from '../services/collars.ts';
import { dogCards, dogList } from '../services/dog-lists.ts';
import { dogPage, growthPage } from '../services/dog-pages.ts';
import { dogKind } from '../services/dogs.ts';
import { dressingKind } from '../services/dressings.ts';
import { drillKind, drillsPage } from '../services/drills.ts';
import { endingKind } from '../services/endings.ts';
import { fitCheckKind } from '../services/fit-checks.ts';
import { gearKind, wantKind } from '../services/gear.ts';
import { hoursKind } from '../services/hours.ts';
import { inspectionKind } from '../services/inspections.ts';
import { upkeepPage } from '../services/upkeep.ts';
import { kennelTemplateKind, templatesPage } from '../services/kennel-templates.ts';
import { levelCapKind } from '../services/levels.ts';
import { linkMoveKind } from '../services/links.ts';
import { lockerPage } from '../services/locker-page.ts';
import { neckPage } from '../services/neck-page.ts';
import { wearingPage } from '../services/wearing.ts';
import { placeKind } from '../services/places.ts';
import { planKind } from '../services/plans.ts';
import { programmeKind, stageMoveKind, stageResultKind } from '../services/programmes.ts';
import { programmesPage } from '../services/programmes-page.ts';
import type { AppendedKind, VersionedKind } from '../services/record-base.ts';
import { liftKind, screeningKind } from '../services/screenings.ts';
import { skinLookKind } from '../services/skin-looks.ts';
import { tapingKind } from '../services/tapings.ts';
import { weighingKind } from '../services/weighings.ts';
import { appendedRoutes } from './appended-routes.ts';
import { goesOn, idOf, parseBody, parseQuery, readLargeJson } from './read-request.ts';
import { scopeOf } from './scope-of.ts';
import { versionedRoutes } from './versioned-routes.ts';

/** Everything that a kennel keeps. */
export function recordRoutes(dataSource: DataSource): Router {
  const routes = Router();

  const versioned = <Row extends { id: string; kennelId: string; version: number }, Facts extends object, Answer extends { version: number }>(
    path: string,
    schema: z.ZodType<Facts>,
    kind: VersionedKind<Row, Facts, Answer>,
  ) => versionedRoutes(routes, dataSource, path, schema, kind);
  const appended = <Row extends { id: string; kennelId: string }, New extends object, Answer>(
    path: string,
    schema: z.ZodType<New>,
    kind: AppendedKind<Row, New, Answer>,
  ) => appendedRoutes(routes, dataSource, path, schema, kind);

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
  routes.get('/dogs/:id/page', async (request, response) => {
    response.json(await dogPage(scopeOf(request, dataSource), idOf(request)));
  });
  routes.get('/dogs/:id/bench', async (request, response) => {
    response.json(await dogPage(scopeOf(request, dataSource), idOf(request), 'all'));
  });
  routes.get('/dogs/:id/neck', async (request, response) => {
    response.json(await neckPage(scopeOf(request, dataSource), idOf(request), new Date()));
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
    response.json(await lockerPage(scopeOf(request, dataSource), new Date()));
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
    response.json(await calendarPage(scopeOf(request, dataSource), parseQuery(CalendarAsked, request)));
  });
  routes.post('/calendar-changes', ...readLargeJson, async (request, response) => {
    response.json(await changeCalendar(scopeOf(request, dataSource), parseBody(CalendarChange, request), new Date()));
  });
  appended('drills', NewDrill, drillKind);
  versioned('hours', HoursFacts, hoursKind);
  versioned('kennel-templates', KennelTemplateFacts, kennelTemplateKind);
  versioned('dogs', DogFacts, dogKind);
  versioned('collars', CollarFacts, collarKindOfRecord);
  appended('tapings', NewTaping, tapingKind);
  appended('weighings', NewWeighing, weighingKind);
  appended('inspections', NewInspection, inspectionKind);
  versioned('places', PlaceFacts, placeKind);
  versioned('gear', GearFacts, gearKind);
  versioned('wants', WantFacts, wantKind);
  appended('screenings', NewScreening, screeningKind);
  appended('lifts', NewLift, liftKind);
  appended('link-moves', NewLinkMove, linkMoveKind);
  appended('plans', NewPlan, planKind);
  appended('fit-checks', NewFitCheck, fitCheckKind);
  appended('endings', NewEnding, endingKind);
  versioned('dressings', DressingFacts, dressingKind);
  versioned('bridges', BridgeFacts, bridgeKind);
  appended('skin-looks', NewSkinLook, skinLookKind);
  versioned('programmes', ProgrammeFacts, programmeKind);
  appended('stage-results', NewStageResult, stageResultKind);
  appended('stage-moves', NewStageMove, stageMoveKind);
  appended('level-caps', NewLevelCap, levelCapKind);
  return routes;
}
