import { backOut } from '../../measure/back-out.ts';
import { fingerSlack, type Finger } from '../../measure/finger-slack.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { StrapReason } from './strap-reasons.ts';
import { atLeast, atMost } from '../../units/tolerance.ts';

/** Buckled straps: the flat collar, and the wide-throat collar with its broad part on the throat. */
export const STRAP_KINDS = ['flat', 'wide-throat'] as const;
export type StrapKind = (typeof STRAP_KINDS)[number];

export const STRAP_VERDICTS = ['fits', 'no-size', 'can-back-out'] as const;
export type StrapVerdict = (typeof STRAP_VERDICTS)[number];

/** Fingers that go under: two under a flat collar, one under a wide-throat one. Common practice. */
export const STRAP_FINGERS: Record<StrapKind, 1 | 2> = { flat: 2, 'wide-throat': 1 };

export type StrapQuestion = {
  kind: StrapKind;
  girthMm: number;
  headGirthMm?: number | undefined;
  finger: Finger;
  fingers?: 1 | 2 | undefined;
  sizesMm?: readonly [number, number][] | undefined;
};

/** The size of a list that holds a length most centrally, in mm; of two equally central the first. Null when none holds it. */
export function mostCentralSize(sizesMm: readonly [number, number][], setMm: number): [number, number] | null {
  let best: [number, number] | null = null;
  const off = ([low, high]: [number, number]) => Math.abs(setMm - (low + high) / 2);
  for (const size of sizesMm) {
    const holdsIt = atLeast(setMm, size[0]) && atMost(setMm, size[1]);
    if (holdsIt && (best === null || off(size) < off(best))) best = size;
  }
  return best;
}

/**
 * The girth a buckled strap is set to on a neck (on the hair): girth + the slack of the fingers that belong under it; which
 * size holds it; and whether the dog can back out (head ÷ set under `backOutMin`). All mm. Common practice.
 */
export function sizeStrap(question: StrapQuestion, rules: HouseRules) {
  const { kind, girthMm, headGirthMm, finger, sizesMm } = question;
  const fingers = question.fingers ?? STRAP_FINGERS[kind];
  const slackMm = fingerSlack(girthMm, fingers, finger);
  const setGirthMm = girthMm + slackMm;
  const size = sizesMm ? mostCentralSize(sizesMm, setGirthMm) : null;
  const held = headGirthMm === undefined ? null : backOut(headGirthMm, setGirthMm, rules);
  const reasons: StrapReason[] = [{ code: 'set-with-fingers', fingers, slackMm, setMm: setGirthMm }];
  if (sizesMm) reasons.push(size ? { code: 'size-holds', lowMm: size[0], highMm: size[1], setMm: setGirthMm } : { code: 'no-size', setMm: setGirthMm });
  if (held && headGirthMm !== undefined) reasons.push(...holdReasons(held, headGirthMm, setGirthMm, rules));
  else reasons.push({ code: 'head-not-taped' });
  const verdict: StrapVerdict = sizesMm && !size ? 'no-size' : held?.holds === 'no' ? 'can-back-out' : 'fits';
  return { setGirthMm, size, backOutRatio: held?.ratio ?? null, verdict, reasons };
}

/** Whether a strap set to a girth holds this head, as reasons. */
export function holdReasons(
  held: ReturnType<typeof backOut>,
  headMm: number,
  setMm: number,
  rules: Pick<HouseRules, 'backOutMin' | 'backOutNarrow'>,
): StrapReason[] {
  const { ratio, holds } = held;
  if (holds === 'no') {
    const pulledOver: StrapReason[] = setMm >= headMm ? [{ code: 'passes-head', setMm, headMm }] : [];
    return [...pulledOver, { code: 'can-back-out', ratio, limit: rules.backOutMin }];
  }
  return [holds === 'yes' ? { code: 'holds', ratio, limit: rules.backOutNarrow } : { code: 'holds-high-and-tight', ratio, limit: rules.backOutNarrow }];
}
