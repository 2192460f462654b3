import type { HouseRules } from '../rules/house-rules.ts';
import { above } from '../units/tolerance.ts';

/** What of a dog bears on how a collar fits it: its high girth as the tape showed it, its coat, both mm, and its weight, kg; null while not known. */
export type NeckFacts = { tapedMm: number | null; weightKg: number | null; coatDepthMm: number | null };

/**
 * What hands found of a neck inside one collar, in terms of the tape, mm: the girths that what they found allows, null where nothing
 * bounds it; when (an instant that sorts); what was known of the dog then; and whether the collar's numbers have been changed since.
 */
export type NeckFelt = { at: string; lowMm: number | null; highMm: number | null; then: NeckFacts; collarChanged: boolean };

/** What is known now: with when the high girth was taped, and by how much that tape may be off, mm. */
export type NeckNow = NeckFacts & { tapedAt: string | null; plusMinusMm: number };

/** What opens the question of a fit again after hands have answered it. Common practice. */
export type Reopened = 'taped' | 'weighed' | 'coat' | 'collar';

/** `shiftMm`: the neck inside the collar over the taped one. `byHands`: hands have answered, and it stands. */
export type FitStanding = { byHands: boolean; shiftMm: number; reopened: Reopened | null };

const NOT_FELT: FitStanding = { byHands: false, shiftMm: 0, reopened: null };

/** An end of what hands found belongs to what lies beyond it («the flat hand goes under» is past the window): so far inside of it, mm. */
const INSIDE_MM = 1;

/** The value inside an interval that is nearest to a taped one, mm. */
function nearestInside(mm: number, lowMm: number, highMm: number): number {
  if (mm > lowMm && mm < highMm) return mm;
  const inset = Math.min(INSIDE_MM, (highMm - lowMm) / 4);
  return mm <= lowMm ? lowMm + inset : highMm - inset;
}

/** Whether two numbers are further apart than the house's share of the first. */
const changed = (then: number | null, now: number | null, { refitChangeRatio }: Pick<HouseRules, 'refitChangeRatio'>) =>
  then !== null && now !== null && above(Math.abs(now - then), then * refitChangeRatio);

/**
 * Where a fit stands after hands were in it. The taped neck is shifted to the nearest girth that they allow, until something opens the
 * question: a new high girth that differs by more than the tape may be off, a collar whose numbers were changed (then what was felt no
 * longer counts), a weight or a coat that changed by more than the house allows (then it is the best that is known, to be felt again).
 * Common practice.
 *
 * @example fitStanding({ at: '1', lowMm: 380, highMm: 400, then }, { ...then, tapedMm: 405, … }, rules).shiftMm // −6: 399
 */
export function fitStanding(felt: NeckFelt | null, now: NeckNow, rules: Pick<HouseRules, 'refitChangeRatio'>): FitStanding {
  if (felt === null || now.tapedMm === null) return NOT_FELT;
  if (felt.collarChanged) return { ...NOT_FELT, reopened: 'collar' };
  const { then } = felt;
  const tapedSince = now.tapedAt !== null && now.tapedAt > felt.at;
  if (tapedSince && then.tapedMm !== null && above(Math.abs(now.tapedMm - then.tapedMm), now.plusMinusMm)) return { ...NOT_FELT, reopened: 'taped' };
  const shiftMm = nearestInside(now.tapedMm, felt.lowMm ?? -Infinity, felt.highMm ?? Infinity) - now.tapedMm;
  const reopened = changed(then.weightKg, now.weightKg, rules) ? 'weighed' : changed(then.coatDepthMm, now.coatDepthMm, rules) ? 'coat' : null;
  return { byHands: true, shiftMm, reopened };
}

/** Why a fit is to be checked again, in words. */
export const REOPENED_WORDS: Record<Reopened, string> = {
  taped: 'taped again since the last check',
  weighed: 'the weight has changed since the last check',
  coat: 'the coat has changed since the last check',
  collar: 'the collar was measured again since the last check',
};
