import { isReactive } from '../../choose/dog-manner.ts';
import { adviseFirst, adviseLater } from '../../choose/advice.ts';
import { STRONG_DOG_KG } from './gauge-schools.ts';
import { BACK_AND_IN } from '../../handling/correction-ways.ts';
import { rubsWords } from '../../owner/owner-words.ts';
import { bareRig, LEASH, rigPart, snapTo, type FittedRigPart, type RigRole } from '../../rig/rig-parts.ts';
import { ringAndSide } from '../../rig/ring-and-side.ts';
import { GROWING_LINKS } from '../../upkeep/inspect.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { INSPECT_PRONG } from './inspect-prong.ts';

/** The ring that closes a prong when pulled, and the fixed one that does not: a backup goes from the dead ring. */
export const LIVE_RING = 'live ring';
export const DEAD_RING = 'dead ring';
const snap = snapTo(LIVE_RING);

const TO_DEAD_RING = [rigPart('swivel', 'swivel', LIVE_RING, 'swivel ring'), rigPart('chain', 'chain', 'swivel ring', DEAD_RING)];
/** The parts of a prong that closes with a quick-release buckle, which is one more of those that can fail. Common practice. */
export const QUICK_RELEASE_RIG: readonly FittedRigPart[] = [
  ...TO_DEAD_RING,
  rigPart('links', 'links', DEAD_RING, 'release ring'),
  rigPart('quick-release', 'quick-release', 'release ring', 'dog'),
];

/** A prong in a rig: the swivel and chain come before the dead ring, the links after it. Common practice. */
const PRONG_RIG: RigRole = {
  id: 'prong',
  words: 'a prong',
  joints: {
    [LIVE_RING]: { name: 'live ring' },
    [DEAD_RING]: { name: 'dead ring' },
    'swivel ring': { name: 'ring behind the swivel' },
    'release ring': { name: 'buckle of the quick-release' },
  },
  partKinds: {
    'dead ring': { name: 'dead ring in the snap', place: 'tie', fails: 'works out of the snap' },
    swivel: { name: 'swivel', place: 'neck', fails: 'seizes or breaks' },
    chain: { name: 'chain', place: 'neck', fails: 'opens at a weld' },
    links: { name: 'prong links', place: 'neck', fails: 'open at one link' },
    'quick-release': { name: 'quick-release buckle', place: 'neck', fails: 'opens or cracks', counted: true },
  },
  parts: [...TO_DEAD_RING, rigPart('links', 'links', DEAD_RING, 'dog')],
  leashJoint: LIVE_RING,
  holdsAt: [],
  templates: [
    bareRig('bare-prong', 'Leash and prong alone', LIVE_RING, 'The bare one: every part is a single point.'),
    {
      id: 'both-rings',
      name: 'Snap through both rings',
      says: 'Firmer and shorter; the dead ring covers swivel and chain, not links, leash or snap.',
      needs: [],
      ties: [LEASH, snap, rigPart('dead-in-snap', 'dead ring', 'leash end', DEAD_RING)],
    },
    {
      id: 'carabiner-to-flat',
      name: 'Carabiner, dead ring to flat collar',
      says: 'Covers an opened link; load-rated, and too heavy for small dogs.',
      needs: ['flat'],
      ties: [LEASH, snap, rigPart('carabiner', 'carabiner', DEAD_RING, 'flat ring')],
    },
    {
      id: 'coupler-to-flat',
      name: 'Coupler, dead ring to flat collar',
      says: 'Lighter than a carabiner; covers an opened link.',
      needs: ['flat'],
      ties: [LEASH, snap, rigPart('coupler', 'coupler', DEAD_RING, 'flat ring')],
    },
    {
      id: 'coupler-second-snap',
      name: 'Coupler with a spare ring, and a second snap in it',
      says: 'Only the leash itself remains a single point.',
      needs: ['flat'],
      ties: [
        LEASH,
        snap,
        rigPart('coupler', 'coupler with spare ring', DEAD_RING, 'spare ring'),
        rigPart('coupler-flat', 'coupler', 'spare ring', 'flat ring'),
        rigPart('second-snap', 'second snap', 'leash end', 'spare ring'),
      ],
    },
    {
      id: 'clip-on-backup',
      name: 'Longer clip-on slip below, clipped to the leash',
      says: 'Only the leash itself remains a single point; it never tightens unless the prong is off.',
      needs: ['clip-on-slip'],
      ties: [LEASH, snap, rigPart('second-snap', 'second snap', 'leash end', 'backup ring')],
    },
    {
      id: 'slip-lead-clipped',
      name: 'Slip lead below, clipped to the leash',
      says: 'Only the leash itself remains a single point; it rests untightened while the prong works.',
      needs: [],
      ties: [LEASH, snap, rigPart('slip-lead', 'slip lead', 'leash end', 'dog')],
    },
    {
      id: 'slip-lead-below',
      name: 'Slip lead below, in the same hand',
      says: 'A second way from the hand: nothing is a single point.',
      needs: [],
      ties: [LEASH, snap, rigPart('slip-lead', 'slip lead', 'hand', 'dog')],
    },
    {
      id: 'second-leash',
      name: 'Second leash to the flat collar',
      says: 'A second way from the hand: nothing is a single point.',
      needs: ['flat'],
      ties: [LEASH, snap, rigPart('second-leash', 'leash', 'hand', 'second leash end'), rigPart('second-snap', 'second snap', 'second leash end', 'flat ring')],
    },
  ],
  additions: {
    own: [
      {
        id: 'carabiner',
        says: 'A load-rated carabiner from the dead ring to the flat collar',
        needs: ['flat'],
        parts: [rigPart('carabiner', 'carabiner', DEAD_RING, 'flat ring')],
      },
      {
        id: 'coupler',
        says: 'A collar-to-collar coupler from the dead ring to the flat collar',
        needs: ['flat'],
        parts: [rigPart('coupler', 'coupler', DEAD_RING, 'flat ring')],
      },
    ],
    others: [],
  },
};

