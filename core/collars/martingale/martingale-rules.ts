import { rule, type HouseRule } from '../../rules/house-rule.ts';

/** The limits of a martingale. */
export const MARTINGALE_RULES = {
  squeezeMaxRatio: rule('martingale', 'ratio', 0.1, 'Most squeeze of a martingale', 'The strap is set below the girth by at most this share.'),
  ringGapMm: rule('martingale', 'gap', 38, 'Gap of the rings when pulled', 'The rings-apart school keeps them so far apart.'),
  smallDogKg: rule(
    'martingale',
    'weight',
    10,
    'A small dog, whose paw a loop can catch',
    'Under this weight a hanging control loop is within reach of a paw.',
    'from memory',
  ),
  loopHangMm: rule('martingale', 'gap', 50, 'How far a small dog’s control loop may hang', 'Further down, a paw gets in.', 'from memory'),
} satisfies Record<string, HouseRule>;
