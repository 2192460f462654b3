import type { HouseRules } from '../../rules/house-rules.ts';
import type { MartingaleReason } from './martingale-reasons.ts';
import { FLAT_HAND_FINGERS, fingerSlack, type Finger } from '../../measure/finger-slack.ts';
import { above, atLeast, below } from '../../units/tolerance.ts';

/** Schools of setting a martingale: the rings just meet and it never squeezes, or stay apart and press all round. Common practice. */
export const MARTINGALE_SCHOOLS = ['rings-meet', 'rings-apart'] as const;
export type MartingaleSchool = (typeof MARTINGALE_SCHOOLS)[number];

export const MARTINGALE_VERDICTS = ['fits', 'out-of-range', 'cannot-pass', 'can-back-out'] as const;
export type MartingaleVerdict = (typeof MARTINGALE_VERDICTS)[number];

/** A martingale by its own numbers: the main strap's range between the two slides, and the control loop's inside perimeter; mm. */
export type MartingaleStrap = { strapMinMm: number; strapMaxMm: number; loopMm: number; buckled?: boolean };
export type MartingaleNeck = { girthMm: number; headGirthMm: number };

/** How a martingale set to a strap length sits. Lengths mm, ratios bare; `ringGapMm` negative: the rings meet before it is snug. */
export type MartingaleFit = {
  strapMm: number;
  openGirthMm: number;
  closedGirthMm: number;
  ringGapMm: number;
  squeezeRatio: number;
  passesHead: boolean;
  backOutRatio: number;
  verdict: MartingaleVerdict;
};

/** The strap length a school wants on a neck, in mm: the girth, or less by the ring gap, at most a tenth of the girth. Common practice. */
export function strapBySchool(school: MartingaleSchool, girthMm: number, rules: HouseRules): number {
  return school === 'rings-meet' ? girthMm : girthMm - Math.min(rules.ringGapMm, rules.squeezeMaxRatio * girthMm);
}

/** What hands tell apart of the two rings, mm: they meet within so much either way. From memory. */
export const RINGS_MEET_MM = 6;
/** How far apart the rings may stay at most, mm: two inches. Common practice. */
export const RINGS_FAR_MM = 50.8;

/**
 * How far apart the rings may come when pulled, by school, mm: they meet as far as hands tell, or stay apart by more than hands
 * take for meeting, up to two inches or the squeeze that is allowed. Plan and check both go by it. Common practice.
 *
 * @example ringGapWindow('rings-apart', 400, rules) // { lowMm: 6, highMm: 40 }
 */
export function ringGapWindow(school: MartingaleSchool, girthMm: number, rules: HouseRules): { lowMm: number; highMm: number } {
  const wantedMm = girthMm - strapBySchool(school, girthMm, rules);
  return wantedMm > RINGS_MEET_MM
    ? { lowMm: RINGS_MEET_MM, highMm: Math.min(RINGS_FAR_MM, rules.squeezeMaxRatio * girthMm) }
    : { lowMm: -RINGS_MEET_MM, highMm: RINGS_MEET_MM };
}

/**
 * How far a martingale stands open at rest, mm of slack: from two fingers to just under the flat hand. Source: `fingerSlack`;
 * common practice.
 */
export function restWindow(girthMm: number, finger: Finger): { lowMm: number; highMm: number } {
  return { lowMm: fingerSlack(girthMm, 2, finger), highMm: fingerSlack(girthMm, FLAT_HAND_FINGERS, finger) };
}

/**
 * How a martingale set to `strapMm` sits: open as worn = strap + loop/2, closed = strap, gap of the rings when pulled =
 * girth − strap. It is let out to pass the head and then set (unless it buckles). Verdicts in this order: out of the strap's
 * range, cannot pass the head, can be backed out of (head ÷ closed under `backOutMin`), fits. Common practice.
 */
