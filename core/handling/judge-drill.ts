import type { Direction } from '../field-log/field-event.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { CorrectionWays } from './correction-ways.ts';
import { GIVEN_MS, type DrillScene } from './drill-scene.ts';

/** Pressure from a hand: which way, from when to when, ms from the scene's beginning. */
export type Pressure = { direction: Direction; from: number; to: number };
/** What a hand did in a scene: pressures in their order, and when the dog was paid. */
export type DrillAnswer = { pressures: readonly Pressure[]; paidAt: number | null };

export type SceneReason =
  | { code: 'calm-kept' }
  | { code: 'corrected-for-nothing' }
  | { code: 'not-told' }
  | { code: 'told-late'; seconds: number; limit: number }
  | { code: 'told-in-time'; seconds: number; limit: number }
  | { code: 'before-it-happened' }
  | { code: 'wrong-way'; went: Direction; right: Direction }
  | { code: 'on-the-throat' }
  | { code: 'held-on'; seconds: number; limit: number }
  | { code: 'many-small'; count: number }
  | { code: 'paid'; seconds: number }
  | { code: 'not-paid' };

const s = (seconds: number) => `${seconds.toFixed(1)} s`;
export const SCENE_REASON_WORDS: ReasonWords<SceneReason> = {
  'calm-kept': () => 'Left in peace, as it should be.',
  'corrected-for-nothing': () => 'Corrected, though it did nothing wrong.',
  'not-told': () => 'Not told at all.',
  'told-late': (r) => `Told after ${s(r.seconds)}: later than ${s(r.limit)} it does not know what for.`,
  'told-in-time': (r) => `Told after ${s(r.seconds)}, within ${s(r.limit)}.`,
  'before-it-happened': () => 'Pressure before anything had happened.',
  'wrong-way': (r) => `Went ${r.went}; ${r.right} was the way.`,
  'on-the-throat': () => 'Straight back on the throat: a martingale goes sideways.',
  'held-on': (r) => `Held on ${s(r.seconds)} after it had yielded, over ${s(r.limit)}: it learns to bear it.`,
  'many-small': (r) => `${r.count} small ones where one clear one does.`,
  paid: (r) => `Paid ${s(r.seconds)} after it was back.`,
  'not-paid': () => 'Not paid, though it was where it should be.',
};

/** How a scene went: told in time, the right way, let go in time; each true or false, or null where there was nothing to judge. */
export type SceneJudgement = {
  latencyMs: number | null;
  inTime: boolean | null;
  rightWay: boolean | null;
  /** After it had yielded. */
  heldMs: number | null;
  letGo: boolean | null;
  /** Pressures when there was nothing to say. */
  forNothing: number;
  /** When the dog yielded, from the scene's beginning; null: it never did. */
  yieldedAt: number | null;
  paidMs: number | null;
  reasons: SceneReason[];
};

/**
 * When the dog yields to what a hand does, ms from the scene's beginning: once pressure the right way has lasted for as long as
 * this dog takes; null where it never did. Pressure before it happened counts from when it happened.
 */
export function yieldsAt(scene: DrillScene, pressures: readonly Pressure[], ways: CorrectionWays): number | null {
  const right = ways.right[scene.happening];
  for (const { direction, from, to } of pressures) {
    const begins = Math.max(from, scene.quietMs);
    if (right.includes(direction) && to - begins >= scene.yieldsMs && begins < scene.quietMs + GIVEN_MS) return begins + scene.yieldsMs;
  }
  return null;
}

/**
 * Judges one scene: told within the house's second of what the dog did, the right way, and let go once it yielded. ms in answers,
 * seconds in rules. Common practice.
 */
