import { line, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = {
  strap: 'M9,7 a11,11 0 0 0 -4,9 M23,7 a11,11 0 0 1 4,9',
  solid: 'M4,15 a12,12 0 0 0 24,0 l-5,-1 a7,6 0 0 1 -14,0 Z',
  steel: 'M11,3 h10 v7 h-10 Z',
};

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'side',
    lines: [line('cloth', 'M143,80 C137,93 130,103 122,110', 17), line('cloth', 'M150,50 C149,60 147,70 143,80', 7)],
    says: 'The broad part on the throat.',
  },
  {
    on: 'side',
    lines: [
      line('cloth', 'M143,80 C137,93 130,103 122,110', 17),
      line('cloth', 'M150,50 C149,60 147,70 143,80', 7),
      line('stop', 'M128,24 l14,14 M142,24 l-14,14', 3.5),
    ],
    says: 'Too tight to come over the ears.',
  },
  {
    on: 'side',
    lines: [
      line('cloth', 'M143,80 C137,93 130,103 122,110', 17),
      line('cloth', 'M150,50 C149,60 147,70 143,80', 7),
      line('steel', 'M143,60 l9,2 l-2,11 l-9,-2 Z', 3),
    ],
    says: 'Tongue and keeper both.',
  },
];
