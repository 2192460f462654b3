import type { TODAY_PART_NAMES } from '@banter/contract';
import {
  dayOf,
  inTodayOrder,
  timeOn,
  todayItems,
  todayPart,
  todayPlace,
  wornToday,
  type TodayFacts,
  type TodayItem,
  type TodayItems,
  type TodayPage,
} from '@banter/contract';
import { benchSpeaker, houseRules } from '@banter/core';
import { PlaceEntity } from '../data/entities/place.ts';
import { bringUpToDate } from '../standings/kept-standings.ts';
import { DAY_STANDING } from '../standings/day-standing.ts';
import { PIECE_STANDING } from '../standings/piece-standing.ts';
import { WEAR_STANDING } from '../standings/wear-standing.ts';
import { dayPlanned } from './calendar.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { cursorAfter, PAGE_ROWS, pageOf, placeOf } from './list-page.ts';
import { saidByOwners } from './owner-links.ts';
import { placeAnswer } from './places.ts';
import { gearDue } from './upkeep.ts';
import { wearingNow } from './wearing.ts';

/** What is due of a kennel beside what its dogs' standings make due: sessions by the clock, what owners said, gear as one line, and the law. */
async function dueOfKennel(scope: KennelScope, now: Date): Promise<{ items: TodayItem[]; sessions: TodayPage['sessions'] }> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const today = dayOf(now.getTime(), kennel.timeZone);
  await bringUpToDate(scope, [WEAR_STANDING, DAY_STANDING, PIECE_STANDING], kennel, now);
  const [calendar, places, owners, gear] = await Promise.all([
    dayPlanned(scope, today),
    scope.all(PlaceEntity, {}, { name: 'ASC', id: 'ASC' }),
    saidByOwners(scope, now),
    gearDue(scope, now),
  ]);
  const dogs = await scope.raw<{ id: string; name: string }>('SELECT id, name FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL AND id IN (:ids)', {
    ids: ['', ...calendar.sessions.map(({ dogId }) => dogId)],
  });
  const here = new Set(dogs.map(({ id }) => id));
  const planned = calendar.sessions.filter(({ dogId }) => here.has(dogId)).map((one) => ({ ...one, at: timeOn(one.day, one.from, kennel.timeZone) }));
  const held = calendar.held.map(({ id, dogId, begunAt }) => ({ id, dogId, at: Date.parse(begunAt) }));
  const facts: TodayFacts = {
    kennel,
    today,
    now: now.getTime(),
    rules: houseRules(kennel.rules),
    speak: benchSpeaker(kennel.lengthUnit, kennel.massUnit),
    dues: [],
    dogs,
    planned,
    held,
    people: calendar.people,
    stageNames: calendar.stageNames,
    gear,
    places: places.map(placeAnswer),
    owners,
  };
  return { items: todayItems(facts), sessions: { planned: planned.length, held: held.length } };
}

const IS_DUE = 'dues.kennelId = :kennelId AND dues.fromAt <= :now AND dues.toAt > :now';
/** What has no time comes first: an instant before all others. */
const NO_TIME = '1000-01-01 00:00:00.000';

/** A part of all that is due, in its order: what dogs make due is read as it is kept, what the kennel does is put among it. */
async function itemsAfter(scope: KennelScope, now: Date, ofKennel: readonly TodayItem[], after: string | undefined): Promise<TodayItems> {
  const place = placeOf<[place: number, at: string | null, id: string]>(scope, 'today', after);
  const [from, at, id] = place ?? [0, null, ''];
  const rows = await scope.raw<{ data: string }>(
    `SELECT dues.data FROM dues WHERE ${IS_DUE} AND dues.place >= :from
        ${place === null ? '' : `AND (dues.place > :from OR COALESCE(dues.at, '${NO_TIME}') > :at OR (COALESCE(dues.at, '${NO_TIME}') = :at AND dues.id > :id))`}
      ORDER BY dues.place, dues.at, dues.id LIMIT ${PAGE_ROWS + 1}`,
    { now, from, at: at === null ? NO_TIME : new Date(at), id },
  );
  const isAfter = (one: TodayItem) =>
    place === null || todayPlace(one) > from || (todayPlace(one) === from && ((one.at ?? '') > (at ?? '') || ((one.at ?? '') === (at ?? '') && one.id > id)));
  const all = [...rows.map(({ data }) => JSON.parse(data) as TodayItem), ...ofKennel.filter(isAfter)].sort(inTodayOrder);
  const { rows: items, last } = pageOf(all);
  return { items, next: last && cursorAfter(scope, 'today', [todayPlace(last), last.at, last.id]) };
}

/** More of what is due today, from where the list went on. */
export async function moreOfToday(scope: KennelScope, now: Date, after: string): Promise<TodayItems> {
  return await itemsAfter(scope, now, (await dueOfKennel(scope, now)).items, after);
}

/** What Today shows of a kennel at an instant: the first of what is due, and how much it is in all. */
export async function todayPage(scope: KennelScope, now: Date): Promise<TodayPage> {
  const { timeZone } = await kennelOf(scope);
  const { items: ofKennel, sessions } = await dueOfKennel(scope, now);
  const [first, rows, wearing] = await Promise.all([
    itemsAfter(scope, now, ofKennel, undefined),
    scope.raw<Pick<TodayItem, 'code' | 'tone'> & { count: string }>(`SELECT code, tone, COUNT(*) AS count FROM dues WHERE ${IS_DUE} GROUP BY code, tone`, {
      now,
    }),
    wearingNow(scope, now),
  ]);
  const counted = [...rows, ...ofKennel.map(({ code, tone }) => ({ code, tone, count: 1 }))];
  const count = (part: (typeof TODAY_PART_NAMES)[number]) => counted.reduce((sum, one) => sum + (todayPart(one) === part ? Number(one.count) : 0), 0);
  return {
    asOf: now.toISOString(),
    day: dayOf(now.getTime(), timeZone),
    ...first,
    counts: { first: count('first'), sessions: count('sessions'), dogs: count('dogs'), kept: count('kept') },
    wearing: wornToday(wearing),
    sessions,
  };
}