export function judgeMartingale(collar: MartingaleStrap, strapMm: number, neck: MartingaleNeck, rules: HouseRules): MartingaleFit {
  const passesHead = collar.buckled === true || atLeast(collar.strapMaxMm + collar.loopMm / 2, neck.headGirthMm);
  const backOutRatio = neck.headGirthMm / strapMm;
  const ringGapMm = neck.girthMm - strapMm;
  const verdict: MartingaleVerdict =
    below(strapMm, collar.strapMinMm) || above(strapMm, collar.strapMaxMm)
      ? 'out-of-range'
      : !passesHead
        ? 'cannot-pass'
        : below(backOutRatio, rules.backOutMin)
          ? 'can-back-out'
          : 'fits';
  return {
    strapMm,
    openGirthMm: strapMm + collar.loopMm / 2,
    closedGirthMm: strapMm,
    ringGapMm,
    squeezeRatio: ringGapMm / neck.girthMm,
    passesHead,
    backOutRatio,
    verdict,
  };
}

/** The strap length of a school, and how it sits, with reasons. Lengths mm. Common practice. */
export function sizeMartingale(
  collar: MartingaleStrap,
  neck: MartingaleNeck,
  school: MartingaleSchool,
  rules: HouseRules,
): MartingaleFit & { reasons: MartingaleReason[] } {
  const fit = judgeMartingale(collar, strapBySchool(school, neck.girthMm, rules), neck, rules);
  const reasons: MartingaleReason[] = [
    school === 'rings-meet'
      ? { code: 'rings-meet', strapMm: fit.strapMm, girthMm: neck.girthMm }
      : { code: 'rings-apart', strapMm: fit.strapMm, gapMm: fit.ringGapMm, ratio: fit.squeezeRatio, limitRatio: rules.squeezeMaxRatio },
    ...martingaleReasons(collar, fit, neck, rules),
  ];
  return { ...fit, reasons };
}

/** Why a martingale set to a length gets its verdict, whatever the school. */
export function martingaleReasons(collar: MartingaleStrap, fit: MartingaleFit, neck: MartingaleNeck, rules: HouseRules): MartingaleReason[] {
  const reasons: MartingaleReason[] = [];
  if (fit.verdict === 'out-of-range') reasons.push({ code: 'out-of-range', strapMm: fit.strapMm, lowMm: collar.strapMinMm, highMm: collar.strapMaxMm });
  if (collar.buckled) reasons.push({ code: 'buckled' });
  else {
    const longestMm = collar.strapMaxMm + collar.loopMm / 2;
    reasons.push({ code: fit.passesHead ? 'let-out-passes' : 'let-out-does-not-pass', longestMm, headMm: neck.headGirthMm });
  }
  if (below(fit.backOutRatio, rules.backOutMin)) reasons.push({ code: 'can-back-out', ratio: fit.backOutRatio, limit: rules.backOutMin });
  else if (below(fit.backOutRatio, rules.backOutNarrow)) reasons.push({ code: 'holds-high-and-tight', ratio: fit.backOutRatio, limit: rules.backOutNarrow });
  else reasons.push({ code: 'holds', ratio: fit.backOutRatio, limit: rules.backOutNarrow });
  if (above(fit.squeezeRatio, rules.squeezeMaxRatio))
    reasons.push({ code: 'squeezes-too-much', gapMm: fit.ringGapMm, ratio: fit.squeezeRatio, limitRatio: rules.squeezeMaxRatio });
  return reasons;
}

/**
 * How far a relaxed control loop hangs below its slides, in mm: the loop's free part is a V over the gap between the slides.
 * Source: geometry of a triangle with equal sides (loop − gap)/2 over a base of gap.
 *
 * @example loopHang(160, 40) // about 56.6
 */
export function loopHang(loopMm: number, gapMm: number): number {
  const base = Math.max(0, Math.min(gapMm, loopMm / 2));
  const side = (loopMm - base) / 2;
  return Math.sqrt(Math.max(0, side ** 2 - (base / 2) ** 2));
}
