import type { CollarKindName } from '@banter/contract';
import type { TapeSite } from '@banter/core';

/** What a line of a picture is: the tape, steel, cloth, a hand, what is wrong; a dash is what is behind or was. */
export type PictureTone = 'tape' | 'steel' | 'cloth' | 'hand' | 'stop' | 'soft';
export type PictureLine = { d: string; tone: PictureTone; width?: number; dash?: true; fill?: true };
/** A picture of hands at work: on the dog seen from its left (`side`), on its neck seen from behind (`behind`), or by itself. */
export type HandPicture = { on: 'side' | 'behind' | 'nothing'; lines: readonly PictureLine[]; says: string };

const line = (tone: PictureTone, d: string, width = 5): PictureLine => ({ tone, d, width });
const filled = (tone: PictureTone, d: string): PictureLine => ({ tone, d, fill: true });
const dashed = (tone: PictureTone, d: string, width = 3): PictureLine => ({ tone, d, width, dash: true });
const circle = (x: number, y: number, r: number) => `M${x - r},${y} a${r},${r} 0 1 0 ${2 * r},0 a${r},${r} 0 1 0 ${-2 * r},0`;

/* On the dog's side: where a collar or a tape lies. */
const HIGH = 'M150,50 C147,72 137,95 122,110';
const LOW = 'M181,65 C177,94 163,124 145,142';
const MID = 'M171,61 C167,87 155,116 138,131';
const BASE = 'M205,73 C201,108 183,146 163,170';
const OVER_SKULL = 'M108,29 C119,50 113,80 97,98';
const MUZZLE = 'M54,57 C58,68 58,80 54,91';
const NOSE = 'M33,60 C37,68 37,79 33,86';
const LEASH_UP = 'M150,50 C160,30 180,14 214,6';
const LEASH_SLACK = 'M122,110 C120,150 160,160 216,128';
const FLAT_BELOW = 'M163,57 C159,82 148,108 132,123';

const TAPES: Record<TapeSite, HandPicture> = {
  high: { on: 'side', lines: [line('tape', HIGH, 7)], says: 'The tape directly behind ears and jaw.' },
  mid: { on: 'side', lines: [line('tape', MID, 7)], says: 'The tape half-way down the neck.' },
  base: { on: 'side', lines: [line('tape', BASE, 7)], says: 'The tape where the neck meets the shoulders.' },
  head: { on: 'side', lines: [line('tape', OVER_SKULL, 7)], says: 'The tape around the broadest part of the skull, ears included.' },
  muzzle: { on: 'side', lines: [line('tape', MUZZLE, 7)], says: 'The tape half-way between eyes and nose leather, mouth closed.' },
  stop: { on: 'side', lines: [line('tape', NOSE, 7)], says: 'The tape around nose leather and lower jaw, mouth slightly open.' },
  'neck-length': {
    on: 'side',
    lines: [line('tape', 'M139,66 L196,124', 7), line('soft', 'M134,71 L145,60 M191,129 L202,118', 2.5)],
    says: 'From the ear base to the shoulder, along the side.',
  },
  'coat-depth': {
    on: 'side',
    lines: [dashed('soft', HIGH), line('tape', 'M168,20 L148,60', 7), line('soft', 'M142,54 C150,46 158,46 164,52', 2.5)],
    says: 'A ruler’s end through the hair to the skin, where the collar sits.',
  },
  'muzzle-length': {
    on: 'side',
    lines: [line('tape', 'M79,44 L25,57', 7), line('soft', 'M81,38 L78,53 M27,51 L24,66', 2.5)],
    says: 'From the stop, between the eyes, to the nose leather.',
  },
};
export const tapePicture = (site: TapeSite): HandPicture => TAPES[site];

const LETTER_P = 'M70,140 V40 C120,26 150,50 140,80 C132,100 100,102 70,92';
const hang = (d: string): HandPicture['lines'] => [line('steel', d, 5)];

