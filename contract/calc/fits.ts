import {
  contractSpeaker,
  girthsThroughCoat,
  type Finger,
  type FittingDog,
  houseSchools,
  houseRules,
  NECK_BUILDS,
  USUAL_FINGER,
  WORKING_SIDES,
  speakLimit,
  speakQuantity,
  ruleWords,
  NOTHING_NOTED,
} from '@banter/core';
import { PULLS } from '@banter/core/collars/prong';
import { COLLAR_KIND_NAMES, collarKind } from '../collars/collar-kinds.ts';
import { fitAll, stockByKind } from '../collars/fit-all.ts';
import { CoatDepthMm, FingerFields, fingerNotNarrower, MuzzleGirthMm, MuzzleLengthMm, NeckGirthMm, WeightKg } from '../measures.ts';
import { carryIssues } from '../nested-issues.ts';
import { z } from '../plain-words.ts';
import { USUAL_HEAD_COLLAR_CHART } from '../collars/head-collar/head-collar-chart.ts';
import { OwnSchools } from '../records/kennel.ts';
import { RuleOverrides } from '../rules.ts';

/** No request of many dogs is larger than this. */
export const MOST_DOGS = 2000;
/** Nor of more dogs times collars: each is held against each. */
export const MOST_PAIRS = 500_000;

export const FitDog = z.strictObject({
  id: z.string().min(1).max(200),
  girthMm: NeckGirthMm,
  overCoat: z.boolean().optional(),
  weightKg: WeightKg.optional(),
  pull: z.enum(PULLS).optional(),
  worksOn: z.enum(WORKING_SIDES).optional(),
  neckBuild: z.enum(NECK_BUILDS).optional(),
  headGirthMm: NeckGirthMm.optional(),
  midGirthMm: NeckGirthMm.optional(),
  muzzleGirthMm: MuzzleGirthMm.optional(),
  stopGirthMm: MuzzleGirthMm.optional(),
  muzzleLengthMm: MuzzleLengthMm.optional(),
  coatDepthMm: CoatDepthMm.optional(),
});

const FitCollar = z
  .strictObject({
    id: z.string().min(1).max(200),
    name: z.string().max(80).optional(),
    kind: z.enum(COLLAR_KIND_NAMES),
    numbers: z.record(z.string(), z.unknown()),
  })
  .check(({ value, issues }) => carryIssues(issues, collarKind(value.kind).numbers.safeParse(value.numbers), value.numbers, ['numbers']));

/** Many dogs against one stock: each kind of collar, or the named ones, for each dog. Lengths mm, weights kg. */
export const FitsRequest = z
  .strictObject({
    dogs: z.array(FitDog).min(1).max(MOST_DOGS),
    kinds: z.array(z.enum(COLLAR_KIND_NAMES)).min(1).optional(),
    stock: z.array(FitCollar).max(5000),
    schools: OwnSchools.optional(),
    rules: RuleOverrides.optional(),
    finger: z.strictObject(FingerFields).check(fingerNotNarrower).optional(),
  })
  .check(({ value, issues }) => {
    const pairs = value.dogs.length * value.stock.length;
    if (pairs > MOST_PAIRS) {
      const many = (count: number) => count.toLocaleString('en');
      issues.push({
        code: 'custom',
        path: ['stock'],
        input: value.stock.length,
        message: `${many(value.dogs.length)} dogs against ${many(value.stock.length)} collars are ${many(pairs)} pairs; at most ${many(MOST_PAIRS)} at once. Send them in parts.`,
      });
    }
    const seen = new Set<string>();
    value.dogs.forEach((dog, index) => {
      if (seen.has(dog.id)) issues.push({ code: 'custom', path: ['dogs', index, 'id'], input: dog.id, message: 'This id stands twice among the dogs.' });
      seen.add(dog.id);
    });
  });
export type FitsRequest = z.infer<typeof FitsRequest>;

const Fit = z.object({
  kind: z.enum(COLLAR_KIND_NAMES),
  verdict: z.string(),
  tone: z.enum(['good', 'mind', 'stop', 'open']),
  collarId: z.string().nullable(),
  choices: z.unknown(),
  deciding: z.object({ what: z.string(), measure: z.string().nullable(), limit: z.string(), rule: z.string() }).nullable(),
  sentence: z.string().nullable(),
  wanted: z.string().nullable(),
  missing: z.array(z.string()),
});
export const FitsAnswer = z.object({ dogs: z.array(z.object({ id: z.string(), fits: z.array(Fit) })) });
export type FitsAnswer = z.infer<typeof FitsAnswer>;

/** A dog of a request as collars are fitted to it; what is not said is reckoned as usual: pulls, average build, on the left. */
export function fittingDogOf(dog: z.infer<typeof FitDog>, finger: Finger): FittingDog {
  const coatDepthMm = dog.coatDepthMm ?? null;
  return {
    weightKg: dog.weightKg ?? null,
    pull: dog.pull ?? 'pulls',
    worksOn: dog.worksOn ?? 'left',
    neckBuild: dog.neckBuild ?? 'average',
    ageDays: null,
    tapedGirthMm: dog.girthMm,
    ...girthsThroughCoat(dog.girthMm, dog.overCoat ?? false, coatDepthMm),
    midGirthMm: dog.midGirthMm ?? null,
    headGirthMm: dog.headGirthMm ?? null,
    muzzleGirthMm: dog.muzzleGirthMm ?? null,
    stopGirthMm: dog.stopGirthMm ?? null,
    muzzleLengthMm: dog.muzzleLengthMm ?? null,
    neckLengthMm: null,
    coatDepthMm,
    finger,
  };
}

/** Sizes every dog of a request. What cannot be sized for want of a measure says what is missing. */
export function computeFits({ dogs, kinds, stock, schools, rules, finger }: FitsRequest): FitsAnswer {
  const house = { rules: houseRules(rules), schools: { ...houseSchools(), ...schools }, headCollarChart: USUAL_HEAD_COLLAR_CHART };
  const owned = stockByKind(
    stock.map((collar) => ({ ...collar, name: collar.name ?? collar.id, retiredAt: null })),
    NOTHING_NOTED,
  );
  const hand = finger ? { thicknessMm: finger.fingerThicknessMm, widthMm: finger.fingerWidthMm } : USUAL_FINGER;
  return {
    dogs: dogs.map((dog) => ({
      id: dog.id,
      fits: fitAll(dog.id, fittingDogOf(dog, hand), owned, house, contractSpeaker, kinds).map(
        ({ deciding, missing, line: _line, collarName: _name, ...fit }) => ({
          ...fit,
          missing: missing.map(({ says }) => says),
          deciding: deciding && {
            what: deciding.what,
            measure: deciding.measure && speakQuantity(deciding.measure, contractSpeaker),
            limit: speakLimit(deciding, contractSpeaker),
            rule: ruleWords(deciding),
          },
        }),
      ),
    })),
  };
}
