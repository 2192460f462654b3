import { COLLAR_KIND_NAMES, collarKind } from '../collars/collar-kinds.ts';
import type { FittingDog } from '../collars/collar-kind.ts';
import { carryIssues } from '../nested-issues.ts';
import { z } from '../plain-words.ts';
import { Instant, Kept, passage, RecordId } from './common.ts';
import type { Dog } from './dog.ts';
import type { Taping } from './taping.ts';

/** A decision for a dog: this collar, made up this way. Each decision is a record of its own; the latest one counts. */
export const NewPlan = z
  .strictObject({
    dogId: RecordId,
    collarId: RecordId,
    kind: z.enum(COLLAR_KIND_NAMES),
    choices: z.record(z.string(), z.unknown()),
    note: passage(1000),
    at: Instant,
  })
  .check(({ value, issues }) => {
    carryIssues(issues, collarKind(value.kind).choices.safeParse(value.choices), value.choices, ['choices']);
  });
export type NewPlan = z.infer<typeof NewPlan>;

/** What a plan was computed from, kept with it: the dog's girths then, the tapings they came from, the collar's numbers. */
export const PlanInputs = z.object({
  dog: z.object({
    weightKg: z.number().nullable(),
    pull: z.enum(['settled', 'pulls', 'drags']),
    worksOn: z.enum(['left', 'right']),
    skinGirthMm: z.number().nullable(),
    tapedGirthMm: z.number().nullable(),
    headGirthMm: z.number().nullable(),
  }),
  tapingIds: z.array(RecordId),
  collar: z.object({ id: RecordId, name: z.string(), numbers: z.record(z.string(), z.unknown()) }),
});
export type PlanInputs = z.infer<typeof PlanInputs>;

export const Plan = z.object({
  ...NewPlan.shape,
  id: RecordId,
  inputs: PlanInputs,
  outcome: z.looseObject({ keep: z.boolean(), blocked: z.boolean() }),
  ...Kept.shape,
});
export type Plan = z.infer<typeof Plan>;

/** A dog as collars are fitted to it, from its record and its latest girths. */
export function fittingDog(dog: Pick<Dog, 'weightG' | 'pull' | 'worksOn'>, girths: Partial<Record<'high' | 'head', Taping>>): FittingDog {
  return {
    weightKg: dog.weightG === null ? null : dog.weightG / 1000,
    pull: dog.pull,
    worksOn: dog.worksOn,
    skinGirthMm: girths.high?.basis === 'skin' ? girths.high.result.girthMm : null,
    tapedGirthMm: girths.high?.tapedMm ?? null,
    headGirthMm: girths.head?.tapedMm ?? null,
  };
}
