import { holds, meet, shift, type SlackInterval } from '../../check/slack-interval.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { ProngCheckAnswers } from './fit-check-questions.ts';
import type { ProngCheckReason } from './fit-check-reasons.ts';
import { checkedSlack } from './fit-check-slack.ts';
import type { BetweenSchool } from './gauge-schools.ts';
import { evenness, linkMove, shiftLinks, type LinkMove, type LinkSplit } from './link-split.ts';
import { mostLinksOut, type ProngCollar } from './prong-collar.ts';
import { prongGirths } from './prong-girths.ts';

/** An earlier look at the same collar on the same dog: what was in it, and what was learnt. */
export type EarlierProngCheck = { links: number; slack: SlackInterval | null; slid: boolean };

export type ProngCheck = {
  collar: ProngCollar;
  girthMm: number;
  on: LinkSplit;
  answers: ProngCheckAnswers;
  betweenSchool: BetweenSchool;
  /** The count that a start-loose plan tightens to; null when it is fitted at once. */
  loosenedFrom?: number | null;
  earlier: readonly EarlierProngCheck[];
};

export const CHECK_STEPS = [
  'good',
  'take-out',
  'put-in',
  'move-up',
  'free-ears',
  'open-it',
  'finer-gauge',
  'change-gauge',
  'another-collar',
  'even-out',
  'wear-loose',
  'ask-again',
] as const;
export type CheckStep = (typeof CHECK_STEPS)[number];

/** What to do next. `move` counts links per side, out negative; `then` is what is on the collar afterwards. */
export type ProngCheckResult = {
  verdict: 'good' | 'adjust' | 'stop' | 'unclear';
  step: CheckStep;
  move: LinkMove;
  then: LinkSplit;
  slack: SlackInterval | null;
  plannedSlackMm: number;
  agrees: boolean | null;
  reasons: ProngCheckReason[];
};

const finite = (mm: number) => (Number.isFinite(mm) ? mm : null);
const still: LinkMove = { left: 0, right: 0 };

/**
 * The next step after looking at a prong on the dog.
 *
 * In this order: breathing, ears, height, over the head, contradictions; then the answers as an interval of slack, joined
 * with what earlier checks of the same collar showed and compared with the plan. Links go one at a time from the dog,
 * or as many as were gathered; past the link limits the gauge is wrong; a collar that presses at one count and hangs at
 * the next is between two sizes, solved by the school. Never suggests a collar that presses or could pass the head.
 * Common practice.
 */
