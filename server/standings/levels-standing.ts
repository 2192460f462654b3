import { deviceStanding, dogLevels, houseOf, isDevice, type DeviceStanding } from '@banter/contract';
import { group } from 'd3-array';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { collarAnswer } from '../services/collars.ts';
import { asLevelRecords, levelRows, levelRowsUntil } from '../services/level-records.ts';
import type { StandingKind } from './standing-kind.ts';

/** What stands of the levels of every device that a dog was ever fitted with. */
export const LEVELS_STANDING: StandingKind<DeviceStanding[]> = {
  name: 'levels',
  of: 'dog',
  version: 1,
  work: async (scope, dogIds, kennel, now) => {
    const plans = await scope.raw<{ dogId: string; collarId: string }>(
      'SELECT DISTINCT dogId, collarId FROM plans WHERE kennelId = :kennelId AND dogId IN (:dogIds) ORDER BY dogId, collarId',
      { dogIds },
    );
    const collars = new Map(
      (await scope.someOf(CollarEntity, [...new Set(plans.map(({ collarId }) => collarId))]))
        .filter(({ kind }) => isDevice(kind))
        .map((row) => [row.id, collarAnswer(row)]),
    );
    const plansOf = group(plans, ({ dogId }) => dogId);
    const collarsOf = new Map(dogIds.map((id) => [id, (plansOf.get(id) ?? []).flatMap(({ collarId }) => (collars.has(collarId) ? [collarId] : []))]));
    const withDevices = new Map([...collarsOf].filter(([, ids]) => ids.length > 0));
    const rows = await levelRows(scope, withDevices, now);
    const dayWords = (at: number) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: kennel.timeZone }).format(at);
    const dogs = new Map((await scope.someOf(DogEntity, [...withDevices.keys()])).map((row) => [row.id, row]));
    return new Map(
      dogIds.map((id) => {
        const own = rows.get(id);
        if (!own) return [id, { data: [], until: null }];
        const levels = dogLevels(
          asLevelRecords(
            own,
            withDevices.get(id)!.map((collarId) => collars.get(collarId)!),
          ),
          kennel,
          houseOf(kennel, dogs.get(id)!),
          dayWords,
        );
        return [id, { data: levels.map(deviceStanding), until: levelRowsUntil(own) }];
      }),
    );
  },
};
