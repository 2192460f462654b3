import {
  dayOf,
  isDevice,
  COLLAR_KIND_NAMES,
  stagesPlanned,
  timeOn,
  todayItems,
  upkeepPieces,
  wornToday,
  type TodayFacts,
  type TodayPage,
} from '@banter/contract';
import { benchSpeaker, houseRules } from '@banter/core';
import { PlaceEntity } from '../data/entities/place.ts';
import { DAY_STANDING } from '../standings/day-standing.ts';
import { standingsOf } from '../standings/kept-standings.ts';
import { calendarPage } from './calendar.ts';
import { dogsPage } from './dog-pages.ts';
import { DEVICE_EVENT_MS, fieldPage } from './field-page.ts';
import { upkeepPage } from './inspections.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { wearingPage } from './neck-page.ts';
import { saidByOwners } from './owner-links.ts';
import { placeAnswer } from './places.ts';

const DEVICE_KINDS = COLLAR_KIND_NAMES.filter(isDevice);

/** Dogs whose devices told something of late: what is charged and what is to be moved is told of these and of those that wear something. */
async function withDevicesOfLate(scope: KennelScope, now: Date): Promise<string[]> {
  const rows = await scope.raw<{ dogId: string }>(
    `SELECT DISTINCT plans.dogId FROM events JOIN plans ON plans.kennelId = events.kennelId AND plans.collarId = events.collarId AND plans.kind IN (:kinds)
      WHERE events.kennelId = :kennelId AND events.at >= :since`,
    { kinds: DEVICE_KINDS, since: new Date(now.getTime() - DEVICE_EVENT_MS) },
  );
  return rows.map(({ dogId }) => dogId);
}

/** Everything that Today shows of a kennel at an instant. */
export async function todayPage(scope: KennelScope, now: Date): Promise<TodayPage> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const today = dayOf(now.getTime(), kennel.timeZone);
  const rules = houseRules(kennel.rules);
  const dogs = await scope.raw<{ id: string; name: string; bornOn: string | null }>(
    "SELECT id, name, DATE_FORMAT(bornOn, '%Y-%m-%d') AS bornOn FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL ORDER BY name, id",
  );
  const days = await standingsOf(
    scope,
    DAY_STANDING,
    dogs.map(({ id }) => id),
    kennel,
    now,
  );
  const worn = dogs.map((dog) => ({ dog, worn: days.get(dog.id)?.worn ?? [] }));
  const wearing = (await wearingPage(scope, now)).wearing;
  const here = new Set(dogs.map(({ id }) => id));
  const atWork = [...new Set([...wearing.map(({ dogId }) => dogId), ...(await withDevicesOfLate(scope, now))])].filter((id) => here.has(id));
  const [field, calendar, upkeep, places, owners] = await Promise.all([
    atWork.length === 0 ? { dogs: [] } : fieldPage(scope, now, { page: await dogsPage(scope, atWork) }),
    calendarPage(scope, { from: today, days: 1 }),
    upkeepPage(scope, now, worn),
    scope.all(PlaceEntity, {}, { name: 'ASC', id: 'ASC' }),
    saidByOwners(scope, now),
  ]);
  const planned = calendar.sessions.filter(({ dogId }) => here.has(dogId)).map((one) => ({ ...one, at: timeOn(one.day, one.from, kennel.timeZone) }));
  const held = calendar.held.map(({ id, dogId, begunAt }) => ({ id, dogId, at: Date.parse(begunAt) }));
  const stages = new Map(stagesPlanned(calendar, kennel, now.getTime()).map(({ programme }) => [programme.id, programme.stages]));
  const facts: TodayFacts = {
    kennel,
    today,
    now: now.getTime(),
    rules,
    speak: benchSpeaker(kennel.lengthUnit, kennel.massUnit),
    dues: dogs.flatMap(({ id }) => days.get(id)?.dues ?? []),
    dogs,
    wearing,
    field: field.dogs,
    planned,
    held,
    people: calendar.people,
    stageNames: Object.fromEntries(
      planned.flatMap(({ id, programmeId, stageId }) => {
        const stage = programmeId === null ? undefined : stages.get(programmeId)?.find((one) => one.id === stageId);
        return stage ? [[id, stage.name]] : [];
      }),
    ),
    pieces: upkeepPieces(upkeep, now.getTime(), rules),
    places: places.map(placeAnswer),
    owners,
  };
  return {
    asOf: now.toISOString(),
    day: today,
    items: todayItems(facts),
    wearing: wornToday(facts),
    sessions: { planned: planned.length, held: held.length },
  };
}
