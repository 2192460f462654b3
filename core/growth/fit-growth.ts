import { gompertzKg, gompertzSlopes, type GompertzCurve } from './gompertz.ts';
import { classCurve, PRIOR_SPREAD, SIZE_CLASSES, WEIGHING_SPREAD } from './growth-prior.ts';
import { inverse, spreadOf, times, type Table, type Three } from './three-by-three.ts';

/** A weighing: age in days, weight in kg. */
export type WeighIn = { ageDays: number; weightKg: number };

/** A curve with what is known of it: the covariance of ln asymptote, ln rate and inflection. */
export type GrowthFit = GompertzCurve & {
  covariance: Table;
  /** Residual standard deviation, kg; null where a prior stands in for it. */
  residualKg: number | null;
  /** By the weighings alone, or by them and what is usual for the size. */
  by: 'weighings' | 'prior';
  converged: boolean;
};

/** Fewer ages than this have no curve of their own with something left over to tell how sure it is. */
export const FEWEST_AGES = 4;
const MOST_STEPS = 200;
const SMALLEST_STEP = 1e-11;
/** A curve whose end lies further off than this is not told by the weighings: so many times the heaviest. */
const FURTHEST = 25;

const curveOf = ([lnA, lnK, inflectionDays]: Three): GompertzCurve => ({ asymptoteKg: Math.exp(lnA), ratePerDay: Math.exp(lnK), inflectionDays });

/** The search for a beginning looks at so many weighings at most. */
const GLANCED = 16;
const RATES = [1, 2, 4, 7, 12, 20];
const PLACES = Array.from({ length: 13 }, (_place, index) => -0.5 + 0.15 * index);

/** Where the search begins: of a coarse net of rates and inflections the best, its asymptote by straight least squares. */
function begin(weighIns: readonly WeighIn[]): Three {
  const every = Math.max(1, Math.floor(weighIns.length / GLANCED));
  const some = [...weighIns].sort((a, b) => a.ageDays - b.ageDays).filter((_one, index) => index % every === 0);
  const youngest = some[0]!.ageDays;
  const reach = Math.max(some.at(-1)!.ageDays - youngest, 1);
  let best: { at: Three; rss: number } | null = null;
  for (const rate of RATES) {
    const k = rate / reach;
    for (const place of PLACES) {
      const inflection = youngest + place * reach;
      let [ss, sw, ww] = [0, 0, 0];
      for (const { ageDays, weightKg } of some) {
        const shape = Math.exp(-Math.exp(-k * (ageDays - inflection)));
        ss += shape * shape;
        sw += shape * weightKg;
        ww += weightKg * weightKg;
      }
      const a = sw / ss;
      const rss = ww - a * sw;
      if (a > 0 && Number.isFinite(a) && (best === null || rss < best.rss)) best = { at: [Math.log(a), Math.log(k), inflection], rss };
    }
  }
  return best!.at;
}

/** Sums of squares of a fit in three numbers where it stands: their table, the way down, and the cost. */
type Slope = { table: Table; down: Three; cost: number };

/** Adds up weighted squares one after the other. */
function summed(count: number, term: (index: number) => { of: Three; weight: number; off: number }): Slope {
  let [aa, ab, ac, bb, bc, cc, da, db, dc, cost] = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (let index = 0; index < count; index += 1) {
    const {
      of: [a, b, c],
      weight,
      off,
    } = term(index);
    aa += weight * a * a;
    ab += weight * a * b;
    ac += weight * a * c;
    bb += weight * b * b;
    bc += weight * b * c;
    cc += weight * c * c;
    da += weight * a * off;
    db += weight * b * off;
    dc += weight * c * off;
    cost += weight * off * off;
  }
  return {
    table: [
      [aa, ab, ac],
      [ab, bb, bc],
      [ac, bc, cc],
    ],
    down: [da, db, dc],
    cost,
  };
}

/**
 * Damped Gauss-Newton steps (Levenberg, Quarterly of Applied Mathematics 2 (1944), 164–168; Marquardt, Journal of SIAM 11 (1963),
 * 431–441) in ln asymptote, ln rate and inflection. Three numbers are too few to pay for a general solver, and the analytic slopes
 * keep a fit of sixty weighings far under a millisecond.
 */
function descend(from: Three, slopeAt: (at: Three) => Slope): { at: Three; slope: Slope; settled: boolean } {
  let at = from;
  let slope = slopeAt(at);
  let damping = 1e-3;
  for (let count = 0; count < MOST_STEPS; count += 1) {
    const damped = slope.table.map((row, i) => row.map((one, j) => (i === j ? one * (1 + damping) + 1e-300 : one))) as unknown as Table;
    const solved = inverse(damped);
    if (!solved) return { at, slope, settled: false };
    const by = times(solved, slope.down);
    const next = [at[0] + by[0], at[1] + by[1], at[2] + by[2]] as const;
    const there = slopeAt(next);
    const small = Math.abs(by[0]) + Math.abs(by[1]) + Math.abs(by[2]) / (1 + Math.abs(at[2])) < SMALLEST_STEP;
    if (there.cost <= slope.cost) {
      at = next;
      slope = there;
      damping = Math.max(damping / 9, 1e-12);
      if (small) return { at, slope, settled: true };
    } else {
      damping *= 11;
      if (small || damping > 1e12) return { at, slope, settled: true };
    }
  }
  return { at, slope, settled: false };
}

/** Least squares in kg. */
const kgSlope =
  (weighIns: readonly WeighIn[]) =>
  (at: Three): Slope => {
    const curve = curveOf(at);
    return summed(weighIns.length, (index) => {
      const { ageDays, weightKg } = weighIns[index]!;
      const fitted = gompertzKg(curve, ageDays);
      const [a, b, c] = gompertzSlopes(curve, ageDays);
      return { of: [a * fitted, b * fitted, c * fitted], weight: 1, off: weightKg - fitted };
    });
  };

