import {
  DEVICE_HAPPENINGS,
  ElectronicNumbersShape,
  footprintOf,
  hasContacts,
  houseOf,
  latestGirths,
  fittingDog,
  dayOf,
  dayStartOf,
  stageAt,
  wearAndDeviceEvents,
  type FieldDevice,
  type FieldDog,
  type FieldPage,
  type Taping,
  isDevice,
  settingsOf,
  type DeviceStanding,
  type Kennel,
} from '@banter/contract';
import { deviceAt, HOME_SETTING, runBegins, skinAt, skinStanding, DAY_MS, HOUR_MS } from '@banter/core';
import { In, IsNull, MoreThanOrEqual } from 'typeorm';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { dogsPage, type DogsPage } from './dog-pages.ts';
import { likePart } from './list-page.ts';
import { sessionAnswers } from './field-sessions.ts';
import { happeningAsKept } from './happenings/kept-happenings.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { bringUpToDate, standingsOf } from '../standings/kept-standings.ts';
import { LEVELS_STANDING } from '../standings/levels-standing.ts';
import { DEVICE_EVENT_DAYS, WEAR_STANDING } from '../standings/wear-standing.ts';
import { latestSkin } from './skin-standings.ts';

const OPEN_DAYS = 14;
const RECENT_HOURS = 12;

const iso = (ms: number) => new Date(ms).toISOString();
/** What stands of a dog's device, by setting, as a phone keeps it. */
function levelsOnPhone({ settings, ...limits }: DeviceStanding, names: readonly { id: string }[]): Pick<FieldDevice, 'levels' | 'runBegins'> {
  const home = settings.find(({ id }) => id === HOME_SETTING) ?? null;
  return {
    levels: Object.fromEntries(
      settings.map(({ id, offered, lastNeeded, alarmAt, alarmFeltAt, reason }) => [
        id,
        {
          offered,
          lastNeeded: lastNeeded?.atEnd ?? null,
          alarm: reason.code === 'needs-more' && alarmFeltAt === null ? { by: reason.by, since: reason.since, at: iso(alarmAt!) } : null,
        },
      ]),
    ),
    runBegins: Object.fromEntries(names.map(({ id }) => [id, runBegins(settings.find((one) => one.id === id) ?? null, home, limits)])),
  };
}

/** Programmes that run, each with the stage its dog is in and what moves it on. */
async function runningProgrammes(
  scope: KennelScope,
  dogIds: readonly string[],
  timeZone: string,
  now: Date,
): Promise<(FieldDog['programmes'][number] & { dogId: string })[]> {
  const rows = await scope.all(ProgrammeEntity, { state: 'running', dogId: In([...dogIds]) }, { startsOn: 'ASC', id: 'ASC' });
  if (rows.length === 0) return [];
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const moves = (await scope.all(StageMoveEntity, { programmeId: In(rows.map(({ id }) => id)) }, byTime)).map(({ programmeId, toStage, at }) => ({
    programmeId,
    toStage,
    at: at.toISOString(),
  }));
  return rows.map((row) => {
    const own = moves.filter(({ programmeId }) => programmeId === row.id);
    const { stage } = stageAt(row, own, { startedAt: dayStartOf(row.startsOn, timeZone), now: now.getTime() });
    const { what, needed, of } = stage.pass;
    return {
      id: row.id,
      dogId: row.dogId,
      name: row.name,
      stageId: stage.id,
      stageName: stage.name,
      what,
      needed,
      of,
      setback: stage.fallBack.setback,
      notYet: [...(stage.notYet ?? [])],
    };
  });
}

