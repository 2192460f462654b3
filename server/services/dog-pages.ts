import {
  currentFits,
  isSound,
  latestGirths,
  linksOf,
  type Collar,
  type Dog,
  type DogCard,
  type DogPage,
  type GrowthPage,
  type GrowthTold,
  type KennelBench,
  type LinkBalance,
  type Taping,
} from '@banter/contract';
import { group } from 'd3-array';
import { In } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { EndingEntity } from '../data/entities/ending.ts';
import { PlaceEntity } from '../data/entities/place.ts';
import { PlanEntity, type PlanRow } from '../data/entities/plan.ts';
import { LiftEntity, ScreeningEntity } from '../data/entities/screening.ts';
import { WeighingEntity } from '../data/entities/weighing.ts';
import { collarAnswer } from './collars.ts';
import { dogAnswer } from './dogs.ts';
import { endingKind } from './endings.ts';
import { fitCheckKind } from './fit-checks.ts';
import { briefly, keptAnswers } from '../records/kept.ts';
import { linkBalances } from '../standings/link-balances.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linksOnCollars } from './links.ts';
import { madeUpNow, setForOthers } from './made-up.ts';
import { everPutOn } from './latest-wears.ts';
import { placeAnswer } from './places.ts';
import { planKind } from './plans.ts';
import { unreadable } from './readable.ts';
import { liftKind, screeningKind } from './screenings.ts';
import { stockOf } from './stock.ts';
import { tapingKind } from './tapings.ts';
import { weighingAnswers } from './weighings.ts';
import { girthsBefore, standingChecks, standingPlans, standingTapings } from './what-counts.ts';

/** The latest plan of each kind of each dog, unless it has been set aside; of all dogs unless some are named. */
export async function fittedPlans(scope: KennelScope, only?: readonly string[]): Promise<PlanRow[]> {
  if (only?.length === 0) return [];
  return await scope
    .query(PlanEntity)
    .andWhere(only === undefined ? 'TRUE' : 'record.dogId IN (:...only)', { only })
    .andWhere(
      'NOT EXISTS (SELECT 1 FROM plans later WHERE later.kennelId = record.kennelId AND later.dogId = record.dogId AND later.kind = record.kind AND (later.at, later.id) > (record.at, record.id))',
    )
    .andWhere(
      `NOT EXISTS (SELECT 1 FROM endings ending WHERE ending.kennelId = record.kennelId AND ending.planId = record.id AND ending.ended
        AND NOT EXISTS (SELECT 1 FROM endings later WHERE later.kennelId = ending.kennelId AND later.planId = ending.planId AND (later.at, later.id) > (ending.at, ending.id)))`,
    )
    .getMany();
}

/** Dogs with the latest of each that their cards show, and the collars that they are fitted with. */
export type DogsPage = { dogs: DogCard[]; collars: Collar[] };

/** All dogs of a kennel, or some of them, by name, with the latest of each that their cards show. */
export async function dogsPage(scope: KennelScope, only?: readonly string[]): Promise<DogsPage> {
  const ofSome = only === undefined ? {} : { id: In([...only]) };
  const dogId = only === undefined ? {} : { dogId: In([...only]) };
  const dogs = await scope.all(DogEntity, ofSome, { name: 'ASC', id: 'ASC' });
  const tapings = await standingTapings(
    scope,
    dogs.map(({ id }) => id),
    1,
  );
  const plans = await fittedPlans(scope, only);
  const checks = await standingChecks(
    scope,
    plans.map(({ id }) => id),
  );

  const girthsByDog = new Map<string, Taping[]>(dogs.map((dog) => [dog.id, []]));
  for (const taping of await tapingKind.toAnswers(scope, tapings)) girthsByDog.get(taping.dogId)?.push(taping);
  const planAnswers = briefly(await planKind.toAnswers(scope, plans));
  const checkAnswers = briefly(await fitCheckKind.toAnswers(scope, checks));
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const screenings = await screeningKind.toAnswers(scope, await scope.all(ScreeningEntity, dogId, byTime));
  const lifts = await liftKind.toAnswers(scope, await scope.all(LiftEntity, dogId, byTime));
  const collarIds = [...new Set(plans.map(({ collarId }) => collarId))];
  const collarAnswers = (await scope.someOf(CollarEntity, collarIds)).map(collarAnswer);
  const madeUp = await madeUpNow(scope, collarIds);
  const plansOf = group(planAnswers, (one) => one.dogId);
  const checksOf = group(checkAnswers, (one) => one.dogId);
  const screeningsOf = group(screenings, (one) => one.dogId);
  const liftsOf = group(lifts, (one) => one.dogId);
  return {
    collars: collarAnswers,
    dogs: dogs.map((dog) => ({
      dog: dogAnswer(dog),
      girths: briefly(Object.values(latestGirths(girthsByDog.get(dog.id) ?? []))),
      fits: currentFits({ plans: plansOf.get(dog.id) ?? [], checks: checksOf.get(dog.id) ?? [], endings: [], madeUp, collars: collarAnswers }).map(
        ({ checks: _checks, ...fit }) => fit,
      ),
      screenings: screeningsOf.get(dog.id) ?? [],
      lifts: liftsOf.get(dog.id) ?? [],
    })),
  };
}

