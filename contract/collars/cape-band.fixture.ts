import { BACK_AND_IN, bareRig, GROWING_BUCKLE, INSPECT_CLOTH, rigPart, ringAndSide, rubsWords, type CollarTraits } from '@banter/core';
import { FLAT_CHECK, FLAT_PUT_ON } from '@banter/core/collars/flat';
import { z } from 'zod';
// What a new kind's own folder would import; only here it stands outside of it.
import { strapKind, usualStrap } from './strap/strap-kind.ts';

const RING = 'cape ring';

/** A collar that nobody makes: what a new kind says of itself, to see that every screen and document asks it and nobody else. */
export const CAPE_BAND_TRAITS: CollarTraits = {
  noun: 'cape band',
  everyday: false,
  wear: { subject: 'A cape band', loose: 'no', unwatched: 'never', contacts: false, offOnRedSkin: true },
  rig: {
    id: 'cape-band',
    words: 'a cape band',
    joints: { [RING]: { name: 'ring of the cape band' } },
    partKinds: { 'cape band': { name: 'cape band', place: 'neck', fails: 'comes undone at the shoulder' } },
    parts: [rigPart('cape', 'cape band', RING, 'dog')],
    leashJoint: RING,
    holdsAt: [RING],
    templates: [bareRig('bare-cape', 'Leash and cape band', RING)],
    additions: { own: [], others: [] },
  },
  ring: (how) => ringAndSide(how, { clock: 12, see: ['The cape lies flat behind the shoulders.'] }),
  owner: (rules) => ({
    called: 'cape band',
    look: [{ key: 'cape-flat', text: 'The cape lies flat, no fold.' }],
    slides: 'Bring the cape back behind the shoulders.',
    rubs: rubsWords(rules),
    opens: 'Stay calm, and close it at the shoulder again.',
  }),
  inspection: INSPECT_CLOTH,
  growing: GROWING_BUCKLE,
  ways: BACK_AND_IN,
  programmes: ['fading'],
  advice: () => [{ weighs: 'first', says: 'A dog that likes capes.' }],
  skinUnder: 'strap',
};

export const capeBandKind = strapKind('flat', {
  name: 'Cape band',
  noun: CAPE_BAND_TRAITS.noun,
  traits: CAPE_BAND_TRAITS,
  ring: RING,
  widthLabel: 'Width of the cape',
  likelyWidthMm: [20, 90],
  about: 'Made up for a test: a strap with a cape.',
  purposes: ['walking'],
  caution: 'On a leash only; never where a fold can catch.',
  schools: [],
  sizing: { settles: 'nearest', forWalking: true },
  check: FLAT_CHECK,
  putOn: FLAT_PUT_ON,
  options: z.strictObject({ fingers: z.literal([1, 2]) }),
  usualOptions: { fingers: 2 },
  layer: () => 'training',
  roleWords: () => '',
  usual: [usualStrap('Middle cape', 330, 470, 40, null)],
});
