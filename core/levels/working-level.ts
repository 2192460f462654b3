import type { HouseRules } from '../rules/house-rules.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import { percent } from '../units/percent.ts';
import { atLeast, atMost } from '../units/tolerance.ts';
import { levelWords } from './level-words.ts';
import { levelAtChance } from './logistic-threshold.ts';
import { findThreshold, type Threshold } from './threshold.ts';

/** One press of a finding run on the device's own scale: whether the dog noticed, and whether it was too much for it. */
export type LevelTrial = { level: number; noticed: boolean; tooMuch?: boolean };
/** An up-down run: its trials in the order in which they were pressed, in one setting on one device. */
export type LevelRun = { trials: readonly LevelTrial[] };

/** How well a level is known: by an interval narrow enough and turns enough; by turns alone; not at all. */
export const LEVEL_STATES = ['known', 'rough', 'unknown'] as const;
export type LevelState = (typeof LEVEL_STATES)[number];

export type WorkingLevelReason =
  | { code: 'known'; level: number; turns: number; low95: number; high95: number }
  | { code: 'rough'; level: number; turns: number; turnsMean: number }
  | { code: 'no-turn'; noticed: number | null }
  | { code: 'by-curve'; exact: number; chance: number }
  | { code: 'highest-noticed'; exact: number; level: number }
  | { code: 'at-ceiling'; level: number; ceiling: number }
  | { code: 'above-cap'; level: number; cap: number }
  | { code: 'falls-with-level' };

export const WORKING_LEVEL_REASON_WORDS: ReasonWords<WorkingLevelReason> = {
  known: (r) =>
    `Level ${levelWords(r.level)} is known: ${r.turns} turns, and the dog notices somewhere between ${levelWords(r.low95)} and ${levelWords(r.high95)}.`,
  rough: (r) =>
    `Level ${levelWords(r.level)} is rough: ${r.turns === 1 ? 'one turn' : `${r.turns} turns`}, at ${levelWords(r.turnsMean)} on average. Another run settles it.`,
  'no-turn': (r) =>
    r.noticed === null
      ? 'Not known yet: no press was noticed.'
      : `Not known yet: noticed at ${levelWords(r.noticed)}, and the run has not turned. Go on from there, a step down.`,
  'by-curve': (r) => `The curve puts ${percent(r.chance)} of the presses noticed at ${levelWords(r.exact)}.`,
  'highest-noticed': (r) => `No level that was noticed reaches ${levelWords(r.exact)}: ${levelWords(r.level)} is the highest that was.`,
  'at-ceiling': (r) =>
    `It would be ${levelWords(r.level)}, and ${levelWords(r.ceiling)} was too much: no level is offered. Contact first, then skin and place, battery, distraction.`,
  'above-cap': (r) => `It would be ${levelWords(r.level)}, above the cap of ${levelWords(r.cap)}: no level is offered. Contact first.`,
  'falls-with-level': () => 'Higher levels were noticed less often: that is no threshold. Check the contact, then try the same levels again.',
};

/** What runs of one device in one setting say. Levels on the device's own scale; null where there is none. */
export type WorkingLevel = {
  state: LevelState;
  /** What to work at: a level that was seen to be noticed, under every ceiling, not above the cap. */
  level: number | null;
  turns: number;
  turnsMean: number | null;
  /** Where half is noticed: the 95 % interval of the curve, or between what was missed and noticed where they lie apart. */
  low95: number | null;
  high95: number | null;
  highestNoticed: number | null;
  threshold: Threshold;
  reasons: WorkingLevelReason[];
};

export type WorkingLevelLimits = {
  scale: { step: number };
  ceiling?: number | null;
  cap?: number | null;
  /** The chance of noticing that is worked at, 0.5 to 0.95. */
  target: number;
  rules: Pick<HouseRules, 'levelKnownSteps'>;
};

/** A run that turned six times says as much as two. Common practice. */
const TURNS_OF_TWO_RUNS = 6;

/** The levels at which a run turns: of each trial that was answered otherwise than the one before it. Source: Levitt 1971. */
const turnsOf = ({ trials }: LevelRun): number[] =>
  trials.flatMap(({ level, noticed }, index) => (index > 0 && trials[index - 1]!.noticed !== noticed ? [level] : []));

