import { rubsWords } from '../../owner/owner-words.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { ELECTRONIC_RIG } from '../electronic/electronic-rig.ts';
import { INSPECT_ELECTRONIC } from '../electronic/inspect-electronic.ts';

/** What a remote electronic collar says of itself. Common practice. */
export const REMOTE_TRAITS: CollarTraits = {
  noun: 'remote collar',
  everyday: false,
  wear: { subject: 'A remote collar', loose: 'yes', unwatched: 'device', contacts: true, offOnRedSkin: true },
  rig: ELECTRONIC_RIG,
  ring: null,
  owner: (rules) => ({
    called: 'electronic collar',
    look: [
      { key: 'remote-ready', text: 'Charged, the covers of both sockets shut, switched on, tried at the lowest level before it goes on the dog.' },
      { key: 'remote-touch', text: 'Both contacts touch the skin: push the box, the skin moves with it; two fingers still go under the strap.' },
      { key: 'remote-place', text: 'On the muscle at the side, never on the windpipe, and not where it sat last.' },
    ],
    slides:
      'Off, and on again at its place: a loose collar is not felt, and then far too much is. Never turn it up because the dog does not answer: look at the contacts first.',
    rubs: rubsWords(rules),
    opens: 'Take it off and go on without it, on the leash. No leash is ever clipped to it.',
  }),
  inspection: INSPECT_ELECTRONIC,
  growing: null,
  ways: null,
  programmes: ['no-tell-tale', 'level-finding', 'fading'],
  advice: () => [],
  skinUnder: 'contacts',
};
