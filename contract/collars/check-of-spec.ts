import {
  isBenchStep,
  isLaterStep,
  specReasonWords,
  stepSentence,
  wordReason,
  type CheckAnswers,
  type CheckSpec,
  type CheckTells,
  type HouseRules,
  type Reason,
  type Setting,
  type Speaker,
  type SpecReason,
  type SpecResult,
} from '@banter/core';
import { z } from '../plain-words.ts';

const NOTHING_TOLD: CheckTells = { contactMade: null, skin: null, skinAt: null };

/** What a kind's fit check is to the contract, out of its spec: what is asked, how answers are read, and how a result is told. */
export function checkOfSpec<Numbers, Options, Own extends { code: string } = never>(
  spec: CheckSpec<Numbers, Options, Own>,
  /** Reasons that checks of before gave, in words. */
  earlier: Readonly<Record<string, string>> = {},
) {
  const { questions, counts = [] } = spec;
  const asked = Object.fromEntries(
    questions.map(({ id, answers, optional }) => {
      const answered = z.enum(answers.map(({ value }) => value) as [string, ...string[]]);
      return [id, optional ? answered.nullable().optional() : answered];
    }),
  );
  const counted = Object.fromEntries(counts.map(({ id, most }) => [id, z.number().int().min(0).max(most).nullable()]));
  const answers = z.strictObject({ ...asked, ...counted });
  const earlierWords = Object.fromEntries(Object.entries(earlier).map(([code, text]) => [code, () => text]));
  return {
    questions,
    counts,
    answers: answers as unknown as z.ZodType<CheckAnswers>,
    keptAnswers: answers.partial() as unknown as z.ZodType<CheckAnswers>,
    checkSentence: (result: SpecResult<Own>, on: Setting): string => stepSentence(spec.steps, result as SpecResult, on),
    checkReasons: (result: SpecResult<Own>, speak: Speaker, rules: HouseRules): Reason[] => {
      const words = { ...earlierWords, ...specReasonWords(spec, rules), ...spec.ownWords };
      return result.reasons.map((reason) => wordReason(words as never, reason as SpecReason as never, speak));
    },
    contradicted: (result: SpecResult<Own>): string[] =>
      (result.reasons as SpecReason[]).flatMap((reason) => (reason.code === 'answers-contradict' ? [reason.first, reason.second] : [])),
    tells: spec.tells ?? (() => NOTHING_TOLD),
    isLaterStep: (step: string): boolean => isLaterStep(spec.steps, step),
    isBenchStep: (step: string): boolean => isBenchStep(spec.steps, step),
  };
}
