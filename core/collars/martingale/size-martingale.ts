import type { HouseRules } from '../../rules/house-rules.ts';
import type { MartingaleReason } from './martingale-reasons.ts';

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

/** Slack for floating point when a number stands exactly on a limit, in mm or as a ratio. */
const ROUNDING = 1e-9;

/** The strap length a school wants on a neck, in mm: the girth, or less by the ring gap, at most a tenth of the girth. Common practice. */
export function strapBySchool(school: MartingaleSchool, girthMm: number, rules: HouseRules): number {
  return school === 'rings-meet' ? girthMm : girthMm - Math.min(rules.ringGapMm, rules.squeezeMaxRatio * girthMm);
}

/**
 * How a martingale set to `strapMm` sits: open as worn = strap + loop/2, closed = strap, gap of the rings when pulled =
 * girth − strap. It is let out to pass the head and then set (unless it buckles). Verdicts in this order: out of the strap's
 * range, cannot pass the head, can be backed out of (head ÷ closed under `backOutMin`), fits. Common practice.
 */
export function judgeMartingale(collar: MartingaleStrap, strapMm: number, neck: MartingaleNeck, rules: HouseRules): MartingaleFit {
  const passesHead = collar.buckled === true || collar.strapMaxMm + collar.loopMm / 2 >= neck.headGirthMm - ROUNDING;
  const backOutRatio = neck.headGirthMm / strapMm;
  const ringGapMm = neck.girthMm - strapMm;
  const verdict: MartingaleVerdict =
    strapMm < collar.strapMinMm - ROUNDING || strapMm > collar.strapMaxMm + ROUNDING
      ? 'out-of-range'
      : !passesHead
        ? 'cannot-pass'
        : backOutRatio < rules.backOutMin - ROUNDING
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
  if (fit.backOutRatio < rules.backOutMin - ROUNDING) reasons.push({ code: 'can-back-out', ratio: fit.backOutRatio, limit: rules.backOutMin });
  else if (fit.backOutRatio < rules.backOutNarrow - ROUNDING)
    reasons.push({ code: 'holds-high-and-tight', ratio: fit.backOutRatio, limit: rules.backOutNarrow });
  else reasons.push({ code: 'holds', ratio: fit.backOutRatio, limit: rules.backOutNarrow });
  if (fit.squeezeRatio > rules.squeezeMaxRatio + ROUNDING)
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
