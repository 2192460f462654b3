import {
  dressedWears,
  ElectronicNumbersShape,
  footprintOf,
  hasContacts,
  houseOf,
  latestGirths,
  fittingDog,
  dayOf,
  dayStartOf,
  programmeStanding,
  wearAndDeviceEvents,
  type FieldDevice,
  type FieldPage,
  type Taping,
  type DogsPage,
  isDevice,
  settingsOf,
  type DeviceStanding,
  type Kennel,
} from '@banter/contract';
import { deviceAt, HOME_SETTING, runBegins, skinAt, skinStanding, wornStanding, type SkinLook, DAY_MS, HOUR_MS } from '@banter/core';
import { In, IsNull, MoreThanOrEqual } from 'typeorm';
import { EventEntity } from '../data/entities/event.ts';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { dogsPage } from './dog-pages.ts';
import { eventAsSent } from './events.ts';
import { sessionAnswers } from './field-log.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { standingsOf } from '../standings/kept-standings.ts';
import { LEVELS_STANDING } from '../standings/levels-standing.ts';
import { openPutOns } from './open-wears.ts';
import { latestSkin } from './skin-standings.ts';

/** Tries and contact of the last days bear on a press. */
const EVENT_DAYS = 4;
export const DEVICE_EVENT_MS = EVENT_DAYS * DAY_MS;
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
  timeZone: string,
  now: Date,
): Promise<(FieldPage['dogs'][number]['programmes'][number] & { dogId: string })[]> {
  const rows = await scope.all(ProgrammeEntity, { state: 'running' }, { startsOn: 'ASC', id: 'ASC' });
  if (rows.length === 0) return [];
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const moves = (await scope.all(StageMoveEntity, { programmeId: In(rows.map(({ id }) => id)) }, byTime)).map(({ programmeId, toStage, at }) => ({
    programmeId,
    toStage,
    at: at.toISOString(),
  }));
  return rows.map((row) => {
    const own = moves.filter(({ programmeId }) => programmeId === row.id);
    const { stage } = programmeStanding(row, { results: [], moves: own }, { startedAt: dayStartOf(row.startsOn, timeZone), now: now.getTime() });
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

/** All that a phone needs to log in the field: dogs with their devices and what is known of these, people, settings, open sessions. The dogs are looked up unless they are known. */
export async function fieldPage(
  scope: KennelScope,
  now: Date,
  known?: { page: DogsPage; levels?: ReadonlyMap<string, DeviceStanding[]>; skin?: ReadonlyMap<string, SkinLook[]> },
): Promise<FieldPage> {
  const kennel = kennelAnswer(await kennelOf(scope));
  const page = known?.page ?? (await dogsPage(scope));
  const levels = known?.levels ?? (await levelsOfDogs(scope, page, kennel, now));
  const { dogs, collars } = page;
  const here = dogs.filter(({ dog }) => dog.archivedAt === null);
  const devices = here.flatMap(({ fits }) => fits.filter(({ plan }) => isDevice(plan.kind)));
  const collarIds = [...new Set(devices.map(({ plan }) => plan.collarId))];
  const dogIds = [...new Set(devices.map(({ plan }) => plan.dogId))];
  const since = (days: number) => new Date(now.getTime() - days * DAY_MS);
  const of = dogIds.length > 0;
  // What is on a dog is on it however long ago it was put on.
  const onSince = (await openPutOns(scope, now)).filter(({ collarId }) => collarIds.includes(collarId!)).map(({ at }) => at.getTime());
  const toldSince = new Date(Math.min(since(EVENT_DAYS).getTime(), ...onSince));
  const [events, looks, people, open, recent, programmes] = await Promise.all([
    of ? scope.all(EventEntity, { collarId: In(collarIds), at: MoreThanOrEqual(toldSince) }, { at: 'ASC', id: 'ASC' }) : [],
    known?.skin ?? latestSkin(scope, now),
    scope.all(PersonEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.all(FieldSessionEntity, { endedAt: IsNull(), begunAt: MoreThanOrEqual(since(OPEN_DAYS)) }, { begunAt: 'ASC' }),
    scope.all(FieldSessionEntity, { lastAt: MoreThanOrEqual(new Date(now.getTime() - RECENT_HOURS * HOUR_MS)) }, { begunAt: 'ASC' }),
    runningProgrammes(scope, kennel.timeZone, now),
  ]);
  const told = events.map(eventAsSent);
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
    const wear = dressedWears(dog.id, [...own, ...voids], [collar], { skin, girthMm, house, timeZone: kennel.timeZone, now: now.getTime() }).findLast(
      (one) => one.wear.to === null,
    )?.wear;
    const worn = wornStanding(wear ?? null);
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
        worn: worn && { from: iso(worn.since), clock: worn.clock, placeSince: iso(worn.placeSince) },
        contact: contact?.event === 'contact' ? { made: contact.made, at: iso(contact.at) } : null,
        triedAt: tried ? iso(tried.at) : null,
        battery: state.percent === null ? null : { percent: state.percent, at: now.toISOString(), on: state.on === true },
        lockedUntil: state.lockedUntil === null ? null : iso(state.lockedUntil),
        skin: flag ? { clock: flag.clock, grade: flag.grade, until: flag.untilMs === null ? null : iso(flag.untilMs) } : null,
      },
    ];
  };
  return {
    kennelId: kennel.id,
    asOf: now.toISOString(),
    dogs: here.map((card) => ({
      id: card.dog.id,
      name: card.dog.name,
      breed: card.dog.breed,
      worksOn: card.dog.worksOn,
      heelLine: card.dog.heelLine,
      kinds: card.fits.map(({ plan }) => plan.kind),
      moveByHours: houseOf(kennel, card.dog).rules.moveByHours,
      devices: card.fits.flatMap(({ plan }) => deviceOf(card, plan.collarId)),
      programmes: programmes.filter(({ dogId }) => dogId === card.dog.id).map(({ dogId: _dog, ...one }) => one),
    })),
    handlers: people.map(({ id, name }) => ({ id, name })),
    settings: settingsOf(kennel).map(({ id, name }) => ({ id, name })),
    open: await sessionAnswers(scope, open),
    recent: await sessionAnswers(scope, recent),
  };
}
