import { adviseFirst, adviseLater } from '../../choose/advice.ts';
import { BUCKLE_OPENS, rubsWords } from '../../owner/owner-words.ts';
import { LEASH, rigPart } from '../../rig/rig-parts.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { STRAP_TRAITS, strapRig } from '../strap/strap-traits.ts';

export const WIDE_RING = 'wide ring';

/** What a wide-throat collar says of itself. Common practice. */
export const WIDE_THROAT_TRAITS: CollarTraits = {
  ...STRAP_TRAITS,
  noun: 'wide-throat collar',
  everyday: false,
  wear: { subject: 'A wide-throat collar', loose: 'no', unwatched: 'never', contacts: false, offOnRedSkin: true },
  rig: strapRig('wide-throat collar', {
    id: 'wide-throat',
    partId: 'wide',
    ring: WIDE_RING,
    templates: [
      {
        id: 'harness-and-wide',
        name: 'Harness and wide-throat collar together',
        says: 'For very reactive dogs: two leashes, nothing is a single point.',
        needs: ['harness'],
        ties: [
          LEASH,
          rigPart('snap', 'snap', 'leash end', 'harness ring'),
          rigPart('second-leash', 'leash', 'hand', 'second leash end'),
          rigPart('second-snap', 'second snap', 'second leash end', WIDE_RING),
        ],
      },
    ],
  }),
  owner: (rules) => ({
    called: 'wide-throat collar',
    look: [
      { key: 'wide-buckle', text: 'Buckle sound and behind the ears, the broad part on the throat.' },
      { key: 'wide-finger', text: 'One finger goes under; it does not come over the ears.' },
    ],
    slides: 'Bring the broad part back to the throat and the buckle behind the ears.',
    rubs: rubsWords(rules),
    opens: BUCKLE_OPENS,
  }),
  advice: ({ dog, noted, schools }) => {
    if (noted.manner === 'very-reactive') return [{ weighs: 'only-with', says: 'Very reactive: a harness and this together, each on a leash.' }];
    if (noted.manner === 'reactive')
      return [
        schools.reactiveSchool === 'harness'
          ? adviseLater('Reactive: rather a harness; this beside it on a long neck.')
          : adviseLater('Reactive: rather a harness.'),
      ];
    if (dog.neckBuild !== 'slender') return [];
    return dog.pull === 'settled' && noted.acquaintance === 'known'
      ? []
      : [adviseFirst('A long, delicate neck, new or not yet calm: this holds it until it walks calmly.')];
  },
};
