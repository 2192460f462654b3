import { PIECE_WORDS, REOPENED_WORDS, type Speaker } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import { houseOf, type Kennel } from './kennel.ts';
import { screeningOf, screenKind } from './screening.ts';
import { latestGirths } from './taping.ts';
import { fittingDog } from './plan.ts';
import type { DogCard } from './pages.ts';
import { madeUpWords } from '../standing/made-up.ts';
import { isGoodByHands, standingOfFit } from '../standing/neck-felt.ts';

export const NEXT_STEP_PLACES = ['edit', 'screen', 'tape', 'bench', 'check'] as const;
export const NEXT_STEP_TONES = ['good', 'mind', 'stop', 'open'] as const;

/** A fit as the dog wears it: as it was last found on the dog, else as planned. */
export function wornFitLine({ plan, check }: Pick<DogCard['fits'][number], 'plan' | 'check'>, speak: Speaker): string {
  const kind = collarKind(plan.kind);
  return kind.describePlan(plan.inputs.collar, kind.wornChoices(plan.choices, check?.on ?? null), plan.outcome, speak);
}

/** What to do next for a dog: one sentence, where it is done, for which kind of collar, and how pressing it is. */
export type NextStep = {
  kind?: CollarKindName;
  sentence: string;
  goTo: (typeof NEXT_STEP_PLACES)[number] | null;
  tone: (typeof NEXT_STEP_TONES)[number];
};

/** What the next step is reckoned with: the kennel, and today in its zone. */
export type NextStepToday = { kennel: Kennel; today: string };

const PRESSING = { stop: 0, mind: 1, open: 2, good: 3 } as const;

/**
 * The next step on the path screen → tape → bench → check, from a dog's latest records. Every fit is judged again by the measures
 * and the screening of today, so that a dog that has grown, a tape that was corrected, or a stop that has come up since, sends it
 * back to the bench; of several fits the most pressing counts.
 */
export function nextStep(card: DogCard, today: NextStepToday, speak: Speaker): NextStep {
  const { dog, girths, fits, screenings } = card;
  const latest = latestGirths(girths);
  if (screenings.length === 0 && fits.length === 0) return { sentence: 'Screen first: anything against a collar?', goTo: 'screen', tone: 'open' };
  if (!latest.high) return { sentence: 'Tape the high girth.', goTo: 'tape', tone: 'open' };
  if (latest.high.reasons.some((reason) => reason.code === 'taken-lower')) {
    return { sentence: 'Tape again: the high girth may have been taken lower down.', goTo: 'tape', tone: 'mind' };
  }
  if (dog.weightG === null) return { sentence: 'Weigh the dog.', goTo: 'edit', tone: 'open' };
  if (fits.length === 0) return { sentence: 'Choose and size a collar.', goTo: 'bench', tone: 'open' };
  const steps = fits.map((fit) => stepOfFit(card, fit, today, speak));
  const worst = steps.reduce((a, b) => (PRESSING[b.tone] < PRESSING[a.tone] ? b : a));
  const worn = steps.flatMap((step) => ('worn' in step ? [step.worn] : []));
  if ('worn' in worst) return { kind: worst.kind, sentence: `Fitted: ${worn.join('; ')}.`, goTo: null, tone: 'good' };
  return worst;
}

/** The fits that stay off the dog until somebody has seen to them: by screening, their last check, or the tape of today. */
export function stoppedFits<Fit extends DogCard['fits'][number]>(
  card: Omit<DogCard, 'fits'>,
  fits: readonly Fit[],
  today: NextStepToday,
  speak: Speaker,
): Fit[] {
  return fits.filter((fit) => stepOfFit(card, fit, today, speak).tone === 'stop');
}

/** A fit but for how its collar was found: for screens that say that of each piece by itself. */
export const asIfSound = <Fit extends Pick<DogCard['fits'][number], 'is'>>(fit: Fit): Fit => ({ ...fit, is: 'sound' });

/** A fit with nothing to do, and what is worn, as words. */
export type Fitted = { kind: CollarKindName; worn: string; tone: 'good' };

