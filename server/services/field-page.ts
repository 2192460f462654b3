import { dayOf, settingsOf, type FieldDog, type FieldPage, type Kennel } from '@banter/contract';
import { DAY_MS, HOUR_MS } from '@banter/core';
import { IsNull, MoreThanOrEqual } from 'typeorm';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { FIELD_STANDING } from '../standings/field-standing.ts';
import { bringUpToDate, standingsOf } from '../standings/kept-standings.ts';
import { WEAR_STANDING } from '../standings/wear-standing.ts';
import { sessionAnswers } from './field-sessions.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { likePart } from './list-page.ts';

const OPEN_DAYS = 14;
const RECENT_HOURS = 12;

/** Dogs as a phone needs them in the field, in this order; one that was put away is left out. */
async function fieldDogs(scope: KennelScope, now: Date, kennel: Kennel, ids: readonly string[]): Promise<FieldDog[]> {
  const kept = await standingsOf(scope, FIELD_STANDING, ids, kennel, now);
  return ids.flatMap((id) => kept.get(id) ?? []);
}

/** So many dogs are offered at most. */
const MOST_OFFERED = 40;
/** Of so many sessions, the latest, the dogs are those that worked last. */
const LAST_SESSIONS = 120;

/** Whom the field log offers: those planned today, those that wear something, those that worked last, the others by name; and whoever is wanted. */
async function offered(scope: KennelScope, now: Date, kennel: Kennel, wanted: readonly string[]) {
  const named = await scope.raw<{ id: string }>(
    `SELECT id FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL ORDER BY name, id LIMIT ${MOST_OFFERED}`,
  );
  await bringUpToDate(scope, [WEAR_STANDING], kennel, now);
  const [[count], planned, worn, worked] = await Promise.all([
    scope.raw<{ here: string }>('SELECT COUNT(*) AS here FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL'),
    scope.raw<{ dogId: string }>("SELECT dogId FROM planned_sessions WHERE kennelId = :kennelId AND day = :today AND state = 'planned' ORDER BY beginsAt, id", {
      today: dayOf(now.getTime(), kennel.timeZone),
    }),
    scope.raw<{ dogId: string }>(
      "SELECT subjectId AS dogId FROM standings WHERE kennelId = :kennelId AND kind = 'wear' AND `rank` = 0 ORDER BY sortAt, subjectId",
    ),
    scope.raw<{ dogId: string; setting: string | null }>(
      `SELECT dogId, JSON_VALUE(settings, '$[last]') AS setting FROM field_sessions WHERE kennelId = :kennelId ORDER BY begunAt DESC LIMIT ${LAST_SESSIONS}`,
    ),
  ]);
  const first = [...new Set([...[...planned, ...worn, ...worked].map(({ dogId }) => dogId), ...named.map(({ id }) => id)])].slice(0, MOST_OFFERED);
  // The latest comes first, and is the one that stands.
  const lastSettings = Object.fromEntries(worked.flatMap(({ dogId, setting }) => (setting === null ? [] : [[dogId, setting] as const])).toReversed());
  return { ids: [...new Set([...first, ...wanted])], here: Number(count!.here), lastSettings };
}

/** All that a phone needs to log in the field: dogs with their devices and what is known of these, people, settings, open sessions. */
export async function fieldPage(scope: KennelScope, now: Date, wanted: readonly string[] = []): Promise<FieldPage> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const [people, open, recent] = await Promise.all([
    scope.all(PersonEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.all(FieldSessionEntity, { endedAt: IsNull(), begunAt: MoreThanOrEqual(new Date(now.getTime() - OPEN_DAYS * DAY_MS)) }, { begunAt: 'ASC' }),
    scope.all(FieldSessionEntity, { lastAt: MoreThanOrEqual(new Date(now.getTime() - RECENT_HOURS * HOUR_MS)) }, { begunAt: 'ASC' }),
  ]);
  // Whoever is at work is there, however many others are.
  const { ids, here, lastSettings } = await offered(scope, now, kennel, [...new Set([...open.map(({ dogId }) => dogId), ...wanted])]);
  return {
    kennelId: kennel.id,
    asOf: now.toISOString(),
    dogs: await fieldDogs(scope, now, kennel, ids),
    here,
    handlers: people.map(({ id, name }) => ({ id, name })),
    settings: settingsOf(kennel).map(({ id, name }) => ({ id, name })),
    lastSettings,
    open: await sessionAnswers(scope, open),
    recent: await sessionAnswers(scope, recent),
  };
}

/** So many dogs are found by a name. */
const MOST_FOUND = 12;

/** Dogs by a part of their names, those that begin with it first, as the field log needs them. */
export async function fieldDogsCalled(scope: KennelScope, now: Date, search: string): Promise<FieldDog[]> {
  const text = search.trim();
  if (text === '') return [];
  const rows = await scope.raw<{ id: string }>(
    `SELECT id FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL AND name LIKE :part ORDER BY name NOT LIKE :begins, name, id LIMIT ${MOST_FOUND}`,
    { part: likePart(text), begins: likePart(text).slice(1) },
  );
  const kennel = kennelAnswer(await kennelOf(scope));
  return await fieldDogs(
    scope,
    now,
    kennel,
    rows.map(({ id }) => id),
  );
}
