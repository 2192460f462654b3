import type { TODAY_PART_NAMES } from '@banter/contract';
import {
  dayOf,
  inTodayOrder,
  missedTogether,
  MISSED_NAMED,
  MISSED_SHOWN,
  todayItem,
  todayItems,
  todayPart,
  todayPlace,
  type TodayItem,
  type TodayItems,
  type TodayPage,
} from '@banter/contract';
import { benchSpeaker, houseRules } from '@banter/core';
import { IsNull } from 'typeorm';
import { PlaceEntity } from '../data/entities/place.ts';
import { bringUpToDate } from '../standings/kept-standings.ts';
import { DAY_STANDING } from '../standings/day-standing.ts';
import { PIECE_STANDING } from '../standings/piece-standing.ts';
import { WEAR_STANDING } from '../standings/wear-standing.ts';
import { dayCounts } from './calendar.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { cursorAfter, PAGE_ROWS, pageOf, placeOf } from './list-page.ts';
import { placeAnswer } from './places.ts';
import { gearDue } from './upkeep.ts';
import { wearingNow } from './wearing.ts';

const IS_DUE = 'dues.kennelId = :kennelId AND dues.fromAt <= :now AND dues.toAt > :now';
/** A due session that nobody logged, in `dues`: by its place, which has a key. */
const MISSED = `dues.place = ${todayPlace({ code: 'session-missed', tone: 'mind' })}`;

/** What is due of a kennel beside what its dogs' standings make due: sessions that nobody logged where they stand together, gear as one line, and the law. */
async function dueOfKennel(scope: KennelScope, now: Date): Promise<{ items: TodayItem[]; missed: number }> {
  const kennel = kennelAnswer(await kennelOf(scope));
  await bringUpToDate(scope, [WEAR_STANDING, DAY_STANDING, PIECE_STANDING], kennel, now);
  const [places, gear, [counted], first] = await Promise.all([
    scope.all(PlaceEntity, { retiredAt: IsNull() }, { name: 'ASC', id: 'ASC' }),
    gearDue(scope, now),
    scope.raw<{ missed: string }>(`SELECT COUNT(*) AS missed FROM dues WHERE ${IS_DUE} AND ${MISSED}`, { now }),
    scope.raw<{ data: string }>(`SELECT dues.data FROM dues WHERE ${IS_DUE} AND ${MISSED} ORDER BY dues.place, dues.at, dues.id LIMIT ${MISSED_NAMED}`, {
      now,
    }),
  ]);
  const facts = {
    kennel,
    today: dayOf(now.getTime(), kennel.timeZone),
    now: now.getTime(),
    rules: houseRules(kennel.rules),
    speak: benchSpeaker(kennel.lengthUnit, kennel.massUnit),
    dues: [],
    gear,
    places: places.map(placeAnswer),
  };
  const missed = Number(counted!.missed);
  const together =
    missed <= MISSED_SHOWN
      ? []
      : [todayItem(missedTogether({ count: missed, first: first.map(({ data }) => JSON.parse(data) as TodayItem) }, kennel.timeZone))];
  return { items: [...together, ...todayItems(facts)], missed };
}

/** What has no time comes first: an instant before all others. */
const NO_TIME = '1000-01-01 00:00:00.000';

/** A part of all that is due, in its order: what dogs make due is read as it is kept, what the kennel does is put among it. */
async function itemsAfter(
  scope: KennelScope,
  now: Date,
  { items: ofKennel, missed }: Awaited<ReturnType<typeof dueOfKennel>>,
  after: string | undefined,
): Promise<TodayItems> {
  const place = placeOf<[place: number, at: string | null, id: string]>(scope, 'today', after);
  const [from, at, id] = place ?? [0, null, ''];
  const rows = await scope.raw<{ data: string }>(
    `SELECT dues.data FROM dues WHERE ${IS_DUE} AND dues.place >= :from ${missed > MISSED_SHOWN ? `AND NOT ${MISSED}` : ''}
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
  return await itemsAfter(scope, now, await dueOfKennel(scope, now), after);
}

/** What Today shows of a kennel at an instant: the first of what is due, and how much it is in all. */
export async function todayPage(scope: KennelScope, now: Date): Promise<TodayPage> {
  const { timeZone } = await kennelOf(scope);
  const day = dayOf(now.getTime(), timeZone);
  const ofKennel = await dueOfKennel(scope, now);
  const [first, sessions, rows, wearing] = await Promise.all([
    itemsAfter(scope, now, ofKennel, undefined),
    dayCounts(scope, day),
    scope.raw<Pick<TodayItem, 'code' | 'tone'> & { count: string }>(`SELECT code, tone, COUNT(*) AS count FROM dues WHERE ${IS_DUE} GROUP BY code, tone`, {
      now,
    }),
    wearingNow(scope, now),
  ]);
  const together = ofKennel.missed > MISSED_SHOWN;
  const counted = [
    ...rows.filter(({ code }) => !(together && code === 'session-missed')),
    ...ofKennel.items.map(({ code, tone }) => ({ code, tone, count: 1 })),
  ];
  const count = (part: (typeof TODAY_PART_NAMES)[number]) => counted.reduce((sum, one) => sum + (todayPart(one) === part ? Number(one.count) : 0), 0);
  return {
    asOf: now.toISOString(),
    day,
    ...first,
    counts: { first: count('first'), sessions: count('sessions'), dogs: count('dogs'), kept: count('kept') },
    wearing,
    sessions,
  };
}