/** Where half is noticed: the curve's interval, or the gap between the highest missed and the lowest noticed; nulls where trials say neither. */
function intervalOf(threshold: Threshold): { low95: number | null; high95: number | null } {
  if (threshold.converged) return { low95: threshold.low95, high95: threshold.high95 };
  const apart = threshold.reasons.find((reason) => reason.code === 'apart');
  return apart ? { low95: apart.highestMissed, high95: apart.lowestNoticed } : { low95: null, high95: null };
}

/**
 * The level to work at, from up-down runs in one setting on one device: the lowest level that was seen to be noticed and is not
 * under the mean of the turns (nor, where the level is known, under the curve's level at the target). Never above what was
 * noticed, never at or above a ceiling, never above the cap. Levels on the device's own scale.
 *
 * Sources: Levitt, J. Acoust. Soc. Am. 49 (1971), 467–477 (turns of an up-down run); the logistic curve as in `findThreshold`;
 * that nothing is proposed above what was noticed, and what makes a level known: common practice.
 *
 * @example // never at 5, always at 6: works at 6
 * workingLevel([{ trials: [5, 6, 5, 6, 5, 6, 5].map((level) => ({ level, noticed: level === 6 })) }], limits).level // 6
 */
export function workingLevel(runs: readonly LevelRun[], { scale, ceiling = null, cap = null, target, rules }: WorkingLevelLimits): WorkingLevel {
  const trials = runs.flatMap((run) => [...run.trials]);
  const turnLevels = runs.flatMap(turnsOf);
  const turns = turnLevels.length;
  const turnsMean = turns === 0 ? null : turnLevels.reduce((sum, level) => sum + level, 0) / turns;
  const noticed = trials.filter((trial) => trial.noticed).map(({ level }) => level);
  const highestNoticed = noticed.length === 0 ? null : Math.max(...noticed);
  const threshold = trials.length === 0 ? NO_TRIALS : findThreshold(trials, 0.5);
  const interval = intervalOf(threshold);
  const found = { turns, turnsMean, ...interval, highestNoticed, threshold };
  const falls: WorkingLevelReason[] = threshold.reasons.some(({ code }) => code === 'falls-with-level') ? [{ code: 'falls-with-level' }] : [];
  if (turnsMean === null || highestNoticed === null)
    return { state: 'unknown', level: null, ...found, reasons: [{ code: 'no-turn', noticed: noticed.length === 0 ? null : Math.min(...noticed) }, ...falls] };

  const { low95, high95 } = interval;
  const enough = runs.length >= 2 || turns >= TURNS_OF_TWO_RUNS;
  const narrow = low95 !== null && high95 !== null && atMost(high95 - low95, rules.levelKnownSteps * scale.step);
  const state: LevelState = enough && narrow ? 'known' : 'rough';
  const byCurve = state === 'known' && threshold.curve && threshold.level !== null ? levelAtChance(threshold.curve, target).level : null;
  const exact = Math.max(turnsMean, byCurve ?? -Infinity);
  const reaching = noticed.filter((level) => atLeast(level, exact));
  const level = reaching.length > 0 ? Math.min(...reaching) : highestNoticed;

  const lowestTooMuch = Math.min(...trials.filter(({ tooMuch }) => tooMuch).map((trial) => trial.level), ceiling ?? Infinity);
  const how: WorkingLevelReason[] = [
    ...(byCurve !== null && byCurve > turnsMean ? [{ code: 'by-curve', exact: byCurve, chance: target } as const] : []),
    ...(reaching.length === 0 ? [{ code: 'highest-noticed', exact, level } as const] : []),
    ...falls,
  ];
  if (atLeast(level, lowestTooMuch)) return { state, level: null, ...found, reasons: [{ code: 'at-ceiling', level, ceiling: lowestTooMuch }, ...how] };
  if (cap !== null && !atMost(level, cap)) return { state, level: null, ...found, reasons: [{ code: 'above-cap', level, cap }, ...how] };
  const says: WorkingLevelReason =
    state === 'known' ? { code: 'known', level, turns, low95: low95!, high95: high95! } : { code: 'rough', level, turns, turnsMean };
  return { state, level, ...found, reasons: [says, ...how] };
}

const NO_TRIALS: Threshold = { level: null, low95: null, high95: null, intercept: null, slope: null, converged: false, curve: null, reasons: [] };
