import {
  CALENDAR_OFFERS,
  dayOf,
  dayStartOf,
  HANDS_AT_ONCE,
  placedSession,
  scheduleDays,
  stageAt,
  UNDER_WAY,
  type CalendarAsked,
  type CalendarChange,
  type CalendarChanged,
  type CalendarPage,
  type PlannedSession,
  type PlannedSessionFacts,
} from '@banter/contract';
import { sessionClash, timeOfDay, HOUR_MS } from '@banter/core';
import { group } from 'd3-array';
import { isDeepStrictEqual } from 'node:util';
import { Between, In } from 'typeorm';
import { HoursEntity, PlannedSessionEntity, type PlannedSessionRow } from '../data/entities/calendar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { ProgrammeEntity, StageMoveEntity, type ProgrammeRow } from '../data/entities/programme.ts';
import { writeDeed } from '../records/deeds.ts';
import { badField, Failure } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { handsOf, hoursKind } from './hours.ts';
import { heldAnswer } from './field-sessions.ts';

const answer = ({ kennelId: _kennel, ...row }: PlannedSessionRow): PlannedSession => row;

/** Everything a change names must be of this kennel, and a stage of its dog's programme. */
async function admit(
  scope: KennelScope,
  sessions: CalendarChange['sessions'],
): Promise<{ dogs: Map<string, string>; people: Map<string, string>; left: ReadonlySet<string> }> {
  const ids = (of: (facts: PlannedSessionFacts) => string | null) => [...new Set(sessions.map(({ facts }) => of(facts)).filter((id) => id !== null))];
  const dogs = new Map(
    (
      await scope.someOf(
        DogEntity,
        ids(({ dogId }) => dogId),
      )
    ).map(({ id, name }) => [id, name]),
  );
  const hands = await scope.someOf(
    PersonEntity,
    ids(({ personId }) => personId),
  );
  const people = new Map(hands.map(({ id, name }) => [id, name]));
  const programmes = new Map(
    (
      await scope.someOf(
        ProgrammeEntity,
        ids(({ programmeId }) => programmeId),
      )
    ).map((row) => [row.id, row]),
  );
  sessions.forEach(({ facts, version }, index) => {
    const at = `sessions[${index}].facts`;
    if (!dogs.has(facts.dogId)) throw badField(`${at}.dogId`, 'There is no such dog in this kennel.');
    if (!people.has(facts.personId)) throw badField(`${at}.personId`, 'There is nobody of this id in this kennel.');
    if (facts.programmeId === null) return;
    const programme = programmes.get(facts.programmeId);
    if (programme?.dogId !== facts.dogId) throw badField(`${at}.programmeId`, 'This is no programme of this dog.');
    // What was planned before its stage was taken out may still be moved and dropped.
    if (version === null && facts.stageId !== null && !programme.stages.some(({ id }) => id === facts.stageId))
      throw badField(`${at}.stageId`, 'This programme has no such stage.');
  });
  return { dogs, people, left: new Set(hands.flatMap(({ id, leftAt }) => (leftAt === null ? [] : [id]))) };
}

/**
 * Plans, moves and drops sessions together, or not at all. A dog and a pair of hands are in one place at a time; what lies before
 * today stays as it was planned. The same change again is the same change.
 */
