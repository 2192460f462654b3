import { line, circle, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = {
  steel: 'M4,15 a12,12 0 0 1 24,0 M6,9 l3,3 M11,4.5 l2,4 M16,3 v4 M21,4.5 l-2,4 M26,9 l-3,3 M4,15 l4,1 M28,15 l-4,1 M4,15 L16,22 L28,15 M16,22 v3',
  solid: 'M16,25 m-3,3 a3,3 0 1 0 6,0 a3,3 0 1 0 -6,0',
};

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'nothing',
    lines: [
      line('steel', 'M110,24 L64,120 C90,146 130,146 156,120 Z', 5),
      line('steel', 'M58,112 l-12,-6 M66,128 l-10,8 M84,140 l-4,13 M110,145 v14 M136,140 l4,13 M154,128 l10,8 M162,112 l12,-6', 4),
      line('steel', circle(110, 16, 8), 4),
    ],
    says: 'Held up it hangs as an open triangle.',
  },
  {
    on: 'behind',
    lines: [line('steel', 'M110,18 a66,66 0 1 1 -0.1,0', 5), line('steel', circle(90, 12, 8), 4), line('hand', circle(130, 12, 8), 4)],
    says: 'Live ring outside, dead ring on the dog’s side.',
  },
  {
    on: 'side',
    lines: [
      line('steel', 'M140,84 C134,96 129,103 122,110', 6),
      line('steel', 'M150,50 C149,57 147,63 145,69', 6),
      line('hand', 'M158,66 l-9,5 M154,88 l-12,-2', 6),
    ],
    says: 'Under the neck and closed at a link, never over the head.',
  },
  {
    on: 'behind',
    lines: [line('steel', 'M110,18 a66,66 0 1 1 -0.1,0', 5), line('hand', 'M178,62 a72,72 0 0 1 2,46 l-9,-6 m9,6 l8,-8', 3.5)],
    says: 'Ears free, then turned slowly.',
  },
];
