/** Taping a neck. */
export { median } from './median.ts';
export { technicalError, type TechnicalError } from './technical-error.ts';
export { skinGirth } from './skin-girth.ts';
export { expectedHighGirth, HEAD_TO_HIGH, NECK_BUILDS, type NeckBuild } from './neck-build.ts';
export {
  GIRTH_SITES,
  isGirthSite,
  LENGTH_SITES,
  POSSIBLE_GIRTH_MM,
  POSSIBLE_TAPE_MM,
  SITE_WORDS,
  TAPE_SITE_WORDS,
  TAPE_SITES,
  type GirthSite,
  type LengthSite,
  type TapeSite,
} from './sites.ts';
export { leastNeckLength, likelyGirth } from './likely-girth.ts';
export { settledDoubt, taping, tapingDoubt, type Taping, type TapingResult } from './taping.ts';
export { TAPE_CONTRADICTION_WORDS, tapeContradictions, type TapeContradiction } from './contradictions.ts';
export { TAPE_REASON_WORDS, type TapeReason } from './tape-reasons.ts';
export { FLAT_HAND_FINGERS, fingerSlack, type Finger } from './finger-slack.ts';
export { backOut, type BackOut } from './back-out.ts';
