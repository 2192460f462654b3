import { rubsWords } from '../../owner/owner-words.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { ELECTRONIC_RIG } from '../electronic/electronic-rig.ts';
import { INSPECT_ELECTRONIC } from '../electronic/inspect-electronic.ts';

/** What a fence collar says of itself. Common practice. */
export const FENCE_TRAITS: CollarTraits = {
  noun: 'fence collar',
  everyday: false,
  wear: { subject: 'A fence collar', loose: 'yes', unwatched: 'device', contacts: true, offOnRedSkin: true },
  rig: ELECTRONIC_RIG,
  ring: null,
  owner: (rules) => ({
    called: 'boundary collar',
    look: [
      { key: 'fence-ready', text: 'Charged, antenna side up to the sky.' },
      { key: 'fence-touch', text: 'Both contacts touch the skin through parted hair; two fingers still go under the strap.' },
    ],
    slides: 'Off, and on again at its place, antenna side up.',
    rubs: rubsWords(rules),
    opens: 'Bring the dog in, and keep it on a leash until the collar is on again.',
  }),
  inspection: INSPECT_ELECTRONIC,
  growing: null,
  ways: null,
  programmes: ['boundary'],
  advice: () => [],
  skinUnder: 'contacts',
};
