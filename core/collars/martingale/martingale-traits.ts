import { isReactive } from '../../choose/dog-manner.ts';
import { adviseFirst, adviseLater } from '../../choose/advice.ts';
import { strapBySchool } from './size-martingale.ts';
import type { CorrectionWays } from '../../handling/correction-ways.ts';
import { rubsWords } from '../../owner/owner-words.ts';
import { bareRig, LEASH, rigPart, snapTo } from '../../rig/rig-parts.ts';
import { ringAndSide } from '../../rig/ring-and-side.ts';
import { GROWING_BUCKLE } from '../../upkeep/inspect.ts';
import { INSPECT_CLOTH } from '../../upkeep/inspection-items.ts';
import type { CollarTraits } from '../collar-traits.ts';

const LOOP_RING = 'loop ring';
export const BODY_RING = 'body ring';
const secondSnap = rigPart('second-snap', 'second snap', 'leash end', BODY_RING);

/** Sideways across, never straight back on the throat. Common practice. */
const SIDEWAYS: CorrectionWays = {
  id: 'martingale',
  name: 'Martingale',
  right: { ahead: ['across'], wide: ['across', 'in'], drawn: ['across', 'in'], lags: ['forward'], steady: [] },
  never: 'back',
  first: ['across'],
};

export const MARTINGALE_TRAITS: CollarTraits = {
  noun: 'martingale',
  everyday: true,
  wear: { subject: 'A martingale', loose: 'yes', unwatched: 'house-setting', contacts: false, offOnRedSkin: true },
  rig: {
    id: 'martingale',
    words: 'a martingale',
    joints: { [LOOP_RING]: { name: 'ring of the control loop', backup: 'never' }, [BODY_RING]: { name: 'body ring of the martingale' } },
    partKinds: {
      'control loop': { name: 'control loop', place: 'neck', fails: 'tears at a slide, or hardware bends' },
      'martingale strap': { name: 'martingale strap', place: 'neck', fails: 'tears at its stitching, or comes over the head' },
    },
    parts: [rigPart('loop', 'control loop', LOOP_RING, BODY_RING), rigPart('strap', 'martingale strap', BODY_RING, 'dog')],
    leashJoint: LOOP_RING,
    holdsAt: [BODY_RING],
    templates: [
      bareRig('martingale', 'Leash and martingale', LOOP_RING),
      {
        id: 'martingale-body-ring',
        name: 'Martingale, second snap in its body ring',
        says: 'Covers the control loop; never the other way round.',
        needs: [],
        ties: [LEASH, snapTo(LOOP_RING), secondSnap],
      },
    ],
    additions: {
      own: [{ id: 'second-snap-body', says: 'A second snap from the leash’s end to the martingale’s body ring', needs: ['martingale'], parts: [secondSnap] }],
      others: [],
    },
  },
  ring: (how) => ringAndSide(how, { clock: 12, see: ['The control loop lies on top of the neck, the head has gone through the strap, not through the loop.'] }),
  owner: (rules) => ({
    called: 'martingale',
    look: [
      { key: 'martingale-sewn', text: 'Stitching sound, slides where they were, metal straight.' },
      { key: 'martingale-fingers', text: 'Two fingers under it at rest; pulled, it does not go over the ears.' },
    ],
    slides: 'Set it at the narrow place behind the ears again. The head goes through the strap, not through the small loop.',
    rubs: rubsWords(rules),
    opens: 'It cannot open; if it slips over the head it is set too long. Stay calm, do not chase, and have it re-set.',
  }),
  inspection: INSPECT_CLOTH,
  growing: GROWING_BUCKLE,
  ways: SIDEWAYS,
  programmes: ['no-tell-tale', 'through-the-hoop', 'fading', 'refresher'],
  advice: ({ dog, noted, rules }) => {
    const { hairGirthMm: girthMm, headGirthMm } = dog;
    if (girthMm === null || headGirthMm === null || !(dog.neckBuild === 'slender' || headGirthMm / girthMm < rules.backOutNarrow)) return [];
    const apart = headGirthMm / strapBySchool('rings-apart', girthMm, rules);
    if (apart < rules.backOutMin)
      return [adviseLater(`The head is ${apart.toFixed(2)} times it even closed, under ${rules.backOutMin.toFixed(2)}: it does not hold.`)];
    const calm = dog.pull === 'settled' && !isReactive(noted) && noted.acquaintance !== 'new';
    return calm ? [adviseFirst('It walks calmly: a martingale holds this head.')] : [adviseLater('On a head like this only once it walks calmly.')];
  },
  skinUnder: 'strap',
};
