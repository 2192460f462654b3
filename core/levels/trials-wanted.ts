import { chanceOfNoticing, levelAtChance, type LogisticCurve, type Trial } from './logistic-threshold.ts';
import type { LevelScale } from './staircase.ts';

/** How many more trials an estimate wants, and at which levels; none when it is sharp enough. `enough` is false where it wants even more than that. */
export type TrialsWanted = { more: number; at: number[]; enough: boolean };

/** More is not asked of one dog in one go, from memory. */
const MOST_MORE = 60;
/** A logistic curve is told best where a quarter and three quarters are noticed: between Abdelbasit & Plackett's pair and the threshold. */
const TELLING_SHARES = [0.25, 0.75] as const;
const Z_95 = 1.959963984540054;

/**
 * How many more trials until the 95 % interval of the level at a chance is no wider than `widthSteps` steps either side, were the
 * curve as estimated, taken at the two levels that tell the most. Never a level above the highest noticed before.
 * Source: Fisher information of the logistic curve (McCullagh & Nelder 1989, §4.4); where to put trials, Abdelbasit & Plackett,
 * J. Am. Stat. Assoc. 78 (1983), 90–98.
 */
export function trialsWanted(
  trials: readonly Trial[],
  curve: LogisticCurve,
  { target, scale, widthSteps }: { target: number; scale: LevelScale; widthSteps: number },
): TrialsWanted {
  if (!(curve.slope > 0)) return { more: 0, at: [], enough: true };
  const highest = Math.max(...trials.filter(({ noticed }) => noticed).map(({ level }) => level));
  const onScale = (level: number) => {
    const steps = Math.round((level - scale.min) / scale.step);
    return Math.min(highest, Math.max(scale.min, scale.min + steps * scale.step));
  };
  const { level, error } = levelAtChance(curve, target);
  const wanted = widthSteps * scale.step;
  const at = [...new Set(TELLING_SHARES.map((share) => onScale(levelAtChance(curve, share).level)))];
  if (Z_95 * error <= wanted) return { more: 0, at: [], enough: true };
  const { ii, is, ss } = curve.covariance;
  const determinant = ii * ss - is * is;
  let info = { ii: ss / determinant, is: -is / determinant, ss: ii / determinant };
  for (let more = 1; more <= MOST_MORE; more += 1) {
    const x = at[more % at.length]!;
    const p = chanceOfNoticing(curve, x);
    const weight = p * (1 - p);
    info = { ii: info.ii + weight, is: info.is + weight * x, ss: info.ss + weight * x * x };
    const d = info.ii * info.ss - info.is * info.is;
    const variance = (info.ss - 2 * level * info.is + level * level * info.ii) / d / curve.slope ** 2;
    if (Z_95 * Math.sqrt(variance) <= wanted) return { more, at, enough: true };
  }
  return { more: MOST_MORE, at, enough: false };
}
