import { meetAll, type Observation, type SlackInterval } from '../../check/slack-interval.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { ProngCheckAnswers } from './fit-check-questions.ts';

/** What the answers leave of the slack, in mm; or the two answers that contradict each other. */
export type CheckedSlack = { slack: SlackInterval } | { contradict: [string, string] };

/**
 * The answers of hands and eyes as an interval of slack, all in mm.
 *
 * Fingers: none = presses, some = inside the window, flat hand = past it. Turning: not at all = presses, spins = past
 * the window. Sliding with the head down = more than the aim. Gathering n links and no more = at least n pitches of room
 * above the least slack, and less than n + 1. Common practice.
 */
export function checkedSlack(answers: ProngCheckAnswers, pitchMm: number, rules: HouseRules): CheckedSlack {
  const { slackMinMm: low, slackMaxMm: high, slackAimMm: aim, pressMaxMm: press } = rules;
  const pressing: SlackInterval = { lowMm: -Infinity, highMm: low };
  const loose: SlackInterval = { lowMm: high, highMm: Infinity };
  const observations: Observation[] = [
    { from: 'under', slack: { none: pressing, some: { lowMm: low, highMm: high }, 'flat-hand': loose }[answers.under] },
    { from: 'turns', slack: { 'not-at-all': pressing, 'a-little': { lowMm: -press, highMm: high + pitchMm }, spins: loose }[answers.turns] },
  ];
  if (answers.headDrop === 'slides') observations.push({ from: 'headDrop', slack: { lowMm: aim, highMm: Infinity } });
  if (answers.gathered !== null) {
    const room = answers.gathered * pitchMm;
    observations.push({
      from: 'gathered',
      slack: { lowMm: answers.gathered === 0 ? -Infinity : low + room, highMm: low + room + pitchMm },
    });
  }
  return meetAll(observations);
}
