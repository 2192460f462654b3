import { FEWEST_AGES, fitByPrior, fitByWeighings, grownAt, type GrowthFit, type WeighIn } from './fit-growth.ts';
import { gompertzKg, type GompertzCurve } from './gompertz.ts';
import { WEIGHING_SPREAD } from './growth-prior.ts';

/** A weighing that the others do not believe: its place, and what they would have said, kg. */
export type OddWeighing = { index: number; weightKg: number; expectedKg: number };

/** Further off than so many standard deviations of what the others foretell, and than this share of it. From memory. */
const FAR_SDS = 5;
const FAR_SHARE = 0.15;
/** Those that lie furthest off are tried; a record with more faults than this is read by a person. */
const MOST_ODD = 3;
/** From the curve of all the way down may end in a hollow of its own: the better of two. */
const nearest = (one: GrowthFit | null, other: GrowthFit | null) => (one && other ? (one.residualKg! <= other.residualKg! ? one : other) : (one ?? other));
/** Of so few each is tried; of more, those that lie furthest off the curve of all. */
const FEW = 15;
const TRIED = 3;
const offBy = (curve: GompertzCurve, { ageDays, weightKg }: WeighIn) => Math.abs(weightKg - gompertzKg(curve, ageDays));
const Z_95 = 1.959963984540054;

/**
 * Weighings that do not fit the others, the worst first: each left out in turn, and asked whether it lies where the rest foretell.
 * Nothing is left out of a fit by itself: a person looks whether it was typed wrong. Own rule; after the deleted residuals of
 * Belsley, Kuh & Welsch, Regression Diagnostics (1980), §2.1.
 */
export function oddWeighings(weighIns: readonly WeighIn[]): OddWeighing[] {
  const odd: OddWeighing[] = [];
  let left = weighIns.map((one, index) => ({ ...one, index }));
  while (odd.length < MOST_ODD && new Set(left.map(({ ageDays }) => ageDays)).size > FEWEST_AGES) {
    let worst: (OddWeighing & { sds: number }) | null = null;
    const whole = fitByWeighings(left);
    // What the others do not believe lies far from the curve of all, too: only the furthest are tried.
    const far = whole === null || left.length <= FEW ? left : [...left].sort((a, b) => offBy(whole, b) - offBy(whole, a)).slice(0, TRIED);
    for (const one of far) {
      const rest = left.filter(({ index }) => index !== one.index);
      // Where the rest tell no end of their own, they are held against what is usual for the size.
      const fit = nearest(fitByWeighings(rest, whole), left.length <= FEW ? fitByWeighings(rest) : null) ?? fitByPrior(rest, null);
      const { weightKg: expectedKg, high95Kg } = grownAt(fit, one.ageDays);
      const sd = Math.hypot((high95Kg - expectedKg) / Z_95, fit.residualKg ?? WEIGHING_SPREAD * expectedKg);
      const off = Math.abs(one.weightKg - expectedKg);
      if (off <= FAR_SHARE * expectedKg || off <= FAR_SDS * sd) continue;
      const sds = off / Math.max(sd, 1e-9);
      if (worst === null || sds > worst.sds) worst = { index: one.index, weightKg: one.weightKg, expectedKg, sds };
    }
    if (!worst) break;
    const { sds: _sds, ...found } = worst;
    odd.push(found);
    left = left.filter(({ index }) => index !== found.index);
  }
  return odd;
}