/** How each collar goes on: a picture for each line of its `putOn`, in that order. */
const PUT_ON: Record<CollarKindName, readonly HandPicture[]> = {
  prong: [
    {
      on: 'nothing',
      lines: [
        ...hang('M110,24 L64,120 C90,146 130,146 156,120 Z'),
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
  ],
  slip: [
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
  ],
  'clip-on-slip': [
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
  ],
  martingale: [
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
  ],
  flat: [
    { on: 'side', lines: [line('steel', HIGH, 5), line('cloth', FLAT_BELOW, 8)], says: 'High if it trains, below the others if it holds.' },
    { on: 'side', lines: [line('cloth', HIGH, 9), line('steel', 'M138,78 l8,4 l-5,12 l-8,-4 Z', 3)], says: 'Tongue and keeper both.' },
    {
      on: 'behind',
      lines: [line('cloth', 'M110,18 a66,66 0 1 1 -0.1,0', 8), line('hand', 'M178,62 a72,72 0 0 1 2,46 l-9,-6 m9,6 l8,-8', 3.5)],
      says: 'Turned once, for the hair.',
    },
  ],
  'wide-throat': [
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
  ],
  'head-collar': [
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
  ],
  remote: [
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
  ],
  fence: [
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
  ],
};
export const putOnPictures = (kind: CollarKindName): readonly HandPicture[] => PUT_ON[kind];

const RING_TIGHT = 'M110,26 a60,60 0 1 1 -0.1,0';
const RING_LOOSE = 'M110,22 a72,72 0 1 1 -0.1,0';
/** Two finger tips seen end on, between strap and neck at the dog's right. */
const FINGERS = [filled('hand', circle(172, 76, 9)), filled('hand', circle(174, 95, 9))];

/** What a question of the check looks for: as it should be, and as it should not. By the question's id, in whichever kind it is asked. */
const CHECKS: Readonly<Record<string, readonly [good: HandPicture, bad: HandPicture]>> = {
  sits: [
    { on: 'side', lines: [line('steel', HIGH, 6)], says: 'High' },
    { on: 'side', lines: [line('stop', LOW, 6)], says: 'Too low' },
  ],
  under: [
    { on: 'behind', lines: [line('steel', 'M110,22 a66,66 0 1 1 -0.1,0', 5), ...FINGERS], says: 'Two go under' },
    {
      on: 'behind',
      lines: [line('stop', 'M110,20 a78,74 0 1 1 -0.1,0', 5), ...FINGERS, filled('hand', circle(176, 57, 9)), filled('hand', circle(174, 114, 9))],
      says: 'Flat hand: too loose',
    },
  ],
  turns: [
    { on: 'behind', lines: [line('steel', RING_TIGHT, 5), line('hand', 'M176,66 a70,70 0 0 1 3,32 l-8,-7 m8,7 l8,-7', 3.5)], says: 'Turns a little' },
    { on: 'behind', lines: [line('stop', RING_LOOSE, 5), line('stop', 'M188,46 A88,88 0 1 1 150,10 l-13,1 m13,-1 l-3,12', 3)], says: 'Spins freely' },
  ],
  headDrop: [
    { on: 'side', lines: [line('steel', HIGH, 6), line('soft', 'M30,100 V128 l-7,-8 m7,8 l7,-8', 2.5)], says: 'Stays up' },
    {
      on: 'side',
      lines: [dashed('soft', HIGH), line('stop', 'M84,34 C106,58 102,88 74,98', 6), line('soft', 'M30,100 V128 l-7,-8 m7,8 l7,-8', 2.5)],
      says: 'Slides to the ears',
    },
  ],
  overHead: [
    { on: 'side', lines: [line('steel', HIGH, 6), line('hand', 'M176,58 H158 l8,-7 m-8,7 l8,7', 3)], says: 'Stops at the ears' },
    { on: 'side', lines: [line('stop', OVER_SKULL, 6), line('hand', 'M140,30 H124 l8,-7 m-8,7 l8,7', 3)], says: 'Comes over' },
  ],
  skinMoves: [
    {
      on: 'behind',
      lines: [line('cloth', RING_TIGHT, 5), filled('cloth', 'M166,70 h20 v34 h-20 Z'), line('soft', 'M150,74 c6,8 6,20 0,28 M140,70 c8,10 8,26 0,36', 2.5)],
      says: 'Skin moves with it',
    },
    {
      on: 'behind',
      lines: [line('stop', RING_LOOSE, 5), filled('stop', 'M176,70 h20 v34 h-20 Z'), line('soft', 'M204,66 V108 l-6,-8 m6,8 l6,-8', 2.5)],
      says: 'It slides',
    },
  ],
};
const SAME: Readonly<Record<string, string>> = { comesOver: 'overHead', shake: 'headDrop', headDown: 'headDrop' };
export const checkPictures = (questionId: string): readonly [good: HandPicture, bad: HandPicture] | null => CHECKS[SAME[questionId] ?? questionId] ?? null;
/** The questions that have pictures, by their ids. */
export const PICTURED_QUESTIONS: readonly string[] = [...Object.keys(CHECKS), ...Object.keys(SAME)];