export async function changeCalendar(scope: KennelScope, { sessions }: CalendarChange, now: Date): Promise<CalendarChanged> {
  const { timeZone } = await kennelOf(scope);
  const today = dayOf(now.getTime(), timeZone);
  return await scope.inOneAsItStands(async (within) => {
    // One change at a time: each sees what the one before it left.
    await within.holdKennel();
    const names = await admit(within, sessions);
    const ids = sessions.map(({ id }) => id);
    const before = new Map((await within.someOf(PlannedSessionEntity, ids)).map((row) => [row.id, row]));
    const changed: PlannedSessionRow[] = [];
    sessions.forEach(({ id, version, facts }, index) => {
      const row = before.get(id);
      if (row && isDeepStrictEqual({ ...answer(row), ...facts }, answer(row))) return;
      if ((row?.version ?? null) !== version) throw row ? new Failure('newer-version', { current: answer(row) }) : new Failure('not-found');
      const at = `sessions[${index}].facts`;
      if (facts.day < today || (row && row.day < today)) throw badField(`${at}.day`, 'That day is over; what happened then is told in the field log.');
      if (row && row.dogId !== facts.dogId) throw badField(`${at}.dogId`, 'A planned session stays with its dog.');
      // What was planned for them before they left may still be moved and dropped.
      if (facts.state === 'planned' && names.left.has(facts.personId) && row?.personId !== facts.personId)
        throw badField(`${at}.personId`, `${names.people.get(facts.personId)} has left this kennel. Plan it with somebody else.`);
      changed.push({ ...facts, id, kennelId: within.kennelId, version: (version ?? 0) + 1 });
    });
    const days = [...new Set(changed.map(({ day }) => day))].sort();
    const own = new Set(ids);
    const standing = days.length === 0 ? [] : await within.all(PlannedSessionEntity, { day: In(days), state: 'planned' }, { day: 'ASC', id: 'ASC' });
    const placed = [...standing.filter(({ id }) => !own.has(id)), ...sessions.map(({ id, facts }) => ({ ...facts, id, version: 0 }))].filter(
      ({ state }) => state === 'planned',
    );
    const byDay = group(
      placed.map((one) => placedSession(one, days)),
      ({ day }) => day,
    );
    for (const one of changed.filter(({ state }) => state === 'planned')) {
      const placedOne = placedSession(one, days);
      for (const other of byDay.get(placedOne.day) ?? []) {
        const clash = other.id === one.id ? null : sessionClash(placedOne, other, 0);
        if (clash !== 'dog' && clash !== 'hands') continue;
        const who = clash === 'dog' ? names.dogs.get(one.dogId) : names.people.get(one.personId);
        throw badField(`sessions[${ids.indexOf(one.id)}].facts.from`, `${who} has another session at ${timeOfDay(other.from)} on ${one.day}.`);
      }
    }
    await within.putMany(PlannedSessionEntity, changed);
    const about = { count: changed.length };
    if (changed.length > 0) await writeDeed(within, { act: 'changed', kind: 'plannedSession', dogId: changed.length === 1 ? changed[0]!.dogId : null, about });
    const kept = new Map((await within.someOf(PlannedSessionEntity, ids)).map((row) => [row.id, row]));
    return { sessions: ids.map((id) => answer(kept.get(id)!)) };
  });
}

/** From when until when days of the kennel may last, two changes of the clock among them. */
const instantsOf = (days: readonly string[], timeZone: string): [from: Date, to: Date] => [
  new Date(dayStartOf(days[0]!, timeZone)),
  new Date(dayStartOf(days.at(-1)!, timeZone) + 26 * HOUR_MS),
];

/** Sessions that began on some days of the kennel, `YYYY-MM-DD`; of all dogs, or of these. */
async function heldOn(scope: KennelScope, days: readonly string[], timeZone: string, dogIds?: readonly string[]): Promise<CalendarPage['held']> {
  const held = await scope.all(
    FieldSessionEntity,
    { ...(dogIds ? { dogId: In([...dogIds]) } : {}), begunAt: Between(...instantsOf(days, timeZone)) },
    { begunAt: 'ASC' },
  );
  return held.filter(({ begunAt }) => days.includes(dayOf(begunAt.getTime(), timeZone))).map(heldAnswer);
}

/** What is planned and held of some dogs on a day of the kennel, and what each planned session is for, by its id: the stage of a programme that runs. */
export async function dayPlanned(
  scope: KennelScope,
  day: string,
  dogIds: readonly string[],
): Promise<Pick<CalendarPage, 'sessions' | 'held' | 'people'> & { stageNames: Record<string, string> }> {
  const { timeZone } = await kennelOf(scope);
  const rows = await scope.all(PlannedSessionEntity, { day, state: 'planned', dogId: In([...dogIds]) }, { from: 'ASC', id: 'ASC' });
  const programmes = await scope.someOf(ProgrammeEntity, [...new Set(rows.flatMap(({ programmeId }) => programmeId ?? []))]);
  const stages = new Map(programmes.filter(({ state }) => state === 'running').map((row) => [row.id, row.stages]));
  return {
    sessions: rows.map(answer),
    held: rows.length === 0 ? [] : await heldOn(scope, [day], timeZone, [...new Set(rows.map(({ dogId }) => dogId))]),
    people: await handsOf(scope),
    stageNames: Object.fromEntries(
      rows.flatMap(({ id, programmeId, stageId }) => {
        const stage = programmeId === null ? undefined : stages.get(programmeId)?.find((one) => one.id === stageId);
        return stage ? [[id, stage.name]] : [];
      }),
    ),
  };
}

