import { adviseLater } from '../../choose/advice.ts';
import { recommendedSlip, shortestPassing } from './size-slip.ts';
import { BACK_AND_IN } from '../../handling/correction-ways.ts';
import { CATCH_BY_LEASH, rubsWords } from '../../owner/owner-words.ts';
import { bareRig, LEASH, rigPart, snapTo } from '../../rig/rig-parts.ts';
import { ringAndSide } from '../../rig/ring-and-side.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { INSPECT_SLIP } from './inspect-slip.ts';
import { loopLetter } from './slip-strength.ts';

const RING = 'slip ring';
/** A slip's ring, to reckon with before one's own is known; mm. From memory. */
const USUAL_RING_MM = 20;

export const SLIP_TRAITS: CollarTraits = {
  noun: 'slip',
  everyday: false,
  wear: { subject: 'A slip', loose: 'yes', unwatched: 'never', contacts: false, offOnRedSkin: true },
  rig: {
    id: 'slip',
    words: 'a slip',
    joints: { [RING]: { name: 'live ring of the slip' } },
    partKinds: { slip: { name: 'slip collar', place: 'neck', fails: 'opens at a ring weld, or runs off over the head' } },
    parts: [rigPart('slip', 'slip', RING, 'dog')],
    leashJoint: RING,
    holdsAt: [],
    templates: [
      bareRig('bare-slip', 'Leash and slip alone', RING),
      {
        id: 'slip-and-flat',
        name: 'Slip, with a second snap to the flat collar',
        says: 'Only the leash itself remains a single point.',
        needs: ['flat'],
        ties: [LEASH, snapTo(RING), rigPart('second-snap', 'second snap', 'leash end', 'flat ring')],
      },
    ],
    additions: { own: [], others: [] },
  },
  ring: (how) => {
    const letter = loopLetter(how.worksOn);
    return ringAndSide(how, {
      letter,
      see: [`Facing the dog the loop is a ${letter}: the running part crosses the top of the neck and lets go with the leash.`],
    });
  },
  owner: (rules) => ({
    called: 'slip collar',
    look: [
      { key: 'slip-runs', text: 'It runs freely through its ring and falls open by itself when the leash is slack.' },
      { key: 'slip-welds', text: 'No kink, no worn weld.' },
    ],
    slides: 'Push it back up behind the ears before you walk on.',
    rubs: rubsWords(rules),
    opens: `It comes off over the head. ${CATCH_BY_LEASH}`,
  }),
  inspection: INSPECT_SLIP,
  growing: null,
  ways: BACK_AND_IN,
  programmes: ['no-tell-tale', 'fading', 'refresher'],
  advice: ({ dog, rules, speak }) => {
    const { hairGirthMm: girthMm, headGirthMm } = dog;
    if (girthMm === null || headGirthMm === null || recommendedSlip({ girthMm, headGirthMm }, USUAL_RING_MM, rules) === 'slip') return [];
    const passingMm = shortestPassing(headGirthMm, USUAL_RING_MM);
    return [
      adviseLater(
        `The shortest that passes this head, ${speak.girth(passingMm)}, leaves ${speak.gap(passingMm - girthMm - USUAL_RING_MM)} between the rings, over ${speak.gap(rules.slipMaxMm)}: a clip-on acts sooner.`,
      ),
    ];
  },
  skinUnder: 'strap',
};
