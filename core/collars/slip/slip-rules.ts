import { rule, type HouseRule } from '../../rules/house-rule.ts';

/** The limits of slips, over the head and clipped on. */
export const SLIP_RULES = {
  slipAimMm: rule('slip', 'gap', 38, 'Ring gap of a slip to aim for', 'Between the rings with the slack taken up.'),
  slipMinMm: rule('slip', 'gap', 12.7, 'Least ring gap of a slip', 'Sizes are even: their slack falls somewhere between the least and the most.'),
  slipMaxMm: rule('slip', 'gap', 63.5, 'Most ring gap of a slip', 'More, and the leash moves too far before the collar acts.'),
  clipOnOffMm: rule(
    'slip',
    'gap',
    6.35,
    'A clip-on slip may be off its length by',
    'They are sold in steps: the next one lies so far off at most.',
    'from memory',
  ),
} satisfies Record<string, HouseRule>;
