import { NOTHING_IN_RIG } from '../collar-kind.ts';
import {
  loopLetter,
  recommendedSlip,
  SLIP_CHECK,
  SLIP_MATERIALS,
  SLIP_PUT_ON,
  SLIP_REASON_WORDS,
  SLIP_SCHOOLS,
  SLIP_STEP_MM,
  sizeSlip,
  slipSizer,
  slipStrength,
  slipWidthMm,
  type SlipNumbers,
  SLIP_TRAITS,
} from '@banter/core/collars/slip';
import { LengthMm, PartMm } from '../../measures.ts';
import { z } from '../../plain-words.ts';
import { settableKind } from '../settable-kind.ts';
import { slipLoad } from './slip-load.ts';

/** A slip's rings are usually about this wide, to reckon with before one's own are known; mm. From memory. */
const USUAL_RING_MM = 20;

export const MATERIAL_OPTIONS = SLIP_MATERIALS.map((value) => ({ value, label: value }));

export const SlipNumbersShape = z.strictObject({
  lengthMm: LengthMm,
  ringMm: PartMm,
  material: z.enum(SLIP_MATERIALS),
  thickMm: z.number().positive().max(40),
  longLink: z.boolean(),
});

const usual = (inches: number, thickMm: number): { name: string; numbers: SlipNumbers } => ({
  name: `${inches} in chain`,
  numbers: { lengthMm: (inches / 2) * SLIP_STEP_MM, ringMm: USUAL_RING_MM, material: 'chain', thickMm, longLink: false },
});

export const slipKind = settableKind({
  name: 'Slip',
  about: 'Goes over the head, closes as far as it is pulled and lets go when the leash does: teaches, and holds.',
  purposes: ['training', 'holding'],
  hazards: ['closes', 'neck-load', 'warns-by-sound'],
  traits: SLIP_TRAITS,
  onNeck: { layer: () => 'training', widthMm: slipWidthMm },
  inRig: () => NOTHING_IN_RIG,
  device: null,
  atHome: null,
  loads: (dog, numbers, _choices, leashForceN) => [{ name: 'beside the ring', load: slipLoad(dog, slipWidthMm(numbers), leashForceN) }],
  insideByNumbers: true,
  needs: ['high', 'head'],
  helps: ['coat-depth'],
  schools: ['slipSchool'],
  ruleGroups: ['slip'],
  numbers: SlipNumbersShape,
  fields: [
    { id: 'lengthMm', label: 'Length, ring to ring', hint: 'Laid out straight, over both rings.', as: 'length', possibleMm: [150, 1500], likelyMm: [250, 900] },
    {
      id: 'ringMm',
      label: 'What a ring takes of it',
      hint: 'The ring that the chain runs through, across.',
      as: 'length',
      possibleMm: [0, 80],
      likelyMm: [8, 45],
    },
    { id: 'material', label: 'Made of', as: 'choice', options: MATERIAL_OPTIONS },
    { id: 'thickMm', label: 'Wire, cord or strap thickness', as: 'length', possibleMm: [0.5, 40], likelyMm: [1, 20] },
    { id: 'longLink', label: 'Long links', hint: 'For long coats.', as: 'yes-no' },
  ],
  usual: [usual(14, 2), usual(18, 2.5), usual(22, 3)],
  describeNumbers: ({ lengthMm, material, thickMm, longLink }, speak) =>
    `${speak.girth(lengthMm)} slip of ${material}${longLink ? ', long links' : ''}, ${speak.gap(thickMm)} thick`,
  doubts: ({ lengthMm }) => {
    const off = Math.abs(lengthMm / SLIP_STEP_MM - Math.round(lengthMm / SLIP_STEP_MM)) * SLIP_STEP_MM;
    return off > 6 ? [{ code: 'odd-length', text: 'Slips are sold in even inches, ring to ring; this is not near one. Measure it laid out straight.' }] : [];
  },
  putOn: SLIP_PUT_ON,
  caution: 'Only while supervised and on a leash that hangs slack; constant tension is misuse. Never in a crate, in play or overnight.',
  knobs: () => [],
  options: z.strictObject({ school: z.enum(SLIP_SCHOOLS) }),
  optionsOf: ({ schools }) => ({ school: schools.slipSchool }),
  settingNames: ['lengthMm'],
  sizer: slipSizer,
  reasonWords: SLIP_REASON_WORDS,
  verdictWords: { fits: 'Fits', loose: 'Loose', tight: 'Tight', 'tight-over-head': 'Tight over the head', 'cannot-pass': 'Does not pass the head' },
  never: ['cannot-pass'],
  check: SLIP_CHECK,
  sentence: (dog, collar) => `Put ${collar.name} on as a ${loopLetter(dog.worksOn)}, facing the dog.`,
  line: ({ lengthMm, material }, _on, _options, speak) => `${speak.girth(lengthMm)} slip of ${material}`,
  settingLine: (on, speak) => speak.girth(on.lengthMm!),
  missingWords: (dog) => (dog.headGirthMm === null ? ['Tape the head: a slip has to go over it.'] : []),
  wanted: (dog, { rules, schools }, speak) => {
    const neck = { girthMm: dog.hairGirthMm!, headGirthMm: dog.headGirthMm! };
    if (recommendedSlip(neck, USUAL_RING_MM, rules) === 'clip-on-slip')
      return `a clip-on slip instead: a slip that passes the head would hang looser than ${speak.gap(rules.slipMaxMm)}`;
    const { lengthMm } = sizeSlip({ ...neck, ringMm: USUAL_RING_MM }, schools.slipSchool, rules);
    const [low, high] = slipStrength(dog.weightKg ?? 20, 'chain');
    return `a slip of ${speak.girth(lengthMm)}, wire ${speak.gap(low)} to ${speak.gap(high)}`;
  },
});
