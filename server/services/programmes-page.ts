import { dayOf, isUnderWay, wearAndDeviceEvents, type DogPage, type PlannedSession, type ProgrammesPage } from '@banter/contract';
import { wearsOf, DAY_MS } from '@banter/core';
import { Between, In, MoreThanOrEqual } from 'typeorm';
import { PlannedSessionEntity } from '../data/entities/calendar.ts';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { dogPage } from './dog-pages.ts';
import { heldAnswer } from './field-sessions.ts';
import { happeningAsKept } from './happenings/kept-happenings.ts';
import { handsOf, hoursOf } from './hours.ts';
import { kennelTemplates } from './kennel-templates.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { keptAnswers } from '../records/kept.ts';
import { eventsSince } from './neck-page.ts';
import { programmeKind } from './programmes.ts';
import { standingResults } from './what-counts.ts';

/** A dog with its programmes, and what was told of those that are under way. */
export async function programmesPage(outer: KennelScope, dogId: string, now: Date): Promise<ProgrammesPage> {
  const scope = outer.reading();
  const page = await dogPage(scope, dogId);
  const rows = await scope.all(ProgrammeEntity, { dogId }, { startsOn: 'ASC', id: 'ASC' });
  // One that is over is judged no more.
  const ids = rows.filter(isUnderWay).map(({ id }) => id);
  const moves = ids.length === 0 ? [] : await scope.all(StageMoveEntity, { programmeId: In(ids) }, { at: 'ASC', id: 'ASC' });
  return {
    ...page,
    programmes: rows.map(programmeKind.toAnswer),
    results: await keptAnswers(scope, await standingResults(scope, ids)),
    moves: await keptAnswers(scope, moves),
    templates: await kennelTemplates(scope),
    sessions: await plannedOf(scope, dogId, now),
    kennelHours: await hoursOf(scope, scope.kennelId),
    people: await handsOf(scope),
    ...(await wornAndHeld(scope, page, now)),
  };
}

/** Days back and ahead of now whose planned sessions a dog's own page shows, and days back of what it wore. */
const PLANNED_DAYS = { back: 21, ahead: 35 };
const WORN_DAYS = 30;
async function plannedOf(scope: KennelScope, dogId: string, now: Date): Promise<PlannedSession[]> {
  const { timeZone } = await kennelOf(scope);
  const at = (days: number) => dayOf(now.getTime() + days * DAY_MS, timeZone);
  const day = Between(at(-PLANNED_DAYS.back), at(PLANNED_DAYS.ahead));
  const rows = await scope.all(PlannedSessionEntity, { dogId, day, state: 'planned' }, { day: 'ASC', from: 'ASC', id: 'ASC' });
  return rows.map(({ kennelId: _kennel, ...row }) => row);
}

/** What a dog wore, and when its sessions began, of late. */
async function wornAndHeld(scope: KennelScope, page: DogPage, now: Date): Promise<Pick<ProgrammesPage, 'wears' | 'held'>> {
  const since = new Date(now.getTime() - WORN_DAYS * DAY_MS);
  const events = await eventsSince(scope, page.dog.id, [...new Set(page.plans.map(({ collarId }) => collarId))], since);
  const held = await scope.all(FieldSessionEntity, { dogId: page.dog.id, begunAt: MoreThanOrEqual(since) }, { begunAt: 'ASC', id: 'ASC' });
  return {
    wears: wearsOf(wearAndDeviceEvents(events.map(happeningAsKept)).wear)
      .wears.filter(({ dogId }) => dogId === page.dog.id)
      .map(({ collarId, from, to }) => ({ collarId, from: new Date(from).toISOString(), to: to === null ? null : new Date(to).toISOString() })),
    held: held.map(heldAnswer),
  };
}
