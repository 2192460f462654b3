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
export { alarmLook, askedUpTo, type AlarmLook, type CauseAsked } from './alarm-look.ts';
