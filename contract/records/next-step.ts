import { houseRules, type HouseRuleOverrides, type Speaker } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import { latestGirths } from './taping.ts';
import { fittingDog } from './plan.ts';
import type { DogCard } from './pages.ts';

/** What to do next for a dog: one sentence, where it is done, and how pressing it is. */
export type NextStep = { sentence: string; goTo: 'edit' | 'tape' | 'bench' | 'check' | null; tone: 'good' | 'mind' | 'stop' | 'open' };

/**
 * The next step on the path tape → bench → check, from a dog's latest records. A decision is judged again by the girths of
 * today, so that a dog that has grown, or a tape that was corrected, is sent back to the bench.
 */
export function nextStep({ dog, girths, plan, check }: DogCard, rules: HouseRuleOverrides, speak: Speaker): NextStep {
  const latest = latestGirths(girths);
  if (!latest.high) return { sentence: 'Tape the high girth.', goTo: 'tape', tone: 'open' };
  if (latest.high.reasons.some((reason) => reason.code === 'taken-lower')) {
    return { sentence: 'Tape again: the high girth may have been taken lower down.', goTo: 'tape', tone: 'mind' };
  }
  if (dog.weightG === null) return { sentence: 'Weigh the dog.', goTo: 'edit', tone: 'open' };
  if (!plan) return { sentence: 'Size a collar.', goTo: 'bench', tone: 'open' };

  const kind = collarKind(plan.kind);
  if (check && check.outcome.verdict !== 'good') {
    return {
      sentence: kind.checkSentence(check.outcome, check.on),
      goTo: check.outcome.verdict === 'stop' ? 'bench' : 'check',
      tone: check.outcome.verdict === 'stop' ? 'stop' : 'mind',
    };
  }
  // Checked on the dog: what it wears is what was found good, which may be another make-up than was planned.
  const again = kind.plan(
    fittingDog(dog, latest),
    plan.inputs.collar,
    [plan.inputs.collar],
    kind.wornChoices(plan.choices, check?.on ?? null),
    houseRules(rules),
  );
  if (!again.keep && latest.high.at > plan.at) {
    const [why] = kind.planReasons(again, speak);
    return {
      sentence: `Size again: taped since, ${kind.planVerdict(again).toLowerCase()}. ${why?.text ?? ''}`.trim(),
      goTo: 'bench',
      tone: again.blocked ? 'stop' : 'mind',
    };
  }
  if (again.blocked) return { sentence: `Size again: ${kind.planVerdict(again).toLowerCase()}.`, goTo: 'bench', tone: 'stop' };
  if (!check) return { sentence: 'Check the fit on the dog.', goTo: 'check', tone: 'open' };
  const worn = kind.describePlan(plan.inputs.collar, kind.wornChoices(plan.choices, check.on), plan.outcome, speak);
  return { sentence: `Fitted: ${worn}.`, goTo: null, tone: 'good' };
}
