import { adviseLater } from '../../choose/advice.ts';
import { BUCKLE_OPENS, rubsWords } from '../../owner/owner-words.ts';
import { rigPart, snapTo } from '../../rig/rig-parts.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { STRAP_TRAITS, strapRig } from '../strap/strap-traits.ts';

export const FLAT_RING = 'flat ring';

/** What a flat collar says of itself. Common practice. */
export const FLAT_TRAITS: CollarTraits = {
  ...STRAP_TRAITS,
  noun: 'flat collar',
  everyday: true,
  wear: { subject: 'A flat collar', loose: 'yes', unwatched: 'crate-school', contacts: false, offOnRedSkin: false },
  rig: strapRig('flat collar', {
    id: 'flat',
    partId: 'flat',
    ring: FLAT_RING,
    templates: [
      {
        id: 'long-line-flat',
        name: 'Long line on the flat collar',
        says: 'Beside an electronic collar: the line never goes to it, nor to a head collar.',
        needs: [],
        ties: [rigPart('line', 'long line', 'hand', 'leash end'), snapTo(FLAT_RING)],
      },
    ],
    others: [
      {
        id: 'second-snap-flat',
        says: 'A second snap from the leash’s end to the flat collar',
        needs: ['flat'],
        parts: [rigPart('second-snap', 'second snap', 'leash end', FLAT_RING)],
      },
      {
        id: 'second-leash-flat',
        says: 'A second leash from the hand to the flat collar',
        needs: ['flat'],
        parts: [rigPart('second-leash', 'leash', 'hand', 'second leash end'), rigPart('second-leash-snap', 'snap', 'second leash end', FLAT_RING)],
      },
    ],
  }),
  owner: (rules) => ({
    called: 'flat collar',
    look: [
      { key: 'flat-buckle', text: 'Buckle shut and sound, stitching whole.' },
      { key: 'flat-fingers', text: 'Two fingers go under, the flat hand does not; it does not come over the ears.' },
    ],
    slides: 'One hole tighter, if two fingers still go under.',
    rubs: rubsWords(rules),
    opens: BUCKLE_OPENS,
  }),
  advice: ({ dog, noted }) =>
    dog.neckBuild === 'slender' && (noted.acquaintance === 'new' || dog.pull !== 'settled')
      ? [adviseLater('A long, slender neck: a narrow strap is not for walking it.')]
      : [],
};
