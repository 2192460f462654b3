/** Sessions in the field. */
export {
  DIRECTION_WORDS,
  DIRECTIONS,
  HOME_SETTING,
  MORE_CAUSES,
  noticedBy,
  RESPONSE_WORDS,
  RESPONSES,
  SESSION_PURPOSES,
  WORK_SETTINGS,
  type Direction,
  type DogResponse,
  type FieldEvent,
  type FieldEventName,
  type MoreCause,
  type SessionPurpose,
} from './field-event.ts';
export { askWhetherEnded, joinedSessions, overlapping, sessionStory, standingEvents, type SessionPress, type SessionStory } from './session-story.ts';
export { correctionsPerTenMinutes, rewardsPerCorrection, sessionTally, tensionShare, type SessionTally } from './session-tally.ts';
export { ASKED_GUARDS, MORE_STEPS, PRESS_GUARD_TONES, PRESS_GUARD_WORDS, pressGuards, type PressFacts, type PressGuard } from './press-guards.ts';
