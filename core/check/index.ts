/** The fit check on the dog. */
export { labelOf, questionsAsked, type CheckQuestion, type SpokenLabel } from './check-question.ts';
export { type SlackInterval } from './slack-interval.ts';
export {
  CHECK_TONES,
  checkBySpec,
  EARLIER_CHECKS,
  isBenchStep,
  isLaterStep,
  specReasonWords,
  stepSentence,
  type CheckAnswers,
  type CheckContext,
  type CheckCount,
  type CheckFault,
  type CheckSpec,
  type CheckTells,
  type EarlierSpecCheck,
  type SpecReason,
  type SpecResult,
  type StepWords,
} from './check-spec.ts';
export { slackOfFingersUnder } from './fingers-under.ts';
