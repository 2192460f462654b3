import { WEAR_AND_DEVICE_HAPPENINGS, WEAR_HAPPENINGS, type NeckPage } from '@banter/contract';
import { DAY_MS } from '@banter/core';
import { In, MoreThanOrEqual } from 'typeorm';
import { DogEntity } from '../data/entities/dog.ts';
import { DressingEntity } from '../data/entities/dressing.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { HappeningEntity, type HappeningRow } from '../data/entities/happening.ts';
import { ProgrammeEntity, StageMoveEntity } from '../data/entities/programme.ts';
import { SkinLookEntity, type SkinLookRow } from '../data/entities/skin-look.ts';
import { dogPage } from './dog-pages.ts';
import { dressingAnswer } from './dressings.ts';
import { gearAnswer } from './gear.ts';
import { happeningAnswers } from './happenings/kept-happenings.ts';
import type { KennelScope } from './kennel-scope.ts';
import { everPutOn, openPutOns } from './latest-wears.ts';
import { keptAnswers } from '../records/kept.ts';
import { programmeKind } from './programmes.ts';
import { skinLookKind } from './skin-looks.ts';

/** Events of the last sixty days are shown, and say which place of the contacts has rested longest. */
export const SHOWN_DAYS = 60;
const WEAR_EVENTS = [...WEAR_HAPPENINGS, 'void'] as const;

/** What was told of a dog’s collars, worn or as devices, since an instant, with those of wears that began before and had not ended then. */
export async function eventsSince(scope: KennelScope, dogId: string, collarIds: readonly string[], since: Date): Promise<HappeningRow[]> {
  const put = await everPutOn(scope, [dogId]);
  const ids = [...new Set([...collarIds, ...put.map(({ collarId }) => collarId)])];
  const told = { event: In([...WEAR_AND_DEVICE_HAPPENINGS]), at: MoreThanOrEqual(since) };
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  // By dog and by collar, each by its own key.
  const both = await Promise.all([
    scope.all(HappeningEntity, { dogId, ...told }, byTime),
    ids.length === 0 ? [] : scope.all(HappeningEntity, { collarId: In(ids), ...told }, byTime),
  ]);
  const last = await openPutOns(scope, new Date(since.getTime() - 1), [dogId]);
  const lasting = await Promise.all(
    last.map(({ collarId, at }) =>
      scope
        .query(HappeningEntity)
        .andWhere('record.collarId = :collarId AND record.at >= :at AND record.at < :since AND record.event IN (:...names)', {
          collarId,
          at,
          since,
          names: WEAR_EVENTS,
        })
        .getMany(),
    ),
  );
  return [...new Map([...lasting, ...both].flat().map((row) => [row.id, row])).values()].sort(
    (a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1),
  );
}

/** Looks at skin of so many days are shown; and the latest of each place, however long ago. */
const LOOK_DAYS = 365;
async function looksShown(scope: KennelScope, dogId: string, now: Date): Promise<SkinLookRow[]> {
  const latest = await scope.raw<{ id: string }>(
    `SELECT id FROM (SELECT id, at, ROW_NUMBER() OVER (PARTITION BY MOD(clock, 12) ORDER BY at DESC, grade DESC) AS place
                       FROM skin_looks WHERE kennelId = :kennelId AND dogId = :dogId) looks
      WHERE place = 1 OR at >= :since`,
    { dogId, since: new Date(now.getTime() - LOOK_DAYS * DAY_MS) },
  );
  const looks = await scope.someOf(
    SkinLookEntity,
    latest.map(({ id }) => id),
  );
  return looks.sort((a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1));
}

/** One dog as it stands and how it is dressed. */
export async function neckPage(outer: KennelScope, id: string, now: Date): Promise<NeckPage> {
  const scope = outer.reading();
  const page = await dogPage(scope, id);
  const collarIds = [...new Set(page.plans.map(({ collarId }) => collarId))];
  const since = new Date(now.getTime() - SHOWN_DAYS * DAY_MS);
  const [dressing, looks, events, programmes] = await Promise.all([
    scope.find(DressingEntity, id),
    looksShown(scope, id, now),
    eventsSince(scope, id, collarIds, since),
    scope.all(ProgrammeEntity, { dogId: id, state: 'running' }, { startsOn: 'ASC', id: 'ASC' }),
  ]);
  const moves = programmes.length === 0 ? [] : await scope.all(StageMoveEntity, { programmeId: In(programmes.map((one) => one.id)) }, { at: 'ASC', id: 'ASC' });
  const gear = await scope.someOf(GearEntity, [...new Set((dressing?.rig ?? []).flatMap(({ gearId }) => gearId ?? []))]);
  const dogs = await scope.someOf(DogEntity, [...new Set(events.flatMap(({ dogId }) => dogId ?? []))]);
  return {
    ...page,
    dressing: dressing && dressingAnswer(dressing),
    gear: gear.map(gearAnswer),
    events: await happeningAnswers(scope, events),
    skinLooks: await skinLookKind.toAnswers(scope, looks),
    programmes: programmes.map(programmeKind.toAnswer),
    moves: await keptAnswers(scope, moves),
    dogNames: Object.fromEntries([page.dog, ...dogs].map((dog) => [dog.id, dog.name])),
  };
}
