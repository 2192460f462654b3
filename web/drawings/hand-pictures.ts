import type { CollarKindName } from '@banter/contract';
import type { TapeSite } from '@banter/core';
import {
  line,
  filled,
  dashed,
  circle,
  HIGH,
  LOW,
  MID,
  BASE,
  OVER_SKULL,
  MUZZLE,
  NOSE,
  type HandPicture,
  type HardwarePictures,
  type KindMark,
} from './picture-lines.ts';

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

/** What each kind brings itself (`web/neck/KIND/hardware.ts`). */
const HARDWARE = import.meta.glob<HardwarePictures>('../neck/*/hardware.ts', { eager: true });
const of = (kind: CollarKindName): HardwarePictures => HARDWARE[`../neck/${kind}/hardware.ts`]!;
/** How a collar goes on: a picture for each line of its `putOn`, in that order. */
export const putOnPictures = (kind: CollarKindName): readonly HandPicture[] => of(kind).PUT_ON;
export const markOf = (kind: CollarKindName): KindMark => of(kind).MARK;

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