/** One dog as it stands, with every girth and weight that its growth is read from. */
export async function growthPage(outer: KennelScope, id: string): Promise<GrowthPage> {
  const scope = outer.reading();
  const [page, tapedBefore, weighings] = await Promise.all([dogPage(scope, id), girthsBefore(scope, id, SITE_TAPINGS), weighingAnswers(scope, id)]);
  return { ...page, tapedBefore, weighings };
}

/** What was told of several dogs that bears on what they outgrow: a request for each kind of record, however many dogs they are. */
export async function growthPages(scope: KennelScope, dogs: readonly Dog[]): Promise<GrowthTold[]> {
  if (dogs.length === 0) return [];
  const dogIds = dogs.map(({ id }) => id);
  const of = { dogId: In(dogIds) };
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const decided = await standingPlans(scope, dogIds);
  const [tapings, plans, checks, endings, weighings, madeUp] = await Promise.all([
    standingTapings(scope, dogIds, 1).then((rows) => tapingKind.toAnswers(scope, rows)),
    planKind.toAnswers(scope, decided),
    standingChecks(
      scope,
      decided.map(({ id }) => id),
    ).then((rows) => fitCheckKind.toAnswers(scope, rows)),
    scope.all(EndingEntity, of, byTime).then((rows) => endingKind.toAnswers(scope, rows)),
    scope.all(WeighingEntity, of, byTime).then((rows) => keptAnswers(scope, rows)),
    madeUpNow(scope, [...new Set(decided.map(({ collarId }) => collarId))]),
  ]);
  const byDog = <One extends { dogId: string }>(all: readonly One[]) => {
    const found = group(all, ({ dogId }) => dogId);
    return (id: string) => found.get(id) ?? [];
  };
  const own = { tapings: byDog(tapings), plans: byDog(plans), checks: byDog(checks), endings: byDog(endings), weighings: byDog(weighings) };
  return dogs.map((dog) => ({
    dog,
    tapings: own.tapings(dog.id),
    tapedBefore: [],
    plans: own.plans(dog.id),
    checks: own.checks(dog.id),
    endings: own.endings(dog.id),
    weighings: own.weighings(dog.id),
    madeUp,
  }));
}

/** Of collars: those that the dog was ever fitted with or wore, or with them all that can be chosen now, ours and those to buy. */
type Stock = 'own' | 'all';

/**
 * What a dog can be fitted with: all that is sound, ours and to buy, and what it was ever fitted with or wore; with the links in the bag, in the dog's own
 * collars, and in those that do not hold what their own numbers say.
 */
