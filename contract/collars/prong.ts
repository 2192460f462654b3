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
  wordReason,
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

/** What the person decided: the schools, and how many links go on either side. */
export const ProngChoices = z.strictObject({ gaugeSchool: z.enum(GAUGE_SCHOOLS), betweenSchool: z.enum(BETWEEN_SCHOOLS), split: Split });
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

export const asProngCollar = ({ id, numbers }: StockedCollar<ProngNumbers>): ProngCollar => ({ id, ...numbers });

const neckOf = (dog: FittingDog) => ({
  girthMm: dog.skinGirthMm ?? dog.tapedGirthMm!,
  ...(dog.headGirthMm === null ? {} : { headGirthMm: dog.headGirthMm }),
});

const split = ({ left, right }: LinkSplit) => `${left + right} links (${left} left, ${right} right)`;

export const prongKind: CollarKind<ProngNumbers, ProngChoices, ProngPlanOutcome, LinkSplit, ProngCheckAnswers, ProngCheckOutcome> = {
  name: 'Prong',
  numbers: ProngNumbers,
  choices: ProngChoices,
  setting: Split,
  answers: ProngAnswers,
  questions: PRONG_CHECK_QUESTIONS,
  counts: [PRONG_GATHER_TEST],
  putOn: PRONG_PUT_ON,
  firstSetting: (choices) => choices.split,
  nextSetting: (result) => result.then,
  wornChoices: (choices, on) => (on === null ? choices : { ...choices, split: on }),
  missing: (dog) => [
    ...(dog.tapedGirthMm === null ? ['Tape the high girth first.'] : []),
    ...(dog.weightKg === null ? ['Weigh the dog: the schools choose the gauge by weight.'] : []),
  ],
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
    const accepted = judgement.verdict === 'between' && judgement.slackMm >= -rules.pressMaxMm;
    return {
      keep: judgement.verdict === 'fits' || accepted,
      blocked: judgement.verdict === 'overhead',
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
  describePlan: (collar, choices) => `${gaugeName(collar.numbers.gaugeMm)} prong, ${split(choices.split)}`,
  describeSetting: split,
  planReasons: (outcome, speak) => outcome.judgement.reasons.map((reason) => wordReason(PRONG_REASON_WORDS, reason, speak)),
  planVerdict: (outcome) => VERDICT_WORDS[outcome.judgement.verdict],
  checkSentence: (result, on) => checkStepSentence(result, on),
  checkReasons: (result, speak) => result.reasons.map((reason) => wordReason(PRONG_CHECK_REASON_WORDS, reason, speak)),
};
