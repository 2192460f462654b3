/** Levels of a device in their settings. */
export { chanceOfNoticing, fitLogistic, levelAtChance, trialsShape, type LogisticCurve, type Trial, type TrialsShape } from './logistic-threshold.ts';
export { findThreshold, THRESHOLD_REASON_WORDS, type Threshold, type ThresholdReason } from './threshold.ts';
export { levelSteps, levelWords } from './level-words.ts';
export { DRIFT_REASON_WORDS, driftCharts, driftReasons, type DriftAlarm, type DriftCase, type DriftCharts, type DriftReason } from './drift.ts';
export {
  ENOUGH_REVERSALS,
  lowestFelt,
  STAIRCASE_RULE_WORDS,
  STAIRCASE_RULES,
  staircase,
  type LevelScale,
  type StaircaseRule,
  type StaircaseState,
} from './staircase.ts';
export { trialsWanted, type TrialsWanted } from './trials-wanted.ts';
export {
  LEVEL_STATES,
  WORKING_LEVEL_REASON_WORDS,
  workingLevel,
  type LevelRun,
  type LevelState,
  type LevelTrial,
  type WorkingLevel,
  type WorkingLevelLimits,
  type WorkingLevelReason,
} from './working-level.ts';
export {
  NEEDED_REASON_WORDS,
  neededDrift,
  type NeededAlarm,
  type NeededDrift,
  type NeededLevel,
  type NeededReason,
  type SessionLevel,
} from './needed-drift.ts';