async function choiceOf(scope: KennelScope, own: readonly string[]): Promise<Pick<DogPage, 'collars' | 'links'>> {
  const [stock, links] = await Promise.all([stockOf(scope), linkBalances(scope)]);
  const collars = stock.filter((one) => isSound(one) || own.includes(one.id));
  const asStocked = new Map<string, ReturnType<typeof linksOf>>(
    collars.flatMap((one) => (own.includes(one.id) ? [] : [[`collar:${one.id}`, linksOf(one)] as const])),
  );
  const told = ({ account, gaugeMm, count }: LinkBalance) => {
    const numbers = asStocked.get(account);
    return account === 'bag' || (account.startsWith('collar:') && !(numbers?.gaugeMm === gaugeMm && numbers.stocked === count));
  };
  return { collars, links: links.filter(told) };
}

/** What a dog was fitted with or wore. */
async function ownOf(scope: KennelScope, own: readonly string[]): Promise<Pick<DogPage, 'collars' | 'links'>> {
  const [collars, links] = await Promise.all([scope.someOf(CollarEntity, own), linksOnCollars(scope, own)]);
  return { collars: collars.map(collarAnswer).sort((a, b) => (a.name < b.name ? -1 : 1)), links };
}

/** The collars that a dog was ever fitted with or wore. */
async function ownCollars(scope: KennelScope, id: string): Promise<string[]> {
  const [planned, put] = await Promise.all([
    scope.raw<{ collarId: string }>('SELECT DISTINCT collarId FROM plans WHERE kennelId = :kennelId AND dogId = :id', { id }),
    everPutOn(scope, [id]),
  ]);
  return [...new Set([...planned, ...put].map(({ collarId }) => collarId))];
}

/** Of so many tapings of a site, the latest that stand, a screen shows how they went. */
const SITE_TAPINGS = 12;

/** All that a dog which the kennel has not got yet can be fitted with. */
export async function kennelBench(scope: KennelScope): Promise<KennelBench> {
  const [stock, places] = await Promise.all([choiceOf(scope, []), scope.all(PlaceEntity, {}, { name: 'ASC', id: 'ASC' })]);
  return { ...stock, places: places.map(placeAnswer) };
}

/** One dog as it stands: the latest of its measures and what was decided and checked of its collars, oldest first, and what of the locker it has to do with. */
export async function dogPage(outer: KennelScope, id: string, { stock = 'own' }: { stock?: Stock } = {}): Promise<DogPage> {
  const scope = outer.reading();
  const dog = await scope.get(DogEntity, id);
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const own = await ownCollars(scope, id);
  const [tapings, plans, screenings, lifts, owned, madeUp, setFor] = await Promise.all([
    standingTapings(scope, [id], SITE_TAPINGS),
    standingPlans(scope, [id]),
    scope.all(ScreeningEntity, { dogId: id }, byTime),
    scope.all(LiftEntity, { dogId: id }, byTime),
    stock === 'all' ? choiceOf(scope, own) : ownOf(scope, own),
    madeUpNow(scope, own),
    stock === 'all' ? setForOthers(scope, id) : [],
  ]);
  const planIds = plans.map((plan) => plan.id);
  const where = stock === 'all' ? {} : { id: In([dog.placeId ?? '', ...plans.flatMap(({ placeId }) => placeId ?? [])]) };
  const [checks, endings, places] = await Promise.all([
    standingChecks(scope, planIds),
    planIds.length === 0 ? [] : scope.all(EndingEntity, { planId: In(planIds) }, byTime),
    scope.all(PlaceEntity, where, { name: 'ASC', id: 'ASC' }),
  ]);
  const [readPlans, readChecks] = [await planKind.toAnswers(scope, plans), await fitCheckKind.toAnswers(scope, checks)];
  return {
    dog: dogAnswer(dog),
    tapings: briefly(await tapingKind.toAnswers(scope, tapings)),
    plans: briefly(readPlans),
    checks: briefly(readChecks),
    unreadable: [...unreadable('plan', plans, readPlans), ...unreadable('fitCheck', checks, readChecks)],
    endings: await endingKind.toAnswers(scope, endings),
    screenings: await screeningKind.toAnswers(scope, screenings),
    lifts: await liftKind.toAnswers(scope, lifts),
    places: places.map(placeAnswer),
    ...owned,
    madeUp,
    setFor,
  };
}