/** What stands of the levels of dogs that are fitted with a device, by dog: of those devices. */
export async function levelsOfDogs(scope: KennelScope, { dogs }: Pick<DogsPage, 'dogs'>, kennel: Kennel, now: Date): Promise<Map<string, DeviceStanding[]>> {
  const fitted = new Map(
    dogs
      .map(({ dog, fits }) => [dog.id, new Set(fits.flatMap(({ plan }) => (isDevice(plan.kind) ? [plan.collarId] : [])))] as const)
      .filter(([, ids]) => ids.size > 0),
  );
  const kept = await standingsOf(scope, LEVELS_STANDING, [...fitted.keys()], kennel, now);
  return new Map([...fitted].map(([id, ids]) => [id, (kept.get(id) ?? []).filter(({ collarId }) => ids.has(collarId))]));
}

/** Dogs as a phone needs them in the field, in this order: with their devices, what is known of these, and the programmes that run. */
async function fieldDogs(scope: KennelScope, now: Date, kennel: Kennel, ids: readonly string[]): Promise<FieldDog[]> {
  if (ids.length === 0) return [];
  const page = await dogsPage(scope, ids);
  const levels = await levelsOfDogs(scope, page, kennel, now);
  const { collars } = page;
  const order = new Map(ids.map((id, index) => [id, index]));
  const here = page.dogs.filter(({ dog }) => dog.archivedAt === null).sort((a, b) => order.get(a.dog.id)! - order.get(b.dog.id)!);
  const devices = here.flatMap(({ fits }) => fits.filter(({ plan }) => isDevice(plan.kind)));
  const collarIds = [...new Set(devices.map(({ plan }) => plan.collarId))];
  const dogIds = [...new Set(devices.map(({ plan }) => plan.dogId))];
  const of = dogIds.length > 0;
  const wears = await standingsOf(scope, WEAR_STANDING, dogIds, kennel, now);
  // What was felt since a collar went on counts however long ago that was.
  const onSince = [...wears.values()].flatMap(({ worn }) => worn.filter(({ collarId }) => collarIds.includes(collarId)).map(({ from }) => from));
  const toldSince = new Date(Math.min(now.getTime() - DEVICE_EVENT_DAYS * DAY_MS, ...onSince));
  const [events, looks, programmes] = await Promise.all([
    of
      ? scope.all(
          HappeningEntity,
          { collarId: In(collarIds), event: In([...DEVICE_HAPPENINGS, 'void']), at: MoreThanOrEqual(toldSince) },
          { at: 'ASC', id: 'ASC' },
        )
      : [],
    latestSkin(scope, now, ids),
    runningProgrammes(scope, ids, kennel.timeZone, now),
  ]);
  const told = events.map(happeningAsKept);
  const deviceOf = (card: (typeof here)[number], collarId: string): FieldDevice[] => {
    const { dog } = card;
    const collar = collars.find(({ id }) => id === collarId);
    if (!collar || !hasContacts(collar)) return [];
    const numbers = ElectronicNumbersShape.parse(collar.numbers);
    const house = houseOf(kennel, dog);
    const skin = looks.get(dog.id) ?? [];
    const fitting = fittingDog(dog, latestGirths(card.girths as Taping[]), { today: dayOf(now.getTime(), kennel.timeZone) });
    const girthMm = fitting.skinGirthMm ?? fitting.hairGirthMm;
    const own = told.filter((event) => 'collarId' in event && event.collarId === collarId);
    const voids = told.filter(({ event }) => event === 'void');
    const worn = wears.get(dog.id)?.worn.find((one) => one.collarId === collarId) ?? null;
    const { device } = wearAndDeviceEvents([...own, ...voids]);
    const state = deviceAt(device, now.getTime());
    const contact = device.findLast((event) => event.event === 'contact');
    const tried = device.findLast((event) => event.event === 'tried');
    const flag = skinAt(skinStanding(skin, now.getTime(), house.rules), worn?.clock ?? null, girthMm, footprintOf(collar)!);
    const standing = levels.get(dog.id)!.find((one) => one.collarId === collarId)!;
    return [
      {
        collarId,
        name: collar.name,
        scale: standing.scale,
        modes: numbers.modes,
        ceiling: standing.ceiling,
        cap: standing.cap,
        ...levelsOnPhone(standing, settingsOf(kennel)),
        worn: worn && { from: iso(worn.from), clock: worn.clock, placeSince: iso(worn.placeSince) },
        contact: contact?.event === 'contact' ? { made: contact.made, at: iso(contact.at) } : null,
        triedAt: tried ? iso(tried.at) : null,
        battery: state.percent === null ? null : { percent: state.percent, at: now.toISOString(), on: state.on === true },
        lockedUntil: state.lockedUntil === null ? null : iso(state.lockedUntil),
        skin: flag ? { clock: flag.clock, grade: flag.grade, until: flag.untilMs === null ? null : iso(flag.untilMs) } : null,
      },
    ];
  };
  return here.map((card) => ({
    id: card.dog.id,
    name: card.dog.name,
    breed: card.dog.breed,
    worksOn: card.dog.worksOn,
    heelLine: card.dog.heelLine,
    kinds: card.fits.map(({ plan }) => plan.kind),
    moveByHours: houseOf(kennel, card.dog).rules.moveByHours,
    devices: card.fits.flatMap(({ plan }) => deviceOf(card, plan.collarId)),
    programmes: programmes.filter(({ dogId }) => dogId === card.dog.id).map(({ dogId: _dog, ...one }) => one),
  }));
}

