import { line, circle, HIGH, FLAT_BELOW, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = { strap: 'M5,15 a11,11 0 1 1 22,0 a11,11 0 0 1 -18,8.5', steel: 'M9,23.5 m-3,-1 a3,3 0 1 0 0.1,0 M10,24 l5,5 M18,29 h-4' };

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'side',
    lines: [
      line('cloth', 'M140,84 C134,96 129,103 122,110', 5),
      line('cloth', 'M150,50 C149,57 147,63 145,69', 5),
      line('hand', 'M158,66 l-9,5 M154,88 l-12,-2', 6),
    ],
    says: 'Round the neck, never over the head.',
  },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 5), line('steel', circle(154, 42, 7), 3.5), line('steel', 'M160,36 l10,-10', 5)],
    says: 'The clip shut on the floating ring.',
  },
  {
    on: 'side',
    lines: [line('cloth', HIGH, 5), line('steel', circle(154, 42, 7), 3.5), line('hand', 'M168,44 l22,-10 M176,56 l22,-10', 7)],
    says: 'The ring slid up, two fingers of slack.',
  },
  {
    on: 'side',
    lines: [line('steel', HIGH, 5), line('cloth', FLAT_BELOW, 4), line('cloth', 'M163,57 C176,40 190,30 214,24', 2.5)],
    says: 'As a backup below the training collar.',
  },
];