/** How many sessions of dogs that are here are planned on a day of the kennel, and how many were held on it. */
export async function dayCounts(scope: KennelScope, day: string): Promise<{ planned: number; held: number }> {
  const { timeZone } = await kennelOf(scope);
  const [from, to] = instantsOf([day], timeZone);
  const [[planned], begun] = await Promise.all([
    scope.raw<{ count: string }>(
      `SELECT COUNT(*) AS count FROM planned_sessions planned
         JOIN dogs ON dogs.kennelId = planned.kennelId AND dogs.id = planned.dogId AND dogs.archivedAt IS NULL
        WHERE planned.kennelId = :kennelId AND planned.day = :day AND planned.state = 'planned'`,
      { day },
    ),
    scope.raw<{ begunAt: Date }>('SELECT begunAt FROM field_sessions WHERE kennelId = :kennelId AND begunAt BETWEEN :from AND :to', { from, to }),
  ]);
  return { planned: Number(planned!.count), held: begun.filter(({ begunAt }) => dayOf(begunAt.getTime(), timeZone) === day).length };
}

/** Programmes with the stage that each dog is in. */
async function onCalendar(
  scope: KennelScope,
  rows: readonly ProgrammeRow[],
  { timeZone, now }: { timeZone: string; now: Date },
): Promise<CalendarPage['programmes']> {
  const moves = group(
    rows.length === 0 ? [] : await scope.all(StageMoveEntity, { programmeId: In(rows.map(({ id }) => id)) }, { at: 'ASC', id: 'ASC' }),
    ({ programmeId }) => programmeId,
  );
  return rows.map((row) => {
    const own = (moves.get(row.id) ?? []).map(({ toStage, at }) => ({ toStage, at: at.toISOString() }));
    const { stage } = stageAt(row, own, { startedAt: dayStartOf(row.startsOn, timeZone), now: now.getTime() });
    const { id, dogId, name, templateId, state, startsOn } = row;
    const { minutes, sessionsPerDay, everyDays, onAround } = stage;
    return {
      ...{ id, dogId, name, templateId, state, startsOn },
      stage: { id: stage.id, name: stage.name, minutes, sessionsPerDay, everyDays, onAround },
      stageNames: Object.fromEntries(row.stages.map((one) => [one.id, one.name])),
    };
  });
}

/** So many are shown of those for whom most is planned, where nobody said whose. */
const HANDS_FIRST = 3;

/** Who handles now, and who has left while something was planned for them in these days: it is to be handed on. */
async function handsWithin(scope: KennelScope, days: readonly string[]): Promise<{ id: string; name: string; left: boolean }[]> {
  const all = await handsOf(scope);
  const left = all.flatMap((one) => (one.left ? [one.id] : []));
  if (left.length === 0) return all;
  const planned = await scope.all(PlannedSessionEntity, { personId: In(left), day: Between(days[0]!, days.at(-1)!), state: 'planned' }, { id: 'ASC' });
  const wanted = new Set(planned.map(({ personId }) => personId));
  return all.filter((one) => !one.left || wanted.has(one.id));
}

/**
 * Whose calendar is shown: everybody's where these are few; else those who are asked for, else those who work with the dog that is, else one's own where
 * anything is planned for one, else of those for whom most is.
 */
async function handsShown(scope: KennelScope, { hands, dog }: CalendarAsked, people: readonly { id: string }[], days: readonly string[]): Promise<string[]> {
  const known = new Set(people.map(({ id }) => id));
  if (known.size <= HANDS_AT_ONCE) return [...known];
  const asked = (hands ?? '').split(',').filter((id) => known.has(id));
  if (asked.length > 0) return [...new Set(asked)];
  /** Those for whom most is planned first, by a key. */
  const busiest = async (key: string, whose: string, value: string) => {
    const rows = await scope.raw<{ personId: string }>(
      `SELECT personId, COUNT(*) AS count FROM planned_sessions FORCE INDEX (${key})
        WHERE kennelId = :kennelId AND day BETWEEN :from AND :to AND state = 'planned' ${whose}
        GROUP BY personId ORDER BY count DESC, personId`,
      { from: days[0]!, to: days.at(-1)!, value },
    );
    return rows.map(({ personId }) => personId).filter((id) => known.has(id));
  };
  const shown = (working: readonly string[], most: number) => [...new Set([...working, ...known])].slice(0, most);
  if (dog) return shown(await busiest('ofDogs', 'AND dogId = :value', dog), HANDS_AT_ONCE);
  const own = await busiest('ofHands', 'AND personId = :value', scope.personId);
  return own.length > 0 ? own : shown(await busiest('ofDay', '', ''), HANDS_FIRST);
}

