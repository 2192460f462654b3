import type { ByHands } from '../../fit/fitting-dog.ts';
import { byHandsIn } from '../../fit/neck-in-collar.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import {
  GAUGE_SCHOOLS,
  HEAVIEST_OF_SCHOOL,
  isGauge,
  namedGauge,
  SAME_GAUGE_MM,
  type BetweenSchool,
  type GaugeSchool,
  type NamedGauge,
  type Pull,
} from './gauge-schools.ts';
import type { ProngCollar } from './prong-collar.ts';
import type { ProngChoiceReason } from './prong-reasons.ts';
import { sizeProng, type ProngFit, type ProngNeck } from './size-prong.ts';

/** Everything that decides which prong of a stock a dog gets. Lengths mm, weight kg. */
export type ProngQuestion = ProngNeck & {
  weightKg: number;
  pull: Pull;
  looseLinks?: 0 | 1 | 2 | undefined;
  gaugeSchool: GaugeSchool;
  betweenSchool: BetweenSchool;
  stock: readonly ProngCollar[];
  byHands?: ByHands | undefined;
};

/** What one gauge school would take out of the stock. */
export type SchoolChoice = { school: GaugeSchool; stockId: string | null; links: number | null };

export type ProngDecision = {
  choice: ProngFit | null;
  all: ProngFit[];
  schools: SchoolChoice[];
  reasons: ProngChoiceReason[];
};

type Pick = { fit: ProngFit | null; reasons: ProngChoiceReason[] };

/** The fewest link changes; of equals the one nearest the aimed slack; of those the first in stock. */
function fewestChanges(fits: readonly ProngFit[], aimMm: number): ProngFit | null {
  const cost = (fit: ProngFit) => [Math.abs(fit.change), Math.abs(fit.slackMm - aimMm)] as const;
  let best: ProngFit | null = null;
  for (const fit of fits) {
    if (best === null) best = fit;
    else {
      const [changes, off] = cost(fit);
      const [bestChanges, bestOff] = cost(best);
      if (changes < bestChanges || (changes === bestChanges && off < bestOff)) best = fit;
    }
  }
  return best;
}

/** The stocked gauges below a wire, nearest first, then those above another, nearest first: finer before heavier. */
function neighbours(fits: readonly ProngFit[], finerThanMm: number, heavierThanMm: number): { finer: number[]; heavier: number[] } {
  const gauges = [...new Set(fits.map((fit) => fit.gaugeMm))];
  return {
    finer: gauges.filter((gauge) => gauge < finerThanMm).sort((a, b) => b - a),
    heavier: gauges.filter((gauge) => gauge > heavierThanMm).sort((a, b) => a - b),
  };
}

function nearestWith(verdict: ProngFit['verdict'], gauges: readonly number[], fits: readonly ProngFit[], aimMm: number): ProngFit | null {
  for (const gauge of gauges) {
    const fit = fewestChanges(
      fits.filter((one) => one.gaugeMm === gauge && one.verdict === verdict),
      aimMm,
    );
    if (fit) return fit;
  }
  return null;
}

/** Takes a collar of the named gauge, or what stands in for it, and says why. */
function pick(named: NamedGauge, school: GaugeSchool, between: BetweenSchool, fits: readonly ProngFit[], aimMm: number): Pick {
  const { finer, heavier } = neighbours(fits, named.fromMm, named.toMm);
  const ofNamed = fits.filter((fit) => isGauge(fit.gaugeMm, named));
  const standIn = finer[0] ?? heavier[0];
  const group = ofNamed.length > 0 ? ofNamed : fits.filter((fit) => fit.gaugeMm === standIn);
  const of = (verdict: ProngFit['verdict']) =>
    fewestChanges(
      group.filter((fit) => fit.verdict === verdict),
      aimMm,
    );
  const missing = (takenMm: number | null): ProngChoiceReason[] =>
    ofNamed.length > 0 ? [{ code: 'school-gauge', school, gauge: named.words }] : [{ code: 'gauge-not-in-stock', school, gauge: named.words, takenMm }];

  const fitting = of('fits');
  if (fitting) return { fit: fitting, reasons: missing(fitting.gaugeMm) };

  const sitting = of('between');
  if (sitting) {
    const reasons = missing(sitting.gaugeMm);
    if (between === 'snug') return { fit: sitting, reasons };
    const taken = nearestWith('fits', neighbours(fits, sitting.gaugeMm, Infinity).finer, fits, aimMm);
    if (!taken) return { fit: sitting, reasons: [...reasons, { code: 'no-finer-fits', fromMm: sitting.gaugeMm }] };
    return { fit: taken, reasons: [...reasons, { code: 'finer-for-between', fromMm: sitting.gaugeMm, takenMm: taken.gaugeMm }] };
  }

  const order = [...finer, ...heavier];
  const instead = nearestWith('fits', order, fits, aimMm) ?? nearestWith('between', order, fits, aimMm);
  const takenMm = instead?.gaugeMm ?? null;
  const why: ProngChoiceReason =
    ofNamed.length > 0
      ? { code: 'gauge-not-workable', school, gauge: named.words, takenMm }
      : { code: 'gauge-not-in-stock', school, gauge: named.words, takenMm };
  return { fit: instead, reasons: instead ? [why] : [why, { code: 'nothing-fits' }] };
}

/**
 * Which stocked prong a dog gets, with how many links, and what each gauge school would have taken.
 *
 * The school names a gauge; of it the collar that fits with the fewest link changes is taken, else one between two sizes.
 * Not in stock: the nearest finer, then the nearest heavier gauge stands in. Between two sizes the school *finer*
 * takes the nearest finer gauge that fits, *snug* keeps it. Not workable: the nearest finer, then the nearest heavier that
 * fits, and only then one that sits between. `choice` is null when nothing fits or sits between. Common practice.
 */
export function chooseProng(question: ProngQuestion, rules: HouseRules): ProngDecision {
  const neckIn = ({ id }: ProngCollar): ProngNeck => {
    const byHandsMm = byHandsIn(question, id);
    return byHandsMm === 0 ? question : { ...question, girthMm: question.girthMm + byHandsMm };
  };
  const all = question.stock.map((collar) => sizeProng(collar, neckIn(collar), question.looseLinks ?? 0, rules));
  const picked = (school: GaugeSchool): Pick => {
    const named = namedGauge(school, { weightKg: question.weightKg, pull: question.pull, rules, changes: all });
    const { fit, reasons } = pick(named, school, question.betweenSchool, all, rules.slackAimMm);
    const limit = HEAVIEST_OF_SCHOOL[school];
    if (fit && limit !== null && fit.gaugeMm > limit + SAME_GAUGE_MM) {
      reasons.push({ code: 'heavier-than-school-goes', school, takenMm: fit.gaugeMm });
    }
    return { fit, reasons };
  };
  const { fit, reasons } = picked(question.gaugeSchool);
  const schools = GAUGE_SCHOOLS.map((school) => {
    const { fit: theirs } = picked(school);
    return { school, stockId: theirs?.stockId ?? null, links: theirs?.links ?? null };
  });
  return { choice: fit, all, schools, reasons };
}
