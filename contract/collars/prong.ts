import {
  BETWEEN_SCHOOLS,
  checkProngFit,
  checkStepSentence,
  chooseProng,
  gaugeName,
  GAUGE_SCHOOLS,
  judgeLinks,
  PRONG_CHECK_QUESTIONS,
  PRONG_CHECK_REASON_WORDS,
  PRONG_GATHER_TEST,
  PRONG_PUT_ON,
  PRONG_REASON_WORDS,
  prongGirths,
  prongRows,
  prongWidthMm,
  tipAreaMm2,
  PRONG_CHOICE_REASON_WORDS,
  RING_PLACES,
  evenSplit,
  linkInstruction,
  shiftLinks,
  collarDoubts,
  COLLAR_DOUBT_WORDS,
  TYPICAL_PRONGS,
  sizeProng,
  wordReason,
  type FitTone,
  type HouseRules,
  type LinksJudgement,
  type LinkSplit,
  type LinksVerdict,
  type ProngCheckAnswers,
  type ProngCheckResult,
  type ProngCollar,
  type SchoolChoice,
} from '@banter/core';
import { z } from '../plain-words.ts';
import type { CollarKind, FittingDog, StockedCollar } from './collar-kind.ts';
import { ProngNumbers } from './prong-numbers.ts';

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

const oneOf = (id: string) => {
  const question = PRONG_CHECK_QUESTIONS.find((one) => one.id === id)!;
  return z.enum(question.answers.map(({ value }) => value) as [string, ...string[]]);
};

/** What hands and eyes found, with the collar closed on the dog. */
export const ProngAnswers = z.strictObject({
  ...Object.fromEntries(PRONG_CHECK_QUESTIONS.map(({ id }) => [id, oneOf(id)])),
  gathered: z.number().int().min(0).max(PRONG_GATHER_TEST.most).nullable(),
}) as unknown as z.ZodType<ProngCheckAnswers>;

/** A plan as it was judged: this split, and what the schools would have taken from the same stock. */
export type ProngPlanOutcome = {
  keep: boolean;
  blocked: boolean;
  judgement: LinksJudgement;
  recommended: { stockId: string; left: number; right: number } | null;
  schools: SchoolChoice[];
};

/** A check's result as it is kept: an unbounded end of the interval is null. */
export type ProngCheckOutcome = Omit<ProngCheckResult, 'slack'> & { slack: { lowMm: number | null; highMm: number | null } | null };

export const VERDICT_WORDS: Record<LinksVerdict, string> = {
  fits: 'Fits',
  between: 'Between two sizes',
  'wrong-gauge': 'Wrong gauge',
  overhead: 'Would pass the head',
  presses: 'Presses',
  hangs: 'Hangs',
  lopsided: 'Lopsided',
};

