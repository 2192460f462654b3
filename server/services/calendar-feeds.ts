import { dayOf, feedEntries, stagesPlanned, timeOn, type CalendarFeed, type CalendarFeedFacts, type CalendarFeedsPage } from '@banter/contract';
import { houseRules, DAY_MS } from '@banter/core';
import ical, { ICalCalendarMethod, ICalEventBusyStatus } from 'ical-generator';
import type { DataSource } from 'typeorm';
import { CalendarFeedEntity, type CalendarFeedRow } from '../data/entities/calendar-feed.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PlaceEntity } from '../data/entities/place.ts';
import { calendarPage } from './calendar.ts';
import { dogsPage } from './dog-pages.ts';
import { badField } from './failure.ts';
import { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { placeAnswer } from './places.ts';
import { piecesKeptUp } from './upkeep.ts';
import { wearingPage } from './wearing.ts';
import { keyedAnswer, keyedRowSeen } from './private-keys.ts';
import type { VersionedKind } from '../records/record-base.ts';
import { latestSkin, skinOfDogs } from './skin-standings.ts';
import { growthOf } from './growth-of.ts';

/** Calendars elsewhere are told of so many days back and so many to come. */
const BACK_DAYS = 20;
const SHOWN_DAYS = 62;

export const calendarFeedKind: VersionedKind<CalendarFeedRow, CalendarFeedFacts, CalendarFeed> = {
  entity: CalendarFeedEntity,
  toColumns: ({ revokedAt, ...facts }) => ({ ...facts, revokedAt: revokedAt === null ? null : new Date(revokedAt) }),
  toAnswer: keyedAnswer,
  admit: async ({ personId }, scope) => {
    if (personId !== null && !(await scope.find(PersonEntity, personId))) throw badField('personId', 'There is nobody of this id in this kennel.');
  },
};

export async function calendarFeedsPage(scope: KennelScope): Promise<CalendarFeedsPage> {
  const [feeds, people] = await Promise.all([
    scope.all(CalendarFeedEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.all(PersonEntity, {}, { name: 'ASC', id: 'ASC' }),
  ]);
  return { feeds: feeds.map(calendarFeedKind.toAnswer), people: people.map(({ id, name }) => ({ id, name })) };
}

/** The feed of a key with the scope it reads in, or null when there is none or it was taken back. */
export async function feedOfKey(dataSource: DataSource, key: string): Promise<{ feed: CalendarFeedRow; scope: KennelScope } | null> {
  const feed = await keyedRowSeen(dataSource, CalendarFeedEntity, key);
  return feed && { feed, scope: new KennelScope(dataSource, { kennelId: feed.kennelId, personId: feed.id, role: 'reader' }) };
}

/** The kennel's calendar as a file that other calendars read. Source: RFC 5545. */
export async function calendarFile(scope: KennelScope, personId: string | null, now: Date): Promise<string> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const rules = houseRules(kennel.rules);
  const from = dayOf(now.getTime() - BACK_DAYS * DAY_MS, kennel.timeZone);
  const all = await dogsPage(scope);
  const { dogs } = all;
  const looks = await latestSkin(scope, now);
  const [{ wearing }, calendar, pieces, places] = await Promise.all([
    wearingPage(scope, now),
    calendarPage(scope, { from, days: SHOWN_DAYS }, now),
    piecesKeptUp(scope, now),
    scope.all(PlaceEntity, {}, { name: 'ASC', id: 'ASC' }),
  ]);
  const cards = dogs.filter(({ dog }) => dog.archivedAt === null);
  const stages = stagesPlanned(calendar, kennel, now.getTime());
  const nameOf = (programmeId: string | null, stageId: string | null) =>
    stages.find(({ programme }) => programme.id === programmeId)?.programme.stageNames[stageId ?? ''];
  const { growth } = await growthOf(scope, cards, kennel, now);
  const entries = feedEntries({
    wearing,
    skins: skinOfDogs(
      looks,
      cards.map(({ dog }) => dog),
      kennel,
      now,
    ),
    growth,
    rules,
    places: places.map(placeAnswer),
    planned: calendar.sessions.map((one) => ({ ...one, at: timeOn(one.day, one.from, kennel.timeZone) })),
    stageNames: Object.fromEntries(
      calendar.sessions.flatMap(({ id, programmeId, stageId }) => {
        const name = nameOf(programmeId, stageId);
        return name === undefined ? [] : [[id, name] as const];
      }),
    ),
    dogNames: new Map(dogs.map(({ dog }) => [dog.id, dog.name])),
    people: calendar.people,
    pieces,
    dayOf: (at) => dayOf(at, kennel.timeZone),
    now: now.getTime(),
    personId,
  });
  const file = ical({ name: kennel.name, prodId: { company: 'Banter', product: 'Banter', language: 'EN' }, method: ICalCalendarMethod.PUBLISH, ttl: 15 * 60 });
  for (const entry of entries) {
    const { uid, sequence, summary, description } = entry;
    const when = 'day' in entry ? { start: new Date(`${entry.day}T00:00:00Z`), allDay: true } : { start: new Date(entry.begins), end: new Date(entry.ends) };
    // The stamp is of the day: the same calendar reads the same, so that one who asks often is told that nothing has changed.
    const stamp = new Date(`${dayOf(now.getTime(), 'UTC')}T00:00:00Z`);
    file.createEvent({
      id: `${uid}@${kennel.id}.banter`,
      sequence,
      summary,
      description,
      stamp,
      ...when,
      ...('day' in entry ? { busystatus: ICalEventBusyStatus.FREE } : {}),
    });
  }
  return file.toString();
}
