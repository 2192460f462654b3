import type { Observation, SlackInterval } from '../../check/slack-interval.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { ProngCollar } from './prong-collar.ts';
import { slackWindow } from './slack-window.ts';

/** What hands found on a prong that tells its slack; `gathered` counts spare links, null when not tried. */
export type ProngFound = {
  under: 'none' | 'some' | 'flat-hand';
  turns: 'not-at-all' | 'a-little' | 'spins';
  headDrop: 'stays' | 'slides';
  gathered?: number | null;
};

/** The window that hands answer to, mm; where the collar closes so little that none is left, the house's own. */
export function handsWindow(collar: Pick<ProngCollar, 'closingMm'>, rules: HouseRules): SlackInterval {
  const window = slackWindow(collar, rules);
  return window.highMm > window.lowMm ? window : { lowMm: rules.slackMinMm, highMm: rules.slackMaxMm };
}

/**
 * The answers of hands and eyes as intervals of slack, all in mm, by the question they come from.
 *
 * Fingers: none = presses, some = inside the window, flat hand = past it. Turning: not at all = presses, spins = past the window,
 * whatever the fingers say, unless none goes under. Sliding with the head down = more than the aim. Gathering n links and no more =
 * at least n pitches of room above the least slack, and less than n + 1. Common practice.
 */
export function handsFind(found: ProngFound, { pitchMm, closingMm }: Pick<ProngCollar, 'pitchMm' | 'closingMm'>, rules: HouseRules): Observation[] {
  const { slackAimMm: aim, pressMaxMm: press } = rules;
  const { lowMm: low, highMm: high } = handsWindow({ closingMm }, rules);
  const pressing: SlackInterval = { lowMm: -Infinity, highMm: low };
  const loose: SlackInterval = { lowMm: high, highMm: Infinity };
  const some: SlackInterval = { lowMm: low, highMm: found.turns === 'spins' ? Infinity : high };
  const observations: Observation[] = [
    { from: 'under', slack: { none: pressing, some, 'flat-hand': loose }[found.under] },
    { from: 'turns', slack: { 'not-at-all': pressing, 'a-little': { lowMm: -press, highMm: high + pitchMm }, spins: loose }[found.turns] },
  ];
  if (found.headDrop === 'slides') observations.push({ from: 'headDrop', slack: { lowMm: aim, highMm: Infinity } });
  if (found.gathered != null) {
    const room = found.gathered * pitchMm;
    observations.push({ from: 'gathered', slack: { lowMm: found.gathered === 0 ? -Infinity : low + room, highMm: low + room + pitchMm } });
  }
  return observations;
}
