import { NOTHING_IN_RIG } from '../collar-kind.ts';
import {
  chartSize,
  HEAD_COLLAR_CHECK,
  HEAD_COLLAR_PUT_ON,
  HEAD_COLLAR_REASON_WORDS,
  headCollarSizer,
  sizeHeadCollar,
  HEAD_COLLAR_TRAITS,
} from '@banter/core/collars/head-collar';
import { LengthMm } from '../../measures.ts';
import { inOrder, z } from '../../plain-words.ts';
import { settableKind } from '../settable-kind.ts';

export const HeadCollarNumbersShape = z
  .strictObject({ neckMinMm: LengthMm, neckMaxMm: LengthMm, noseMinMm: LengthMm, noseMaxMm: LengthMm, widthMm: z.number().positive().max(60) })
  .check(inOrder('neckMinMm', 'neckMaxMm'))
  .check(inOrder('noseMinMm', 'noseMaxMm'));

export const headCollarKind = settableKind({
  name: 'Head collar',
  about: 'Steers by the nose, without strength.',
  purposes: ['walking'],
  hazards: ['nose-loop'],
  traits: HEAD_COLLAR_TRAITS,
  onNeck: { layer: () => 'training', widthMm: ({ widthMm }) => widthMm },
  inRig: () => NOTHING_IN_RIG,
  device: null,
  atHome: null,
  // The leash turns the head; the neck carries none of it.
  loads: () => [],
  insideByNumbers: false,
  needs: ['high', 'muzzle', 'stop', 'muzzle-length'],
  helps: ['head'],
  schools: ['noseSchool', 'headCollarSchool'],
  ruleGroups: ['head collar'],
  numbers: HeadCollarNumbersShape,
  fields: [
    { id: 'neckMinMm', label: 'Neck strap, shortest', as: 'length', possibleMm: [80, 1200], likelyMm: [150, 700] },
    { id: 'neckMaxMm', label: 'Neck strap, longest', as: 'length', possibleMm: [80, 1500], likelyMm: [180, 800] },
    { id: 'noseMinMm', label: 'Nose loop, smallest', hint: 'Round its inside.', as: 'length', possibleMm: [40, 600], likelyMm: [90, 350] },
    { id: 'noseMaxMm', label: 'Nose loop, largest', as: 'length', possibleMm: [40, 700], likelyMm: [110, 420] },
    { id: 'widthMm', label: 'Width of the straps', as: 'length', possibleMm: [4, 60], likelyMm: [8, 35] },
  ],
  usual: [
    { name: 'Small head collar', numbers: { neckMinMm: 220, neckMaxMm: 320, noseMinMm: 130, noseMaxMm: 190, widthMm: 12 } },
    { name: 'Middle head collar', numbers: { neckMinMm: 300, neckMaxMm: 430, noseMinMm: 180, noseMaxMm: 250, widthMm: 15 } },
    { name: 'Large head collar', numbers: { neckMinMm: 400, neckMaxMm: 580, noseMinMm: 230, noseMaxMm: 330, widthMm: 20 } },
  ],
  describeNumbers: ({ neckMinMm, neckMaxMm, noseMinMm, noseMaxMm }, speak) =>
    `head collar, neck ${speak.girth(neckMinMm)} to ${speak.girth(neckMaxMm)}, nose ${speak.girth(noseMinMm)} to ${speak.girth(noseMaxMm)}`,
  doubts: ({ noseMaxMm, neckMinMm }) =>
    noseMaxMm > neckMinMm ? [{ code: 'nose-over-neck', text: 'The nose loop goes further than the shortest neck strap. Were the two mixed up?' }] : [],
  putOn: HEAD_COLLAR_PUT_ON,
  caution: 'Never a jerk and never on a long line: a slow steady lift straight up, released at once. Only while supervised.',
  knobs: ({ neckMinMm, neckMaxMm, noseMinMm, noseMaxMm }) => [
    { id: 'neckMm', label: 'Neck strap', as: 'length', step: 1, low: neckMinMm, high: neckMaxMm },
    { id: 'noseMm', label: 'Nose loop', as: 'length', step: 1, low: noseMinMm, high: noseMaxMm },
  ],
  options: z.strictObject({}),
  optionsOf: () => ({}),
  settingNames: ['neckMm', 'noseMm'],
  sizer: headCollarSizer,
  reasonWords: HEAD_COLLAR_REASON_WORDS,
  verdictWords: {
    fits: 'Fits',
    'set-on-the-dog': 'Set by the slide test',
    'no-window': 'No room for a nose loop',
    'no-size': 'Out of its range',
    'slides-off': 'Slides off the nose',
  },
  never: ['no-window', 'slides-off'],
  check: HEAD_COLLAR_CHECK,
  sentence: (_dog, collar, { on }, speak) => `Set ${collar.name}: neck ${speak.taped(on.neckMm!)}, nose ${speak.taped(on.noseMm!)}.`,
  line: (_numbers, on, _options, speak) => `head collar, neck ${speak.taped(on.neckMm!)}, nose ${speak.taped(on.noseMm!)}`,
  settingLine: (on, speak) => `neck ${speak.taped(on.neckMm!)}, nose ${speak.taped(on.noseMm!)}`,
  missingWords: (dog) => [
    ...(dog.muzzleGirthMm === null ? ['Tape the muzzle: the nose loop rides there.'] : []),
    ...(dog.stopGirthMm === null ? ['Tape the nose end (stop girth): the loop must not pass it.'] : []),
    ...(dog.muzzleLengthMm === null ? ['Measure the muzzle’s length: a flat face cannot wear a nose loop.'] : []),
  ],
  wanted: (dog, { rules, headCollarChart }, speak) => {
    const size = sizeHeadCollar(
      { girthMm: dog.hairGirthMm!, muzzleGirthMm: dog.muzzleGirthMm!, stopGirthMm: dog.stopGirthMm!, muzzleLengthMm: dog.muzzleLengthMm!, finger: dog.finger },
      rules,
    );
    if (size.noseLoopMm === null) return 'no head collar: another kind';
    const named = chartSize(headCollarChart, size.neckStrapMm, size.noseLoopMm);
    return (
      `a head collar that takes ${speak.girth(size.neckStrapMm)} at the neck and ${speak.girth(size.noseLoopMm)} at the nose` +
      (named ? `, size ${named.name} of the chart` : headCollarChart.length > 0 ? ', which no size of the chart does' : '')
    );
  },
});
