import type { ReasonWords } from '../reasons/reason.ts';
import { levelWords } from './level-words.ts';

export type DriftChart = 'ewma' | 'cusum';
export type DriftSide = 'high' | 'low';
/** A value at which a chart leaves its limits. */
export type DriftAlarm = { index: number; chart: DriftChart; side: DriftSide };

/** Two control charts over the levels needed in one setting; everything in units of the values. */
export type DriftCharts = {
  /** One per value, started at the mean. */
  ewma: number[];
  ewmaLow: number;
  ewmaHigh: number;
  cusumHigh: number[];
  cusumLow: number[];
  alarms: DriftAlarm[];
};

export type DriftCase = {
  values: readonly number[];
  /** What the values keep to while nothing changes, and how they scatter about it (not negative). */
  mean: number;
  sd: number;
  /** Weight of the newest value, above 0, at most 1. */
  lambda: number;
  /** Limits of the EWMA in its own standard deviations. */
  limit: number;
  /** Slack of the CUSUM and the sum it alarms above, both in units of the values. */
  k: number;
  h: number;
};

export type DriftReason =
  | { code: 'steady'; values: number; low: number; high: number }
  | { code: 'ewma-alarm'; index: number; side: DriftSide; value: number; limit: number }
  | { code: 'cusum-alarm'; index: number; side: DriftSide; value: number; limit: number }
  | { code: 'contact-first' };

export const DRIFT_REASON_WORDS: ReasonWords<DriftReason> = {
  steady: (r) =>
    r.values === 1
      ? `The one value keeps inside the limits, ${levelWords(r.low)} to ${levelWords(r.high)}.`
      : `All ${r.values} values keep inside the limits, ${levelWords(r.low)} to ${levelWords(r.high)}.`,
  'ewma-alarm': (r) =>
    `The weighted average (EWMA) first leaves its limit of ${levelWords(r.limit)} at value ${r.index + 1}, where it is ${levelWords(r.value)}: the levels needed run ${r.side === 'high' ? 'higher' : 'lower'} than they did.`,
  'cusum-alarm': (r) =>
    `The cumulative sum (CUSUM) first passes its limit of ${levelWords(r.limit)} on the ${r.side} side at value ${r.index + 1}, where it is ${levelWords(r.value)}.`,
  'contact-first': () => 'More is needed than before: check the contact first, then skin and place, then the battery, then the distraction.',
};

/** What the adding up of decimals leaves over is no step past a limit. */
const past = (value: number, limit: number) => value - limit > 1e-9 * Math.max(1, Math.abs(limit));

/**
 * EWMA and two one-sided CUSUM charts with asymptotic limits, mean ± limit·sd·√(λ/(2−λ)); a value on a limit is inside.
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, §6.3.2.3 (CUSUM) and §6.3.2.4 (EWMA).
 *
 * @example driftCharts({ values: [52], mean: 50, sd: 2, lambda: 0.3, limit: 3, k: 1, h: 8 }).ewma // [50.6]
 */
export function driftCharts({ values, mean, sd, lambda, limit, k, h }: DriftCase): DriftCharts {
  const half = limit * sd * Math.sqrt(lambda / (2 - lambda));
  const [ewmaLow, ewmaHigh] = [mean - half, mean + half];
  const charts: DriftCharts = { ewma: [], ewmaLow, ewmaHigh, cusumHigh: [], cusumLow: [], alarms: [] };
  let [average, high, low] = [mean, 0, 0];
  values.forEach((value, index) => {
    average = lambda * value + (1 - lambda) * average;
    high = Math.max(0, high + value - mean - k);
    low = Math.max(0, low + mean - k - value);
    charts.ewma.push(average);
    charts.cusumHigh.push(high);
    charts.cusumLow.push(low);
    if (past(average, ewmaHigh)) charts.alarms.push({ index, chart: 'ewma', side: 'high' });
    if (past(-average, -ewmaLow)) charts.alarms.push({ index, chart: 'ewma', side: 'low' });
    if (past(high, h)) charts.alarms.push({ index, chart: 'cusum', side: 'high' });
    if (past(low, h)) charts.alarms.push({ index, chart: 'cusum', side: 'low' });
  });
  return charts;
}

/** What the charts say: the first alarm of each chart and side, in the order in which they came. */
export function driftReasons(charts: DriftCharts, h: number): DriftReason[] {
  if (charts.alarms.length === 0) return [{ code: 'steady', values: charts.ewma.length, low: charts.ewmaLow, high: charts.ewmaHigh }];
  const seen = new Set<string>();
  const reasons: DriftReason[] = [];
  for (const { index, chart, side } of charts.alarms) {
    if (seen.has(`${chart} ${side}`)) continue;
    seen.add(`${chart} ${side}`);
    const high = side === 'high';
    reasons.push(
      chart === 'ewma'
        ? { code: 'ewma-alarm', index, side, value: charts.ewma[index]!, limit: high ? charts.ewmaHigh : charts.ewmaLow }
        : { code: 'cusum-alarm', index, side, value: (high ? charts.cusumHigh : charts.cusumLow)[index]!, limit: h },
    );
  }
  if (charts.alarms.some(({ side }) => side === 'high')) reasons.push({ code: 'contact-first' });
  return reasons;
}
