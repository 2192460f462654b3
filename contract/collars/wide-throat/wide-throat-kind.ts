import { WIDE_RING, WIDE_THROAT_CHECK, WIDE_THROAT_PUT_ON, WIDE_THROAT_TRAITS } from '@banter/core/collars/wide-throat';
import { z } from '../../plain-words.ts';
import { HOLE_MM, strapKind, usualStrap } from '../strap/strap-kind.ts';

export const wideThroatKind = strapKind('wide-throat', {
  name: 'Wide-throat',
  noun: WIDE_THROAT_TRAITS.noun,
  traits: WIDE_THROAT_TRAITS,
  ring: WIDE_RING,
  widthLabel: 'Width at the throat',
  likelyWidthMm: [25, 120],
  about: 'Broad on the throat, buckled behind the ears: for long delicate necks that flat collars slip off.',
  purposes: ['walking', 'holding'],
  caution:
    'One finger, high, tight enough that it cannot come over the ears; on a leash only. A reactive dog rather wears a harness, a very reactive one both.',
  schools: [],
  sizing: { settles: 'tightest', forWalking: false },
  check: WIDE_THROAT_CHECK,
  putOn: WIDE_THROAT_PUT_ON,
  options: z.strictObject({ fingers: z.literal([1, 2]) }),
  usualOptions: { fingers: 1 },
  layer: () => 'holding',
  roleWords: () => '',
  usual: [usualStrap('Slim wide-throat', 240, 340, 50, HOLE_MM / 2), usualStrap('Long wide-throat', 320, 440, 65, HOLE_MM / 2)],
});
