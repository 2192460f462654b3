import { girthsThroughCoat, NECK_BUILDS, USUAL_FINGER, type ByHands, type Finger, type FittingDog, DAY_MS } from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind } from '../collars/collar-kinds.ts';
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
    /** Where it will be worn, for the local law. */
    placeId: RecordId.nullable(),
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
    neckBuild: z.enum(NECK_BUILDS),
    ageDays: z.number().nullable(),
    skinGirthMm: z.number().nullable(),
    tapedGirthMm: z.number().nullable(),
    hairGirthMm: z.number().nullable(),
    midGirthMm: z.number().nullable(),
    headGirthMm: z.number().nullable(),
    muzzleGirthMm: z.number().nullable(),
    stopGirthMm: z.number().nullable(),
    muzzleLengthMm: z.number().nullable(),
    neckLengthMm: z.number().nullable(),
    coatDepthMm: z.number().nullable(),
    finger: z.object({ thicknessMm: z.number(), widthMm: z.number() }),
    byHands: z.record(z.string(), z.number()).optional(),
  }),
  place: z.object({ name: z.string(), status: z.string() }).nullable(),
  screen: z.object({ level: z.string(), findings: z.array(z.object({ id: z.string(), level: z.string(), lifted: z.boolean() })) }),
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

/** A dog as collars are fitted to it, from its record, its latest measures, the finger of whoever fits it, today, and what hands found. */
export function fittingDog(
  dog: Pick<Dog, 'weightG' | 'pull' | 'worksOn' | 'neckBuild' | 'bornOn'>,
  tapes: Partial<Record<Taping['site'], Taping>>,
  { finger = USUAL_FINGER, today, byHands }: { finger?: Finger | null | undefined; today: string; byHands?: ByHands | undefined },
): FittingDog {
  const { high } = tapes;
  const coatDepthMm = tapes['coat-depth']?.tapedMm ?? high?.coatDepthMm ?? null;
  const hairOf = (tape: Taping | undefined) => (tape ? girthsThroughCoat(tape.tapedMm, tape.overCoat, tape.coatDepthMm ?? coatDepthMm).hairGirthMm : null);
  const girths = high ? girthsThroughCoat(high.tapedMm, high.overCoat, high.coatDepthMm ?? coatDepthMm) : null;
  return {
    weightKg: dog.weightG === null ? null : dog.weightG / 1000,
    pull: dog.pull,
    worksOn: dog.worksOn,
    neckBuild: dog.neckBuild,
    ageDays: dog.bornOn === null ? null : Math.round((Date.parse(today) - Date.parse(dog.bornOn)) / DAY_MS),
    skinGirthMm: girths?.skinGirthMm ?? null,
    tapedGirthMm: high?.tapedMm ?? null,
    hairGirthMm: girths?.hairGirthMm ?? null,
    midGirthMm: hairOf(tapes.mid),
    headGirthMm: tapes.head?.tapedMm ?? null,
    muzzleGirthMm: tapes.muzzle?.tapedMm ?? null,
    stopGirthMm: tapes.stop?.tapedMm ?? null,
    muzzleLengthMm: tapes['muzzle-length']?.tapedMm ?? null,
    neckLengthMm: tapes['neck-length']?.tapedMm ?? null,
    coatDepthMm,
    finger: finger ?? USUAL_FINGER,
    ...(byHands && { byHands }),
  };
}
