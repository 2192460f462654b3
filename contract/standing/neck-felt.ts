import { above, byHandsIn, fitStanding, type ByHands, type FitStanding, type HouseRules, type Reason, type Speaker } from '@banter/core';
import { collarKind } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import type { Dog } from '../records/dog.ts';
import type { FitCheck } from '../records/fit-check.ts';
import type { Plan } from '../records/plan.ts';
import type { Taping } from '../records/taping.ts';
import type { MadeUp } from './made-up.ts';

const Millimetres = z.number().nullable();
/** What was known of a dog when its collar was checked: it is kept with the check. Lengths mm, weight kg. */
export const CheckedThen = z.object({ tapedMm: Millimetres, weightKg: z.number().nullable(), coatDepthMm: Millimetres });
export type CheckedThen = z.infer<typeof CheckedThen>;

/** What hands found of a neck inside one collar, as `NeckFelt` of the core. */
export const NeckFelt = z.object({ at: z.string(), lowMm: Millimetres, highMm: Millimetres, then: CheckedThen, collarChanged: z.boolean() });
export type NeckFelt = z.infer<typeof NeckFelt>;

const Slack = z.object({ lowMm: Millimetres, highMm: Millimetres });
/** Of a check: what it leaves of the slack with those before it, what was planned, and the dog then. Checks of before lack some of it. */
const Outcome = z.object({
  known: Slack.nullable().optional(),
  slack: Slack.nullable().optional(),
  plannedSlackMm: z.number().nullable().optional(),
  dogThen: CheckedThen.optional(),
});

const sameNumbers = (plan: Plan, numbers: unknown) => {
  const read = (some: unknown) => JSON.stringify(collarKind(plan.kind).numbers.safeParse(some).data ?? some);
  return read(plan.inputs.collar.numbers) === read(numbers);
};

/** What one check found of the neck; null where it found nothing of it. A check of before that was not good counts for nothing: it may have been felt where the collar does not belong. */
function feltAt(plan: Plan, check: FitCheck, collarChanged: boolean): NeckFelt | null {
  const { dog, collar } = plan.inputs;
  const outcome = Outcome.safeParse(check.outcome).data;
  const slack = outcome?.known !== undefined ? outcome.known : check.outcome.verdict === 'good' ? outcome?.slack : null;
  if (!outcome || !slack || outcome.plannedSlackMm == null || dog.tapedGirthMm === null) return null;
  const planned = dog.tapedGirthMm + byHandsIn(dog, collar.id) + outcome.plannedSlackMm;
  return {
    at: check.at,
    lowMm: slack.highMm === null ? null : planned - slack.highMm,
    highMm: slack.lowMm === null ? null : planned - slack.lowMm,
    then: outcome.dogThen ?? { tapedMm: dog.tapedGirthMm, weightKg: dog.weightKg, coatDepthMm: dog.coatDepthMm },
    collarChanged,
  };
}

/** What hands last found of a neck inside a plan's collar, by the checks of that plan, oldest first. */
export function neckFelt(plan: Plan, checks: readonly FitCheck[], madeUp: readonly MadeUp[]): NeckFelt | null {
  const now = madeUp.find(({ collarId }) => collarId === plan.inputs.collar.id);
  const changed = now?.numbers !== undefined && !sameNumbers(plan, now.numbers);
  return checks.reduce<NeckFelt | null>((felt, check) => feltAt(plan, check, changed) ?? felt, null);
}

type Tapes = Partial<Record<Taping['site'], Taping>>;

/** Where a fit stands after hands were in it, by the dog and its measures of now. */
export function standingOfFit(felt: NeckFelt | null, dog: Pick<Dog, 'weightG'>, tapes: Tapes, rules: Pick<HouseRules, 'refitChangeRatio'>): FitStanding {
  const { high } = tapes;
  const now = {
    tapedMm: high?.tapedMm ?? null,
    tapedAt: high?.at ?? null,
    plusMinusMm: high?.result.plusMinusMm ?? 0,
    weightKg: dog.weightG === null ? null : dog.weightG / 1000,
    coatDepthMm: tapes['coat-depth']?.tapedMm ?? high?.coatDepthMm ?? null,
  };
  return fitStanding(felt, now, rules);
}

/** What hands found on a dog by collar, of all its plans and checks: the newest finding in each collar counts; 0 where they agree with the tape. */
export function byHandsOn(
  { dog, plans, checks, madeUp }: { dog: Dog; plans: readonly Plan[]; checks: readonly FitCheck[]; madeUp: readonly MadeUp[] },
  tapes: Tapes,
  rules: Pick<HouseRules, 'refitChangeRatio'>,
): ByHands {
  const inOrder = [...checks].sort((a, b) => (a.at === b.at ? a.attempt - b.attempt : a.at < b.at ? -1 : 1));
  const newest = new Map<string, NeckFelt>();
  for (const plan of plans) {
    const felt = neckFelt(
      plan,
      inOrder.filter(({ planId }) => planId === plan.id),
      madeUp,
    );
    const { id } = plan.inputs.collar;
    if (felt && felt.at >= (newest.get(id)?.at ?? '')) newest.set(id, felt);
  }
  return Object.fromEntries(
    [...newest].flatMap(([id, felt]) => {
      const { byHands, shiftMm } = standingOfFit(felt, dog, tapes, rules);
      return byHands ? [[id, shiftMm]] : [];
    }),
  );
}

type Fit = { plan: Plan; check: FitCheck | null; felt: NeckFelt | null; elsewhere: MadeUp | null };

/** The same of the fits that a dog's card shows, which carry what was felt. */
export const byHandsOfFits = (fits: readonly Fit[], dog: Pick<Dog, 'weightG'>, tapes: Tapes, rules: Pick<HouseRules, 'refitChangeRatio'>): ByHands =>
  Object.fromEntries(
    fits.flatMap(({ plan, felt }) => {
      const { byHands, shiftMm } = standingOfFit(felt ?? null, dog, tapes, rules);
      return byHands ? [[plan.inputs.collar.id, shiftMm]] : [];
    }),
  );

/** Whether a fit is right by what hands found, and nothing has opened the question since: no model undoes it. */
export function isGoodByHands({ check, felt, elsewhere }: Fit, dog: Pick<Dog, 'weightG'>, tapes: Tapes, rules: Pick<HouseRules, 'refitChangeRatio'>): boolean {
  if (check?.outcome.verdict !== 'good' || elsewhere) return false;
  const { byHands, reopened } = standingOfFit(felt, dog, tapes, rules);
  return byHands && reopened === null;
}

/** Half a step on collars that come in links, else so many mm: further apart, hands and tape do not measure one neck. Common practice. */
const APART_MM = 10;

/** Says that hands, not the tape, speak for a collar, and what to do where the two are far apart. */
export function byHandsReason(kind: Plan['kind'], numbers: unknown, shiftMm: number, speak: Speaker): Reason | null {
  if (shiftMm === 0) return null;
  const links = collarKind(kind).links?.(numbers);
  const by = `${speak.gap(Math.abs(shiftMm))} ${shiftMm > 0 ? 'tighter' : 'looser'}`;
  if (above(Math.abs(shiftMm), links ? links.pitchMm / 2 : APART_MM))
    return { code: 'hands-and-tape-differ', text: `On the dog it sits ${by} than tape and collar say: tape again, or measure the collar.` };
  return { code: 'by-hands', text: `By hands: on the dog it sits ${by} than the tape says.` };
}
