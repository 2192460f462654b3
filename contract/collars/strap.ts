import {
  BUCKLES,
  sizeStrap,
  STRAP_PUT_ON,
  STRAP_REASON_WORDS,
  strapCheck,
  strapSizer,
  usualFingers,
  type BetweenHoles,
  type ReasonWords,
  type StrapKind,
  type StrapNumbers,
  type StrapReason,
} from '@banter/core';
import { LengthMm } from '../measures.ts';
import { inOrder, z } from '../plain-words.ts';
import { madeUpKind } from './made-up-kind.ts';

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

const HOLE_MM = 25.4;
const usual = (name: string, minMm: number, maxMm: number, widthMm: number, holePitchMm: number | null): { name: string; numbers: StrapNumbers } => ({
  name,
  numbers: { minMm, maxMm, widthMm, buckle: 'metal tongue', holePitchMm },
});

const strapKind = (
  kind: StrapKind,
  own: {
    name: string;
    noun: string;
    about: string;
    purposes: ('walking' | 'holding' | 'identity')[];
    caution: string;
    usual: { name: string; numbers: StrapNumbers }[];
    schools: 'crateSchool'[];
  },
) =>
  madeUpKind({
    name: own.name,
    about: own.about,
    purposes: own.purposes,
    hazards: ['neck-load'],
    onNeck: { layer: () => 'holding', wornAs: 'strap', rigAs: kind, widthMm: ({ widthMm }) => widthMm },
    loads: ({ hairGirthMm }, { widthMm }, _choices, leashForceN) => [{ name: 'in front', load: { kind: 'flat', leashForceN, girthMm: hairGirthMm!, widthMm } }],
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
        label: kind === 'flat' ? 'Width' : 'Width at the throat',
        as: 'length',
        possibleMm: [4, 150],
        likelyMm: kind === 'flat' ? [8, 60] : [25, 120],
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
    putOn: STRAP_PUT_ON[kind],
    caution: own.caution,
    knobs: ({ minMm, maxMm, holePitchMm }) => [{ id: 'setMm', label: 'Set to', as: 'length', step: holePitchMm ?? 1, low: minMm, high: maxMm }],
    options: z.strictObject({ fingers: z.literal([1, 2]) }),
    optionsOf: () => usualFingers(kind),
    settingNames: ['setMm'],
    sizer: strapSizer(kind),
    reasonWords: words,
    verdictWords: { fits: 'Fits', 'no-size': 'Out of its range', 'can-back-out': 'Can be backed out of', presses: 'Presses', tight: 'Tight', hangs: 'Hangs' },
    never: ['presses'],
    check: strapCheck(kind),
    sentence: (_dog, collar, { on }, speak) => {
      const { holePitchMm, minMm } = collar.numbers;
      const hole = holePitchMm === null ? null : Math.round((on.setMm! - minMm) / holePitchMm) + 1;
      return hole === null
        ? `Set «${collar.name}» to ${speak.taped(on.setMm!)}.`
        : `Buckle «${collar.name}» at hole ${hole} from the buckle, ${speak.taped(on.setMm!)}.`;
    },
    line: (_numbers, on, _options, speak) => `${own.noun} set to ${speak.taped(on.setMm!)}`,
    settingLine: (on, speak) => `set to ${speak.taped(on.setMm!)}`,
    missingWords: () => [],
    wanted: (dog, { rules }, speak) => {
      const { setGirthMm } = sizeStrap({ kind, girthMm: dog.hairGirthMm!, finger: dog.finger }, rules);
      return `a ${own.noun} that holds ${speak.girth(setGirthMm)} near the middle of its range, metal buckle`;
    },
  });

export const flatKind = strapKind('flat', {
  name: 'Flat buckle',
  noun: 'flat collar',
  about: 'The identity collar, and the safety partner of every other one.',
  purposes: ['identity', 'holding', 'walking'],
  caution: 'Two fingers go under, never the flat hand. In the crate as the house’s school says.',
  schools: ['crateSchool'],
  usual: [usual('Small flat', 230, 330, 15, HOLE_MM), usual('Middle flat', 330, 460, 20, HOLE_MM), usual('Large flat', 430, 610, 25, HOLE_MM)],
});

export const wideThroatKind = strapKind('wide-throat', {
  name: 'Wide-throat',
  noun: 'wide-throat collar',
  about: 'Broad on the throat, buckled behind the ears: for long delicate necks that flat collars slip off.',
  purposes: ['walking', 'holding'],
  caution:
    'One finger, high, tight enough that it cannot come over the ears; on a leash only. A reactive dog rather wears a harness, a very reactive one both.',
  schools: [],
  usual: [usual('Slim wide-throat', 240, 340, 50, HOLE_MM / 2), usual('Long wide-throat', 320, 440, 65, HOLE_MM / 2)],
});
