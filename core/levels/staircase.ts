import type { Trial } from './logistic-threshold.ts';

/** The rules of an up-down run. `up-down` settles where half are noticed, `two-down` where 70.7 % are. */
export const STAIRCASE_RULES = ['up-down', 'two-down'] as const;
export type StaircaseRule = (typeof STAIRCASE_RULES)[number];

export const STAIRCASE_RULE_WORDS: Record<StaircaseRule, { name: string; says: string }> = {
  'up-down': {
    name: 'one down, one up',
    says: 'A step up after no sign, a step down after the first small sign; it settles where the dog notices half the time.',
  },
  'two-down': {
    name: 'two down, one up',
    says: 'A step down only after two signs in a row at one level, a step up after no sign; it settles where the dog notices 71 % of the time.',
  },
};

/** A device's scale: lowest and highest level, the step between two, and the first level that does anything, where its profile says so. */
export type LevelScale = { min: number; max: number; step: number; firstStep?: number };

/**
 * The lowest level of a scale that does anything: as the device's profile says, else its first step where it begins at 0, which is off.
 * Common practice.
 *
 * @example lowestFelt({ min: 0, max: 100, step: 1 }) // 1
 */
export const lowestFelt = ({ min, step, firstStep }: Pick<LevelScale, 'min' | 'step' | 'firstStep'>): number => firstStep ?? (min > 0 ? min : min + step);

/** Where an up-down run stands. */
export type StaircaseState = {
  /** Levels at which the run turned, in order. */
  reversals: number[];
  /** The next trial's level; null when the run is over or may not go on. */
  next: number | null;
  /** Mean of the turning levels without the first, when there are enough; otherwise null. */
  estimate: number | null;
  over: 'turned-enough' | 'limit' | null;
  /** Signs in a row at the present level, towards `two-down`. */
  inARow: number;
};

/** Turns after which a run may end, from memory: six give an estimate, the first is left out. */
export const ENOUGH_REVERSALS = 6;

/**
 * An up-down run after its trials, from the lowest level of the scale (or `from`). It never goes to or above `below` (a ceiling)
 * nor above `atMost` (a cap): there it ends with `limit`, and the question is contact.
 * Source: Levitt, J. Acoust. Soc. Am. 49 (1971), 467–477: one down one up converges on 50 %, two down one up on 70.7 %.
 *
 * @example staircase([], { rule: 'up-down', scale: { min: 1, max: 60, step: 1 } }).next // 1
 */
export function staircase(
  trials: readonly Trial[],
  {
    rule,
    scale,
    from = scale.min,
    below = null,
    atMost = null,
    turns = ENOUGH_REVERSALS,
  }: { rule: StaircaseRule; scale: LevelScale; from?: number; below?: number | null; atMost?: number | null; turns?: number },
): StaircaseState {
  const needed = rule === 'two-down' ? 2 : 1;
  const reversals: number[] = [];
  let level = from;
  let inARow = 0;
  let heading: 'up' | 'down' | null = null;
  for (const trial of trials) {
    level = trial.level;
    inARow = trial.noticed ? inARow + 1 : 0;
    if (trial.noticed && inARow < needed) continue;
    const turn: 'up' | 'down' = trial.noticed ? 'down' : 'up';
    if (heading !== null && heading !== turn) reversals.push(level);
    heading = turn;
    inARow = 0;
    level += turn === 'up' ? scale.step : -scale.step;
  }
  const used = reversals.slice(1);
  const estimate = used.length >= 2 ? used.reduce((sum, one) => sum + one, 0) / used.length : null;
  if (reversals.length >= turns) return { reversals, next: null, estimate, over: 'turned-enough', inARow };
  const next = Math.max(level, scale.min);
  const barred = next > scale.max || (below !== null && next >= below) || (atMost !== null && next > atMost);
  return { reversals, next: barred ? null : next, estimate, over: barred ? 'limit' : null, inARow };
}