export const PRONG_TRAITS: CollarTraits = {
  noun: 'prong',
  everyday: true,
  wear: { subject: 'A prong', loose: 'first-days', unwatched: 'never', contacts: false, offOnRedSkin: true },
  rig: PRONG_RIG,
  ring: (how) =>
    ringAndSide(how, {
      ring: how.ring,
      leashOn: how.ring === 'live' ? 'the live ring, which closes the collar' : 'both rings',
      travelMm: how.ring === 'live' ? how.rules.liveTravelMm : how.rules.bothTravelMm,
      see: [
        'The chain is untwisted and hangs as an open triangle.',
        how.ring === 'live'
          ? 'The live ring is outside, the dead ring on the dog’s side; the leash is on the live ring alone.'
          : 'The leash’s snap holds both rings.',
      ],
    }),
  owner: (rules) => ({
    called: 'prong collar',
    look: [
      { key: 'prong-links', text: 'Every link straight and seated, every tip rounded, the chain untwisted.' },
      { key: 'prong-high', text: 'High behind the ears and the jaw; some fingers go between the links, the flat hand does not.' },
      { key: 'prong-backup', text: 'The backup is clipped, and slack while the collar works.' },
    ],
    slides: 'Push it back up behind the ears. If it slides again and again, take it off and call us; do not pull it tighter yourself, and do not add links.',
    rubs: `${rubsWords(rules)} It may be too loose and rub, or it is the metal.`,
    opens: 'The backup holds the dog. Stay calm, do not chase, shorten the leash to the flat collar, go home. A link that opened once is not used again.',
  }),
  inspection: INSPECT_PRONG,
  growing: GROWING_LINKS,
  ways: BACK_AND_IN,
  programmes: ['wear-first', 'loose-to-fitted', 'no-tell-tale', 'fading', 'refresher'],
  advice: ({ dog, noted, schools, speak }) => {
    const settled = dog.pull === 'settled';
    const strong = dog.weightKg !== null && dog.weightKg >= STRONG_DOG_KG && !settled;
    return [
      ...(settled ? [adviseLater('It walks settled: a prong is not the first choice.')] : []),
      ...(schools.prongForSchool === 'strong-dogs' && !settled && dog.weightKg !== null
        ? [
            strong
              ? adviseFirst(`This house keeps prongs for strong dogs from ${speak.weight(STRONG_DOG_KG)}: at ${speak.weight(dog.weightKg)} it is one.`)
              : adviseLater(`This house keeps prongs for strong dogs from ${speak.weight(STRONG_DOG_KG)}: this one weighs ${speak.weight(dog.weightKg)}.`),
          ]
        : []),
      ...(isReactive(noted)
        ? [
            schools.reactiveSchool === 'prong-once-taught'
              ? adviseLater('Reactive: only once it is taught away from other dogs; a pinch there can be taken for a bite.')
              : adviseLater('Reactive: a pinch during a greeting can be taken for a bite. This house takes another collar.'),
          ]
        : []),
    ];
  },
  skinUnder: 'prong',
};
