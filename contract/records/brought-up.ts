import { houseRules, tapingDoubt, USUAL_FINGER } from '@banter/core';
import { COLLAR_KINDS, type AnyCollarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { KeptRecord, RecordStep } from './record-step.ts';

const object = (value: unknown): KeptRecord => (typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as KeptRecord) : {});

const FITTING_DOG_AT_FIRST = {
  neckBuild: 'average',
  ageDays: null,
  skinGirthMm: null,
  tapedGirthMm: null,
  midGirthMm: null,
  headGirthMm: null,
  muzzleGirthMm: null,
  stopGirthMm: null,
  muzzleLengthMm: null,
  neckLengthMm: null,
  coatDepthMm: null,
  finger: USUAL_FINGER,
} as const;

/** Steps of every part of a kennel's records that has any, oldest first. */
const STEPS: Readonly<Record<string, readonly RecordStep[]>> = {
  tapings: [
    {
      name: 'a taping says how far it may be off',
      since: '0.2.0',
      bring: (taping) => {
        const result = object(taping.result);
        const { readingsMm } = taping;
        if (result.plusMinusMm !== undefined || !Array.isArray(readingsMm)) return taping;
        const asked = { site: taping.site, readingsMm } as Parameters<typeof tapingDoubt>[0];
        return { ...taping, result: { ...result, plusMinusMm: tapingDoubt(asked, houseRules(object(taping.rules))) } };
      },
    },
    {
      name: 'a taping says whether the doubt that it was taken lower down was settled',
      since: '0.2.0',
      bring: (taping) => ({ settled: false, ...taping }),
    },
  ],
  plans: [
    {
      name: 'a plan knows the whole dog, the place and the screening',
      since: '0.1.0',
      bring: (plan) => {
        const inputs = object(plan.inputs);
        const dog = object(inputs.dog);
        if ('hairGirthMm' in dog && 'place' in inputs && 'screen' in inputs) return plan;
        return {
          placeId: null,
          ...plan,
          inputs: {
            place: null,
            screen: { level: 'none', findings: [] },
            ...inputs,
            dog: { ...FITTING_DOG_AT_FIRST, hairGirthMm: dog.tapedGirthMm ?? null, ...dog },
          },
        };
      },
    },
  ],
};

/** The steps of a record's own kind of collar, where it has one that is still known. */
function stepsOfKind(part: string, { kind }: KeptRecord): readonly RecordStep[] {
  if (typeof kind !== 'string' || !Object.hasOwn(COLLAR_KINDS, kind)) return [];
  const { steps } = COLLAR_KINDS[kind as CollarKindName] as unknown as AnyCollarKind;
  return part === 'plans' ? (steps?.plans ?? []) : part === 'fitChecks' ? (steps?.fitChecks ?? []) : [];
}

/**
 * A kept record in today's shape, step by step; one of today comes back as it is. `part` is its part of a kennel's file: `tapings`,
 * `plans`, `fitChecks`. The stored row stays as it was kept.
 */
export function broughtUp<Record extends object>(part: string, record: Record): Record {
  const steps = [...(STEPS[part] ?? []), ...stepsOfKind(part, record as KeptRecord)];
  return steps.reduce((kept, step) => step.bring(kept), record as KeptRecord) as Record;
}
