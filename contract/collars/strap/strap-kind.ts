import type { RecordStep } from '../../records/record-step.ts';
import type { CollarTraits } from '@banter/core';
import {
  BUCKLES,
  sizeStrap,
  STRAP_REASON_WORDS,
  strapSizer,
  type BetweenHoles,
  type StrapKind,
  type StrapNumbers,
  type StrapReason,
  type OwnStrapSizing,
  type StrapOptions,
} from '@banter/core/collars/strap';
import { type ReasonWords, type CheckSpec, type StackLayer } from '@banter/core';
import { LengthMm } from '../../measures.ts';
import { inOrder, z } from '../../plain-words.ts';
import { NOTHING_IN_RIG, type OptionField } from '../collar-kind.ts';
import { settableKind } from '../settable-kind.ts';

export const StrapNumbersShape = z
  .strictObject({
    minMm: LengthMm,
    maxMm: LengthMm,
    widthMm: z.number().positive().max(150),
    buckle: z.enum(BUCKLES),
    holePitchMm: z.number().min(3).max(100).nullable(),
  })
  .check(inOrder('minMm', 'maxMm'));

const words: ReasonWords<StrapReason | BetweenHoles> = {
  ...STRAP_REASON_WORDS,
  'between-holes': (r, speak) =>
    `Its holes are steps: ${speak.taped(r.tighterMm)} leaves ${speak.gap(r.tighterSlackMm)} of slack, the next one, ${speak.taped(r.looserMm)}, leaves ${speak.gap(r.looserSlackMm)}.`,
};

export const HOLE_MM = 25.4;
export const usualStrap = (
  name: string,
  minMm: number,
  maxMm: number,
  widthMm: number,
  holePitchMm: number | null,
): { name: string; numbers: StrapNumbers } => ({
  name,
  numbers: { minMm, maxMm, widthMm, buckle: 'metal tongue', holePitchMm },
});

export const strapKind = (
  kind: StrapKind,
  own: {
    name: string;
    noun: string;
    traits: CollarTraits;
    ring: string;
    widthLabel: string;
    likelyWidthMm: [number, number];
    about: string;
    purposes: ('walking' | 'holding' | 'identity')[];
    caution: string;
    usual: { name: string; numbers: StrapNumbers }[];
    schools: 'crateSchool'[];
    sizing: OwnStrapSizing;
    check: CheckSpec<StrapNumbers, StrapOptions>;
    putOn: readonly string[];
    options: z.ZodType<StrapOptions>;
    usualOptions: StrapOptions;
    layer: (options: StrapOptions) => StackLayer;
    /** What it is for, behind its name; empty where it has one use. */
    roleWords: (options: StrapOptions) => string;
    optionFields?: readonly OptionField[];
    steps?: { plans?: readonly RecordStep[] };
  },
) =>
  settableKind({
    name: own.name,
    about: own.about,
    purposes: own.purposes,
    hazards: ['neck-load'],
    traits: own.traits,
    onNeck: { layer: ({ options }) => own.layer(options), widthMm: ({ widthMm }) => widthMm },
    inRig: ({ verdict, checkedGood, numbers }) => ({
      ...NOTHING_IN_RIG,
      anchor: { joint: own.ring, called: own.noun, holds: verdict === 'can-back-out' ? false : checkedGood, plastic: numbers.buckle === 'plastic' },
    }),
    device: null,
    atHome: null,
    loads: ({ hairGirthMm }, { widthMm }, _choices, leashForceN) => [{ name: 'in front', load: { kind: 'flat', leashForceN, girthMm: hairGirthMm!, widthMm } }],
    insideByNumbers: false,
    needs: ['high'],
    helps: ['head'],
    schools: own.schools,
    ruleGroups: ['back-out'],
    numbers: StrapNumbersShape,
    fields: [
      { id: 'minMm', label: 'Shortest, buckled', hint: 'Inside, at the tightest hole or setting.', as: 'length', possibleMm: [80, 1200], likelyMm: [150, 800] },
      { id: 'maxMm', label: 'Longest, buckled', as: 'length', possibleMm: [80, 1500], likelyMm: [180, 900] },
      {
        id: 'widthMm',
        label: own.widthLabel,
        as: 'length',
        possibleMm: [4, 150],
        likelyMm: own.likelyWidthMm,
      },
      { id: 'buckle', label: 'Buckle', as: 'choice', options: BUCKLES.map((value) => ({ value, label: value })) },
      {
        id: 'holePitchMm',
        label: 'From hole to hole',
        hint: 'About an inch; empty if it slides without holes.',
        as: 'length',
        possibleMm: [3, 100],
        likelyMm: [10, 40],
        optional: true,
      },
    ],
    usual: own.usual,
    describeNumbers: ({ minMm, maxMm, widthMm, buckle }, speak) =>
      `${own.noun} ${speak.girth(minMm)} to ${speak.girth(maxMm)}, ${speak.gap(widthMm)} wide, ${buckle}`,
    doubts: ({ minMm, maxMm, holePitchMm }) =>
      holePitchMm !== null && holePitchMm > maxMm - minMm && maxMm > minMm
        ? [{ code: 'one-hole', text: 'The holes are further apart than the collar’s whole range. Is the pitch right?' }]
        : [],
    putOn: own.putOn,
    ...(own.steps ? { steps: own.steps } : {}),
    caution: own.caution,
    knobs: ({ minMm, maxMm, holePitchMm }) => [{ id: 'setMm', label: 'Set to', as: 'length', step: holePitchMm ?? 1, low: minMm, high: maxMm }],
    options: own.options,
    optionFields: own.optionFields ?? [],
    optionsOf: () => own.usualOptions,
    settingNames: ['setMm'],
    sizer: strapSizer(own.sizing),
    reasonWords: words,
    verdictWords: { fits: 'Fits', 'no-size': 'Out of its range', 'can-back-out': 'Can be backed out of', presses: 'Presses', tight: 'Tight', hangs: 'Hangs' },
    never: ['presses'],
    check: own.check,
    sentence: (_dog, collar, { on }, speak) => {
      const { holePitchMm, minMm } = collar.numbers;
      const hole = holePitchMm === null ? null : Math.round((on.setMm! - minMm) / holePitchMm) + 1;
      return hole === null
        ? `Set ${collar.name} to ${speak.taped(on.setMm!)}.`
        : `Buckle ${collar.name} at hole ${hole} from the buckle, ${speak.taped(on.setMm!)}.`;
    },
    line: (_numbers, on, options, speak) => `${own.noun}${own.roleWords(options)} set to ${speak.taped(on.setMm!)}`,
    settingLine: (on, speak) => `set to ${speak.taped(on.setMm!)}`,
    missingWords: () => [],
    wanted: (dog, { rules }, speak) => {
      const { setGirthMm, verdict } = sizeStrap(
        { kind, girthMm: dog.hairGirthMm!, ...(dog.headGirthMm === null ? {} : { headGirthMm: dog.headGirthMm }), finger: dog.finger },
        rules,
      );
      // What the same verdict would refuse is not put on a list.
      if (verdict === 'can-back-out') return `a harness instead: a ${own.noun} that passes its fingers would come over this head`;
      return `a ${own.noun} that holds ${speak.girth(setGirthMm)} near the middle of its range, metal buckle`;
    },
  });