const PRONG_TONES: Record<LinksVerdict, FitTone> = {
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

/** The make-up to start loose with: a link or two more than the fit, as long as it cannot pass the head. Common practice. */
export function looseStart(
  collarId: string,
  stock: readonly StockedCollar<ProngNumbers>[],
  dog: FittingDog,
  fitted: LinkSplit,
  rules: HouseRules,
): LinkSplit | null {
  const collar = asProngCollar(stock.find((one) => one.id === collarId)!);
  const { startLinks } = sizeProng(collar, neckOf(dog), 1, rules);
  const links = Math.min(startLinks, fitted.left + fitted.right + 1);
  return links > fitted.left + fitted.right ? shiftLinks(fitted, links - fitted.left - fitted.right) : null;
}

const split = ({ left, right }: LinkSplit) => `${left + right} links (${left} left, ${right} right)`;

export const prongKind: CollarKind<ProngNumbers, ProngChoices, ProngPlanOutcome, LinkSplit, ProngCheckAnswers, ProngCheckOutcome> = {
  name: 'Prong',
  about: 'Mainly for walking a dog that outpulls its handler; never to overpower.',
  purposes: ['walking', 'training'],
  hazards: ['pinch', 'neck-load', 'contacts'],
  onNeck: { layer: () => 'training', wornAs: 'pinch', rigAs: 'prong', widthMm: ({ gaugeMm }) => prongWidthMm(gaugeMm) },
  loads: (dog, { gaugeMm, pitchMm }, _choices, leashForceN) => [
    { name: 'on its tips', load: { kind: 'prong', leashForceN, girthMm: dog.skinGirthMm ?? dog.tapedGirthMm!, pitchMm, tipAreaMm2: tipAreaMm2(gaugeMm) } },
  ],
  needs: ['high'],
  helps: ['head', 'base', 'coat-depth'],
  schools: ['gaugeSchool', 'betweenSchool'],
  ruleGroups: ['prong', 'gauge'],
  numbers: ProngNumbers,
  // A prong's three numbers are taken in a step of its own («measure your collar»).
  fields: [],
  usual: TYPICAL_PRONGS.map((numbers) => ({ name: `${gaugeName(numbers.gaugeMm)} prong`, numbers })),
  describeNumbers: ({ gaugeMm, links, insideGirthMm, pitchMm, closingMm }, speak) =>
    `${gaugeName(gaugeMm)} prong, ${links} links, ${speak.taped(insideGirthMm)} inside, a link is ${speak.gap(pitchMm)}, closes by ${speak.gap(closingMm)}`,
  doubts: (numbers, speak) => collarDoubts(numbers).map((doubt) => wordReason(COLLAR_DOUBT_WORDS, doubt, speak)),
  choices: ProngChoices,
  setting: Split,
  answers: ProngAnswers,
  questions: PRONG_CHECK_QUESTIONS,
  counts: [PRONG_GATHER_TEST],
  putOn: PRONG_PUT_ON,
  caution: 'Only while supervised, for the walk or session; never in a crate, in play or overnight. A first prong belongs with a professional.',
  knobs: () => [],
  firstSetting: (choices) => choices.start ?? choices.split,
  nextSetting: (result) => result.then,
  wornChoices: (choices, on) => (on === null ? choices : { ...choices, split: on, start: null }),
  missing: (dog) => [
    ...(dog.tapedGirthMm === null ? ['Tape the high girth first.'] : []),
    ...(dog.weightKg === null ? ['Weigh the dog: the schools choose the gauge by weight.'] : []),
  ],
  suggest: (dog, stock, { rules, schools }) => {
    const { gaugeSchool, betweenSchool } = schools;
    const decision = chooseProng(
      { ...neckOf(dog), weightKg: dog.weightKg!, pull: dog.pull, gaugeSchool, betweenSchool, stock: stock.map(asProngCollar) },
      rules,
    );
    const choicesOf = (left: number, right: number): ProngChoices => {
      const split = { left, right };
      return { gaugeSchool, betweenSchool, split, start: null, ring: schools.ringSchool, ringPlace: schools.ringPlace };
    };
    const { choice } = decision;
    return {
      choice: choice && {
        collarId: choice.stockId,
        choices: {
          ...choicesOf(choice.left, choice.right),
          start: schools.startSchool === 'start-loose' ? looseStart(choice.stockId, stock, dog, { left: choice.left, right: choice.right }, rules) : null,
        },
      },
      all: decision.all.map((fit) => ({
        collarId: fit.stockId,
        choices: choicesOf(fit.left, fit.right),
        verdict: VERDICT_WORDS[fit.verdict],
        tone: PRONG_TONES[fit.verdict],
      })),
      reasons: (speak) => decision.reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, speak)),
    };
  },
  wanted: (dog, { rules, schools }, speak) => {
    const neck = neckOf(dog);
    const decision = chooseProng(
      {
        ...neck,
        weightKg: dog.weightKg!,
        pull: dog.pull,
        gaugeSchool: schools.gaugeSchool,
        betweenSchool: schools.betweenSchool,
        stock: TYPICAL_PRONGS.map((one) => ({ ...one, id: gaugeName(one.gaugeMm) })),
      },
      rules,
    );
    return `${decision.choice ? `a ${gaugeName(decision.choice.gaugeMm)} prong` : 'a prong'} that makes up to about ${speak.girth(neck.girthMm + rules.slackAimMm)} inside`;
  },
  plan: (dog, collar, stock, choices, rules) => {
    const judgement = judgeLinks(asProngCollar(collar), choices.split, neckOf(dog), rules);
    const { choice, schools } = chooseProng(
      {
        ...neckOf(dog),
        weightKg: dog.weightKg!,
        pull: dog.pull,
        gaugeSchool: choices.gaugeSchool,
        betweenSchool: choices.betweenSchool,
        stock: stock.map(asProngCollar),
      },
      rules,
    );
    const accepted = judgement.verdict === 'between' && judgement.slackMm >= -rules.pressMaxMm - 1e-9;
    const { start } = choices;
    const startMm = start === null ? 0 : prongGirths(asProngCollar(collar), start.left + start.right, neckOf(dog).girthMm).relaxedGirthMm;
    const startPasses = start !== null && dog.headGirthMm !== null && startMm >= dog.headGirthMm - 1e-9;
    return {
      keep: judgement.verdict === 'fits' || accepted,
      blocked: judgement.verdict === 'overhead' || startPasses,
      judgement,
      recommended: choice && { stockId: choice.stockId, left: choice.left, right: choice.right },
      schools,
    };
  },
  check: (dog, collar, choices, on, answers, earlier, rules) => {
    const { slack, ...result } = checkProngFit(
      {
        collar: asProngCollar(collar),
        girthMm: neckOf(dog).girthMm,
        on,
        answers,
        betweenSchool: choices.betweenSchool,
        loosenedFrom: choices.start ? choices.split.left + choices.split.right : null,
        earlier: earlier.map((check) => ({
          links: check.on.left + check.on.right,
          slack: check.outcome.slack && {
            lowMm: check.outcome.slack.lowMm ?? -Infinity,
            highMm: check.outcome.slack.highMm ?? Infinity,
          },
          slid: check.answers.headDrop === 'slides',
        })),
      },
      rules,
    );
    const finite = (mm: number) => (Number.isFinite(mm) ? mm : null);
    return { ...result, slack: slack && { lowMm: finite(slack.lowMm), highMm: finite(slack.highMm) } };
  },
  planSentence: (dogName, _dog, collar, choices, outcome, now) => {
    if (outcome.judgement.verdict === 'overhead') return `Do not use it: it would pass over ${dogName}’s head.`;
    if (outcome.blocked) return `Start it with fewer links: so loose it would pass over ${dogName}’s head.`;
    return linkInstruction(now ?? evenSplit(collar.numbers.links), choices.start ?? choices.split);
  },
  rows: (dog, collar, _choices, outcome, rules) => prongRows(outcome.judgement, asProngCollar(collar), dog.headGirthMm, rules),
  describePlan: (collar, choices) => `${gaugeName(collar.numbers.gaugeMm)} prong, ${split(choices.split)}`,
  describeSetting: split,
  planReasons: (outcome, speak) => outcome.judgement.reasons.map((reason) => wordReason(PRONG_REASON_WORDS, reason, speak)),
  planTone: (outcome) => (outcome.blocked ? 'stop' : PRONG_TONES[outcome.judgement.verdict]),
  planVerdict: (outcome) => VERDICT_WORDS[outcome.judgement.verdict],
  checkSentence: (result, on) => checkStepSentence(result, on),
  checkReasons: (result, speak) => result.reasons.map((reason) => wordReason(PRONG_CHECK_REASON_WORDS, reason, speak)),
};