/** Programmes that run with nothing planned from a day on: the latest begun, and how many more. */
async function unplanned(scope: KennelScope, today: string): Promise<{ ids: string[]; more: number }> {
  const rows = await scope.raw<{ id: string }>(
    `SELECT own.id FROM programmes own JOIN dogs ON dogs.kennelId = own.kennelId AND dogs.id = own.dogId AND dogs.archivedAt IS NULL
      WHERE own.kennelId = :kennelId AND own.state = 'running' AND COALESCE((
        -- Looked up for each by its key; asked for as «not exists» they would all be read first.
        SELECT 1 FROM planned_sessions planned
         WHERE planned.kennelId = own.kennelId AND planned.programmeId = own.id AND planned.state = 'planned' AND planned.day >= :today LIMIT 1), 0) = 0
      ORDER BY own.startsOn DESC, own.id`,
    { today },
  );
  return { ids: rows.slice(0, CALENDAR_OFFERS).map(({ id }) => id), more: Math.max(0, rows.length - CALENDAR_OFFERS) };
}

/** What the kennel's calendar shows of a span of days. */
export async function calendarPage(scope: KennelScope, asked: CalendarAsked, now: Date): Promise<CalendarPage> {
  const days = scheduleDays(asked);
  const { timeZone } = await kennelOf(scope);
  const people = await handsWithin(scope, days);
  const hands = await handsShown(scope, asked, people, days);
  const planned = (more: object) =>
    scope.all(PlannedSessionEntity, { day: Between(days[0]!, days.at(-1)!), state: 'planned', ...more }, { day: 'ASC', from: 'ASC', id: 'ASC' });
  const isEverybody = hands.length === people.length;
  const own = await planned(isEverybody ? {} : { personId: In(hands) });
  const onIt = [...new Set([...own.map(({ dogId }) => dogId), ...(asked.dog ? [asked.dog] : [])])];
  // What others do with the same dogs is in the way as well.
  const sessions = isEverybody || onIt.length === 0 ? own : await planned({ dogId: In(onIt) });
  const { ids, more: moreUnplanned } = await unplanned(scope, dayOf(now.getTime(), timeZone));
  const running = { state: In([...UNDER_WAY]) };
  const programmes = new Map(
    [
      ...(onIt.length === 0 ? [] : await scope.all(ProgrammeEntity, { dogId: In(onIt), ...running }, { startsOn: 'ASC', id: 'ASC' })),
      ...(await scope.someOf(ProgrammeEntity, ids)),
    ].map((row) => [row.id, row]),
  );
  const rows = [...programmes.values()].sort((a, b) => (a.startsOn < b.startsOn ? -1 : a.startsOn > b.startsOn ? 1 : a.id < b.id ? -1 : 1));
  const named = [...new Set([...onIt, ...rows.map(({ dogId }) => dogId)])];
  const dogs = await scope.someOf(DogEntity, named);
  const [here] = await scope.raw<{ count: string }>('SELECT COUNT(*) AS count FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL');
  const offered = await scope.raw<{ id: string; name: string }>(
    `SELECT id, name FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL ORDER BY name, id LIMIT ${CALENDAR_OFFERS}`,
  );
  const all = new Map([...dogs, ...offered].map(({ id, name }) => [id, { id, name }]));
  return {
    from: asked.from,
    days: asked.days,
    people,
    hands,
    hours: (await scope.all(HoursEntity, {}, { id: 'ASC' })).map(hoursKind.toAnswer).filter(({ personId }) => personId === null || hands.includes(personId)),
    dogs: [...all.values()].sort((a, b) => a.name.localeCompare(b.name)),
    moreDogs: Math.max(0, Number(here!.count) - new Set([...dogs.filter(({ archivedAt }) => archivedAt === null), ...offered].map(({ id }) => id)).size),
    programmes: await onCalendar(scope, rows, { timeZone, now }),
    moreUnplanned,
    sessions: sessions.map(answer),
    held: onIt.length === 0 ? [] : await heldOn(scope, days, timeZone, onIt),
  };
}
