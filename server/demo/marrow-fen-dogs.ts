import type { DogManner } from '@banter/core';
import type { DogFacts } from '@banter/contract';
import type { ScreenAnswer, ScreenItemId, TapeSite } from '@banter/core';

/** A taping of the story: how long ago, by whom (index into the staff), and the girth it is about, mm. */
export type ToldTaping = {
  daysAgo: number;
  by: 0 | 1 | 2;
  site: TapeSite;
  girthMm: number;
  coatDepthMm?: number;
  weightKg?: number;
  /** One reading this far off, mm: a slip of the tape. */
  oddMm?: number;
};

/** A dog of the story, with what was measured of it. Everything here is invented. */
export type ToldDog = {
  key: string;
  facts: Pick<DogFacts, 'name' | 'breed' | 'sex' | 'neckBuild' | 'pull' | 'worksOn' | 'owner' | 'notes'> &
    Partial<Pick<DogFacts, 'heelLine' | 'toolsWhere'>> &
    Partial<DogManner> &
    Partial<Pick<DogFacts, 'house' | 'heelLine' | 'toolsWhere'>> & { ageDays: number; weightKg: number };
  tapings: ToldTaping[];
  /** What screening found; every other answer is no. Left out: nobody has screened the dog. */
  screened?: Partial<Record<ScreenItemId, ScreenAnswer>>;
  /** Where it works, by the key of the place. */
  place?: 'bogs' | 'huts' | 'market';
};

const adult = (high: number, mid: number, base: number, head: number, daysAgo: number, by: 0 | 1 | 2 = 0): ToldTaping[] => [
  { daysAgo, by, site: 'high', girthMm: high },
  { daysAgo, by, site: 'mid', girthMm: mid },
  { daysAgo, by, site: 'base', girthMm: base },
  { daysAgo, by, site: 'head', girthMm: head },
];

const YEAR = 365;

