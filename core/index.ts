/** The trade, computed: everything that the contract, the server and the screens may use of the core. */
export { CORE_VERSION } from './version.ts';

export { MM_PER_UNIT, type KennelLengthUnit, type LengthUnit } from './units/length-units.ts';
export { GRAMS_PER_UNIT, type KennelMassUnit, type MassUnit } from './units/mass-units.ts';
export { type AmountProblem } from './units/number-words.ts';
export { readLength, type LengthExpectation, type ReadLength } from './units/read-length.ts';
export { DOG_GRAMS, readMass, type ReadMass } from './units/read-mass.ts';
export { exactLength, speakGap, speakGirth } from './units/speak-length.ts';
export { speakMass } from './units/speak-mass.ts';
export { benchSpeaker, contractSpeaker, type Speaker } from './units/speaker.ts';
export { countOf, countWord } from './units/count-words.ts';
export { percent } from './units/percent.ts';

export { wordReason, type Reason, type ReasonWords } from './reasons/reason.ts';
export {
  contradictingRules,
  DEFAULT_HOUSE_RULES,
  HOUSE_RULES,
  houseRules,
  type HouseRule,
  type HouseRuleName,
  type HouseRuleOverrides,
  type HouseRules,
} from './rules/house-rules.ts';

export { median } from './measure/median.ts';
export { technicalError, type TechnicalError } from './measure/technical-error.ts';
export { skinGirth } from './measure/skin-girth.ts';
export { expectedHighGirth, NECK_BUILDS, type NeckBuild } from './measure/neck-build.ts';
export { GIRTH_SITES, POSSIBLE_GIRTH_MM, SITE_WORDS, type GirthSite } from './measure/sites.ts';
export { BREED_NAMES } from './measure/breed-names.ts';
export { likelyGirth } from './measure/likely-girth.ts';
export { taping, type Taping, type TapingResult } from './measure/taping.ts';
export { TAPE_REASON_WORDS, type TapeReason } from './measure/tape-reasons.ts';
export { FLAT_HAND_FINGERS, fingerSlack, type Finger } from './measure/finger-slack.ts';
export { backOut, type BackOut } from './measure/back-out.ts';

export { type CheckQuestion } from './check/check-question.ts';
export { type SlackInterval } from './check/slack-interval.ts';

export { gaugeName, mostLinksOut, TYPICAL_PITCH_MM, TYPICAL_PRONGS, type ProngCollar } from './collars/prong/prong-collar.ts';
export { prongGirths, type ProngGirths } from './collars/prong/prong-girths.ts';
export { evenness, evenSplit, linkMove, shiftLinks, type LinkMove, type LinkSplit } from './collars/prong/link-split.ts';
export { linkInstruction } from './collars/prong/link-instruction.ts';
export { PRONG_VERDICTS, sizeProng, type ProngFit, type ProngNeck, type ProngVerdict } from './collars/prong/size-prong.ts';
export { judgeLinks, type LinksJudgement, type LinksVerdict } from './collars/prong/judge-links.ts';
export { chooseProng, type ProngDecision, type ProngQuestion, type SchoolChoice } from './collars/prong/choose-prong.ts';
export { BETWEEN_SCHOOLS, GAUGE_SCHOOLS, PULLS, type BetweenSchool, type GaugeSchool, type Pull } from './collars/prong/gauge-schools.ts';
export { BETWEEN_SCHOOL_WORDS, GAUGE_SCHOOL_WORDS } from './collars/prong/school-words.ts';
export { PRONG_CHOICE_REASON_WORDS, PRONG_REASON_WORDS, type ProngChoiceReason, type ProngReason } from './collars/prong/prong-reasons.ts';
export {
  prongPieces,
  prongWidthMm,
  RING_PLACES,
  ringClock,
  WORKING_SIDES,
  type ProngPiece,
  type RingPlace,
  type WorkingSide,
} from './collars/prong/prong-hardware.ts';
export { COLLAR_DOUBT_WORDS, collarDoubts, type CollarDoubt } from './collars/prong/measure-collar.ts';
export { PRONG_CHECK_QUESTIONS, PRONG_GATHER_TEST, PRONG_PUT_ON, type ProngCheckAnswers, type ProngQuestionId } from './collars/prong/fit-check-questions.ts';
export { PRONG_CHECK_REASON_WORDS, type ProngCheckReason } from './collars/prong/fit-check-reasons.ts';
export { CHECK_STEPS, checkProngFit, type CheckStep, type EarlierProngCheck, type ProngCheck, type ProngCheckResult } from './collars/prong/fit-check.ts';
export { checkStepSentence } from './collars/prong/check-step-words.ts';

export {
  judgeSlip,
  recommendedSlip,
  shortestPassing,
  SLIP_SCHOOLS,
  SLIP_STEP_MM,
  SLIP_VERDICTS,
  sizeSlip,
  type SlipFit,
  type SlipNeck,
  type SlipSchool,
  type SlipVerdict,
} from './collars/slip/size-slip.ts';
export { SLIP_REASON_WORDS, type SlipReason } from './collars/slip/slip-reasons.ts';
export {
  BACKUP_EXTRA_MM,
  CLIP_ON_REASON_WORDS,
  CLIP_ON_USES,
  sizeClipOnSlip,
  type ClipOnReason,
  type ClipOnUse,
} from './collars/clip-on-slip/size-clip-on-slip.ts';
export {
  judgeMartingale,
  loopHang,
  MARTINGALE_SCHOOLS,
  MARTINGALE_VERDICTS,
  martingaleReasons,
  sizeMartingale,
  strapBySchool,
  type MartingaleFit,
  type MartingaleSchool,
  type MartingaleStrap,
  type MartingaleVerdict,
} from './collars/martingale/size-martingale.ts';
export { MARTINGALE_REASON_WORDS, type MartingaleReason } from './collars/martingale/martingale-reasons.ts';
export { mostCentralSize, sizeStrap, STRAP_FINGERS, STRAP_KINDS, STRAP_VERDICTS, type StrapKind, type StrapVerdict } from './collars/strap/size-strap.ts';
export { STRAP_REASON_WORDS, type StrapReason } from './collars/strap/strap-reasons.ts';
export { HEAD_COLLAR_VERDICTS, sizeHeadCollar, type HeadCollarFace, type HeadCollarVerdict } from './collars/head-collar/size-head-collar.ts';
export { HEAD_COLLAR_REASON_WORDS, type HeadCollarReason } from './collars/head-collar/head-collar-reasons.ts';
export { CONTACT_REASON_WORDS, CONTACT_VERDICTS, contactPosts, type ContactReason, type ContactVerdict } from './collars/electronic/contact-posts.ts';

export { acrossAtClock, angleAtClock, pointAtClock } from './neck/clock.ts';
export { girthAt, girthProfile, type NeckLevel, type NeckTape } from './neck/girth-profile.ts';
export { placeOnNeck, spansOnNeck, unrollNeck, type NeckPoint, type OutlineEdge, type UnrolledNeck } from './neck/unrolled-neck.ts';
export { scaleBar } from './neck/scale-bar.ts';
