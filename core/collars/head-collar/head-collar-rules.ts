import { rule, type HouseRule } from '../../rules/house-rule.ts';

/** The limits of a head collar. Common practice. */
export const HEAD_COLLAR_RULES = {
  flatFaceMm: rule('head collar', 'gap', 35, 'Shortest muzzle for a head collar', 'A flat face cannot wear a nose loop.'),
} satisfies Record<string, HouseRule>;