/** The dogs of Marrow Fen: goose patrol on the bogs, truffle finding, and hill-hut couriers. */
export const TOLD_DOGS: readonly ToldDog[] = [
  {
    key: 'bramble',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Bramble',
      acquaintance: 'known',
      manner: 'excitable',
      saltWater: true,
      breed: 'Labrador Retriever',
      sex: 'female',
      neckBuild: 'average',
      pull: 'drags',
      worksOn: 'left',
      heelLine: 'shoulder at the trouser seam',
      toolsWhere: { house: 'A slip lead for the first weeks, its stopper set; then the flat collar alone.' },
      owner: 'Household Pike-Ashdown',
      notes: 'Goose patrol on the east bog. Drags towards water.',
      ageDays: 2.4 * YEAR,
      weightKg: 29,
    },
    tapings: [
      ...adult(398, 442, 500, 472, 41),
      { daysAgo: 41, by: 0, site: 'coat-depth', girthMm: 8 },
      { daysAgo: 41, by: 0, site: 'muzzle', girthMm: 248 },
      { daysAgo: 41, by: 0, site: 'stop', girthMm: 282 },
      { daysAgo: 41, by: 0, site: 'muzzle-length', girthMm: 96 },
      { daysAgo: 41, by: 0, site: 'neck-length', girthMm: 168 },
    ],
  },
  {
    key: 'fern',
    place: 'huts',
    screened: {},
    facts: {
      name: 'Fern',
      breed: 'German Shepherd Dog',
      sex: 'female',
      neckBuild: 'average',
      pull: 'drags',
      worksOn: 'left',
      owner: 'Oda Winterbourne',
      notes: 'Hill-hut courier in training. Sits between two links of 3.0 mm.',
      ageDays: 1.9 * YEAR,
      weightKg: 32,
    },
    tapings: [
      ...adult(420, 470, 528, 505, 12, 2),
      { daysAgo: 12, by: 2, site: 'muzzle', girthMm: 222 },
      { daysAgo: 12, by: 2, site: 'stop', girthMm: 226 },
      { daysAgo: 12, by: 2, site: 'muzzle-length', girthMm: 112 },
    ],
  },
  {
    key: 'tansy',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Tansy',
      acquaintance: 'known',
      manner: 'calm',
      breed: 'Whippet',
      sex: 'female',
      neckBuild: 'slender',
      pull: 'pulls',
      worksOn: 'left',
      owner: 'Lorcan Tallow',
      notes: 'Head hardly wider than the neck. Backs out of flat collars.',
      ageDays: 3.1 * YEAR,
      weightKg: 13,
    },
    // The head came last: the first plan was made without it.
    tapings: [...adult(285, 300, 338, 292, 23, 1).slice(0, 3), { daysAgo: 20, by: 1, site: 'head', girthMm: 292 }],
  },
  {
    key: 'moss',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Moss',
      breed: 'Bernese Mountain Dog',
      sex: 'male',
      neckBuild: 'heavy',
      pull: 'pulls',
      worksOn: 'right',
      owner: 'Household Grindle',
      notes: 'Thick double coat: always taped over hair, depth noted.',
      ageDays: 4.2 * YEAR,
      weightKg: 45,
    },
    tapings: [
      { daysAgo: 30, by: 0, site: 'high', girthMm: 566, coatDepthMm: 9 },
      { daysAgo: 30, by: 0, site: 'mid', girthMm: 612, coatDepthMm: 9 },
      { daysAgo: 30, by: 0, site: 'base', girthMm: 690, coatDepthMm: 11 },
      { daysAgo: 30, by: 0, site: 'head', girthMm: 622 },
    ],
  },
  {
    key: 'burdock',
    place: 'market',
    screened: {},
    facts: {
      name: 'Burdock',
      breed: 'Bullmastiff',
      sex: 'male',
      neckBuild: 'heavy',
      pull: 'drags',
      worksOn: 'left',
      owner: 'Sunniva Quill',
      notes: 'Heavy neck, gentle, has pulled two people over.',
      ageDays: 2.8 * YEAR,
      weightKg: 56,
    },
    tapings: [
      ...adult(592, 640, 702, 668, 25, 2),
      { daysAgo: 25, by: 2, site: 'muzzle', girthMm: 292 },
      { daysAgo: 25, by: 2, site: 'stop', girthMm: 330 },
      { daysAgo: 25, by: 2, site: 'muzzle-length', girthMm: 62 },
    ],
  },
  {
    key: 'pip',
    place: 'bogs',
    screened: { 'toy-throat': 'yes' },
    facts: {
      name: 'Pip',
      breed: 'Papillon',
      sex: 'male',
      neckBuild: 'slender',
      pull: 'pulls',
      worksOn: 'left',
      owner: 'Hester Rowntree-Vale',
      notes: 'Toy throat: light hands.',
      ageDays: 5 * YEAR,
      weightKg: 3.8,
    },
    tapings: adult(190, 204, 232, 226, 8, 0),
  },
  {
    key: 'nutmeg',
    place: 'bogs',
    screened: { 'eye-pressure': 'unknown' },
    facts: {
      name: 'Nutmeg',
      breed: 'Lagotto Romagnolo',
      sex: 'female',
      neckBuild: 'average',
      pull: 'settled',
      worksOn: 'left',
      owner: 'Marrow Fen',
      house: { schools: { martingaleSchool: 'rings-apart' }, rules: {}, note: 'Backed out of it on the bogs when the rings met.' },
      notes: 'Truffle finder. Curls flattened under the tape, depth noted.',
      ageDays: 6.3 * YEAR,
      weightKg: 14,
    },
    tapings: [
      { daysAgo: 55, by: 1, site: 'high', girthMm: 342, coatDepthMm: 5 },
      { daysAgo: 55, by: 1, site: 'base', girthMm: 415, coatDepthMm: 6 },
      { daysAgo: 55, by: 1, site: 'head', girthMm: 396 },
      { daysAgo: 55, by: 1, site: 'neck-length', girthMm: 138 },
    ],
  },
  {
    key: 'barnaby',
    place: 'bogs',
    screened: { 'flat-face': 'yes', windpipe: 'unknown' },
    facts: {
      name: 'Barnaby',
      breed: 'French Bulldog',
      sex: 'male',
      neckBuild: 'heavy',
      pull: 'pulls',
      worksOn: 'right',
      owner: 'Ferris Oakapple',
      notes: 'Flat face: ask the vet before anything round the neck.',
      ageDays: 3.6 * YEAR,
      weightKg: 12.5,
    },
    tapings: [
      ...adult(358, 384, 420, 402, 16, 2),
      { daysAgo: 16, by: 2, site: 'muzzle', girthMm: 214 },
      { daysAgo: 16, by: 2, site: 'stop', girthMm: 205 },
      { daysAgo: 16, by: 2, site: 'muzzle-length', girthMm: 22 },
    ],
  },
  {
    key: 'sorrel',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Sorrel',
      acquaintance: 'new',
      manner: 'excitable',
      nickel: true,
      breed: 'Hovawart',
      sex: 'female',
      neckBuild: 'average',
      pull: 'pulls',
      worksOn: 'left',
      owner: 'Marrow Fen',
      notes: 'Growing: taped every other week.',
      ageDays: 238,
      weightKg: 24.6,
    },
    tapings: [
      { daysAgo: 84, by: 1, site: 'high', girthMm: 318, weightKg: 15.2 },
      { daysAgo: 70, by: 0, site: 'high', girthMm: 331, weightKg: 17.3 },
      { daysAgo: 56, by: 1, site: 'high', girthMm: 345, weightKg: 19.2 },
      { daysAgo: 42, by: 2, site: 'high', girthMm: 354, weightKg: 20.9 },
      { daysAgo: 28, by: 1, site: 'high', girthMm: 363, weightKg: 22.4 },
      { daysAgo: 14, by: 0, site: 'high', girthMm: 371, weightKg: 23.6 },
      { daysAgo: 1, by: 1, site: 'high', girthMm: 382, weightKg: 24.6 },
      { daysAgo: 1, by: 1, site: 'base', girthMm: 462, weightKg: 24.6 },
      { daysAgo: 1, by: 1, site: 'head', girthMm: 455, weightKg: 24.6 },
    ],
  },
  {
    key: 'wick',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Wick',
      acquaintance: 'new',
      manner: 'reactive',
      breed: 'Labrador Retriever',
      sex: 'male',
      neckBuild: 'average',
      pull: 'pulls',
      worksOn: 'left',
      owner: 'Ambrose Fennimore',
      notes: 'New this week.',
      ageDays: 1.4 * YEAR,
      weightKg: 27,
    },
    tapings: [{ daysAgo: 2, by: 2, site: 'high', girthMm: 478, weightKg: 27, oddMm: 11 }],
  },
  {
    key: 'hale',
    place: 'huts',
    screened: {},
    facts: {
      name: 'Hale',
      breed: 'Alaskan Malamute',
      sex: 'male',
      neckBuild: 'average',
      pull: 'drags',
      worksOn: 'left',
      owner: 'Marrow Fen',
      notes: 'Courier to the upper huts, thick double coat.',
      ageDays: 3.9 * YEAR,
      weightKg: 38,
    },
    tapings: [
      { daysAgo: 9, by: 0, site: 'high', girthMm: 470, coatDepthMm: 10 },
      { daysAgo: 9, by: 0, site: 'mid', girthMm: 520, coatDepthMm: 11 },
      { daysAgo: 9, by: 0, site: 'base', girthMm: 596, coatDepthMm: 12 },
      { daysAgo: 9, by: 0, site: 'head', girthMm: 572 },
      { daysAgo: 9, by: 0, site: 'coat-depth', girthMm: 10 },
      { daysAgo: 9, by: 0, site: 'neck-length', girthMm: 205 },
    ],
  },
  {
    key: 'juniper',
    place: 'bogs',
    facts: {
      name: 'Juniper',
      acquaintance: 'known',
      manner: 'calm',
      breed: 'Border Collie',
      sex: 'female',
      neckBuild: 'average',
      pull: 'settled',
      worksOn: 'right',
      owner: 'Ysolde Marchbank',
      notes: '',
      ageDays: 4.7 * YEAR,
      weightKg: 18.5,
    },
    tapings: [],
  },
  {
    key: 'teasel',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Teasel',
      acquaintance: 'new',
      manner: 'excitable',
      breed: 'Rottweiler',
      sex: 'male',
      neckBuild: 'heavy',
      pull: 'drags',
      worksOn: 'left',
      owner: 'Household Varley-Moss',
      notes: 'Came with a collar that nobody has measured.',
      ageDays: 2.8 * YEAR,
      weightKg: 40.8,
    },
    tapings: [{ daysAgo: 3, by: 1, site: 'high', girthMm: 550 }],
  },
  {
    key: 'linnet',
    place: 'bogs',
    screened: {},
    facts: {
      name: 'Linnet',
      acquaintance: 'known',
      manner: 'calm',
      breed: 'Border Collie',
      sex: 'female',
      neckBuild: 'average',
      pull: 'settled',
      worksOn: 'left',
      owner: 'Household Marl',
      notes: 'Wears its receiver at home, an hour at most; nothing is pressed yet.',
      ageDays: 1.6 * YEAR,
      weightKg: 17.5,
    },
    tapings: [...adult(335, 368, 412, 400, 8), { daysAgo: 8, by: 0, site: 'coat-depth', girthMm: 5 }],
  },
];
