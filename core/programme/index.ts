/** Training programmes and their stages. */
export {
  judgeStage,
  NOT_YET,
  NOT_YET_WORDS,
  STAGE_REASON_WORDS,
  type NotYet,
  type ProgrammeStage,
  type StageJudgement,
  type StageReason,
  type StageResult,
  type StageVerdict,
} from './stage.ts';
export { PROGRAMME_IDS, PROGRAMME_TEMPLATES, programmesFor, type ProgrammeId, type ProgrammeTemplate } from './programme-templates.ts';
export {
  GRID_MINUTES,
  moveSession,
  NO_ROOM_WORDS,
  placeSessions,
  sessionClash,
  slotOn,
  somebodyThere,
  type DaySpan,
  type NoRoom,
  type NoRoomReason,
  type PlacedSession,
  type ScheduleCase,
  type ScheduleDay,
  type ScheduleHand,
  type SessionClash,
  type SessionWish,
} from './schedule.ts';
export { resultsBySession, type ToldResult } from './results-by-session.ts';
export { heldSessions } from './held-sessions.ts';
export { isHardFault, SESSION_FAULT_WORDS, sessionFaults, type SessionFault } from './session-faults.ts';
export { hoursOn, USUAL_HOURS, type Away, type Week, type WorkHours } from './work-hours.ts';
