import type { Speaker } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import { houseOf, type Kennel } from './kennel.ts';
import { screeningOf, screenKind } from './screening.ts';
import { latestGirths } from './taping.ts';
import { fittingDog } from './plan.ts';
import type { DogCard } from './pages.ts';

/** What to do next for a dog: one sentence, where it is done, and how pressing it is. */
export type NextStep = { sentence: string; goTo: 'edit' | 'screen' | 'tape' | 'bench' | 'check' | null; tone: 'good' | 'mind' | 'stop' | 'open' };

/** What the next step is reckoned with: the kennel, and today in its zone. */
export type NextStepToday = { kennel: Kennel; today: string };

/**
 * The next step on the path screen → tape → bench → check, from a dog's latest records. A decision is judged again by the
 * measures and the screening of today, so that a dog that has grown, a tape that was corrected, or a stop that has come up
 * since, sends it back to the bench.
 */
export function nextStep({ dog, girths, plan, check, screenings, lifts }: DogCard, { kennel, today }: NextStepToday, speak: Speaker): NextStep {
  const latest = latestGirths(girths);
  if (screenings.length === 0 && !plan) return { sentence: 'Screen first: what speaks against a collar?', goTo: 'screen', tone: 'open' };
  if (!latest.high) return { sentence: 'Tape the high girth.', goTo: 'tape', tone: 'open' };
  if (latest.high.reasons.some((reason) => reason.code === 'taken-lower')) {
    return { sentence: 'Tape again: the high girth may have been taken lower down.', goTo: 'tape', tone: 'mind' };
  }
  if (dog.weightG === null) return { sentence: 'Weigh the dog.', goTo: 'edit', tone: 'open' };
  if (!plan) return { sentence: 'Choose and size a collar.', goTo: 'bench', tone: 'open' };

  const kind = collarKind(plan.kind);
  const house = houseOf(kennel, dog);
  const facts = fittingDog(dog, latest, { finger: plan.inputs.dog.finger, today });
  const screen = screenKind(kind.hazards, screeningOf(screenings, lifts, facts, house.rules), kennel.screen);
  if (screen.blocked && !screen.notScreened) {
    const [finding] = screen.findings;
    return { sentence: `Leave the ${kind.name.toLowerCase()} off: ${finding!.ask.replace(/\?$/, '').toLowerCase()}.`, goTo: 'screen', tone: 'stop' };
  }
  if (check && check.outcome.verdict !== 'good') {
    return {
      sentence: kind.checkSentence(check.outcome, check.on),
      goTo: check.outcome.verdict === 'stop' ? 'bench' : 'check',
      tone: check.outcome.verdict === 'stop' ? 'stop' : 'mind',
    };
  }
  // Checked on the dog: what it wears is what was found good, which may be another make-up than was planned.
  const again =
    kind.missing(facts).length > 0
      ? null
      : kind.plan(facts, plan.inputs.collar, [plan.inputs.collar], kind.wornChoices(plan.choices, check?.on ?? null), house.rules);
  if (again && !again.keep && latest.high.at > plan.at) {
    const [why] = kind.planReasons(again, speak);
    return {
      sentence: `Size again: taped since, ${kind.planVerdict(again).toLowerCase()}. ${why?.text ?? ''}`.trim(),
      goTo: 'bench',
      tone: again.blocked ? 'stop' : 'mind',
    };
  }
  if (again?.blocked) return { sentence: `Size again: ${kind.planVerdict(again).toLowerCase()}.`, goTo: 'bench', tone: 'stop' };
  if (!check) return { sentence: 'Check the fit on the dog.', goTo: 'check', tone: 'open' };
  const worn = kind.describePlan(plan.inputs.collar, kind.wornChoices(plan.choices, check.on), plan.outcome, speak);
  return { sentence: `Fitted: ${worn}.`, goTo: null, tone: 'good' };
}
