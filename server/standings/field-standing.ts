import {
  dayOf,
  dayStart,
  dayStartOf,
  DEVICE_HAPPENINGS,
  ElectronicNumbersShape,
  fittingDog,
  footprintOf,
  hasContacts,
  houseOf,
  isDevice,
  latestGirths,
  settingsOf,
  stageAt,
  wearAndDeviceEvents,
  type DeviceStanding,
  type FieldDevice,
  type FieldDog,
  type Taping,
} from '@banter/contract';
import { deviceAt, HOME_SETTING, runBegins, skinAt, skinStanding, DAY_MS, HOUR_MS } from '@banter/core';
import { In, MoreThanOrEqual } from 'typeorm';
import { HappeningEntity } from '../data/entities/happening.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { dogsPage } from '../services/dog-pages.ts';
import { happeningAsKept } from '../services/happenings/kept-happenings.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { latestSkin } from '../services/skin-standings.ts';
import { standingsOf } from './kept-standings.ts';
import { levelsOfDogs } from './levels-of-dogs.ts';
import type { StandingKind, Stands } from './standing-kind.ts';
import { DEVICE_EVENT_DAYS, WEAR_STANDING } from './wear-standing.ts';

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

/** What a phone knows in the field of each dog that is here: its devices with what is known of these, and the programmes that run. Null: the dog is put away. */
export const FIELD_STANDING: StandingKind<FieldDog | null> = {
  name: 'field',
  of: 'dog',
  version: 1,
  work: async (scope, ids, kennel, now) => {
    const page = await dogsPage(scope, ids);
    const levels = await levelsOfDogs(scope, page, kennel, now);
    const { collars } = page;
    const here = page.dogs.filter(({ dog }) => dog.archivedAt === null);
    const devices = here.flatMap(({ fits }) => fits.filter(({ plan }) => isDevice(plan.kind)));
    const collarIds = [...new Set(devices.map(({ plan }) => plan.collarId))];
    const dogIds = [...new Set(devices.map(({ plan }) => plan.dogId))];
    const of = dogIds.length > 0;
    const wears = await standingsOf(scope, WEAR_STANDING, dogIds, kennel, now);
    // What was felt since a collar went on counts however long ago that was.
    const onSince = [...wears.values()].flatMap(({ worn }) => worn.filter(({ collarId }) => collarIds.includes(collarId)).map(({ from }) => from));
    const day = dayStart(now.getTime(), kennel.timeZone);
    const lately = day - DEVICE_EVENT_DAYS * DAY_MS;
    const toldSince = new Date(Math.min(lately, ...onSince));
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
      const voids = told.filter(({ event }) => event === 'void');
      const worn = wears.get(dog.id)?.worn.find((one) => one.collarId === collarId) ?? null;
      // Of this device alone, whichever dogs are worked out beside this one.
      const since = Math.min(lately, worn?.from ?? lately);
      const own = told.filter((event) => 'collarId' in event && event.collarId === collarId && Date.parse(event.at) >= since);
      const { device } = wearAndDeviceEvents([...own, ...voids]);
      // As it was told last: what drains and runs out since then is reckoned where it is read.
      const toldAt = Math.max(...device.map(({ at }) => at).filter((at) => at <= now.getTime()));
      const state = deviceAt(device, toldAt);
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
          battery: state.percent === null ? null : { percent: state.percent, at: iso(toldAt), on: state.on === true },
          lockedUntil: state.lockedUntil === null ? null : iso(state.lockedUntil),
          skin: flag ? { clock: flag.clock, grade: flag.grade, until: flag.untilMs === null ? null : iso(flag.untilMs) } : null,
        },
      ];
    };
    const midnight = dayStart(day + 36 * HOUR_MS, kennel.timeZone);
    const ahead = told.map(({ at }) => Date.parse(at)).filter((at) => at > now.getTime());
    const fieldDog = (card: (typeof here)[number]): FieldDog => ({
      id: card.dog.id,
      name: card.dog.name,
      breed: card.dog.breed,
      worksOn: card.dog.worksOn,
      heelLine: card.dog.heelLine,
      kinds: card.fits.map(({ plan }) => plan.kind),
      moveByHours: houseOf(kennel, card.dog).rules.moveByHours,
      devices: card.fits.flatMap(({ plan }) => deviceOf(card, plan.collarId)),
      programmes: programmes.filter(({ dogId }) => dogId === card.dog.id).map(({ dogId: _dog, ...one }) => one),
    });
    return new Map(
      page.dogs.map((card): [string, Stands<FieldDog | null>] => {
        if (card.dog.archivedAt !== null) return [card.dog.id, { data: null, until: null }];
        const data = fieldDog(card);
        const rests = data.devices.flatMap(({ skin }) => (skin?.until == null ? [] : [Date.parse(skin.until)])).filter((at) => at > now.getTime());
        return [card.dog.id, { data, until: Math.min(midnight, ...rests, ...ahead) }];
      }),
    );
  },
};
