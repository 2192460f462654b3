import { NOTHING_IN_RIG } from '../collar-kind.ts';
import {
  CLIP_ON_CHECK,
  CLIP_ON_PUT_ON,
  CLIP_ON_REASON_WORDS,
  CLIP_ON_USES,
  clipOnSlipSizer,
  sizeClipOnSlip,
  type ClipOnNumbers,
  BACKUP_EXTRA_MM,
  CLIP_ON_PART,
  CLIP_ON_SLIP_TRAITS,
} from '@banter/core/collars/clip-on-slip';
import { SLIP_MATERIALS, slipWidthMm } from '@banter/core/collars/slip';
import { LengthMm } from '../../measures.ts';
import { z } from '../../plain-words.ts';
import { settableKind } from '../settable-kind.ts';
import { MATERIAL_OPTIONS } from '../slip/slip-kind.ts';
import { slipLoad } from '../slip/slip-load.ts';

export const ClipOnNumbersShape = z.strictObject({ lengthMm: LengthMm, material: z.enum(SLIP_MATERIALS), thickMm: z.number().positive().max(40) });

const usual = (inches: number, thickMm: number): { name: string; numbers: ClipOnNumbers } => ({
  name: `${inches} in clip-on`,
  numbers: { lengthMm: inches * 25.4, material: 'cord', thickMm },
});

export const clipOnSlipKind = settableKind({
  name: 'Clip-on slip',
  about: 'Opens at the neck and clips to a floating ring, so it sits high whatever the head; longer, it is a prong’s backup.',
  purposes: ['training', 'holding', 'backup'],
  hazards: ['closes', 'neck-load'],
  // A backup hangs below what trains.
  traits: CLIP_ON_SLIP_TRAITS,
  onNeck: { layer: ({ options }) => (options.use === 'backup' ? 'holding' : 'training'), widthMm: slipWidthMm },
  inRig: ({ numbers }, dog) => ({
    ...NOTHING_IN_RIG,
    backup: dog.hairGirthMm === null ? null : { partKind: CLIP_ON_PART, overMm: numbers.lengthMm - dog.hairGirthMm, neededMm: BACKUP_EXTRA_MM[0] },
  }),
  device: null,
  atHome: null,
  loads: (dog, numbers, _choices, leashForceN) => [{ name: 'beside the ring', load: slipLoad(dog, slipWidthMm(numbers), leashForceN) }],
  insideByNumbers: true,
  needs: ['high'],
  helps: [],
  schools: ['clipOnUse'],
  ruleGroups: ['slip'],
  numbers: ClipOnNumbersShape,
  fields: [
    { id: 'lengthMm', label: 'Length, to the bottom of the clip', as: 'length', possibleMm: [150, 1500], likelyMm: [200, 900] },
    { id: 'material', label: 'Made of', as: 'choice', options: MATERIAL_OPTIONS },
    { id: 'thickMm', label: 'Thickness', as: 'length', possibleMm: [0.5, 40], likelyMm: [1, 20] },
  ],
  usual: [usual(14, 6), usual(16, 8), usual(20, 9)],
  describeNumbers: ({ lengthMm, material, thickMm }, speak) => `${speak.girth(lengthMm)} clip-on slip of ${material}, ${speak.gap(thickMm)} thick`,
  doubts: () => [],
  putOn: CLIP_ON_PUT_ON,
  caution: 'Only while supervised; never in a crate, in play or overnight. As a backup it hangs slack while the prong works.',
  knobs: () => [],
  options: z.strictObject({ use: z.enum(CLIP_ON_USES) }),
  optionsOf: ({ schools }) => ({ use: schools.clipOnUse }),
  settingNames: ['lengthMm'],
  sizer: clipOnSlipSizer,
  reasonWords: CLIP_ON_REASON_WORDS,
  verdictWords: { fits: 'Fits', loose: 'Too long', tight: 'Too short' },
  never: [],
  check: CLIP_ON_CHECK,
  sentence: (_dog, collar, { options }) =>
    options.use === 'backup' ? `Clip ${collar.name} on below the prong, hanging slack.` : `Clip ${collar.name} on, high behind the ears, an inch or two slack.`,
  line: ({ lengthMm }, _on, { use }, speak) => `${speak.girth(lengthMm)} clip-on slip for ${use}`,
  settingLine: (on, speak) => speak.girth(on.lengthMm!),
  missingWords: () => [],
  wanted: (dog, { schools }, speak) => {
    const { lengthMinMm, lengthMaxMm } = sizeClipOnSlip(dog.hairGirthMm!, schools.clipOnUse);
    return schools.clipOnUse === 'training'
      ? `a clip-on slip of ${speak.girth(lengthMinMm)} to the bottom of the clip`
      : `a clip-on slip of ${speak.girth(lengthMinMm)} to ${speak.girth(lengthMaxMm)} as a backup`;
  },
});
