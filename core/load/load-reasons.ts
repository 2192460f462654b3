import type { ReasonWords } from '../reasons/reason.ts';
import { percent } from '../units/percent.ts';
import { spokenSpan } from '../units/speaker.ts';
import type { CollarLoad, LoadCase } from './collar-load.ts';

export type LoadReason =
  | { code: 'carries-below'; kPa: number; forceN: number }
  | { code: 'carries-all-round'; kPa: number; forceN: number }
  | { code: 'carries-at-ring'; kPa: number; forceN: number; leftShare: number; friction: number }
  | { code: 'carries-on-tips'; kPa: number; forceN: number; tipForceN: number; tipAreaMm2: number }
  | { code: 'model-leaves-out' };

export const LOAD_REASON_WORDS: ReasonWords<LoadReason> = {
  'carries-below': (r, speak) =>
    `At ${speak.force(r.forceN)} it presses ${speak.pressure(r.kPa)} on the throat and both sides, and stands off at the nape: all the load lies in front.`,
  'carries-all-round': (r, speak) => `At ${speak.force(r.forceN)} it presses ${speak.pressure(r.kPa)} all round: half the leash goes each way.`,
  'carries-at-ring': (r, speak) =>
    `At ${speak.force(r.forceN)} it presses ${speak.pressure(r.kPa)} beside the ring; friction of ${r.friction} leaves ${percent(r.leftShare)} of that on the ring’s other side.`,
  'carries-on-tips': (r, speak) =>
    `At ${speak.force(r.forceN)} each tip carries ${speak.force(r.tipForceN)}, ${speak.pressure(r.kPa)} on its ${speak.area(r.tipAreaMm2)}; the same all round.`,
  'model-leaves-out': (_r, speak) =>
    `An ideal belt on a round, even neck: it leaves out edges, hair, muscle, the windpipe and the jerk. Pressures measured under collars on a neck model were ${spokenSpan(speak.pressure(83), speak.pressure(832))} (Carter and others, Veterinary Record 2020): compare collars by this, do not call one safe.`,
};

/** What a load says, and what it leaves out. */
export function loadReasons(load: LoadCase, { peakKPa, tipForceN }: CollarLoad): LoadReason[] {
  const { leashForceN: forceN } = load;
  const left: LoadReason = { code: 'model-leaves-out' };
  switch (load.kind) {
    case 'flat':
    case 'martingale-met':
      return [{ code: 'carries-below', kPa: peakKPa, forceN }, left];
    case 'martingale-apart':
      return [{ code: 'carries-all-round', kPa: peakKPa, forceN }, left];
    case 'slip':
      return [{ code: 'carries-at-ring', kPa: peakKPa, forceN, leftShare: Math.exp(-2 * Math.PI * load.friction), friction: load.friction }, left];
    case 'prong':
      return [{ code: 'carries-on-tips', kPa: peakKPa, forceN, tipForceN: tipForceN!, tipAreaMm2: load.tipAreaMm2 }, left];
  }
}
