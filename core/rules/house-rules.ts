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

/** What is measured by a rule, so that it can be shown in the kennel's units. */
export type HouseRuleMeasure = 'gap' | 'weight' | 'ratio' | 'links' | 'hours' | 'days' | 'percent' | 'number' | 'seconds' | 'minutes';

/** One row of the catalogue: the default, what it measures, where it belongs, why it is so, where it comes from. */
export type HouseRule = {
  default: number | null;
  measure: HouseRuleMeasure;
  group:
    | 'tape'
    | 'prong'
    | 'gauge'
    | 'slip'
    | 'martingale'
    | 'back-out'
    | 'head collar'
    | 'contacts'
    | 'wear'
    | 'stack'
    | 'rig'
    | 'screen'
    | 'levels'
    | 'handling'
    | 'programme'
    | 'upkeep';
  title: string;
  why: string;
  source: 'common practice' | 'from memory';
};

const rule = (
  group: HouseRule['group'],
  measure: HouseRuleMeasure,
  byDefault: number | null,
  title: string,
  why: string,
  source: HouseRule['source'] = 'common practice',
): HouseRule => ({ default: byDefault, measure, group, title, why, source });

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
  slackMinMm: rule('prong', 'gap', 0, 'Least slack of a prong at rest', 'Tips touch, they do not press: resting pressure irritates and dulls the dog.'),
  slackAimMm: rule('prong', 'gap', 8, 'Slack to aim for', 'Enough that some fingers go under, little enough that it stays high.'),
  slackMaxMm: rule('prong', 'gap', 25, 'Most slack of a prong at rest', 'Looser, it slides down, rubs and turns freely.'),
  pressMaxMm: rule('prong', 'gap', 6, 'Pressing that the snug school accepts', 'Between two sizes a link tighter is accepted while it presses less than this.'),
  biteMaxRatio: rule('prong', 'ratio', 0.1, 'Most bite, as a share of the girth', 'Closed it must bite, yet never squeeze the neck by more than a tenth.'),
  maxAdd: rule('prong', 'links', 3, 'Most links to add', 'Past that another gauge is the right one.'),
  maxRemove: rule(
    'prong',
    'links',
    null,
    'Most links to take out',
    'A collar with few links squeezes unevenly: three from 3.0 mm wire up, six on finer wire, which is stocked long.',
  ),
  weightLineKg: rule('gauge', 'weight', 22.68, 'Weight line between 2.25 and 3.0 mm', 'The weight-line school changes gauge at 50 lb.'),
  bigDogKg: rule('gauge', 'weight', 18, 'A big dog, for the pull-first school', 'From about 40 lb a dog that drags its handler gets 3.0 mm.'),
  microKg: rule('gauge', 'weight', 4.5, 'Below this, micro links', 'Under about 10 lb even 2.25 mm is coarse.', 'from memory'),
  heavyKg: rule('gauge', 'weight', 45, 'Above this, heavy wire', 'The scale-with-power school goes past 3.0 mm above about 100 lb.', 'from memory'),
  slipAimMm: rule('slip', 'gap', 38, 'Ring gap of a slip to aim for', 'About an inch and a half between the rings with the slack taken up.'),
  slipMinMm: rule('slip', 'gap', 12.7, 'Least ring gap of a slip', 'Even sizes fall between half an inch and two and a half.'),
  slipMaxMm: rule('slip', 'gap', 63.5, 'Most ring gap of a slip', 'More, and the leash moves too far before the collar acts.'),
  clipOnOffMm: rule('slip', 'gap', 6.35, 'A clip-on slip may be off its length by', 'They are sold a half inch apart; a quarter either way.', 'from memory'),
  squeezeMaxRatio: rule('martingale', 'ratio', 0.1, 'Most squeeze of a martingale', 'The strap is set below the girth by at most a tenth.'),
  ringGapMm: rule('martingale', 'gap', 38, 'Gap of the rings when pulled', 'The rings-apart school keeps them an inch or two apart.'),
  smallDogKg: rule(
    'martingale',
    'weight',
    10,
    'A small dog, whose paw a loop can catch',
    'Under about 20 lb a hanging control loop is within reach of a paw.',
    'from memory',
  ),
  loopHangMm: rule('martingale', 'gap', 50, 'How far a small dog’s control loop may hang', 'Further down, a paw gets in.', 'from memory'),
  backOutMin: rule('back-out', 'ratio', 1.02, 'Head over closed collar, to hold at all', 'Below this the dog can reverse out.'),
  backOutNarrow: rule('back-out', 'ratio', 1.1, 'Head over closed collar, to hold anywhere', 'Below this it holds only as long as it stays high and tight.'),
  flatFaceMm: rule('head collar', 'gap', 35, 'Shortest muzzle for a head collar', 'A flat face cannot wear a nose loop.'),
  postClearanceMm: rule('contacts', 'gap', 3, 'Post length beyond the coat', 'Posts must reach the skin through the flattened hair.'),
  receiverMassRatio: rule(
    'contacts',
    'ratio',
    0.02,
    'Receiver’s mass as a share of the dog’s',
    'Heavier, it pulls the contacts off their place and tires the neck.',
    'from memory',
  ),
  moveByHours: rule('contacts', 'hours', 6, 'Move the receiver after', 'Contacts left in one place hurt the skin; four to six hours.'),
  dayHours: rule('contacts', 'hours', 12, 'Most wear in a day', 'The neck needs a rest.', 'from memory'),
  restHours: rule('contacts', 'hours', 48, 'Rest for a pink place', 'A place of grade 1 rests two days, or until a later check is clear.'),
  chargePercent: rule('contacts', 'percent', 40, 'Charged enough for the day', 'A receiver that goes flat at work is a dog out of reach.', 'from memory'),
  crateHours: rule('wear', 'hours', 3, 'A long absence in the crate', 'An electronic collar comes off in the crate for longer than this.'),
  askOffHours: rule(
    'wear',
    'hours',
    5,
    'Ask whether a training collar is still on after',
    'A collar for the walk or session that has been on this long was often taken off and not written down.',
    'from memory',
  ),
  skinLookDays: rule(
    'wear',
    'days',
    7,
    'A look at the skin is good for',
    'A rub shows within days; before the door somebody should have looked.',
    'from memory',
  ),
  stackGapMm: rule('stack', 'gap', 6, 'Gap between two collars', 'So that one does not ride on the other.'),
  liveTravelMm: rule(
    'rig',
    'gap',
    152.4,
    'Travel of the live ring',
    'The leash hand moves 4 to 6 in before a prong closes; a backup must stay slack for all of it.',
  ),
  bothTravelMm: rule('rig', 'gap', 50.8, 'Travel with both rings', 'About 2 in.'),
  clipMassRatio: rule('rig', 'ratio', 0.004, 'Most mass of a clip, as a share of the dog’s', 'A carabiner swings and weighs on a small neck.', 'from memory'),
  lawCheckDays: rule('screen', 'days', 365, 'A look at the local law is good for', 'Laws change; a year later it is asked again.'),
  screenDays: rule('screen', 'days', 365, 'A screening is good for', 'Dogs change; a year later it is asked again.', 'from memory'),
  pupDays: rule('screen', 'days', 183, 'Too young for pinch or stimulation under', 'Under about six months: no prong, no stimulation.'),
  ewmaLambda: rule('levels', 'number', 0.3, 'Weight of the newest level (EWMA)', 'Between a quick and a steady chart.', 'from memory'),
  ewmaLimit: rule('levels', 'number', 3, 'Alarm distance (EWMA)', 'Three standard errors.', 'from memory'),
  cusumSlack: rule(
    'levels',
    'number',
    0.5,
    'Slack of the running sum (CUSUM)',
    'Half of the smallest change worth finding, in standard deviations.',
    'from memory',
  ),
  cusumLimit: rule('levels', 'number', 4, 'Alarm of the running sum (CUSUM)', 'Four standard deviations; five alarm more rarely.', 'from memory'),
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
  tellWithinSeconds: rule('handling', 'seconds', 1, 'Tell the dog within', 'Later, it does not know what it was told for.'),
  heldSeconds: rule('handling', 'seconds', 1, 'Pressure held longer than', 'Held pressure teaches the dog to bear it.', 'from memory'),
  askEndHours: rule('handling', 'hours', 2, 'Ask whether a session is over after', 'Nothing was logged for this long.', 'from memory'),
  dogRestMinutes: rule('programme', 'minutes', 60, 'Rest of a dog between two sessions', 'A tired dog learns nothing.', 'from memory'),
  dogSessionsPerDay: rule('programme', 'number', 3, 'Most sessions of a dog in a day', 'Short and seldom keeps it keen.', 'from memory'),
  onAroundMinutes: rule('programme', 'minutes', 30, 'Collars are on before and after work for', 'So that putting one on tells nothing of what follows.'),
  inspectDays: rule('upkeep', 'days', 30, 'Gear is looked at whole every', 'Monthly for what fits an adult; quickly at every wear.'),
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

/** A window whose least is above its most, as the names of both rules; null when there is none. An aim outside its window is no contradiction. */
export function contradictingRules(rules: HouseRules): [HouseRuleName, HouseRuleName] | null {
  const ordered: [HouseRuleName, HouseRuleName][] = [
    ['slackMinMm', 'slackMaxMm'],
    ['slipMinMm', 'slipMaxMm'],
  ];
  return ordered.find(([low, high]) => (rules[low] as number) > (rules[high] as number)) ?? null;
}
