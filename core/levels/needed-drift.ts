import type { HouseRules } from '../rules/house-rules.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import { driftCharts, type DriftCharts } from './drift.ts';
import { levelWords } from './level-words.ts';

/** The level needed in a session, on one device in one setting: the median level that drew a sign. Levels on the device's own scale; `at` ms. */
export type SessionLevel = { sessionId: string; at: number; level: number };
/** The same with the lowest level that was noticed at the session's end: what was last needed. */
export type NeededLevel = SessionLevel & { atEnd: number };

/** What the charts of one device and setting say. */
export type NeededDrift = {
  /** Mean and scatter of the sessions that say what is usual; null while there are too few. */
  baseline: { mean: number; sd: number; sessions: number; cusumLimit: number } | null;
  /** Over the sessions after the baseline; indices into `after`. */
  charts: DriftCharts | null;
  after: SessionLevel[];
  alarm: NeededAlarm | null;
  /** Sessions that fell under an alarm of more until it was looked into, or was over: they say nothing of what the dog needs. */
  underAlarm: readonly string[];
  wants: number;
};

/** A level needed that is no longer what it was. */
export type NeededAlarm = {
  side: 'high' | 'low';
  /** The first session out of limits, and the one with which the change seems to have begun, ms. */
  firstAt: number;
  sinceAt: number;
  /** Mean since then less what was usual; signed. */
  by: number;
  chart: 'ewma' | 'cusum';
};

const SMALLEST_SD_STEPS = 1 / Math.sqrt(12);

const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

/**
 * Charts the levels needed, session by session, against the first ones. Fewer than `baselineSessions` say nothing yet. Levels lie
 * on a scale, so that they scatter by no less than a step's rounding, step/√12. The change is dated to the session after the CUSUM
 * was last at nothing. An alarm of more that was looked into (`lookedAt`, ms: contact felt and found to touch) is over with the next session:
 * the charts begin anew there, so that what was put right does not alarm on. Sources: NIST/SEMATECH e-Handbook §6.3.2; the date of a change, Montgomery, Introduction to Statistical
 * Quality Control (6th ed. 2009), §9.1.
 */
export function neededDrift(
  levels: readonly SessionLevel[],
  step: number,
  rules: Pick<HouseRules, 'baselineSessions' | 'ewmaLambda' | 'ewmaLimit' | 'cusumSlack' | 'cusumLimit'>,
  lookedAt: readonly number[] = [],
): NeededDrift {
  const ordered = [...levels].sort((a, b) => a.at - b.at);
  const first = ordered.slice(0, rules.baselineSessions).map(({ level }) => level);
  const wants = Math.max(0, rules.baselineSessions - ordered.length);
  if (wants > 0) return { baseline: null, charts: null, after: [], alarm: null, underAlarm: [], wants };
  const usual = mean(first);
  const scatter = Math.sqrt(first.reduce((sum, one) => sum + (one - usual) ** 2, 0) / (first.length - 1));
  const sd = Math.max(scatter, step * SMALLEST_SD_STEPS);
  const baseline = { mean: usual, sd, sessions: first.length, cusumLimit: rules.cusumLimit * sd };
  const after = ordered.slice(rules.baselineSessions);
  const chartsOf = (part: readonly SessionLevel[]) =>
    driftCharts({
      values: part.map(({ level }) => level),
      mean: usual,
      sd,
      lambda: rules.ewmaLambda,
      limit: rules.ewmaLimit,
      k: rules.cusumSlack * sd,
      h: baseline.cusumLimit,
    });
  const { charts, begun, parts } = chartedAnew(after, chartsOf, lookedAt);
  const underAlarm = parts.flatMap(([from, to]) => alarmedIn(charts, from, to)).map((index) => after[index]!.sessionId);
  const last = charts.alarms.at(-1);
  // What has come back inside is past: only an alarm that lasts to the latest session is told.
  if (!last || last.index !== after.length - 1) return { baseline, charts, after, alarm: null, underAlarm, wants: 0 };
  const { side } = last;
  const sums = side === 'high' ? charts.cusumHigh : charts.cusumLow;
  const begins = Math.max(begun, sums.findLastIndex((sum, index) => index < last.index && sum === 0) + 1);
  const out = (index: number) => charts.alarms.some((alarm) => alarm.index === index && alarm.side === side);
  let firstOut = last.index;
  while (firstOut > begun && out(firstOut - 1)) firstOut -= 1;
  const since = after.slice(begins).map(({ level }) => level);
  return {
    baseline,
    charts,
    after,
    wants: 0,
    underAlarm,
    alarm: { side, firstAt: after[firstOut]!.at, sinceAt: after[begins]!.at, by: mean(since) - usual, chart: last.chart },
  };
}

