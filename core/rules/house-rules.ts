import { PRONG_RULES } from '../collars/prong/prong-rules.ts';
import { SLIP_RULES } from '../collars/slip/slip-rules.ts';
import { MARTINGALE_RULES } from '../collars/martingale/martingale-rules.ts';
import { HEAD_COLLAR_RULES } from '../collars/head-collar/head-collar-rules.ts';
import { CONTACT_RULES } from '../collars/electronic/electronic-rules.ts';
import { rule, type HouseRule } from './house-rule.ts';

export type { HouseRule, HouseRuleMeasure } from './house-rule.ts';

/**
 * Every numeric limit that a kennel can edit, by the names of the calculation contract.
 *
 * Lengths mm, weights kg, ratios bare, times hours. Common practice unless a row says otherwise.
 * `maxRemove` null means «3 from 3.0 mm wire up and 6 below».
 */
export type HouseRules = {
  slackMinMm: number;
  slackAimMm: number;
  slackMaxMm: number;
  pressMaxMm: number;
  biteMinMm: number;
  biteMaxRatio: number;
  maxAdd: number;
  maxRemove: number | null;
  weightLineKg: number;
  bigDogKg: number;
  microKg: number;
  heavyKg: number;
  slipAimMm: number;
  slipMinMm: number;
  slipMaxMm: number;
  clipOnOffMm: number;
  squeezeMaxRatio: number;
  ringGapMm: number;
  smallDogKg: number;
  loopHangMm: number;
  backOutMin: number;
  backOutNarrow: number;
  flatFaceMm: number;
  postClearanceMm: number;
  receiverMassRatio: number;
  moveByHours: number;
  dayHours: number;
  restHours: number;
  crateHours: number;
  askOffHours: number;
  skinLookDays: number;
  chargePercent: number;
  stackGapMm: number;
  liveTravelMm: number;
  bothTravelMm: number;
  clipMassRatio: number;
  tapeSpreadMm: number;
  tapeSpreadRatio: number;
  tapeHighRatio: number;
  oneReadingMm: number;
  oneReadingRatio: number;
  guessRatio: number;
  typicalMm: number;
  refitChangeRatio: number;
  lawCheckDays: number;
  screenDays: number;
  pupDays: number;
  ewmaLambda: number;
  ewmaLimit: number;
  cusumSlack: number;
  cusumLimit: number;
  baselineSessions: number;
  workingChance: number;
  levelWidthSteps: number;
  levelKnownSteps: number;
  levelJumpSteps: number;
  tellWithinSeconds: number;
  heldSeconds: number;
  askEndHours: number;
  dogRestMinutes: number;
  dogSessionsPerDay: number;
  onAroundMinutes: number;
  inspectDays: number;
  inspectWears: number;
  tellTaleChance: number;
};

export type HouseRuleName = keyof HouseRules;

