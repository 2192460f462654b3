import type { HouseRules } from '../../rules/house-rules.ts';
import { MM_PER_UNIT } from '../../units/length-units.ts';
import type { SlipReason } from './slip-reasons.ts';
import { above, atLeast, below, wholeAbove } from '../../units/tolerance.ts';

/** Schools of sizing a slip collar that goes over the head. Common practice. */
export const SLIP_SCHOOLS = ['slack', 'over-the-head'] as const;
export type SlipSchool = (typeof SLIP_SCHOOLS)[number];

export const SLIP_VERDICTS = ['fits', 'loose', 'tight', 'cannot-pass'] as const;
export type SlipVerdict = (typeof SLIP_VERDICTS)[number];

/** The neck a slip is sized for, on the hair, and its ring's share of the length; all mm. */
export type SlipNeck = { girthMm: number; headGirthMm: number };

/**
 * A slip of a length on a neck. `slackMm` is the gap between the two rings with the slack taken up, `headClearanceMm` what
 * the open loop has to spare over the head (negative: it does not pass). All mm.
 */
export type SlipFit = { lengthMm: number; slackMm: number; headClearanceMm: number; passesHead: boolean; verdict: SlipVerdict };

/** Slip collars are sold in even inches, ring to ring; mm. Common practice. */
export const SLIP_STEP_MM = 2 * MM_PER_UNIT.in;

/**
 * Judges one length: gap = length − girth − ring, the open loop is length − ring. Verdicts in this order: cannot pass the
 * head, tight (gap under `slipMinMm`), loose (gap over `slipMaxMm`), fits. Lengths mm. Common practice.
 *
 * @example judgeSlip(355.6, 20, { girthMm: 304.8, headGirthMm: 330 }, rules).slackMm // 30.8
 */
export function judgeSlip(lengthMm: number, ringMm: number, neck: SlipNeck, rules: HouseRules): SlipFit {
  const slackMm = lengthMm - neck.girthMm - ringMm;
  const headClearanceMm = lengthMm - ringMm - neck.headGirthMm;
  const passesHead = atLeast(headClearanceMm, 0);
  const verdict: SlipVerdict = passesHead ? slipVerdict(slackMm, rules) : 'cannot-pass';
  return { lengthMm, slackMm, headClearanceMm, passesHead, verdict };
}

/** What a gap between the rings comes to where the head passes, or is not known; mm. */
export function slipVerdict(slackMm: number, rules: Pick<HouseRules, 'slipMinMm' | 'slipMaxMm'>): 'tight' | 'loose' | 'fits' {
  return below(slackMm, rules.slipMinMm) ? 'tight' : above(slackMm, rules.slipMaxMm) ? 'loose' : 'fits';
}

/** The even number of inches nearest to a length in mm, at least two; a tie goes to the shorter. */
function nearestEven(lengthMm: number): number {
  return Math.max(1, wholeAbove(lengthMm / SLIP_STEP_MM - 0.5)) * SLIP_STEP_MM;
}

/** The shortest even number of inches whose open loop passes a head, in mm. Geometry: length − ring ≥ head girth. */
export function shortestPassing(headGirthMm: number, ringMm: number): number {
  return Math.max(1, wholeAbove((headGirthMm + ringMm) / SLIP_STEP_MM)) * SLIP_STEP_MM;
}

/**
 * Whether an over-the-head slip is the wrong kind for this dog: when even the shortest length that passes the head leaves
 * more gap than the house allows, the leash has to move that much further before it acts, and a clip-on slip is better.
 */
export function recommendedSlip(neck: SlipNeck, ringMm: number, rules: HouseRules): 'slip' | 'clip-on-slip' {
  const gap = shortestPassing(neck.headGirthMm, ringMm) - neck.girthMm - ringMm;
  return above(gap, rules.slipMaxMm) ? 'clip-on-slip' : 'slip';
}

/**
 * The length to buy by a school, and how it fits. «slack»: the even number of inches whose gap is nearest `slipAimMm`.
 * «over-the-head»: the shortest even number of inches that passes the head, no excess chain. Common practice.
 */
export function sizeSlip(
  { girthMm, headGirthMm, ringMm }: SlipNeck & { ringMm: number },
  school: SlipSchool,
  rules: HouseRules,
): SlipFit & { recommend: 'slip' | 'clip-on-slip'; reasons: SlipReason[] } {
  const neck = { girthMm, headGirthMm };
  const lengthMm = school === 'slack' ? nearestEven(girthMm + ringMm + rules.slipAimMm) : shortestPassing(headGirthMm, ringMm);
  const fit = judgeSlip(lengthMm, ringMm, neck, rules);
  const recommend = recommendedSlip(neck, ringMm, rules);
  return { ...fit, recommend, reasons: slipReasons(fit, school, recommend, neck, ringMm, rules) };
}

/** Why a slip of a length gets its verdict, and what else the geometry says. */
export function slipReasons(
  fit: SlipFit,
  school: SlipSchool | null,
  recommend: 'slip' | 'clip-on-slip',
  neck: SlipNeck,
  ringMm: number,
  rules: HouseRules,
): SlipReason[] {
  const reasons: SlipReason[] = [];
  if (school === 'slack') reasons.push({ code: 'sized-by-slack', lengthMm: fit.lengthMm, aimMm: rules.slipAimMm });
  if (school === 'over-the-head') reasons.push({ code: 'sized-over-the-head', lengthMm: fit.lengthMm, headMm: neck.headGirthMm });
  reasons.push(
    fit.passesHead
      ? { code: 'passes-head', loopMm: fit.lengthMm - ringMm, headMm: neck.headGirthMm, clearanceMm: fit.headClearanceMm }
      : { code: 'cannot-pass', loopMm: fit.lengthMm - ringMm, headMm: neck.headGirthMm },
  );
  const lowMm = rules.slipMinMm;
  const highMm = rules.slipMaxMm;
  if (below(fit.slackMm, lowMm)) reasons.push({ code: 'gap-too-small', slackMm: fit.slackMm, lowMm });
  else if (above(fit.slackMm, highMm)) reasons.push({ code: 'gap-too-large', slackMm: fit.slackMm, highMm });
  else reasons.push({ code: 'gap-inside', slackMm: fit.slackMm, lowMm, highMm });
  if (recommend === 'clip-on-slip') {
    const passingMm = shortestPassing(neck.headGirthMm, ringMm);
    reasons.push({ code: 'clip-on-instead', passingMm, slackMm: passingMm - neck.girthMm - ringMm, highMm });
  }
  return reasons;
}
