import { isReactive } from '../../choose/dog-manner.ts';
import { adviseFirst } from '../../choose/advice.ts';
import { BACK_AND_IN } from '../../handling/correction-ways.ts';
import { CATCH_BY_LEASH, rubsWords } from '../../owner/owner-words.ts';
import { bareRig, rigPart } from '../../rig/rig-parts.ts';
import { ringAndSide } from '../../rig/ring-and-side.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { INSPECT_SLIP } from '../slip/inspect-slip.ts';

const RING = 'backup ring';
/** The clip-on slip as a part of a rig: a backup is known by it. */
export const CLIP_ON_PART = 'clip-on slip';

/** What a clip-on slip says of itself. Common practice. */
export const CLIP_ON_SLIP_TRAITS: CollarTraits = {
  noun: 'clip-on slip',
  everyday: false,
  wear: { subject: 'A clip-on slip', loose: 'yes', unwatched: 'never', contacts: false, offOnRedSkin: true },
  rig: {
    id: 'clip-on-slip',
    words: 'a longer clip-on slip',
    joints: { [RING]: { name: 'ring of the backup slip' } },
    partKinds: { [CLIP_ON_PART]: { name: 'clip-on slip', place: 'neck', fails: 'opens at its clip' } },
    parts: [rigPart('backup-slip', CLIP_ON_PART, RING, 'dog')],
    leashJoint: RING,
    holdsAt: [],
    templates: [bareRig('bare-clip-on', 'Leash and clip-on slip alone', RING)],
    additions: {
      own: [],
      others: [
        {
          id: 'clip-on-below',
          says: 'A longer clip-on slip worn below, clipped to the leash',
          needs: ['clip-on-slip'],
          parts: [rigPart('second-snap', 'second snap', 'leash end', RING)],
        },
      ],
    },
  },
  ring: (how) => ringAndSide(how, { see: ['The floating ring runs freely, the clip is shut on it.'] }),
  owner: (rules) => ({
    called: 'clip-on slip collar',
    look: [{ key: 'clip-runs', text: 'The ring runs freely, the clip is shut, no kink.' }],
    slides: 'Push it back up behind the ears before you walk on.',
    rubs: rubsWords(rules),
    opens: CATCH_BY_LEASH,
  }),
  inspection: INSPECT_SLIP,
  growing: null,
  ways: BACK_AND_IN,
  programmes: ['no-tell-tale', 'fading', 'refresher'],
  advice: ({ noted, schools }) =>
    isReactive(noted) && schools.reactiveSchool === 'high-slip' ? [adviseFirst('Reactive: this house takes a clip-on slip.')] : [],
  skinUnder: 'strap',
};
