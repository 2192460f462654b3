import type { ReasonWords } from '../reasons/reason.ts';
import { percent } from '../units/percent.ts';
import { levelWords } from './level-words.ts';
import { fitLogistic, levelAtChance, trialsShape, type LogisticCurve, type Trial } from './logistic-threshold.ts';

export type ThresholdReason =
  | { code: 'threshold'; level: number; low95: number; high95: number; target: number; trials: number }
  | { code: 'falls-with-level'; slope: number }
  | { code: 'all-noticed'; lowest: number }
  | { code: 'none-noticed'; lowest: number; highest: number; trials: number }
  | { code: 'one-level'; level: number }
  | { code: 'apart'; highestMissed: number; lowestNoticed: number }
  | { code: 'apart-backwards'; highestNoticed: number; lowestMissed: number };

const span = (low: number, high: number) => (low === high ? levelWords(low) : `${levelWords(low)} to ${levelWords(high)}`);

export const THRESHOLD_REASON_WORDS: ReasonWords<ThresholdReason> = {
  threshold: (r) =>
    `Noticed with a chance of ${percent(r.target)} at level ${levelWords(r.level)}, 95 % interval ${levelWords(r.low95)} to ${levelWords(r.high95)}, by ${r.trials} trials.`,
  'falls-with-level': (r) =>
    `Higher levels were noticed ${r.slope === 0 ? 'no more often than lower ones' : 'less often'}: this is no threshold. Check the contact first, then try the same levels again.`,
  'all-noticed': (r) => `Every trial was noticed, down to level ${levelWords(r.lowest)}: try below ${levelWords(r.lowest)} next.`,
  'none-noticed': (r) =>
    `None of ${r.trials} ${r.trials === 1 ? 'trial' : 'trials'} at level ${span(r.lowest, r.highest)} was noticed: check the contact, then skin and place, then the battery, and try the same levels again.`,
  'one-level': (r) =>
    `All trials are at level ${levelWords(r.level)}: a curve needs a second level. Try below ${levelWords(r.level)} next, then ${levelWords(r.level)} again.`,
  apart: (r) =>
    `Everything from level ${levelWords(r.lowestNoticed)} was noticed and nothing ${r.highestMissed === r.lowestNoticed ? 'below' : `up to ${levelWords(r.highestMissed)}`}: the threshold lies there, with no interval yet. Try levels ${span(r.highestMissed, r.lowestNoticed)} again next.`,
  'apart-backwards': (r) =>
    `Levels from ${levelWords(r.lowestMissed)} were missed though ${levelWords(r.highestNoticed)} was noticed: check the contact first, then try the same levels again.`,
};

/** Over all the levels tried, a slope that changes the logarithm of odds by less than this is none. */
const FLAT = 1e-9;

/** What trials say of the level noticed with a chance. */
export type Threshold = {
  /** On the device's scale, not rounded to its steps; null where no curve exists. */
  level: number | null;
  low95: number | null;
  high95: number | null;
  intercept: number | null;
  slope: number | null;
  converged: boolean;
  curve: LogisticCurve | null;
  reasons: ThresholdReason[];
};

/**
 * The level a dog notices with a chance (`target`, 0.5 to 0.95), by the likeliest logistic curve; null with a reason that says
 * which levels to try next where the trials have none. A higher level than was tried is never the answer to a missed one:
 * contact, skin and place, and battery come first.
 *
 * @example findThreshold([{ level: 3, noticed: false }, { level: 4, noticed: true }], 0.5).reasons[0]!.code // 'apart'
 */
export function findThreshold(trials: readonly Trial[], target: number): Threshold {
  const none = { level: null, low95: null, high95: null, intercept: null, slope: null, converged: false, curve: null };
  const levels = (noticed: boolean) => trials.filter((trial) => trial.noticed === noticed).map(({ level }) => level);
  const [hit, miss] = [levels(true), levels(false)];
  const lowest = Math.min(...hit, ...miss);
  switch (trialsShape(trials)) {
    case 'all-noticed':
      return { ...none, reasons: [{ code: 'all-noticed', lowest }] };
    case 'none-noticed':
      return { ...none, reasons: [{ code: 'none-noticed', lowest, highest: Math.max(...miss), trials: miss.length }] };
    case 'one-level':
      return { ...none, reasons: [{ code: 'one-level', level: lowest }] };
    case 'apart':
      return { ...none, reasons: [{ code: 'apart', highestMissed: Math.max(...miss), lowestNoticed: Math.min(...hit) }] };
    case 'apart-backwards':
      return { ...none, reasons: [{ code: 'apart-backwards', highestNoticed: Math.max(...hit), lowestMissed: Math.min(...miss) }] };
    case 'overlap': {
      const curve = fitLogistic(trials)!;
      // As often at every level: what rounding leaves of a slope would put the threshold anywhere.
      const reach = Math.max(...hit, ...miss) - lowest;
      if (Math.abs(curve.slope) * reach < FLAT)
        return {
          ...none,
          intercept: curve.intercept,
          slope: 0,
          converged: true,
          curve: { ...curve, slope: 0 },
          reasons: [{ code: 'falls-with-level', slope: 0 }],
        };
      const { level, low95, high95 } = levelAtChance(curve, target);
      const reasons: ThresholdReason[] =
        curve.slope > 0 ? [{ code: 'threshold', level, low95, high95, target, trials: trials.length }] : [{ code: 'falls-with-level', slope: curve.slope }];
      return { level, low95, high95, intercept: curve.intercept, slope: curve.slope, converged: true, curve, reasons };
    }
  }
}