/** So many dogs are offered at most; a kennel of no more is offered whole, by name. */
const MOST_OFFERED = 40;
/** Of so many sessions, the latest, the dogs are those that worked last. */
const LAST_SESSIONS = 120;

/** Whom the field log offers: of a small kennel all, of a large one those planned today, those that wear something and those that worked last; and whoever is wanted. */
async function offered(scope: KennelScope, now: Date, kennel: Kennel, wanted: readonly string[]): Promise<{ ids: string[]; here: number }> {
  const named = await scope.raw<{ id: string }>(
    `SELECT id FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL ORDER BY name, id LIMIT ${MOST_OFFERED + 1}`,
  );
  if (named.length <= MOST_OFFERED) return { ids: named.map(({ id }) => id), here: named.length };
  await bringUpToDate(scope, [WEAR_STANDING], kennel, now);
  const [[count], planned, worn, worked] = await Promise.all([
    scope.raw<{ here: string }>('SELECT COUNT(*) AS here FROM dogs WHERE kennelId = :kennelId AND archivedAt IS NULL'),
    scope.raw<{ dogId: string }>("SELECT dogId FROM planned_sessions WHERE kennelId = :kennelId AND day = :today AND state = 'planned' ORDER BY beginsAt, id", {
      today: dayOf(now.getTime(), kennel.timeZone),
    }),
    scope.raw<{ dogId: string }>(
      "SELECT subjectId AS dogId FROM standings WHERE kennelId = :kennelId AND kind = 'wear' AND `rank` = 0 ORDER BY sortAt, subjectId",
    ),
    scope.raw<{ dogId: string }>(`SELECT dogId FROM field_sessions WHERE kennelId = :kennelId ORDER BY begunAt DESC LIMIT ${LAST_SESSIONS}`),
  ]);
  // Where few work, the others fill it up by name.
  const first = [...new Set([...[...planned, ...worn, ...worked].map(({ dogId }) => dogId), ...named.map(({ id }) => id)])].slice(0, MOST_OFFERED);
  return { ids: [...new Set([...first, ...wanted])], here: Number(count!.here) };
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
  const { ids, here } = await offered(scope, now, kennel, [...new Set([...open.map(({ dogId }) => dogId), ...wanted])]);
  return {
    kennelId: kennel.id,
    asOf: now.toISOString(),
    dogs: await fieldDogs(scope, now, kennel, ids),
    here,
    handlers: people.map(({ id, name }) => ({ id, name })),
    settings: settingsOf(kennel).map(({ id, name }) => ({ id, name })),
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
