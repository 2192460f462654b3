import type { ReasonWords } from '../../reasons/reason.ts';

/** Why a head collar gets its settings and verdict. Lengths mm. */
export type HeadCollarReason =
  | { code: 'flat-face'; muzzleLengthMm: number; limitMm: number }
  | { code: 'loop-window'; lowMm: number; highMm: number; loopMm: number }
  | { code: 'window-empty'; lowMm: number; highMm: number; loopMm: number }
  | { code: 'neck-strap-one-finger'; strapMm: number; girthMm: number };

export const HEAD_COLLAR_REASON_WORDS: ReasonWords<HeadCollarReason> = {
  'flat-face': (r, speak) =>
    `The muzzle is ${speak.gap(r.muzzleLengthMm)} long, under the ${speak.gap(r.limitMm)} that a nose loop needs: a flat face cannot wear one.`,
  'loop-window': (r, speak) =>
    `The nose loop is longer than the muzzle and one finger, ${speak.taped(r.lowMm)}, and shorter than the nose end, ${speak.taped(r.highMm)}: ${speak.taped(r.loopMm)} is the middle.`,
  'window-empty': (r, speak) =>
    `One finger under the loop would take ${speak.taped(r.lowMm)}, but from ${speak.taped(r.highMm)} it slides off the nose: begin at ${speak.taped(r.loopMm)}, settle it by the slide test, and never without the safety strap.`,
  'neck-strap-one-finger': (r, speak) =>
    `The neck strap sits high behind the ears with one finger under it: ${speak.taped(r.strapMm)} on a neck of ${speak.taped(r.girthMm)}.`,
};