/**
 * The curve nearest to the weighings by least squares in kg; null where there are too few ages or none is told by them. `near` is a
 * curve to begin at, where one is known.
 */
export function fitByWeighings(weighIns: readonly WeighIn[], near: GompertzCurve | null = null): GrowthFit | null {
  if (new Set(weighIns.map(({ ageDays }) => ageDays)).size < FEWEST_AGES) return null;
  const from: Three = near ? [Math.log(near.asymptoteKg), Math.log(near.ratePerDay), near.inflectionDays] : begin(weighIns);
  const { at, slope, settled } = descend(from, kgSlope(weighIns));
  const curve = curveOf(at);
  const heaviest = Math.max(...weighIns.map(({ weightKg }) => weightKg));
  const solved = inverse(slope.table);
  if (!settled || !solved || !(curve.asymptoteKg < FURTHEST * heaviest) || !Object.values(curve).every(Number.isFinite)) return null;
  const variance = slope.cost / (weighIns.length - 3);
  const covariance = solved.map((row) => row.map((one) => one * variance)) as unknown as Table;
  // A pup that has not begun to slow down says nothing of where it ends.
  if (!(Math.sqrt(covariance[0][0]) < 1)) return null;
  return { ...curve, covariance, residualKg: Math.sqrt(variance), by: 'weighings', converged: true };
}

/** A weighing further off the curve than so many of its spreads counts less, the further the less (Huber, Annals of Mathematical Statistics 35 (1964), 73–101). */
const FAR_OFF = 2.5;
const ROUNDS = 8;

/** What is usual for the size, corrected by the weighings there are: the likeliest curve under both, with its spread. */
export function fitByPrior(weighIns: readonly WeighIn[], adultKg: number | null): GrowthFit {
  const told = adultKg !== null;
  const middle = classCurve(adultKg ?? guessedAdult(weighIns));
  const prior: Three = [Math.log(middle.asymptoteKg), Math.log(middle.ratePerDay), middle.inflectionDays];
  const spread: Three = [told ? PRIOR_SPREAD.adultTold : PRIOR_SPREAD.adultGuessed, PRIOR_SPREAD.rate, PRIOR_SPREAD.inflectionDays];
  const offOf = (at: Three, { ageDays, weightKg }: WeighIn) => Math.log(weightKg) - Math.log(Math.max(gompertzKg(curveOf(at), ageDays), 1e-12));
  const slopeOf =
    (counts: readonly number[]) =>
    (at: Three): Slope => {
      const curve = curveOf(at);
      return summed(weighIns.length + 3, (index) => {
        const own = weighIns[index];
        if (own) return { of: gompertzSlopes(curve, own.ageDays), weight: counts[index]! / WEIGHING_SPREAD ** 2, off: offOf(at, own) };
        const i = index - weighIns.length;
        return { of: [Number(i === 0), Number(i === 1), Number(i === 2)], weight: 1 / spread[i]! ** 2, off: prior[i]! - at[i]! };
      });
    };
  let found = descend(prior, slopeOf(weighIns.map(() => 1)));
  let counts = weighIns.map(() => 1);
  for (let round = 0; round < ROUNDS; round += 1) {
    const now = weighIns.map((one) => Math.min(1, (FAR_OFF * WEIGHING_SPREAD) / Math.max(Math.abs(offOf(found.at, one)), 1e-12)));
    if (now.every((count, index) => Math.abs(count - counts[index]!) < 1e-6)) break;
    counts = now;
    found = descend(found.at, slopeOf(counts));
  }
  return { ...curveOf(found.at), covariance: inverse(found.slope.table)!, residualKg: null, by: 'prior', converged: false };
}

/** The adult weight in kg that the heaviest weighing for its age hints at, by the curve of the class it then falls into. */
function guessedAdult(weighIns: readonly WeighIn[]): number {
  const last = weighIns.reduce((latest, one) => (one.ageDays > latest.ageDays ? one : latest));
  const guesses = SIZE_CLASSES.map((size) => last.weightKg / gompertzKg(classCurve(1, size), last.ageDays));
  const found = SIZE_CLASSES.findIndex(({ toKg }, index) => guesses[index]! <= toKg);
  return Math.min(Math.max(guesses[found]!, found === 0 ? 0 : SIZE_CLASSES[found - 1]!.toKg), 110);
}

/**
 * How a dog grows: by its own weighings where these tell a curve, else by what is usual for its size corrected by them.
 * `adultKg` is the adult weight that is expected of it, or null. At least one weighing. kg, days.
 */
export function fitGrowth(weighIns: readonly WeighIn[], adultKg: number | null = null): GrowthFit {
  return fitByWeighings(weighIns) ?? fitByPrior(weighIns, adultKg);
}

/** Two-sided 95 % of a normal distribution. */
const Z_95 = 1.959963984540054;

/**
 * Weight at an age with its 95 % interval, kg: by the delta method on the fit's covariance; symmetric in kg by the weighings alone,
 * in ln kg under a prior. The interval is of the curve, not of one more weighing.
 */
export function grownAt(fit: GrowthFit, ageDays: number): { weightKg: number; low95Kg: number; high95Kg: number } {
  const weightKg = gompertzKg(fit, ageDays);
  const error = Z_95 * Math.sqrt(Math.max(0, spreadOf(fit.covariance, gompertzSlopes(fit, ageDays))));
  if (fit.by === 'prior') return { weightKg, low95Kg: weightKg * Math.exp(-error), high95Kg: weightKg * Math.exp(error) };
  return { weightKg, low95Kg: weightKg * (1 - error), high95Kg: weightKg * (1 + error) };
}
