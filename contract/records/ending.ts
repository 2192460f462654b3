import type { PieceStanding } from '@banter/core';
import { isHere, standingOfPiece } from '../collars/fit-all.ts';
import { z } from '../plain-words.ts';
import type { FitCheck } from './fit-check.ts';
import { Instant, passage, RecordId } from './common.ts';
import type { Collar } from './collar.ts';
import type { Plan } from './plan.ts';
import { madeUpElsewhere, type MadeUp } from '../standing/made-up.ts';
import { neckFelt, type NeckFelt } from '../standing/neck-felt.ts';

/**
 * A fit that is set aside: the dog no longer wears this collar. The plan and its checks stay in the record. `ended` false takes
 * it back; of several for one plan the latest counts.
 */
export const NewEnding = z.strictObject({ dogId: RecordId, planId: RecordId, ended: z.boolean(), note: passage(1000), at: Instant });
export type NewEnding = z.infer<typeof NewEnding>;
export const Ending = z.object({ ...NewEnding.shape, id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() });
export type Ending = z.infer<typeof Ending>;

/** A fit as it stands: the latest plan of a kind that is not set aside, with the checks of it, the last of them apart. */
export type CurrentFit = {
  plan: Plan;
  checks: FitCheck[];
  check: FitCheck | null;
  /** The other dog that its collar has been made up for since; null while the fit stands. */
  elsewhere: MadeUp | null;
  /** What hands last found of the neck inside it; null where nothing was felt. */
  felt: NeckFelt | null;
  /** How its collar was found last, whoever wears it. */
  is: PieceStanding;
};

/** Which plans are set aside now: of several endings for one the latest counts. */
function endedPlans(endings: readonly Ending[]): (planId: string) => boolean {
  const inOrder = [...endings].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
  const ended = new Map(inOrder.map((ending) => [ending.planId, ending.ended]));
  return (planId) => ended.get(planId) === true;
}

/** The latest plan of each kind as a fit, the one decided last first. */
function latestFits({ plans, checks, madeUp, collars }: Omit<DecidedOfDog, 'endings'>): CurrentFit[] {
  const latest = new Map<Plan['kind'], Plan>();
  for (const plan of plans) {
    const soFar = latest.get(plan.kind);
    if (!soFar || plan.at > soFar.at || (plan.at === soFar.at && plan.id > soFar.id)) latest.set(plan.kind, plan);
  }
  return [...latest.values()]
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1))
    .map((plan) => {
      const own = checks.filter((check) => check.planId === plan.id).sort((a, b) => a.attempt - b.attempt);
      const check = own.at(-1) ?? null;
      const collar = collars.find(({ id }) => id === plan.collarId);
      return {
        plan,
        checks: own,
        check,
        elsewhere: madeUpElsewhere({ plan, check }, madeUp),
        felt: neckFelt(plan, own, madeUp),
        is: collar ? standingOfPiece(collar) : 'sound',
      };
    });
}

/**
 * The fits of a dog as they stand, the one decided last first. A dog may wear several collars, one of each kind; a new plan of a
 * kind takes the place of the one before.
 */
export function currentFits(decided: DecidedOfDog): CurrentFit[] {
  const isEnded = endedPlans(decided.endings);
  return latestFits(decided).filter(({ plan }) => !isEnded(plan.id));
}

/** What was decided of a dog’s collars, found on it and set aside, with the collars and how they are made up. */
type DecidedOfDog = {
  plans: readonly Plan[];
  checks: readonly FitCheck[];
  endings: readonly Ending[];
  madeUp: readonly MadeUp[];
  collars: readonly Collar[];
};

/**
 * The fits of a dog that were set aside, or went with a collar that was scrapped, and could be taken up again: nothing of their kind
 * has been decided since, and the collar hangs in the locker.
 */
export function fitsSetAside(decided: DecidedOfDog): CurrentFit[] {
  const isEnded = endedPlans(decided.endings);
  const here = new Set(decided.collars.filter(isHere).map(({ id }) => id));
  return latestFits(decided).filter(({ plan }) => isEnded(plan.id) && here.has(plan.collarId));
}
