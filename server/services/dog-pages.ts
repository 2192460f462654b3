import { latestGirths, type DogPage, type DogsPage, type Taping } from '@banter/contract';
import { In } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { FitCheckEntity } from '../data/entities/fit-check.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { PlaceEntity } from '../data/entities/place.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { LiftEntity, ScreeningEntity } from '../data/entities/screening.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { collarAnswer } from './collars.ts';
import { dogAnswer } from './dogs.ts';
import { fitCheckKind } from './fit-checks.ts';
import { gearAnswer } from './gear.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linkBalances } from './links.ts';
import { placeAnswer } from './places.ts';
import { planKind } from './plans.ts';
import { liftKind, screeningKind } from './screenings.ts';
import { tapingKind } from './tapings.ts';

/** A taping that corrects the one under this alias, so that the corrected one no longer counts. */
const correctionOf = (alias: string) => `SELECT 1 FROM tapings fix WHERE fix.kennelId = ${alias}.kennelId AND fix.correctsId = ${alias}.id`;

/** All dogs of a kennel, by name, with the latest of each that their cards show. */
export async function dogsPage(scope: KennelScope): Promise<DogsPage> {
  const dogs = await scope.all(DogEntity, {}, { name: 'ASC', id: 'ASC' });
  const tapings = await scope
    .query(TapingEntity)
    .andWhere(`NOT EXISTS (${correctionOf('record')})`)
    .andWhere(
      `NOT EXISTS (SELECT 1 FROM tapings later WHERE later.kennelId = record.kennelId AND later.dogId = record.dogId
        AND later.site = record.site AND (later.at, later.id) > (record.at, record.id) AND NOT EXISTS (${correctionOf('later')}))`,
    )
    .getMany();
  const plans = await scope
    .query(PlanEntity)
    .andWhere(
      'NOT EXISTS (SELECT 1 FROM plans later WHERE later.kennelId = record.kennelId AND later.dogId = record.dogId AND (later.at, later.id) > (record.at, record.id))',
    )
    .getMany();
  const planIds = plans.map((plan) => plan.id);
  const checks = planIds.length === 0 ? [] : await scope.all(FitCheckEntity, { planId: In(planIds) }, { attempt: 'ASC' });

  const girthsByDog = new Map<string, Taping[]>(dogs.map((dog) => [dog.id, []]));
  for (const taping of await tapingKind.toAnswers(scope, tapings)) girthsByDog.get(taping.dogId)?.push(taping);
  const planByDog = new Map((await planKind.toAnswers(scope, plans)).map((plan) => [plan.dogId, plan]));
  const lastCheck = new Map((await fitCheckKind.toAnswers(scope, checks)).map((check) => [check.planId, check]));
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const screenings = await screeningKind.toAnswers(scope, await scope.all(ScreeningEntity, {}, byTime));
  const lifts = await liftKind.toAnswers(scope, await scope.all(LiftEntity, {}, byTime));
  const collars = await scope.all(CollarEntity, {}, { name: 'ASC', id: 'ASC' });
  return {
    collars: collars.map(collarAnswer),
    dogs: dogs.map((dog) => {
      const plan = planByDog.get(dog.id) ?? null;
      return {
        dog: dogAnswer(dog),
        girths: Object.values(latestGirths(girthsByDog.get(dog.id) ?? [])),
        plan,
        check: (plan && lastCheck.get(plan.id)) ?? null,
        screenings: screenings.filter((one) => one.dogId === dog.id),
        lifts: lifts.filter((one) => one.dogId === dog.id),
      };
    }),
  };
}

/** One dog with its whole record, oldest first. */
export async function dogPage(scope: KennelScope, id: string): Promise<DogPage> {
  const dog = await scope.get(DogEntity, id);
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const [tapings, plans, checks, screenings, lifts, places, gear, links, collars] = await Promise.all([
    scope.all(TapingEntity, { dogId: id }, byTime),
    scope.all(PlanEntity, { dogId: id }, byTime),
    scope.all(FitCheckEntity, { dogId: id }, byTime),
    scope.all(ScreeningEntity, { dogId: id }, byTime),
    scope.all(LiftEntity, { dogId: id }, byTime),
    scope.all(PlaceEntity, {}, { name: 'ASC', id: 'ASC' }),
    scope.all(GearEntity, {}, { name: 'ASC', id: 'ASC' }),
    linkBalances(scope),
    scope.all(CollarEntity, {}, { name: 'ASC', id: 'ASC' }),
  ]);
  return {
    dog: dogAnswer(dog),
    tapings: await tapingKind.toAnswers(scope, tapings),
    plans: await planKind.toAnswers(scope, plans),
    checks: await fitCheckKind.toAnswers(scope, checks),
    screenings: await screeningKind.toAnswers(scope, screenings),
    lifts: await liftKind.toAnswers(scope, lifts),
    places: places.map(placeAnswer),
    gear: gear.map(gearAnswer),
    links,
    collars: collars.map(collarAnswer),
  };
}
