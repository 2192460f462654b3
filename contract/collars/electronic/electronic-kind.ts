import {
  ELECTRONIC_REASON_WORDS,
  electronicCheck,
  electronicSizer,
  RECEIVER_WIDTH_MM,
  STIMULATION_MODES,
  type ElectronicNumbers,
} from '@banter/core/collars/electronic';
import { fingerSlack, PLACEMENT_SCHOOLS } from '@banter/core';
import { LengthMm, PostMm } from '../../measures.ts';
import { inOrder, z } from '../../plain-words.ts';
import type { CollarTraits } from '@banter/core';
import { NOTHING_IN_RIG } from '../collar-kind.ts';
import { settableKind } from '../settable-kind.ts';

export const ElectronicNumbersShape = z
  .strictObject({
    scaleMin: z.number().min(0).max(1000),
    scaleMax: z.number().min(0).max(1000),
    scaleStep: z.number().positive().max(100),
    firstStep: z.number().min(0).max(1000).nullable().default(null),
    modes: z.array(z.enum(STIMULATION_MODES)).min(1),
    massG: z.number().positive().max(2000),
    footprintMm: z.number().positive().max(200),
    spacingMm: z.number().positive().max(150),
    postsMm: z.array(PostMm).min(1, 'At least one post length is needed.').max(8),
    strapMinMm: LengthMm,
    strapMaxMm: LengthMm,
  })
  .check(inOrder('strapMinMm', 'strapMaxMm'))
  .check(inOrder('scaleMin', 'scaleMax'));

const fields = [
  { id: 'scaleMin', label: 'Lowest level on its scale', as: 'number' },
  { id: 'scaleMax', label: 'Highest level on its scale', as: 'number' },
  { id: 'scaleStep', label: 'One step of it', as: 'number' },
  {
    id: 'firstStep',
    label: 'First level that does anything',
    hint: 'Left empty: its lowest, or a step over 0.',
    as: 'number',
    optional: true,
  },
  { id: 'modes', label: 'What it can do', as: 'several', options: STIMULATION_MODES.map((value) => ({ value, label: value })) },
  { id: 'massG', label: 'Receiver weighs', as: 'mass' },
  { id: 'footprintMm', label: 'Receiver along the strap', hint: 'Its footprint on the neck.', as: 'length', possibleMm: [10, 200], likelyMm: [20, 110] },
  { id: 'spacingMm', label: 'Contact to contact', as: 'length', possibleMm: [5, 150], likelyMm: [15, 80] },
  { id: 'postsMm', label: 'Post lengths that go with it', hint: 'Such as 12, 16, 20 mm.', as: 'lengths', possibleMm: [2, 100], likelyMm: [5, 40] },
  { id: 'strapMinMm', label: 'Strap, shortest', as: 'length', possibleMm: [80, 1200], likelyMm: [150, 700] },
  { id: 'strapMaxMm', label: 'Strap, longest', as: 'length', possibleMm: [80, 1500], likelyMm: [200, 900] },
] as const;

