import { line, filled, dashed, circle, HIGH, MUZZLE, FLAT_BELOW, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = { strap: 'M14,10 a8,8 0 1 1 6,14 M14,10 L8,22 a5,5 0 1 0 8,3 L20,24', steel: 'M11,29 a2,2 0 1 0 0.1,0' };

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  {
    on: 'nothing',
    lines: [
      line('cloth', 'M70,50 C90,20 150,24 160,64 C166,96 130,112 104,100', 6),
      line('cloth', 'M104,100 C70,92 40,104 46,124 C56,146 96,134 104,100', 6),
      line('steel', circle(98, 144, 8), 4),
    ],
    says: 'Right way up: the ring under the chin.',
  },
  {
    on: 'side',
    lines: [
      line('cloth', 'M42,60 C46,69 46,79 42,89', 5),
      line('cloth', 'M42,89 C70,104 100,108 122,110', 4),
      dashed('cloth', HIGH, 4),
      filled('hand', circle(10, 70, 6)),
    ],
    says: 'The nose goes through after food.',
  },
  {
    on: 'side',
    lines: [line('cloth', MUZZLE, 5), line('cloth', HIGH, 5), line('cloth', 'M54,91 C80,102 104,106 122,110', 4), line('soft', 'M66,96 v-9 h-9', 2.5)],
    says: 'Strap and loop at about a right angle.',
  },
  {
    on: 'side',
    lines: [
      line('cloth', MUZZLE, 5),
      line('cloth', HIGH, 5),
      line('cloth', FLAT_BELOW, 7),
      line('steel', 'M56,92 C84,120 110,128 130,124', 3.5),
      line('soft', 'M54,92 C50,140 110,166 210,140', 2.5),
    ],
    says: 'Safety strap under the chin, leash slack.',
  },
];
