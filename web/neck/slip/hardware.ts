import { line, dashed, circle, HIGH, LEASH_UP, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = {
  steel: 'M16,19 m-9,-2 a9.5,9.5 0 1 1 18,0 M25,17 L28,27 M7,17 a3,3 0 1 0 0.1,0 M28,27 a2.6,2.6 0 1 0 0.1,0',
  thread: 'M7,20 H25',
};

const LETTER_P = 'M70,140 V40 C120,26 150,50 140,80 C132,100 100,102 70,92';

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'nothing',
    lines: [line('steel', LETTER_P, 5), line('steel', circle(70, 92, 9), 4), line('steel', circle(70, 148, 9), 4)],
    says: 'The chain dropped through one ring.',
  },
  {
    on: 'nothing',
    lines: [line('steel', LETTER_P, 5), line('steel', circle(70, 92, 9), 4), line('hand', 'M58,150 l-16,10', 6)],
    says: 'Facing the dog it reads as a P.',
  },
  {
    on: 'side',
    lines: [line('steel', 'M84,36 C104,58 100,86 74,96', 5), dashed('soft', HIGH), line('soft', 'M112,22 C130,20 146,28 152,40 l-10,-2 m10,2 l2,-10', 2.5)],
    says: 'Over the head, one ear at a time.',
  },
  { on: 'side', lines: [line('steel', HIGH, 5), line('steel', LEASH_UP, 2.5)], says: 'Up high, behind ears and jaw.' },
];
