import { line, filled, circle, HIGH, LEASH_UP, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = { strap: 'M3,9 h26', solid: 'M7,5 h18 v12 h-18 Z', steel: 'M12,17 v8 M20,17 v8' };

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'nothing',
    lines: [
      filled('cloth', 'M62,66 h96 v52 h-96 Z'),
      line('steel', 'M92,118 v22 M128,118 v22', 8),
      filled('tape', circle(146, 80, 6)),
      line('soft', 'M110,50 V24 l-9,9 m9,-9 l9,9', 2.5),
    ],
    says: 'Charged, covers shut, switched on, tried in the hand.',
  },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 7), filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z'), line('stop', 'M114,118 l12,12 M126,118 l-12,12', 3.5)],
    says: 'At the side, never on the windpipe.',
  },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 7), filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z'), line('hand', 'M160,62 c8,6 8,18 2,26 l-1,-9 m1,9 l9,-3', 3)],
    says: 'A wiggle past the hairs, then closed.',
  },
  {
    on: 'side',
    lines: [
      line('cloth', HIGH, 7),
      filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z'),
      line('soft', LEASH_UP, 2.5),
      line('stop', 'M172,10 l14,14 M186,10 l-14,14', 3.5),
    ],
    says: 'Never a leash on it.',
  },
];
