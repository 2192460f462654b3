import { noticedBy, type DogResponse } from '../field-log/field-event.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import { percent } from '../units/percent.ts';
import { levelWords } from './level-words.ts';
import { levelAtChance } from './logistic-threshold.ts';
import { findThreshold, type Threshold } from './threshold.ts';
import { trialsWanted, type TrialsWanted } from './trials-wanted.ts';
import type { LevelScale } from './staircase.ts';

/** A press of a finding run that was answered, on one device in one setting. */
export type FindingTrial = { level: number; response: DogResponse; at: number };

export type WorkingLevelReason =
  | { code: 'working'; level: number; chance: number; exact: number }
  | { code: 'working-at-ceiling'; level: number; ceiling: number }
  | { code: 'working-above-cap'; level: number; cap: number }
  | { code: 'working-off-scale'; exact: number; max: number }
  | { code: 'lowest-noticed'; level: number }
  | { code: 'no-curve' };

export const WORKING_LEVEL_REASON_WORDS: ReasonWords<WorkingLevelReason> = {
  working: (r) =>
    `Level ${levelWords(r.level)} is the lowest on the scale that this dog notices ${percent(r.chance)} of the time (curve: ${levelWords(r.exact)}).`,
  'working-at-ceiling': (r) =>
    `The curve says ${levelWords(r.level)}, and ${levelWords(r.ceiling)} was too much: no level is proposed. Contact, skin and place, battery, distraction first.`,
  'working-above-cap': (r) => `The curve says ${levelWords(r.level)}, above the cap of ${levelWords(r.cap)}: no level is proposed. Contact first.`,
  'working-off-scale': (r) => `The curve says ${levelWords(r.exact)}, past the scale’s end at ${levelWords(r.max)}: no level is proposed. Contact first.`,
  'lowest-noticed': (r) => `No curve yet; the lowest level noticed so far is ${levelWords(r.level)}.`,
  'no-curve': () => 'No curve yet.',
};

/** The rung of one setting: threshold, working level, and what more it wants. */
export type LadderRung = {
  trials: number;
  threshold: Threshold;
  /** On the device's scale; null where none may be proposed. */
  working: number | null;
  workingReason: WorkingLevelReason;
  wanted: TrialsWanted | null;
};

/** The lowest level that was too much for a dog on a device, in whatever setting; null when none was. */
export function ceilingOf(presses: readonly { level: number; response: DogResponse | null }[]): number | null {
  const much = presses.filter(({ response }) => response === 'too-much').map(({ level }) => level);
  return much.length === 0 ? null : Math.min(...much);
}

/** The lowest level of a scale that is not under an exact one. */
const upToScale = (exact: number, { min, step }: LevelScale) => min + Math.max(0, Math.ceil((exact - min) / step - 1e-9)) * step;

/**
 * What finding trials of a device in a setting say: the threshold at half, the working level at the house's chance, and how many
 * more trials the estimate wants. Nothing at or above a ceiling, above a cap or off the scale is ever proposed.
 */
export function ladderRung(
  trials: readonly FindingTrial[],
  {
    scale,
    ceiling,
    cap,
    rules,
  }: { scale: LevelScale; ceiling: number | null; cap: number | null; rules: Pick<HouseRules, 'workingChance' | 'levelWidthSteps'> },
): LadderRung {
  const counted = trials.map(({ level, response }) => ({ level, noticed: noticedBy(response) }));
  const threshold = counted.length === 0 ? NO_TRIALS : findThreshold(counted, 0.5);
  const { curve } = threshold;
  if (!curve || curve.slope <= 0) {
    const noticed = counted.filter((trial) => trial.noticed).map(({ level }) => level);
    const lowest = noticed.length === 0 ? null : Math.min(...noticed);
    const may = lowest !== null && (ceiling === null || lowest < ceiling) && (cap === null || lowest <= cap);
    const workingReason: WorkingLevelReason = may && lowest !== null ? { code: 'lowest-noticed', level: lowest } : { code: 'no-curve' };
    return { trials: counted.length, threshold, working: null, workingReason, wanted: null };
  }
  const exact = levelAtChance(curve, rules.workingChance).level;
  const level = upToScale(exact, scale);
  const wanted = trialsWanted(counted, curve, { target: rules.workingChance, scale, widthSteps: rules.levelWidthSteps });
  const rung = { trials: counted.length, threshold, wanted };
  if (ceiling !== null && level >= ceiling) return { ...rung, working: null, workingReason: { code: 'working-at-ceiling', level, ceiling } };
  if (cap !== null && level > cap) return { ...rung, working: null, workingReason: { code: 'working-above-cap', level, cap } };
  if (level > scale.max) return { ...rung, working: null, workingReason: { code: 'working-off-scale', exact, max: scale.max } };
  return { ...rung, working: level, workingReason: { code: 'working', level, chance: rules.workingChance, exact } };
}

const NO_TRIALS: Threshold = { level: null, low95: null, high95: null, intercept: null, slope: null, converged: false, curve: null, reasons: [] };
