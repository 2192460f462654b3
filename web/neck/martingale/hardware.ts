import { line, HIGH, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = {
  strap: 'M4,17 a12,11 0 1 0 24,0',
  steel: 'M4,17 a2.5,2.5 0 1 1 0.1,0 M28,17 a2.5,2.5 0 1 1 0.1,0 M5,14 L16,4 L27,14 M16,4 v-2',
};

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'nothing',
    lines: [
      line('cloth', 'M60,100 a50,40 0 1 1 100,0 a50,40 0 1 1 -100,0', 9),
      line('steel', 'M92,60 L110,30 L128,60', 4),
      line('soft', 'M40,100 h-18 l8,-7 m-8,7 l8,7 M180,100 h18 l-8,-7 m8,7 l-8,7', 2.5),
    ],
    says: 'The main strap let out as far as it goes.',
  },
  {
    on: 'side',
    lines: [
      line('cloth', 'M84,34 C106,58 102,88 74,98', 8),
      line('steel', 'M84,34 l18,-18', 3),
      line('soft', 'M112,22 C130,20 146,28 152,40 l-10,-2 m10,2 l2,-10', 2.5),
    ],
    says: 'The head through the main strap.',
  },
  { on: 'side', lines: [line('cloth', HIGH, 9), line('steel', 'M150,50 l6,-14 l8,14', 3.5)], says: 'Up high, the loop on top.' },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 9), line('steel', 'M150,50 L164,22', 3.5), line('hand', 'M164,22 l14,-10', 7)],
    says: 'The loop pulled once by hand.',
  },
];
