import { rule, type HouseRule } from '../../rules/house-rule.ts';

/** The limits of contacts and receivers. */
export const CONTACT_RULES = {
  postClearanceMm: rule('contacts', 'gap', 3, 'Post length beyond the coat', 'Posts must reach the skin through the flattened hair.'),
  receiverMassRatio: rule(
    'contacts',
    'ratio',
    0.02,
    'Receiver’s mass as a share of the dog’s',
    'Heavier, it pulls the contacts off their place and tires the neck.',
    'from memory',
  ),
  moveByHours: rule('contacts', 'hours', 6, 'Move the receiver after', 'Contacts left in one place hurt the skin.'),
  dayHours: rule('contacts', 'hours', 12, 'Most wear in a day', 'The neck needs a rest.', 'from memory'),
  restHours: rule('contacts', 'hours', 48, 'Rest for a pink place', 'A pink place rests so long, or until a later check there is clear.'),
  chargePercent: rule('contacts', 'percent', 40, 'Charged enough for the day', 'A receiver that goes flat at work is a dog out of reach.', 'from memory'),
} satisfies Record<string, HouseRule>;
