/** One trial of a level finding: the level on the device's own scale, and whether the dog noticed. */
export type Trial = { level: number; noticed: boolean };

/** Why trials have no likeliest curve, or none that says a threshold. */
export type TrialsShape = 'all-noticed' | 'none-noticed' | 'one-level' | 'apart' | 'apart-backwards' | 'overlap';

/** The curve P(noticed) = 1 / (1 + exp(−(intercept + slope·level))) with the covariance of its two numbers. */
export type LogisticCurve = {
  intercept: number;
  /** Per step of the scale. */
  slope: number;
  /** Of the intercept, of both, of the slope. */
  covariance: { ii: number; is: number; ss: number };
};

const MOST_STEPS = 100;
const SMALLEST_STEP = 1e-10;

/** A share between 0 and 1 as its logarithm of odds. */
export const logit = (share: number): number => Math.log(share / (1 - share));
/** Chance of noticing a level by a curve. */
export const chanceOfNoticing = ({ intercept, slope }: Pick<LogisticCurve, 'intercept' | 'slope'>, level: number): number =>
  1 / (1 + Math.exp(-(intercept + slope * level)));

/**
 * How trials lie: a likeliest curve exists only where noticed and missed levels overlap on both sides.
 * Source: Albert & Anderson, Biometrika 71 (1984), 1–10, for one variable.
 *
 * @example trialsShape([{ level: 3, noticed: false }, { level: 4, noticed: true }]) // 'apart'
 */
export function trialsShape(trials: readonly Trial[]): TrialsShape {
  const hit = trials.filter(({ noticed }) => noticed).map(({ level }) => level);
  const miss = trials.filter(({ noticed }) => !noticed).map(({ level }) => level);
  if (miss.length === 0) return 'all-noticed';
  if (hit.length === 0) return 'none-noticed';
  const [lowHit, highHit, lowMiss, highMiss] = [Math.min(...hit), Math.max(...hit), Math.min(...miss), Math.max(...miss)];
  if (lowHit === highHit && lowMiss === highMiss && lowHit === lowMiss) return 'one-level';
  if (highMiss <= lowHit) return 'apart';
  if (highHit <= lowMiss) return 'apart-backwards';
  return 'overlap';
}

/** Trials of one level counted together: chances depend on the level alone. */
function grouped(trials: readonly Trial[]) {
  const byLevel = new Map<number, { level: number; trials: number; noticed: number }>();
  for (const { level, noticed } of trials) {
    const group = byLevel.get(level) ?? { level, trials: 0, noticed: 0 };
    byLevel.set(level, { level, trials: group.trials + 1, noticed: group.noticed + Number(noticed) });
  }
  return [...byLevel.values()];
}

/** ln(1 + eˣ) without overflow. */
const softPlus = (x: number): number => Math.max(x, 0) + Math.log1p(Math.exp(-Math.abs(x)));

/**
 * The likeliest logistic curve by Newton's method on standardised levels, each step halved until the likelihood does not fall.
 * Null when none exists (see `trialsShape`). Levels are on the device's scale; at most a few thousand trials.
 * Source: McCullagh & Nelder, Generalized Linear Models (2nd ed. 1989), §4.4.
 */
export function fitLogistic(trials: readonly Trial[]): LogisticCurve | null {
  if (trialsShape(trials) !== 'overlap') return null;
  const groups = grouped(trials);
  const middle = trials.reduce((sum, { level }) => sum + level, 0) / trials.length;
  const spread = Math.sqrt(trials.reduce((sum, { level }) => sum + (level - middle) ** 2, 0) / trials.length);
  const scaled = groups.map(({ level, ...counts }) => ({ x: (level - middle) / spread, ...counts }));
  const likelihood = (a: number, b: number) => scaled.reduce((sum, { x, trials: n, noticed }) => sum + noticed * (a + b * x) - n * softPlus(a + b * x), 0);
  const information = (a: number, b: number) => {
    let [ga, gb, ii, is, ss] = [0, 0, 0, 0, 0];
    for (const { x, trials: n, noticed } of scaled) {
      const p = 1 / (1 + Math.exp(-(a + b * x)));
      const weight = n * p * (1 - p);
      ga += noticed - n * p;
      gb += (noticed - n * p) * x;
      ii += weight;
      is += weight * x;
      ss += weight * x * x;
    }
    return { ga, gb, ii, is, ss, determinant: ii * ss - is * is };
  };
  let [a, b] = [0, 0];
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const { ga, gb, ii, is, ss, determinant } = information(a, b);
    const [da, db] = [(ss * ga - is * gb) / determinant, (ii * gb - is * ga) / determinant];
    const before = likelihood(a, b);
    let share = 1;
    while (share > SMALLEST_STEP && !(likelihood(a + share * da, b + share * db) >= before)) share /= 2;
    a += share * da;
    b += share * db;
    if (Math.max(Math.abs(da), Math.abs(db)) < SMALLEST_STEP * (1 + Math.max(Math.abs(a), Math.abs(b))) || share <= SMALLEST_STEP) break;
  }
  const { ii, is, ss, determinant } = information(a, b);
  const [vaa, vab, vbb] = [ss / determinant, -is / determinant, ii / determinant];
  const move = middle / spread;
  return {
    intercept: a - b * move,
    slope: b / spread,
    covariance: { ii: vaa - 2 * move * vab + move * move * vbb, is: (vab - move * vbb) / spread, ss: vbb / (spread * spread) },
  };
}

/** Two-sided 95 % of a normal distribution. */
const Z_95 = 1.959963984540054;

/**
 * The level noticed with a chance, with its 95 % interval by the delta method: var L = (v_aa + 2·L·v_ab + L²·v_bb) / slope².
 * Levels on the device's scale; the chance between 0 and 1.
 * Source: Finney, Probit Analysis (3rd ed. 1971), ch. 3, for the logistic curve.
 */
export function levelAtChance(curve: LogisticCurve, chance: number): { level: number; low95: number; high95: number; error: number } {
  const level = (logit(chance) - curve.intercept) / curve.slope;
  const { ii, is, ss } = curve.covariance;
  const error = Math.sqrt(ii + 2 * level * is + level * level * ss) / Math.abs(curve.slope);
  return { level, low95: level - Z_95 * error, high95: level + Z_95 * error, error };
}