export function judgeScene(
  scene: DrillScene,
  { pressures, paidAt }: DrillAnswer,
  { ways, rules }: { ways: CorrectionWays; rules: Pick<HouseRules, 'tellWithinSeconds' | 'heldSeconds'> },
): SceneJudgement {
  const reasons: SceneReason[] = [];
  const begins = scene.quietMs;
  const early = pressures.filter(({ to }) => to <= begins);
  const told = pressures.filter(({ to }) => to > begins);
  if (early.length > 0) reasons.push({ code: 'before-it-happened' });
  const pay = (since: number) => (paidAt !== null && paidAt >= since ? paidAt - since : null);
  if (scene.happening === 'steady') {
    const paidMs = pay(begins);
    reasons.unshift(told.length > 0 ? { code: 'corrected-for-nothing' } : { code: 'calm-kept' });
    reasons.push(paidMs === null ? { code: 'not-paid' } : { code: 'paid', seconds: paidMs / 1000 });
    const nothing = { latencyMs: null, inTime: null, rightWay: null, heldMs: null, letGo: null, yieldedAt: null };
    return { ...nothing, forNothing: early.length + told.length, paidMs, reasons };
  }
  const first = told[0];
  const [best] = ways.right[scene.happening];
  if (!first) {
    reasons.push({ code: 'not-told' });
    return { latencyMs: null, inTime: false, rightWay: null, heldMs: null, letGo: null, forNothing: early.length, yieldedAt: null, paidMs: null, reasons };
  }
  const latencyMs = Math.max(0, first.from - begins);
  const limit = rules.tellWithinSeconds;
  const inTime = latencyMs <= limit * 1000;
  reasons.push({ code: inTime ? 'told-in-time' : 'told-late', seconds: latencyMs / 1000, limit });
  const rightWay = ways.right[scene.happening].includes(first.direction);
  if (!rightWay) reasons.push(first.direction === ways.never ? { code: 'on-the-throat' } : { code: 'wrong-way', went: first.direction, right: best! });
  const yieldedAt = yieldsAt(scene, told, ways);
  // What was on when it yielded, or came after it, was held for nothing.
  const heldMs = yieldedAt === null ? null : told.reduce((held, { from, to }) => held + Math.max(0, to - Math.max(from, yieldedAt)), 0);
  const letGo = heldMs === null ? null : heldMs <= rules.heldSeconds * 1000;
  if (letGo === false) reasons.push({ code: 'held-on', seconds: heldMs! / 1000, limit: rules.heldSeconds });
  if (told.length > 2) reasons.push({ code: 'many-small', count: told.length });
  const paidMs = yieldedAt === null ? null : pay(yieldedAt);
  if (yieldedAt !== null) reasons.push(paidMs === null ? { code: 'not-paid' } : { code: 'paid', seconds: paidMs / 1000 });
  return { latencyMs, inTime, rightWay, heldMs, letGo, forNothing: early.length, yieldedAt, paidMs, reasons };
}

/** A drill as a whole: of how many scenes it was told in time, the right way, let go, left in peace, paid; and what to work on. */
export type DrillScore = {
  scenes: number;
  toTell: number;
  inTime: number;
  rightWay: number;
  letGo: number;
  yielded: number;
  steady: number;
  leftInPeace: number;
  paid: number;
  /** Median seconds from what the dog did until it was told; null: never told. */
  medianSeconds: number | null;
  /** Longest seconds held on after it had yielded. */
  longestHeldSeconds: number;
  forNothing: number;
  workOn: 'time' | 'way' | 'release' | 'peace' | 'pay' | null;
};
export const WORK_ON_WORDS: Record<NonNullable<DrillScore['workOn']>, string> = {
  time: 'Work on the time: tell it as soon as the shoulder leaves the leg.',
  way: 'Work on the way: it goes where the dog should have been.',
  release: 'Work on letting go: the moment it yields the leash hangs.',
  peace: 'Work on leaving it in peace: a dog that does nothing wrong is paid, not corrected.',
  pay: 'Work on paying: beside the leg, while walking, the moment it is back.',
};

const median = (values: readonly number[]): number | null => {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return sorted.length % 2 === 1 ? sorted[Math.floor(middle)]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
};

/** What a drill comes to. What to work on is the mark with the smallest share, in the order time, way, release, peace, pay; null when none is under four of five. From memory. */
export function drillScore(scenes: readonly DrillScene[], judged: readonly SceneJudgement[]): DrillScore {
  const count = (of: (one: SceneJudgement, scene: DrillScene) => boolean) => judged.filter((one, index) => of(one, scenes[index]!)).length;
  const isSteady = (_one: SceneJudgement, { happening }: DrillScene) => happening === 'steady';
  const steady = count(isSteady);
  const yielded = count(({ yieldedAt }) => yieldedAt !== null);
  const score = {
    scenes: judged.length,
    toTell: judged.length - steady,
    inTime: count(({ inTime }) => inTime === true),
    rightWay: count(({ rightWay }) => rightWay === true),
    letGo: count(({ letGo }) => letGo === true),
    yielded,
    steady,
    leftInPeace: count((one, scene) => isSteady(one, scene) && one.forNothing === 0),
    paid: count(({ paidMs }) => paidMs !== null),
    medianSeconds: median(judged.flatMap(({ latencyMs }) => (latencyMs === null ? [] : [latencyMs / 1000]))),
    longestHeldSeconds: Math.max(0, ...judged.map(({ heldMs }) => (heldMs ?? 0) / 1000)),
    forNothing: judged.reduce((sum, { forNothing }) => sum + forNothing, 0),
  };
  const share = (met: number, of: number) => (of === 0 ? 1 : met / of);
  const marks = [
    ['time', share(score.inTime, score.toTell)],
    ['way', share(score.rightWay, score.toTell)],
    ['release', share(score.letGo, score.yielded)],
    ['peace', share(score.leftInPeace, score.steady)],
    ['pay', share(score.paid, score.yielded + score.leftInPeace)],
  ] as const;
  const [least] = [...marks].sort((a, b) => a[1] - b[1]);
  return { ...score, workOn: least![1] < 0.8 ? least![0] : null };
}

/** The one sentence of a drill. */
export function drillWords({ toTell, inTime, rightWay, letGo, yielded }: DrillScore): string {
  return `Told in time ${inTime} of ${toTell}, the right way ${rightWay} of ${toTell}, let go in time ${letGo} of the ${yielded} that yielded.`;
}
