import {
  dayStart,
  fittingDog,
  houseOf,
  isDevice,
  latestGirths,
  skinLooksOf,
  WEAR_AND_DEVICE_HAPPENINGS,
  wearAndDeviceEvents,
  wearDues,
  wornThen,
  contactsOfFit,
  dayOf,
  type BatteryThen,
  type WornThen,
} from '@banter/contract';
import { DAY_MS, HOUR_MS, lowBatteryFrom, skinStanding } from '@banter/core';
import { group } from 'd3-array';
import { In, LessThanOrEqual } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { SkinLookEntity } from '../data/entities/skin-look.ts';
import { collarAnswer } from '../services/collars.ts';
import { SHOWN_DAYS } from '../services/neck-page.ts';
import { fittedPlans } from '../services/dog-pages.ts';
import { happeningAsKept } from '../services/happenings/kept-happenings.ts';
import { openPutOns } from '../services/latest-wears.ts';
import { tapingKind } from '../services/tapings.ts';
import { standingTapings } from '../services/what-counts.ts';
import type { StandingKind, Stands } from './standing-kind.ts';

/** What a device told bears on its battery and on a press so long after it, days. From memory. */
export const DEVICE_EVENT_DAYS = 4;

/** What is on a dog, by the day of the kennel that it is worked out for. */
export type DogWear = { dogName: string; worn: WornThen[] };

/** What each dog wears until the day is over, with the alarms that the clock will bring, and which of its devices are low. */
export const WEAR_STANDING: StandingKind<DogWear> = {
  name: 'wear',
  of: 'dog',
  version: 4,
  work: async (scope, ids, kennel, now) => {
    const dogs = await scope.someOf(DogEntity, ids);
    const from = dayStart(now.getTime(), kennel.timeZone);
    const day = { from, to: dayStart(from + 36 * HOUR_MS, kennel.timeZone) };
    const putOns = group(await openPutOns(scope, now, ids), ({ dogId }) => dogId);
    const fitted = group(
      (await fittedPlans(scope, ids)).filter(({ kind }) => isDevice(kind)),
      ({ dogId }) => dogId,
    );
    const collarIds = [...new Set([...putOns.values(), ...fitted.values()].flat().map(({ collarId }) => collarId))];
    // Where contacts have been says where they go next: as much is read as the screen of the neck shows.
    const shownFrom = from - SHOWN_DAYS * DAY_MS;
    const since = new Date(Math.min(from - DEVICE_EVENT_DAYS * DAY_MS, ...[...putOns.values()].flat().map(({ at }) => Math.min(at.getTime(), shownFrom))));
    const [events, looks, tapings, later] = await Promise.all([
      collarIds.length === 0
        ? []
        : scope
            .query(HappeningEntity)
            .andWhere(
              '(record.dogId IN (:...ids) OR record.collarId IN (:...collarIds)) AND record.event IN (:...names) AND record.at >= :since AND record.at <= :now',
              {
                ids,
                names: WEAR_AND_DEVICE_HAPPENINGS,
                collarIds,
                since,
                now,
              },
            )
            .orderBy('record.at')
            .addOrderBy('record.id')
            .getMany(),
      putOns.size === 0 ? [] : scope.all(SkinLookEntity, { dogId: In([...putOns.keys()]), at: LessThanOrEqual(now) }, { at: 'ASC', id: 'ASC' }),
      standingTapings(scope, [...putOns.keys()], 1),
      // A phone's clock may run ahead: what is told of a moment that is still to come counts from then on.
      scope.raw<{ dogId: string; at: Date }>(
        `SELECT dogId, MIN(at) AS at FROM (SELECT dogId, at FROM happenings WHERE kennelId = :kennelId AND dogId IN (:ids) AND event IN (:names) AND at > :now
           UNION ALL SELECT dogId, at FROM skin_looks WHERE kennelId = :kennelId AND dogId IN (:ids) AND at > :now) ahead GROUP BY dogId`,
        { ids, now, names: [...WEAR_AND_DEVICE_HAPPENINGS] },
      ),
    ]);
    const told = events.map(happeningAsKept);
    const collars = (await scope.someOf(CollarEntity, [...new Set([...collarIds, ...events.flatMap(({ collarId }) => collarId ?? [])])])).map(collarAnswer);
    const girths = group(await tapingKind.toAnswers(scope, tapings), ({ dogId }) => dogId);
    const looksOf = group(looks, ({ dogId }) => dogId);
    const ahead = new Map(later.map(({ dogId, at }) => [dogId, new Date(at).getTime()]));
    return new Map(
      dogs.map((dog): [string, Stands<DogWear>] => {
        const house = houseOf(kennel, dog);
        const neck = fittingDog(dog, latestGirths(girths.get(dog.id) ?? []), { today: dayOf(now.getTime(), kennel.timeZone) });
        const skin = skinLooksOf(looksOf.get(dog.id) ?? []);
        const contacts = (fitted.get(dog.id) ?? []).flatMap((plan) => contactsOfFit(plan) ?? []);
        const by = { skin, girthMm: neck.skinGirthMm ?? neck.hairGirthMm, house, timeZone: kennel.timeZone, now: now.getTime(), contacts };
        const own = putOns.get(dog.id) ?? [];
        // Whoever it is worked out with: of each dog the events that bear on it, and no others.
        const onSince = Math.min(shownFrom, ...own.map(({ at }) => at.getTime()));
        const toldSince = (ms: number) => told.filter(({ at }) => Date.parse(at) >= ms);
        const worn = own.length > 0 ? wornThen(dog.id, toldSince(onSince), collars, by, day) : [];
        const devices = dog.archivedAt === null ? [...new Set([...(fitted.get(dog.id) ?? []), ...worn].map(({ collarId }) => collarId))] : [];
        const batteries = devices.flatMap((collarId): BatteryThen[] => {
          const collar = collars.find(({ id }) => id === collarId);
          if (!collar || !isDevice(collar.kind)) return [];
          const ofDevice = toldSince(from - DEVICE_EVENT_DAYS * DAY_MS).filter(
            (event) => event.event === 'void' || ('collarId' in event && event.collarId === collarId),
          );
          const { device } = wearAndDeviceEvents(ofDevice);
          const lowFrom = lowBatteryFrom(device, now.getTime(), house.rules.chargePercent);
          return lowFrom === null ? [] : [{ collarId, name: collar.name, lowFrom }];
        });
        const dues =
          dog.archivedAt === null
            ? wearDues({ dogId: dog.id, dogName: dog.name }, { worn, batteries }, { day, timeZone: kennel.timeZone, rules: house.rules })
            : [];
        const first = Math.min(...worn.map((one) => one.from));
        // A place that has rested may be the next one.
        const rested = worn.length > 0 ? skinStanding(skin, now.getTime(), house.rules).flags.map(({ untilMs }) => untilMs ?? Infinity) : [];
        const until = Math.min(ahead.get(dog.id) ?? Infinity, worn.length + devices.length > 0 ? day.to : Infinity, ...rested);
        return [
          dog.id,
          {
            data: { dogName: dog.name, worn },
            until: until === Infinity ? null : until,
            order: worn.length > 0 ? { rank: 0, at: first } : { rank: 1 },
            dues,
          },
        ];
      }),
    );
  },
};