/** What one fit asks for; where it asks for nothing, what is worn. */
export function stepOfFit(
  { dog, girths, screenings, lifts }: Omit<DogCard, 'fits'>,
  fit: DogCard['fits'][number],
  { kennel, today }: NextStepToday,
  speak: Speaker,
): NextStep | Fitted {
  const { plan, check, elsewhere, felt, is } = fit;
  const latest = latestGirths(girths);
  const kind = collarKind(plan.kind);
  const of = { kind: plan.kind };
  const house = houseOf(kennel, dog);
  const standing = standingOfFit(felt, dog, latest, house.rules);
  // Decided by what hands had found in an earlier check, until the neck is taped again.
  const decidedBy = felt === null && (latest.high?.at ?? '') <= plan.at ? plan.inputs.dog.byHands : undefined;
  const byHands = standing.byHands ? { [plan.collarId]: standing.shiftMm } : decidedBy;
  const facts = fittingDog(dog, latest, { finger: plan.inputs.dog.finger, today, byHands });
  const screen = screenKind(kind.hazards, screeningOf(screenings, lifts, facts, house.rules), kennel.screen);
  if (screen.blocked && !screen.notScreened) {
    const finding = screen.findings.find(({ lifted }) => !lifted)!;
    return { ...of, sentence: `Leave the ${kind.name.toLowerCase()} off: ${finding.name.toLowerCase()}.`, goTo: 'screen', tone: 'stop' };
  }
  if (is !== 'sound') return { ...of, sentence: `Leave ${plan.inputs.collar.name} off: it ${PIECE_WORDS[is].says}.`, goTo: 'bench', tone: 'stop' };
  const stop = check?.outcome.verdict === 'stop';
  if (elsewhere && !stop) return { ...of, sentence: madeUpWords(elsewhere, fit, speak), goTo: 'check', tone: 'mind' };
  if (check && check.outcome.verdict !== 'good') {
    return {
      ...of,
      sentence: kind.checkSentence(check.outcome, check.on),
      goTo: stop || kind.isBenchStep(check.outcome.step) ? 'bench' : 'check',
      tone: stop ? 'stop' : 'mind',
    };
  }
  const asWorn = (): NextStep | Fitted =>
    kind.isLaterStep(check!.outcome.step)
      ? { ...of, sentence: kind.checkSentence(check!.outcome, check!.on), goTo: 'check', tone: 'open' }
      : {
          ...of,
          worn: wornFitLine(fit, speak),
          tone: 'good',
        };
  // What it wears is what was found good, which may be another make-up than was planned.
  const again =
    kind.missing(facts).length > 0
      ? null
      : kind.plan(facts, plan.inputs.collar, [plan.inputs.collar], kind.wornChoices(plan.choices, check?.on ?? null), house.rules);
  const byNewerTape = () => `${kind.planVerdict(again!).toLowerCase()}, by the newer tape.`;
  // Hands outrank the tape: what was found good on the dog stands until something opens the question again; danger is looked into.
  if (isGoodByHands(fit, dog, latest, house.rules)) {
    const dangerous = again?.blocked && [...kind.needs, ...kind.helps].some((site) => (latest[site]?.at ?? '') > felt!.at);
    return dangerous ? { ...of, sentence: `Check the fit again: ${byNewerTape()}`, goTo: 'check', tone: 'mind' } : asWorn();
  }
  const tapedSince = [...kind.needs, ...kind.helps].some((site) => (latest[site]?.at ?? '') > plan.at);
  if (again && !again.keep && tapedSince) {
    return {
      ...of,
      sentence: `Re-size: ${byNewerTape()}`,
      goTo: 'bench',
      tone: again.blocked ? 'stop' : 'mind',
    };
  }
  if (again?.blocked) return { ...of, sentence: `Re-size: ${kind.planVerdict(again).toLowerCase()}.`, goTo: 'bench', tone: 'stop' };
  if (!check) return { ...of, sentence: 'Check the fit on the dog.', goTo: 'check', tone: 'open' };
  // A newer tape, or the collar's newer numbers, by which it fits, answer the question themselves.
  if (standing.reopened === null || !standing.byHands) return asWorn();
  return { ...of, sentence: `Check the fit again: ${REOPENED_WORDS[standing.reopened]}.`, goTo: 'check', tone: 'open' };
}

/** Whether a sentence names its collar itself: then it is not named before it. */
export const namesCollar = (sentence: string, name: string): boolean =>
  new RegExp(`(?<![\\p{L}\\p{N}])${name.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)}(?![\\p{L}\\p{N}])`, 'u').test(sentence);
