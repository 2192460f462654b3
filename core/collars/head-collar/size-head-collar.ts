import { fingerSlack, type Finger } from '../../measure/finger-slack.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { HeadCollarReason } from './head-collar-reasons.ts';

export const HEAD_COLLAR_VERDICTS = ['fits', 'set-on-the-dog', 'no-window'] as const;
export type HeadCollarVerdict = (typeof HEAD_COLLAR_VERDICTS)[number];

/** The face and neck a head collar is sized for; mm. */
export type HeadCollarFace = { girthMm: number; muzzleGirthMm: number; stopGirthMm: number; muzzleLengthMm: number; finger: Finger };

/** Where the window is empty the loop starts this much under the stop girth, to be settled by the slide test; mm. Contract. */
const UNDER_STOP_MM = 3;

/**
 * Neck strap and nose loop of a head collar, all mm. The strap is one finger over the girth. The loop is longer than the
 * muzzle and one finger, and always shorter than the stop girth; where that window is empty it is set on the dog by the
 * slide test, and the safety strap is a must. A flat face (muzzle under `flatFaceMm`) cannot wear one. Common practice.
 */
export function sizeHeadCollar(face: HeadCollarFace, rules: HouseRules) {
  const { girthMm, muzzleGirthMm, stopGirthMm, muzzleLengthMm, finger } = face;
  const neckStrapMm = girthMm + fingerSlack(girthMm, 1, finger);
  const noseLoopMinMm = muzzleGirthMm + fingerSlack(muzzleGirthMm, 1, finger);
  const noseLoopMaxMm = stopGirthMm;
  const flat = muzzleLengthMm < rules.flatFaceMm;
  const window = noseLoopMinMm < noseLoopMaxMm;
  const noseLoopMm = flat ? null : window ? (noseLoopMinMm + noseLoopMaxMm) / 2 : noseLoopMaxMm - UNDER_STOP_MM;
  const verdict: HeadCollarVerdict = flat ? 'no-window' : window ? 'fits' : 'set-on-the-dog';
  const reasons: HeadCollarReason[] = [
    flat
      ? { code: 'flat-face', muzzleLengthMm, limitMm: rules.flatFaceMm }
      : window
        ? { code: 'loop-window', lowMm: noseLoopMinMm, highMm: noseLoopMaxMm, loopMm: noseLoopMm! }
        : { code: 'window-empty', lowMm: noseLoopMinMm, highMm: noseLoopMaxMm, loopMm: noseLoopMm! },
    { code: 'neck-strap-one-finger', strapMm: neckStrapMm, girthMm },
  ];
  return { neckStrapMm, noseLoopMinMm, noseLoopMaxMm, noseLoopMm, verdict, reasons };
}