export const electronicKind = (
  kind: 'remote' | 'fence',
  own: {
    name: string;
    noun: string;
    traits: CollarTraits;
    about: string;
    caution: string;
    putOn: readonly string[];
    usual: { name: string; numbers: ElectronicNumbers }[];
  },
) =>
  settableKind({
    name: own.name,
    about: own.about,
    purposes: ['training'],
    hazards: ['stimulates', 'contacts'],
    traits: own.traits,
    onNeck: { layer: () => 'electronic', widthMm: () => RECEIVER_WIDTH_MM },
    inRig: () => NOTHING_IN_RIG,
    device: ({ scaleMin, scaleMax, scaleStep, firstStep, modes, footprintMm }) => ({
      scale: { min: scaleMin, max: scaleMax, step: scaleStep, ...(firstStep == null ? {} : { firstStep }) },
      modes,
      footprintMm,
    }),
    atHome: null,
    // A leash never goes on it.
    loads: () => [],
    insideByNumbers: false,
    needs: ['high', 'coat-depth'],
    helps: [],
    schools: ['placementSchool'],
    ruleGroups: ['contacts'],
    numbers: ElectronicNumbersShape,
    fields: fields.map((field) => ({ ...field }) as never),
    usual: own.usual,
    describeNumbers: ({ scaleMin, scaleMax, massG, postsMm }, speak) =>
      `${own.noun}, levels ${scaleMin} to ${scaleMax}, ${speak.mass(massG)}, posts ${postsMm.map((post) => speak.gap(post)).join(', ')}`,
    doubts: ({ scaleMin, scaleMax, scaleStep, firstStep, spacingMm, footprintMm }) => [
      ...(firstStep != null && (firstStep < scaleMin || firstStep > scaleMax)
        ? [{ code: 'first-step-off-scale', text: 'The first level that does anything is not on its scale.' }]
        : []),
      ...(scaleStep > scaleMax - scaleMin ? [{ code: 'step-over-scale', text: 'One step is larger than the whole scale.' }] : []),
      ...(spacingMm > footprintMm ? [{ code: 'spacing-over-footprint', text: 'The contacts are further apart than the receiver is long.' }] : []),
    ],
    putOn: own.putOn,
    caution: own.caution,
    knobs: ({ postsMm, strapMinMm, strapMaxMm }) => [
      { id: 'postMm', label: 'Post', as: 'length', step: 1, low: Math.min(...postsMm), high: Math.max(...postsMm), values: [...postsMm].sort((a, b) => a - b) },
      { id: 'strapMm', label: 'Strap', as: 'length', step: 1, low: strapMinMm, high: strapMaxMm },
      { id: 'clock', label: 'Place on the clock', as: 'clock', step: 1, low: 1, high: 12 },
    ],
    options: z.strictObject({ placement: z.enum(PLACEMENT_SCHOOLS) }),
    optionsOf: ({ schools }) => ({ placement: schools.placementSchool }),
    settingNames: ['strapMm', 'postMm', 'clock'],
    sizer: electronicSizer,
    reasonWords: ELECTRONIC_REASON_WORDS,
    verdictWords: {
      fits: 'Fits',
      'too-short': 'Posts too short',
      'over-windpipe': 'Over the windpipe',
      'no-size': 'Out of its strap’s range',
      hangs: 'Loose',
      presses: 'Presses',
    },
    never: ['over-windpipe', 'too-short', 'hangs', 'presses'],
    check: electronicCheck(kind),
    sentence: (_dog, collar, { on }, speak) => `Set ${collar.name}: ${speak.gap(on.postMm!)} posts, strap ${speak.taped(on.strapMm!)}, ${on.clock} o’clock.`,
    line: (_numbers, on, _options, speak) => `${own.noun}, ${speak.gap(on.postMm!)} posts, strap ${speak.taped(on.strapMm!)}, at ${on.clock} o’clock`,
    settingLine: (on, speak) => `${speak.gap(on.postMm!)} posts, strap ${speak.taped(on.strapMm!)}, at ${on.clock} o’clock`,
    missingWords: (dog) => (dog.coatDepthMm === null ? ['Tape the coat’s depth, flattened: the posts go through it.'] : []),
    wanted: (dog, { rules }, speak) =>
      `a ${own.noun} with posts of ${speak.gap((dog.coatDepthMm ?? 0) + rules.postClearanceMm)} or a little more, a strap that takes ${speak.girth(dog.hairGirthMm! + fingerSlack(dog.hairGirthMm!, 2, dog.finger))}` +
      (dog.weightKg === null ? '' : `, and a receiver under ${speak.mass(rules.receiverMassRatio * 1000 * dog.weightKg)}`),
  });

/** A receiver's profile as it is usual, with what is its own. From memory. */
export const profile = (massG: number, footprintMm: number, postsMm: number[], more: Partial<ElectronicNumbers> = {}): ElectronicNumbers => ({
  scaleMin: 0,
  scaleMax: 100,
  scaleStep: 1,
  firstStep: null,
  modes: ['momentary', 'continuous', 'tone', 'vibration'],
  massG,
  footprintMm,
  spacingMm: Math.round(footprintMm * 0.6),
  postsMm,
  strapMinMm: 180,
  strapMaxMm: 680,
  ...more,
});