/** The catalogue of house rules, in the order in which they are shown. */
export const HOUSE_RULES: Record<HouseRuleName, HouseRule> = {
  tapeSpreadMm: rule('tape', 'gap', 6, 'Spread that asks for another reading', 'Readings further apart than a link’s worth of doubt are not one measure.'),
  tapeSpreadRatio: rule(
    'tape',
    'ratio',
    0.015,
    'Spread as a share of the girth',
    'On a large neck the tape may differ a little more; the larger of the two limits counts.',
  ),
  tapeHighRatio: rule(
    'tape',
    'ratio',
    1.15,
    'High girth over what weight and build suggest',
    'A girth this far above the expected one was often taken at the base.',
  ),
  oneReadingMm: rule(
    'tape',
    'gap',
    10,
    'How far one reading may be off',
    'One reading is enough to begin with; it counts as uncertain by this until the tape is lifted and read again.',
    'from memory',
  ),
  oneReadingRatio: rule(
    'tape',
    'ratio',
    0.025,
    'How far one reading may be off, as a share of the girth',
    'On a large neck one reading is less sure; the larger of the two counts.',
    'from memory',
  ),
  guessRatio: rule(
    'tape',
    'ratio',
    0.12,
    'How far a girth that nobody taped may be off',
    'Breed and weight give a first guess; where it could change the answer, the tape is asked for.',
    'from memory',
  ),
  typicalMm: rule(
    'tape',
    'gap',
    25,
    'How far a collar’s typical length may be off',
    'Collars of one name differ; where that could change the answer, the ruler is asked for.',
    'from memory',
  ),
  refitChangeRatio: rule(
    'tape',
    'ratio',
    0.05,
    'A change of weight or coat that asks for another fit check',
    'What hands found holds until the dog is another one.',
  ),
  ...PRONG_RULES,
  ...SLIP_RULES,
  ...MARTINGALE_RULES,
  backOutMin: rule('back-out', 'ratio', 1.02, 'Head over closed collar, to hold at all', 'Below this the dog can reverse out.'),
  backOutNarrow: rule('back-out', 'ratio', 1.1, 'Head over closed collar, to hold anywhere', 'Below this it holds only as long as it stays high and tight.'),
  ...HEAD_COLLAR_RULES,
  ...CONTACT_RULES,
  crateHours: rule('wear', 'hours', 3, 'A long absence in the crate', 'An electronic collar comes off in the crate for longer than this.'),
  askOffHours: rule(
    'wear',
    'hours',
    5,
    'Ask whether a training collar is still on after',
    'A collar for the walk or session that has been on this long was often taken off and not logged.',
    'from memory',
  ),
  skinLookDays: rule('wear', 'days', 7, 'A skin check is good for', 'A rub shows within days; before the door somebody should have checked.', 'from memory'),
  stackGapMm: rule('stack', 'gap', 6, 'Gap between two collars', 'So that one does not ride on the other.'),
  liveTravelMm: rule('rig', 'gap', 152.4, 'Travel of the live ring', 'The leash hand moves so far before a prong closes; a backup stays slack for all of it.'),
  bothTravelMm: rule('rig', 'gap', 50.8, 'Travel with both rings', 'The leash on both rings closes it sooner.'),
  clipMassRatio: rule('rig', 'ratio', 0.004, 'Most mass of a clip, as a share of the dog’s', 'A carabiner swings and weighs on a small neck.', 'from memory'),
  lawCheckDays: rule('screen', 'days', 365, 'A check of local law is good for', 'Laws change; a year later it is asked again.'),
  screenDays: rule('screen', 'days', 365, 'A screening is good for', 'Dogs change; a year later it is asked again.', 'from memory'),
  pupDays: rule('screen', 'days', 183, 'Too young for pinch or stimulation under', 'Under this age: no prong, no stimulation.'),
  ewmaLambda: rule('levels', 'number', 0.3, 'Weight of the newest level (EWMA)', 'Between a quick and a steady chart.', 'from memory'),
  ewmaLimit: rule('levels', 'number', 3, 'Alarm distance (EWMA)', 'In standard errors of the average.', 'from memory'),
  cusumSlack: rule(
    'levels',
    'number',
    0.5,
    'Slack of the running sum (CUSUM)',
    'Half of the smallest change worth finding, in standard deviations.',
    'from memory',
  ),
  cusumLimit: rule('levels', 'number', 4, 'Alarm of the running sum (CUSUM)', 'In standard deviations; a higher one alarms more rarely.', 'from memory'),
  baselineSessions: rule(
    'levels',
    'number',
    8,
    'Sessions that say what is usual',
    'Fewer do not tell how much the levels scatter by themselves.',
    'from memory',
  ),
  workingChance: rule(
    'levels',
    'ratio',
    0.75,
    'Chance at which a level is noticed reliably',
    'The working level is the lowest that is noticed this often.',
    'from memory',
  ),
  levelWidthSteps: rule('levels', 'number', 1, 'How well a level is to be known, in steps either side', 'Narrower than a step cannot be set.', 'from memory'),
  levelKnownSteps: rule('levels', 'number', 2, 'A level is known when it lies within so many steps', 'Wider, it is rough: one run more settles it.'),
  levelJumpSteps: rule(
    'levels',
    'number',
    3,
    'Steps over what was last needed that are asked about',
    'A jump is more often a contact that fails than a dog that needs it.',
  ),
  tellWithinSeconds: rule('handling', 'seconds', 1, 'Tell the dog within', 'Later, it does not know what it was told for.'),
  heldSeconds: rule('handling', 'seconds', 1, 'Pressure held longer than', 'Held pressure teaches the dog to bear it.', 'from memory'),
  askEndHours: rule('handling', 'hours', 2, 'Ask whether a session is over after', 'Nothing was logged for this long.', 'from memory'),
  dogRestMinutes: rule('programme', 'minutes', 60, 'Rest of a dog between two sessions', 'A tired dog learns nothing.', 'from memory'),
  dogSessionsPerDay: rule('programme', 'number', 3, 'Most sessions of a dog in a day', 'Short and seldom keeps it keen.', 'from memory'),
  onAroundMinutes: rule('programme', 'minutes', 30, 'Collars are on before and after work for', 'So that putting one on tells nothing of what follows.'),
  inspectDays: rule('upkeep', 'days', 30, 'Inspect gear every', 'For what fits an adult; quick look each time.'),
  inspectWears: rule('upkeep', 'number', 60, 'Or sooner, after so many times worn', 'What is worn three times a day wears out sooner.', 'from memory'),
  tellTaleChance: rule(
    'programme',
    'ratio',
    0.05,
    'A collar tells too much when chance says as much this rarely',
    'Small counts always seem to tell something; this asks whether it is more than that.',
    'from memory',
  ),
};

/** All default values. */
export const DEFAULT_HOUSE_RULES = Object.fromEntries(Object.entries(HOUSE_RULES).map(([name, row]) => [name, row.default])) as HouseRules;

/** Rules that differ from the defaults; what is left out or undefined takes the default. */
export type HouseRuleOverrides = { [Name in HouseRuleName]?: HouseRules[Name] | undefined };

/** The defaults with a kennel's or a call's own values laid over them. */
export function houseRules(overrides: HouseRuleOverrides = {}): HouseRules {
  const given = Object.entries(overrides).filter(([, value]) => value !== undefined);
  return { ...DEFAULT_HOUSE_RULES, ...Object.fromEntries(given) };
}

/**
 * Those of some rules that are not the defaults: by `houseRules` they are the same rules again. A name that is no rule any more stays.
 *
 * @example rulesBesideDefaults(houseRules({ slackMaxMm: 12 })) // { slackMaxMm: 12 }
 */
export function rulesBesideDefaults(rules: HouseRuleOverrides): HouseRuleOverrides {
  return Object.fromEntries(Object.entries(rules).filter(([name, value]) => (DEFAULT_HOUSE_RULES as Record<string, unknown>)[name] !== value));
}

/** A window whose least is above its most, as the names of both rules; null when there is none. An aim outside its window is no contradiction. */
export function contradictingRules(rules: HouseRules): [HouseRuleName, HouseRuleName] | null {
  const ordered: [HouseRuleName, HouseRuleName][] = [
    ['slackMinMm', 'slackMaxMm'],
    ['slipMinMm', 'slipMaxMm'],
  ];
  return ordered.find(([low, high]) => (rules[low] as number) > (rules[high] as number)) ?? null;
}