/** Of the sessions from `from` to before `to`, those between the beginning of a rise and the last alarm of it, by index. */
function alarmedIn(charts: DriftCharts, from: number, to: number): number[] {
  const out = charts.alarms.filter(({ index, side }) => side === 'high' && index >= from && index < to).map(({ index }) => index);
  const under = new Set<number>();
  for (const alarmed of new Set(out)) {
    const begins = Math.max(from, charts.cusumHigh.findLastIndex((sum, index) => index < alarmed && sum === 0) + 1);
    for (let index = begins; index <= alarmed; index += 1) under.add(index);
  }
  return [...under].sort((a, b) => a - b);
}

/** Charts that begin anew with the first session after an alarm was looked into; `begun` is where the last of them began, `parts` all of them. */
function chartedAnew(after: readonly SessionLevel[], chartsOf: (part: readonly SessionLevel[]) => DriftCharts, lookedAt: readonly number[]) {
  let charts = chartsOf(after);
  let begun = 0;
  const parts: [number, number][] = [];
  for (;;) {
    const alarmed = charts.alarms.find(({ index, side }) => index >= begun && side === 'high');
    if (!alarmed) return { charts, begun, parts: [...parts, [begun, after.length]] as [number, number][] };
    const looked = Math.min(...lookedAt.filter((at) => at > after[alarmed.index]!.at));
    const anew = after.findIndex(({ at }) => at >= looked);
    if (anew < 0) return { charts, begun, parts: [...parts, [begun, after.length]] as [number, number][] };
    const rest = chartsOf(after.slice(anew));
    const joined = (key: 'ewma' | 'cusumHigh' | 'cusumLow') => [...charts[key].slice(0, anew), ...rest[key]];
    charts = {
      ...charts,
      ewma: joined('ewma'),
      cusumHigh: joined('cusumHigh'),
      cusumLow: joined('cusumLow'),
      alarms: [...charts.alarms.filter(({ index }) => index < anew), ...rest.alarms.map((alarm) => ({ ...alarm, index: alarm.index + anew }))],
    };
    parts.push([begun, anew]);
    begun = anew;
  }
}

export type NeededReason =
  | { code: 'needs-sessions'; more: number }
  | { code: 'as-usual'; mean: number }
  | { code: 'needs-more'; by: number; since: string; contactChecked: string | null }
  | { code: 'needs-less'; by: number; since: string };

/** Days are passed in as they are said in the kennel's zone. */
export const NEEDED_REASON_WORDS: ReasonWords<NeededReason> = {
  'needs-sessions': (r) => `Another ${r.more} ${r.more === 1 ? 'session' : 'sessions'} here until it can be said what is usual.`,
  'as-usual': (r) => `The level needed is what it was, about ${levelWords(r.mean)}.`,
  'needs-more': (r) =>
    `The level needed rose by ${levelWords(r.by)} since ${r.since}; ${r.contactChecked === null ? 'contact has not been checked since it was first recorded' : `contact was last checked on ${r.contactChecked}`}. Contact first, then skin and place, then the battery, then the distraction.`,
  'needs-less': (r) => `The level needed fell by ${levelWords(-r.by)} since ${r.since}: work lower.`,
};
