import { NOTHING_IN_RIG } from '../collar-kind.ts';
import {
  MARTINGALE_CHECK,
  MARTINGALE_PUT_ON,
  MARTINGALE_REASON_WORDS,
  MARTINGALE_SCHOOLS,
  martingaleSizer,
  martingaleWidth,
  strapBySchool,
  type MartingaleNumbers,
  BODY_RING,
  MARTINGALE_TRAITS,
} from '@banter/core/collars/martingale';
import { below } from '@banter/core';
import { LengthMm } from '../../measures.ts';
import { inOrder, z } from '../../plain-words.ts';
import { settableKind } from '../settable-kind.ts';

export const MartingaleNumbersShape = z
  .strictObject({
    strapMinMm: LengthMm,
    strapMaxMm: LengthMm,
    loopMm: LengthMm,
    widthMm: z.number().positive().max(120),
    loop: z.enum(['cloth', 'chain']),
    hardware: z.enum(['metal', 'plastic']),
    buckled: z.boolean(),
  })
  .check(inOrder('strapMinMm', 'strapMaxMm'));

const usual = (name: string, strapMinMm: number, strapMaxMm: number, loopMm: number, widthMm: number): { name: string; numbers: MartingaleNumbers } => ({
  name,
  numbers: { strapMinMm, strapMaxMm, loopMm, widthMm, loop: 'cloth', hardware: 'metal', buckled: false },
});

export const martingaleKind = settableKind({
  name: 'Martingale',
  about: 'Closes only as far as its strap is set: holds a dog that would back out, without closing further.',
  purposes: ['walking', 'holding', 'training'],
  hazards: ['neck-load', 'warns-by-sound'],
  traits: MARTINGALE_TRAITS,
  onNeck: { layer: () => 'training', widthMm: ({ widthMm }) => widthMm },
  inRig: ({ verdict, checkedGood, numbers }) => ({
    ...NOTHING_IN_RIG,
    anchor: { joint: BODY_RING, called: 'martingale', holds: verdict === 'can-back-out' ? false : checkedGood, plastic: numbers.hardware === 'plastic' },
  }),
  device: null,
  atHome: ({ houseStrapMm }, speak) =>
    `Who leaves it on lets its strap out to ${speak.girth(houseStrapMm!)}: lower, looser, never with a leash, and no loop hanging where a paw can catch.`,
  loads: ({ hairGirthMm }, { widthMm }, { on }, leashForceN) => {
    const apart = { name: 'rings apart', load: { kind: 'martingale-apart', leashForceN, girthMm: hairGirthMm!, widthMm } } as const;
    const met = { name: 'rings met', load: { kind: 'martingale-met', leashForceN, girthMm: hairGirthMm!, widthMm } } as const;
    return below(on.strapMm!, hairGirthMm!) ? [apart, met] : [met, apart];
  },
  insideByNumbers: false,
  needs: ['high', 'head'],
  helps: ['mid'],
  schools: ['martingaleSchool'],
  ruleGroups: ['martingale', 'back-out'],
  numbers: MartingaleNumbersShape,
  fields: [
    { id: 'strapMinMm', label: 'Main strap, shortest', hint: 'Between the two slides.', as: 'length', possibleMm: [80, 1200], likelyMm: [150, 700] },
    { id: 'strapMaxMm', label: 'Main strap, longest', as: 'length', possibleMm: [80, 1500], likelyMm: [200, 900] },
    { id: 'loopMm', label: 'Control loop, round its inside', as: 'length', possibleMm: [40, 600], likelyMm: [80, 320] },
    { id: 'widthMm', label: 'Width', as: 'length', possibleMm: [5, 120], likelyMm: [8, 80] },
    {
      id: 'loop',
      label: 'Loop of',
      as: 'choice',
      options: [
        { value: 'cloth', label: 'cloth' },
        { value: 'chain', label: 'chain' },
      ],
    },
    {
      id: 'hardware',
      label: 'Slides and rings of',
      as: 'choice',
      options: [
        { value: 'metal', label: 'metal' },
        { value: 'plastic', label: 'plastic' },
      ],
    },
    { id: 'buckled', label: 'It has a buckle', hint: 'Then it need not go over the head.', as: 'yes-no' },
  ],
  // Loops so short that, with the rings apart, the flat hand does not go under at rest. From memory.
  usual: [usual('Small martingale', 200, 300, 110, 19), usual('Middle martingale', 280, 430, 130, 25), usual('Large martingale', 360, 600, 130, 38)],
  describeNumbers: ({ strapMinMm, strapMaxMm, loop, widthMm, buckled }, speak) =>
    `martingale ${speak.girth(strapMinMm)} to ${speak.girth(strapMaxMm)}, ${speak.gap(widthMm)} wide, ${loop} loop${buckled ? ', buckled' : ''}`,
  doubts: ({ loopMm, strapMaxMm }) =>
    loopMm > strapMaxMm ? [{ code: 'loop-longer-than-strap', text: 'The control loop is longer than the whole strap. Were the two mixed up?' }] : [],
  putOn: MARTINGALE_PUT_ON,
  caution: 'On a leash only while supervised; the usual mistake is the head through the control loop. A loose loop catches a small dog’s paw.',
  knobs: ({ strapMinMm, strapMaxMm }) => [
    { id: 'strapMm', label: 'Strap, walking', as: 'length', step: 1, low: strapMinMm, high: strapMaxMm },
    { id: 'houseStrapMm', label: 'Strap, in the house', as: 'length', step: 1, low: strapMinMm, high: strapMaxMm },
  ],
  options: z.strictObject({ school: z.enum(MARTINGALE_SCHOOLS) }),
  optionsOf: ({ schools }) => ({ school: schools.martingaleSchool }),
  settingNames: ['strapMm', 'houseStrapMm'],
  sizer: martingaleSizer,
  reasonWords: MARTINGALE_REASON_WORDS,
  verdictWords: {
    fits: 'Fits',
    'out-of-range': 'Out of its range',
    'cannot-pass': 'Does not pass the head',
    'can-back-out': 'Can be backed out of',
    hangs: 'Never closes on the neck',
    squeezes: 'Squeezes too much',
  },
  never: ['cannot-pass', 'squeezes'],
  check: MARTINGALE_CHECK,
  sentence: (_dog, collar, { on }, speak) => `Let ${collar.name} out, over the head, and set it to ${speak.taped(on.strapMm!)}.`,
  line: ({ widthMm }, on, { school }, speak) =>
    `martingale set to ${speak.taped(on.strapMm!)}, ${school === 'rings-meet' ? 'rings meeting' : 'rings apart'}, ${speak.gap(widthMm)} wide`,
  settingLine: (on, speak) => `strap ${speak.taped(on.strapMm!)}, in the house ${speak.taped(on.houseStrapMm!)}`,
  missingWords: (dog) => (dog.headGirthMm === null ? ['Tape the head: whether a martingale goes on and holds depends on it.'] : []),
  wanted: (dog, { rules, schools }, speak) =>
    `a martingale that can be set to ${speak.girth(strapBySchool(schools.martingaleSchool, dog.hairGirthMm!, rules))} and let out over ${speak.girth(dog.headGirthMm!)}, ${speak.gap(martingaleWidth(dog, rules.smallDogKg))} wide`,
});
