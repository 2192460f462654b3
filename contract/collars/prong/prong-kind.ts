import {
  BETWEEN_SCHOOLS,
  chooseProng,
  gaugeName,
  GAUGE_SCHOOLS,
  judgeLinks,
  PRONG_PUT_ON,
  PRONG_REASON_WORDS,
  type ProngReason,
  prongGirths,
  prongRows,
  prongWidthMm,
  PRONG_CHOICE_REASON_WORDS,
  evenSplit,
  linkInstruction,
  shiftLinks,
  collarDoubts,
  COLLAR_DOUBT_WORDS,
  TYPICAL_PRONGS,
  sizeProng,
  type LinksJudgement,
  type LinkSplit,
  type LinksVerdict,
  type ProngCollar,
  type SchoolChoice,
  DEAD_RING,
  INSPECT_QUICK_RELEASE,
  QUICK_RELEASE_RIG,
  PRONG_TRAITS,
  EARLIER_CHECK_WORDS,
  PRONG_CHECK,
  type ProngCheckReason,
  type ProngFit,
} from '@banter/core/collars/prong';
import {
  atLeast,
  checkBySpec,
  countOf,
  inCollar,
  RING_PLACES,
  tipAreaMm2,
  wordReason,
  type CheckAnswers,
  type FitTone,
  type HouseRules,
  type SpecResult,
} from '@banter/core';
import { z } from '../../plain-words.ts';
import { checkOfSpec } from '../check-of-spec.ts';
import { NOTHING_IN_RIG, toTape, type CollarKind, type FittingDog, type StockedCollar } from '../collar-kind.ts';
import { ProngNumbers } from './prong-numbers.ts';
import { PRONG_FIELDS, PRONG_RULER } from './prong-ruler.ts';

/** Links either side of the centre plate, by the dog's own left and right. */
const Split = z
  .strictObject({ left: z.number().int().min(0).max(60), right: z.number().int().min(0).max(60) })
  .refine(({ left, right }) => left + right > 0, 'A collar needs at least one link.');

/** What the person decided: the schools, how many links go on either side, how it starts, which ring and where it sits. */
export const ProngChoices = z.strictObject({
  gaugeSchool: z.enum(GAUGE_SCHOOLS),
  betweenSchool: z.enum(BETWEEN_SCHOOLS),
  split: Split,
  /** How it is made up for the first sessions when it starts loose; null when it is fitted at once. */
  start: Split.nullable(),
  ring: z.enum(['live', 'both']),
  ringPlace: z.enum(RING_PLACES),
});
export type ProngChoices = z.infer<typeof ProngChoices>;

const check = checkOfSpec(PRONG_CHECK, EARLIER_CHECK_WORDS);
/** What hands and eyes found, with the collar closed on the dog. */
export const ProngAnswers = check.answers;

/** A plan as it was judged: this split, and what the schools would have taken from the same stock. */
export type ProngPlanOutcome = {
  keep: boolean;
  blocked: boolean;
  judgement: LinksJudgement;
  recommended: { stockId: string; left: number; right: number } | null;
  schools: SchoolChoice[];
};

export type ProngCheckOutcome = SpecResult<ProngCheckReason>;

export const VERDICT_WORDS: Record<LinksVerdict, string> = {
  fits: 'Fits',
  between: 'Between two sizes',
  'wrong-gauge': 'Wrong gauge',
  overhead: 'Would pass the head',
  presses: 'Presses',
  hangs: 'Hangs',
  lopsided: 'Lopsided',
};

export const PRONG_TONES: Record<LinksVerdict, FitTone> = {
  fits: 'good',
  between: 'mind',
  presses: 'mind',
  hangs: 'mind',
  lopsided: 'mind',
  'wrong-gauge': 'stop',
  overhead: 'stop',
};

export const asProngCollar = ({ id, numbers }: StockedCollar<ProngNumbers>): ProngCollar => ({ id, ...numbers });

const neckOf = (dog: FittingDog) => ({
  girthMm: dog.skinGirthMm ?? dog.tapedGirthMm!,
  ...(dog.headGirthMm === null ? {} : { headGirthMm: dog.headGirthMm }),
});
/** The neck inside one collar, as hands found it there. */
const neckIn = (dog: FittingDog, { id }: { id: string }) => neckOf(inCollar(dog, id));
/** What a choice among several goes by. */
const dogForChoice = (dog: FittingDog) => ({ ...neckOf(dog), weightKg: dog.weightKg!, pull: dog.pull, byHands: dog.byHands });

/** The make-up to start loose with: a link or two more than the fit, as long as it cannot pass the head. Common practice. */
export function looseStart(
  collarId: string,
  stock: readonly StockedCollar<ProngNumbers>[],
  dog: FittingDog,
  fitted: LinkSplit,
  rules: HouseRules,
): LinkSplit | null {
  const collar = asProngCollar(stock.find((one) => one.id === collarId)!);
  const { startLinks } = sizeProng(collar, neckIn(dog, collar), 1, rules);
  const links = Math.min(startLinks, fitted.left + fitted.right + 1);
  return links > fitted.left + fitted.right ? shiftLinks(fitted, links - fitted.left - fitted.right) : null;
}

