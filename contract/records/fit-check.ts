import { COLLAR_KIND_NAMES, collarKind } from '../collars/collar-kinds.ts';
import { carryIssues } from '../nested-issues.ts';
import { z } from '../plain-words.ts';
import { Instant, Kept, passage, RecordId } from './common.ts';

const shape = {
  dogId: RecordId,
  planId: RecordId,
  kind: z.enum(COLLAR_KIND_NAMES),
  on: z.record(z.string(), z.unknown()),
  answers: z.record(z.string(), z.unknown()),
  note: passage(1000),
  at: Instant,
};
const lookedAt = (answersOf: 'answers' | 'keptAnswers') =>
  z.strictObject(shape).check(({ value, issues }) => {
    const kind = collarKind(value.kind);
    carryIssues(issues, kind.setting.safeParse(value.on), value.on, ['on']);
    carryIssues(issues, kind[answersOf].safeParse(value.answers), value.answers, ['answers']);
  });

/** One look at a collar on the dog: how it is made up (`on`) and what hands and eyes found (`answers`). */
export const NewFitCheck = lookedAt('answers');
/** The same as it was kept: what is asked only since may be missing. */
export const KeptFitCheck = lookedAt('keptAnswers');
export type NewFitCheck = z.infer<typeof NewFitCheck>;

/** A kept check; `attempt` counts from 1 within its plan. */
export const FitCheck = z.object({
  ...shape,
  id: RecordId,
  attempt: z.number().int(),
  outcome: z.looseObject({ verdict: z.enum(['good', 'adjust', 'stop', 'unclear']), step: z.string() }),
  ...Kept.shape,
});
export type FitCheck = z.infer<typeof FitCheck>;
