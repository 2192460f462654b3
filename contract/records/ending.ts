import { z } from '../plain-words.ts';
import type { FitCheck } from './fit-check.ts';
import { Instant, passage, RecordId } from './common.ts';
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
};

/**
 * The fits of a dog as they stand, the one decided last first. A dog may wear several collars, one of each kind; a new plan of a
 * kind takes the place of the one before.
 */
export function currentFits(plans: readonly Plan[], checks: readonly FitCheck[], endings: readonly Ending[], madeUp: readonly MadeUp[]): CurrentFit[] {
  const inOrder = [...endings].sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
  const ended = new Map(inOrder.map((ending) => [ending.planId, ending.ended]));
  const latest = new Map<Plan['kind'], Plan>();
  for (const plan of plans) {
    const soFar = latest.get(plan.kind);
    if (!soFar || plan.at > soFar.at || (plan.at === soFar.at && plan.id > soFar.id)) latest.set(plan.kind, plan);
  }
  return [...latest.values()]
    .filter(({ id }) => ended.get(id) !== true)
    .sort((a, b) => (a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1))
    .map((plan) => {
      const own = checks.filter((check) => check.planId === plan.id).sort((a, b) => a.attempt - b.attempt);
      const check = own.at(-1) ?? null;
      return { plan, checks: own, check, elsewhere: madeUpElsewhere({ plan, check }, madeUp), felt: neckFelt(plan, own, madeUp) };
    });
}