/** Whether it fits, or sits between two sizes and presses by no more than the snug school accepts. */
const mayPress = ({ verdict, slackMm }: { verdict: LinksVerdict; slackMm: number }, { pressMaxMm }: HouseRules) =>
  verdict === 'fits' || (verdict === 'between' && atLeast(slackMm, -pressMaxMm));

/** What no number of links mends on this gauge. */
const PAST_LINKS: readonly ProngReason['code'][] = ['too-many-added', 'too-many-removed', 'too-long-at-one-link'];

const changeWords = (change: number) => (change === 0 ? '' : change > 0 ? ` (${change} in)` : ` (${-change} out)`);
const split = ({ left, right }: LinkSplit) => `${left + right} links (${left} left, ${right} right)`;

export const prongKind: CollarKind<ProngNumbers, ProngChoices, ProngPlanOutcome, LinkSplit, CheckAnswers, ProngCheckOutcome> = {
  name: 'Prong',
  about: 'Mainly for walking a dog that outpulls its handler; never to overpower.',
  purposes: ['walking', 'training'],
  hazards: ['pinch', 'neck-load', 'contacts'],
  traits: PRONG_TRAITS,
  onNeck: { layer: () => 'training', widthMm: ({ gaugeMm }) => prongWidthMm(gaugeMm) },
  held: ({ ring, ringPlace }) => ({ ring, ringPlace }),
  inRig: ({ numbers, choices }, _dog, rules) => ({
    ...NOTHING_IN_RIG,
    parts: numbers.quickRelease ? QUICK_RELEASE_RIG : null,
    closing: { byMm: numbers.closingMm, travelMm: choices.ring === 'live' ? rules.liveTravelMm : rules.bothTravelMm, deadJoint: DEAD_RING },
  }),
  looksAlso: ({ quickRelease }) => (quickRelease ? [INSPECT_QUICK_RELEASE] : []),
  device: null,
  links: ({ gaugeMm, pitchMm, links }) => ({ gaugeMm, pitchMm, stocked: links, inIt: ({ left, right }) => left + right, madeUpOf: evenSplit }),
  atHome: null,
  loads: (dog, { gaugeMm, pitchMm }, _choices, leashForceN) => [
    { name: 'on its tips', load: { kind: 'prong', leashForceN, girthMm: dog.skinGirthMm ?? dog.tapedGirthMm!, pitchMm, tipAreaMm2: tipAreaMm2(gaugeMm) } },
  ],
  insideByNumbers: true,
  needs: ['high'],
  helps: ['head', 'base', 'coat-depth'],
  schools: ['gaugeSchool', 'betweenSchool'],
  ruleGroups: ['prong', 'gauge'],
  numbers: ProngNumbers,
  fields: PRONG_FIELDS,
  ruler: PRONG_RULER,
  usual: TYPICAL_PRONGS.map((numbers) => ({ name: `${gaugeName(numbers.gaugeMm)} prong`, numbers: { ...numbers, quickRelease: false } })),
  describeNumbers: ({ gaugeMm, links, insideGirthMm, pitchMm, closingMm, quickRelease }, speak) =>
    `${gaugeName(gaugeMm)} prong, ${links} links, ${speak.taped(insideGirthMm)} inside, a link is ${speak.gap(pitchMm)}, closes by ${speak.gap(closingMm)}${quickRelease ? ', quick-release' : ''}`,
  doubts: (numbers, speak) => collarDoubts(numbers).map((doubt) => wordReason(COLLAR_DOUBT_WORDS, doubt, speak)),
  choices: ProngChoices,
  setting: Split,
  ...check,
  optionFields: [],
  putOn: PRONG_PUT_ON,
  caution: 'Only while supervised, for the walk or session; never in a crate, in play or overnight. A first prong belongs with a professional.',
  knobs: () => [],
  fittedSetting: (choices) => choices.split,
  firstSetting: (choices) => choices.start ?? choices.split,
  nextSetting: (result) => Split.parse(result.then),
  notYetFitted: (choices, on) => ({ ...choices, start: on }),
  wornChoices: (choices, on) => (on === null ? choices : { ...choices, split: on, start: null }),
  missing: (dog) => [
    ...(dog.tapedGirthMm === null ? toTape('Tape the high girth first.') : []),
    ...(dog.weightKg === null ? [{ by: 'scales', says: 'Weigh the dog: the schools choose the gauge by weight.' } as const] : []),
  ],
  suggest: (dog, stock, { rules, schools }, wornId = null) => {
    const { gaugeSchool, betweenSchool } = schools;
    const decide = (between: typeof betweenSchool) =>
      chooseProng({ ...dogForChoice(dog), gaugeSchool, betweenSchool: between, stock: stock.map(asProngCollar) }, rules);
    const decision = decide(betweenSchool);
    const choicesOf = ({ stockId, left, right }: ProngFit): ProngChoices => {
      const split = { left, right };
      const start = schools.startSchool === 'start-loose' ? looseStart(stockId, stock, dog, split, rules) : null;
      return { gaugeSchool, betweenSchool, split, start, ring: schools.ringSchool, ringPlace: schools.ringPlace };
    };
    // A link tighter is accepted while it presses little, and otherwise advised against: then a finer gauge, or nothing.
    const wearable = (fit: ProngFit | null) => (fit !== null && mayPress(fit, rules) ? fit : null);
    const named = wearable(decision.choice) ?? (betweenSchool === 'finer' ? null : wearable(decide('finer').choice));
    const worn = decision.all.find(({ stockId }) => stockId === wornId);
    const asGood =
      named && worn && worn.verdict === named.verdict && worn.gaugeMm === named.gaugeMm && Math.abs(worn.change) <= Math.abs(named.change) ? worn : null;
    const choice = asGood ?? named;
    return {
      choice: choice && { collarId: choice.stockId, choices: choicesOf(choice) },
      all: decision.all.map((fit) => ({
        collarId: fit.stockId,
        choices: choicesOf(fit),
        verdict: VERDICT_WORDS[fit.verdict],
        tone: PRONG_TONES[fit.verdict],
        says: (speak) => `${countOf(fit.links, 'link')}${changeWords(fit.change)}, slack ${speak.gap(fit.slackMm)}`,
      })),
      reasons: (speak) => decision.reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, speak)),
    };
  },
  wanted: (dog, { rules, schools }, speak) => {
    const neck = neckOf(dog);
    const decision = chooseProng(
      {
        ...dogForChoice(dog),
        gaugeSchool: schools.gaugeSchool,
        betweenSchool: schools.betweenSchool,
        stock: TYPICAL_PRONGS.map((one) => ({ ...one, id: gaugeName(one.gaugeMm) })),
      },
      rules,
    );
    return `${decision.choice ? `a ${gaugeName(decision.choice.gaugeMm)} prong` : 'a prong'} that makes up to about ${speak.girth(neck.girthMm + rules.slackAimMm)} inside`;
  },
  plan: (dog, collar, stock, choices, rules) => {
    const judgement = judgeLinks(asProngCollar(collar), choices.split, neckIn(dog, collar), rules);
    const { choice, schools } = chooseProng(
      {
        ...dogForChoice(dog),
        gaugeSchool: choices.gaugeSchool,
        betweenSchool: choices.betweenSchool,
        stock: stock.map(asProngCollar),
      },
      rules,
    );
    const { start } = choices;
    const startMm = start === null ? 0 : prongGirths(asProngCollar(collar), start.left + start.right, neckIn(dog, collar).girthMm).relaxedGirthMm;
    const startPasses = start !== null && dog.headGirthMm !== null && atLeast(startMm, dog.headGirthMm);
    return {
      keep: mayPress(judgement, rules),
      blocked: judgement.verdict === 'overhead' || startPasses,
      judgement,
      recommended: choice && { stockId: choice.stockId, left: choice.left, right: choice.right },
      schools,
    };
  },
  check: (dog, { id, numbers }, choices, on, answers, earlier, rules) => {
    const options = { betweenSchool: choices.betweenSchool, loosenedFrom: choices.start ? choices.split.left + choices.split.right : null };
    return checkBySpec(PRONG_CHECK, answers, { dog: inCollar(dog, id), numbers, on, options, rules }, earlier);
  },
  planSentence: (dogName, _dog, collar, choices, outcome, now, speak) => {
    if (outcome.judgement.verdict === 'overhead') return `Do not use it: it would pass over ${dogName}’s head.`;
    if (outcome.blocked) return `Start it with fewer links: so loose it would pass over ${dogName}’s head.`;
    // A count past what the gauge bears is not told to be put in.
    const past = outcome.judgement.verdict === 'wrong-gauge' ? outcome.judgement.reasons.find(({ code }) => PAST_LINKS.includes(code)) : undefined;
    if (past) {
      const why = wordReason(PRONG_REASON_WORDS, past, speak).text;
      return outcome.recommended?.stockId === collar.id ? why : `Take another gauge. ${why}`;
    }
    return linkInstruction(now ?? evenSplit(collar.numbers.links), choices.start ?? choices.split);
  },
  rows: (dog, collar, _choices, outcome, rules) => prongRows(outcome.judgement, asProngCollar(collar), dog.headGirthMm, rules),
  describePlan: (collar, choices) => `${gaugeName(collar.numbers.gaugeMm)} prong, ${split(choices.split)}`,
  describeSetting: split,
  planReasons: (outcome, speak) => outcome.judgement.reasons.map((reason) => wordReason(PRONG_REASON_WORDS, reason, speak)),
  planTone: (outcome) => (outcome.blocked ? 'stop' : PRONG_TONES[outcome.judgement.verdict]),
  planVerdict: (outcome) => VERDICT_WORDS[outcome.judgement.verdict],
};