export function checkProngFit(check: ProngCheck, rules: HouseRules): ProngCheckResult {
  const { collar, answers, on, girthMm } = check;
  const links = on.left + on.right;
  const plannedSlackMm = prongGirths(collar, links, girthMm).slackMm;
  const observed = checkedSlack(answers, collar.pitchMm, rules);
  const slack = 'slack' in observed ? observed.slack : null;
  const agrees = slack && holds(slack, plannedSlackMm);

  const because = (verdict: ProngCheckResult['verdict'], step: CheckStep, reasons: ProngCheckReason[], then: LinkSplit = on): ProngCheckResult => ({
    verdict,
    step,
    move: then === on ? still : linkMove(on, then),
    then,
    slack,
    plannedSlackMm,
    agrees,
    reasons,
  });

  if (answers.breathing === 'not-free') return because('stop', 'open-it', [{ code: 'breathing-not-free' }]);
  if (answers.ears === 'caught') return because('adjust', 'free-ears', [{ code: 'ear-caught' }]);
  if (answers.sits === 'low') return because('adjust', 'move-up', [{ code: 'sits-low' }]);
  if ('contradict' in observed) {
    const [first, second] = observed.contradict;
    return because('unclear', 'ask-again', [{ code: 'answers-contradict', first, second }]);
  }

  const measured: ProngCheckReason[] = [
    { code: 'slack-between', lowMm: finite(observed.slack.lowMm), highMm: finite(observed.slack.highMm) },
    comparedWithPlan(observed.slack, plannedSlackMm, girthMm),
  ];
  const known = joined(observed.slack, links, check);
  const pressing = observed.slack.highMm <= rules.slackMinMm;
  const loose = observed.slack.lowMm >= rules.slackMaxMm;

  /** Links out or in, if the gauge bears it. */
  const moveLinks = (change: number, reasons: ProngCheckReason[]): ProngCheckResult => {
    const then = shiftLinks(on, change);
    const total = then.left + then.right - collar.links;
    const limit = change > 0 ? rules.maxAdd : mostLinksOut(collar.gaugeMm, rules.maxRemove);
    if ((change > 0 ? total : -total) > limit || then.left + then.right < 1) {
      return because('adjust', 'change-gauge', [...reasons, { code: 'past-link-limit', change: total, limit, gaugeMm: collar.gaugeMm }]);
    }
    return because('adjust', change > 0 ? 'put-in' : 'take-out', reasons, then);
  };

  if (answers.overHead === 'yes') {
    if (!loose) return because('stop', 'another-collar', [{ code: 'passes-head-though-snug' }, ...measured]);
    return moveLinks(-Math.max(1, answers.gathered ?? 1), [{ code: 'could-pass-head' }, ...measured]);
  }

  /** Pressing at `tighter`, hanging one above: what the house's school makes of it. */
  const between = (tighter: number, slackAtTighter: SlackInterval): ProngCheckResult => {
    const reasons: ProngCheckReason[] = [{ code: 'between-on-the-dog', tighter, looser: tighter + 1 }, ...measured];
    if (check.betweenSchool === 'finer') return because('adjust', 'finer-gauge', reasons);
    if (slackAtTighter.lowMm < -rules.pressMaxMm) {
      return because('adjust', 'finer-gauge', [...reasons, { code: 'snug-not-known', limitMm: rules.pressMaxMm }]);
    }
    const accepted: ProngCheckReason[] = [...reasons, { code: 'snug-accepted', limitMm: rules.pressMaxMm }];
    return tighter === links ? because('good', 'good', accepted) : moveLinks(tighter - links, accepted);
  };

  if (pressing) {
    const hangsOneAbove = known.lowMm + collar.pitchMm >= rules.slackMaxMm;
    if (hangsOneAbove) return between(links, known);
    const plannedSnug = agrees && plannedSlackMm + collar.pitchMm > rules.slackMaxMm;
    if (plannedSnug) return between(links, { lowMm: plannedSlackMm, highMm: plannedSlackMm });
    return moveLinks(1, [{ code: 'tips-press' }, ...measured, { code: 'one-at-a-time' }]);
  }
  if (loose && check.loosenedFrom != null && links > check.loosenedFrom) {
    return because('good', 'wear-loose', [{ code: 'loose-on-purpose', links, to: check.loosenedFrom }, ...measured]);
  }
  if (loose) {
    const oneOut = shift(known, -collar.pitchMm);
    if (answers.gathered === 0 || oneOut.highMm <= rules.slackMinMm) return between(links - 1, oneOut);
    if (answers.gathered) return moveLinks(-answers.gathered, [{ code: 'gathered', links: answers.gathered }, ...measured]);
    return moveLinks(-1, [{ code: 'too-loose', highMm: rules.slackMaxMm }, ...measured, { code: 'one-at-a-time' }]);
  }
  if (answers.headDrop === 'slides') {
    const slidBefore = check.earlier.some((earlier) => earlier.slid && earlier.links === links);
    if (answers.gathered) return moveLinks(-answers.gathered, [{ code: 'gathered', links: answers.gathered }, ...measured]);
    return slidBefore
      ? because('adjust', 'finer-gauge', [{ code: 'slides-again' }, ...measured])
      : because('adjust', 'move-up', [{ code: 'slid-once' }, ...measured]);
  }
  if (evenness(on) === 'lopsided') {
    const even = shiftLinks(shiftLinks(on, -1), 1);
    return because('adjust', 'even-out', [{ code: 'uneven-sides', ...on }, ...measured], even);
  }
  return because('good', 'good', [{ code: 'all-good' }, ...measured]);
}

/** The answers now, narrowed by earlier checks of the same collar at other link counts as long as they agree. */
function joined(now: SlackInterval, links: number, { collar, earlier }: ProngCheck): SlackInterval {
  return earlier.reduce((known, check) => {
    if (!check.slack) return known;
    return meet(known, shift(check.slack, (links - check.links) * collar.pitchMm)) ?? known;
  }, now);
}

function comparedWithPlan(slack: SlackInterval, plannedMm: number, girthMm: number): ProngCheckReason {
  if (holds(slack, plannedMm)) return { code: 'agrees-with-plan', plannedMm };
  // At the same inside girth a millimetre less slack is a millimetre more neck.
  return {
    code: 'differs-from-plan',
    plannedMm,
    girthLowMm: finite(girthMm + plannedMm - slack.highMm),
    girthHighMm: finite(girthMm + plannedMm - slack.lowMm),
    tapedMm: girthMm,
  };
}
