import { rule, type HouseRule } from '../../rules/house-rule.ts';

/** The limits of a prong and of choosing its gauge. */
export const PRONG_RULES = {
  slackMinMm: rule('prong', 'gap', 0, 'Least slack of a prong at rest', 'Tips touch, they do not press: resting pressure irritates and dulls the dog.'),
  slackAimMm: rule('prong', 'gap', 8, 'Slack to aim for', 'Enough that some fingers go under, little enough that it stays high.'),
  slackMaxMm: rule('prong', 'gap', 25, 'Most slack of a prong at rest', 'Looser, it slides down, rubs and turns freely.'),
  pressMaxMm: rule('prong', 'gap', 6, 'Pressing that the snug school accepts', 'Between two sizes a link tighter is accepted while it presses less than this.'),
  biteMinMm: rule(
    'prong',
    'gap',
    6,
    'Least bite when pulled',
    'Never so loose that closing it hardly squeezes: the window of slack ends where the bite would be less.',
    'from memory',
  ),
  biteMaxRatio: rule('prong', 'ratio', 0.1, 'Most bite, as a share of the girth', 'Closed it must bite, yet never squeeze the neck by more than this.'),
  maxAdd: rule('prong', 'links', 3, 'Most links to add', 'Past that another gauge is the right one.'),
  maxRemove: rule(
    'prong',
    'links',
    null,
    'Most links to take out',
    'A collar with few links squeezes unevenly: three from 3.0 mm wire up, six on finer wire, which is stocked long.',
  ),
  weightLineKg: rule('gauge', 'weight', 22.68, 'Weight line between 2.25 and 3.0 mm', 'The weight-line school changes gauge at this weight.'),
  bigDogKg: rule('gauge', 'weight', 18, 'A big dog, for the pull-first school', 'From this weight a dog that drags its handler gets 3.0 mm.'),
  microKg: rule('gauge', 'weight', 4.5, 'Below this, micro links', 'Under this weight even 2.25 mm is coarse.', 'from memory'),
  heavyKg: rule('gauge', 'weight', 45, 'Above this, heavy wire', 'The scale-with-power school goes past 3.0 mm above this weight.', 'from memory'),
} satisfies Record<string, HouseRule>;
