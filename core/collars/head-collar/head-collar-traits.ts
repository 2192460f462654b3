import { isReactive } from '../../choose/dog-manner.ts';
import { adviseFirst } from '../../choose/advice.ts';
import type { CorrectionWays } from '../../handling/correction-ways.ts';
import { rubsWords } from '../../owner/owner-words.ts';
import { LEASH, rigPart, snapTo } from '../../rig/rig-parts.ts';
import { ringAndSide } from '../../rig/ring-and-side.ts';
import { GROWING_BUCKLE } from '../../upkeep/inspect.ts';
import { INSPECT_CLOTH } from '../../upkeep/inspection-items.ts';
import type { CollarTraits } from '../collar-traits.ts';

const CHIN_RING = 'chin ring';

/** Lifted straight up, whatever the dog did. Common practice. */
const STRAIGHT_UP: CorrectionWays = {
  id: 'head-collar',
  name: 'Head collar',
  right: { ahead: ['up'], wide: ['up'], drawn: ['up'], lags: ['up'], steady: [] },
  never: null,
  first: ['up'],
};

export const HEAD_COLLAR_TRAITS: CollarTraits = {
  noun: 'head collar',
  everyday: false,
  wear: { subject: 'A head collar', loose: 'yes', unwatched: 'never', contacts: false, offOnRedSkin: true },
  rig: {
    id: 'head-collar',
    words: 'a head collar',
    joints: { [CHIN_RING]: { name: 'ring under the chin', line: 'never' } },
    partKinds: { 'head collar': { name: 'head collar', place: 'neck', fails: 'is pawed off, or its strap opens' } },
    parts: [rigPart('head', 'head collar', CHIN_RING, 'dog')],
    leashJoint: CHIN_RING,
    holdsAt: [],
    needsHold: true,
    templates: [
      {
        id: 'head-collar-safety-strap',
        name: 'Head collar with its safety strap',
        says: 'The safety strap goes to the flat collar under the chin.',
        needs: ['flat'],
        ties: [LEASH, snapTo(CHIN_RING), rigPart('safety-strap', 'safety strap', CHIN_RING, 'flat ring')],
      },
    ],
    additions: {
      own: [
        {
          id: 'safety-strap',
          says: 'The safety strap from under the chin to the flat collar',
          needs: ['flat'],
          parts: [rigPart('safety-strap', 'safety strap', CHIN_RING, 'flat ring')],
        },
      ],
      others: [],
    },
  },
  ring: (how) => ringAndSide(how, { clock: 6, see: ['The leash hangs from under the chin in a slack curve; the safety strap goes to the flat collar.'] }),
  owner: (rules) => ({
    called: 'head collar',
    look: [
      { key: 'head-loop', text: 'The nose loop slides to the nose leather, and not off; the mouth opens fully.' },
      { key: 'head-strap', text: 'The strap is high behind the ears, one finger goes under; the safety strap is clipped to the flat collar.' },
    ],
    slides: 'If the loop comes off the nose, the safety strap holds: put it on again, one finger under it, and tell us.',
    rubs: `${rubsWords(rules)} Never a jerk, and never on a long line.`,
    opens: 'The safety strap to the flat collar holds the dog. Go home on that.',
  }),
  inspection: INSPECT_CLOTH,
  growing: GROWING_BUCKLE,
  ways: STRAIGHT_UP,
  programmes: ['no-tell-tale', 'nose-first', 'fit-and-walk'],
  advice: ({ noted, schools }) =>
    isReactive(noted) && schools.reactiveSchool === 'turn-the-head' ? [adviseFirst('Reactive: this house takes a head collar.')] : [],
  skinUnder: 'strap',
};
