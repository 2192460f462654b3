import { line, filled, HIGH, LEASH_SLACK, FLAT_BELOW, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = { strap: 'M3,14 h26', solid: 'M7,10 h18 v11 h-18 Z', steel: 'M12,21 v6 M20,21 v6 M22,10 L27,3 M19,4 a6,6 0 0 1 4,-3' };

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  { on: 'side', lines: [line('cloth', HIGH, 7), filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z')], says: 'First worn without training.' },
  {
    on: 'side',
    lines: [
      line('cloth', HIGH, 7),
      filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z'),
      line('steel', 'M146,70 L156,34', 3),
      line('soft', 'M150,28 C156,22 164,22 170,28', 2.5),
    ],
    says: 'Contacts on the skin, antenna up to the sky.',
  },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 7), filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z'), line('hand', 'M160,62 c8,6 8,18 2,26 l-1,-9 m1,9 l9,-3', 3)],
    says: 'Closed: two fingers under, the skin moves with it.',
  },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 7), filled('cloth', 'M134,68 l18,6 l-7,24 l-18,-6 Z'), line('cloth', FLAT_BELOW, 5), line('soft', LEASH_SLACK, 2.5)],
    says: 'On lead until it turns back by itself.',
  },
];
