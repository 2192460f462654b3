import type { HouseRules } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import { dayOf } from '../neck/kennel-days.ts';
import type { Dog } from './dog.ts';
import type { FitCheck, NewFitCheck } from './fit-check.ts';
import { houseOf, type Kennel } from './kennel.ts';
import { fittingDog, type Plan } from './plan.ts';
import { latestGirths, type Taping } from './taping.ts';
import type { CheckedThen } from '../standing/neck-felt.ts';

/**
 * What a fit check comes to: by the answers, what was planned, the earlier checks of the same plan, and the rules of the house; with the dog as it was
 * taped and weighed then. Who keeps it and who only shows it before it has arrived work it out the same way.
 */
export function takenCheck(
  { kind: name, on, answers, at }: Pick<NewFitCheck, 'kind' | 'on' | 'answers' | 'at'>,
  of: {
    plan: Pick<Plan, 'inputs' | 'choices'>;
    earlier: readonly Pick<FitCheck, 'on' | 'answers' | 'outcome'>[];
    dog: Parameters<typeof fittingDog>[0] & Pick<Dog, 'house'>;
    tapings: readonly Taping[];
    kennel: Kennel;
  },
): { outcome: FitCheck['outcome']; rules: HouseRules } {
  const { plan, earlier, dog, tapings, kennel } = of;
  const { rules } = houseOf(kennel, dog);
  const outcome = collarKind(name).check(plan.inputs.dog, plan.inputs.collar, plan.choices, on, answers, earlier, rules);
  const { tapedGirthMm: tapedMm, weightKg, coatDepthMm } = fittingDog(dog, latestGirths(tapings), { today: dayOf(Date.parse(at), kennel.timeZone) });
  const dogThen: CheckedThen = { tapedMm, weightKg, coatDepthMm };
  return { outcome: { ...outcome, dogThen }, rules };
}
