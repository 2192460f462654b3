/** What is true now, worked out once from what was recorded. */
export { CONTACT_WORDS, contactStanding, type ContactFelt, type ContactStanding } from './contact-standing.ts';
export { fitStanding, REOPENED_WORDS, type FitStanding, type NeckFacts, type NeckFelt, type NeckNow, type Reopened } from './fit-standing.ts';
export {
  levelStanding,
  RUN_BEGINS_UNDER_STEPS,
  runBegins,
  type LevelLimits,
  type LevelRecords,
  type LevelStanding,
  type OfferedLevel,
} from './level-standing.ts';
export { SKIN_GRADE_WORDS, SKIN_GRADES, skinAt, skinStanding, type SkinFlag, type SkinGrade, type SkinLook, type SkinStanding } from './skin-standing.ts';
export { wearsOf, wornStanding, type WornStanding, type Span, type Wear, type WearEvent, type WearOddity } from './wear-standing.ts';
export { madeUpSays, madeUpStanding, type FitWants, type MadeUpNow, type MadeUpStanding } from './made-up-standing.ts';
export { CONDITIONS, lookedAtOn, PIECE_STANDINGS, PIECE_WORDS, pieceStanding, type Condition, type PieceStanding } from './piece-standing.ts';
export { programmeStanding, stageAt, type ProgrammeStanding } from './programme-standing.ts';
export { alarmLook, askedUpTo, type AlarmLook, type CauseAsked } from './alarm-look.ts';
