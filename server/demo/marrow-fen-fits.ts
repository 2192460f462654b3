import type { CollarKindName, ProngChoices } from '@banter/contract';
import type { CheckAnswers } from '@banter/core';
import type { METALS } from '@banter/contract';

/** A prong on the hook of Marrow Fen; lengths mm. */
export type ToldCollar = {
  key: string;
  name: string;
  metal: (typeof METALS)[number];
  gaugeMm: number;
  pitchMm: number;
  insideGirthMm: number;
  links: number;
  closingMm: number;
  /** Null: nobody has laid a ruler on it, and its numbers are typical ones. */
  measuredDaysAgo: number | null;
  note: string;
};

export const TOLD_COLLARS: readonly ToldCollar[] = [
  {
    key: 'micro',
    name: 'Wren',
    metal: 'stainless',
    gaugeMm: 2,
    pitchMm: 17.2,
    insideGirthMm: 262,
    links: 13,
    closingMm: 19,
    measuredDaysAgo: 80,
    note: 'Micro, first hook.',
  },
  {
    key: 'fine',
    name: 'Rush',
    metal: 'nickel-free alloy',
    gaugeMm: 2.25,
    pitchMm: 24.2,
    insideGirthMm: 402,
    links: 14,
    closingMm: 27,
    measuredDaysAgo: 76,
    note: 'Stocked long; bears six out.',
  },
  { key: 'medium', name: 'Alder', metal: 'stainless', gaugeMm: 3, pitchMm: 31.2, insideGirthMm: 480, links: 13, closingMm: 28, measuredDaysAgo: 76, note: '' },
  {
    key: 'twin',
    name: 'Hazel',
    metal: 'stainless',
    gaugeMm: 3,
    pitchMm: 31.2,
    insideGirthMm: 480,
    links: 13,
    closingMm: 28,
    measuredDaysAgo: 74,
    note: 'Twin of Alder.',
  },
  {
    key: 'long',
    name: 'Long Alder',
    metal: 'stainless',
    gaugeMm: 3,
    pitchMm: 31.2,
    insideGirthMm: 560,
    links: 16,
    closingMm: 28,
    measuredDaysAgo: 60,
    note: 'For the big necks.',
  },
  {
    key: 'brought',
    name: 'Thistle',
    metal: 'chrome-plated',
    gaugeMm: 3,
    pitchMm: 31,
    insideGirthMm: 558.8,
    links: 15,
    closingMm: 25,
    measuredDaysAgo: null,
    note: 'Brought along by Teasel’s owner; nobody has measured it.',
  },
];

/** What was decided and found: a plan, then checks of it, in days and minutes ago. */
export type ToldFit = {
  dog: string;
  collar: string;
  daysAgo: number;
  by: 0 | 1 | 2;
  /** Of another kind than a prong. */
  kind?: CollarKindName;
  choices: ProngChoices | { options: object; on: Record<string, number> };
  note: string;
  checks: { minutesAfter: number; by: 0 | 1 | 2; on: Record<string, number>; answers: CheckAnswers; note: string }[];
};

const house = { gaugeSchool: 'pull-first', betweenSchool: 'finer', start: null, ring: 'live', ringPlace: 'nape' } as const;

/** Answers of a fit that is right in every way, which a check starts from. */
export const RIGHT_ANSWERS: CheckAnswers = {
  breathing: 'free',
  ears: 'free',
  sits: 'high',
  under: 'some',
  turns: 'a-little',
  headDrop: 'stays',
  overHead: 'no',
  gathered: null,
};

export const TOLD_FITS: readonly ToldFit[] = [
  {
    dog: 'bramble',
    collar: 'twin',
    daysAgo: 40,
    by: 0,
    note: '',
    choices: { ...house, split: { left: 6, right: 5 } },
    checks: [
      { minutesAfter: 12, by: 0, on: { left: 6, right: 5 }, answers: { sits: 'low' }, note: 'Had slid to the shoulders in the van.' },
      { minutesAfter: 16, by: 0, on: { left: 6, right: 5 }, answers: {}, note: '' },
    ],
  },
  {
    dog: 'tansy',
    collar: 'fine',
    daysAgo: 22,
    by: 1,
    note: '',
    choices: { ...house, split: { left: 5, right: 5 } },
    checks: [{ minutesAfter: 9, by: 1, on: { left: 5, right: 5 }, answers: { overHead: 'yes' }, note: 'Came over one ear with hardly a tug.' }],
  },
  {
    dog: 'moss',
    collar: 'long',
    daysAgo: 29,
    by: 0,
    note: '',
    choices: { ...house, split: { left: 8, right: 7 } },
    checks: [
      { minutesAfter: 20, by: 2, on: { left: 8, right: 7 }, answers: { headDrop: 'slides' }, note: 'Slid while it ate.' },
      { minutesAfter: 26, by: 2, on: { left: 8, right: 7 }, answers: {}, note: 'Hair parted, pushed up behind the ears.' },
    ],
  },
  {
    dog: 'sorrel',
    collar: 'fine',
    daysAgo: 13,
    by: 1,
    note: '',
    choices: { ...house, split: { left: 7, right: 6 } },
    checks: [{ minutesAfter: 5, by: 1, on: { left: 7, right: 6 }, answers: {}, note: 'Will be a link short before the month is out.' }],
  },
  {
    dog: 'bramble',
    collar: 'remote',
    kind: 'remote',
    daysAgo: 41,
    by: 0,
    note: '',
    choices: { options: { placement: 'upper-half' }, on: { strapMm: 467, postMm: 12, clock: 3 } },
    checks: [
      {
        minutesAfter: 6,
        by: 0,
        on: { strapMm: 478, postMm: 12, clock: 3 },
        answers: { breathing: 'free', skinMoves: 'no', under: '3', touch: 'hair', place: 'side', skin: 'clear' },
        note: 'A hole too loose: nothing would have been felt.',
      },
      {
        minutesAfter: 9,
        by: 0,
        on: { strapMm: 467, postMm: 12, clock: 3 },
        answers: { breathing: 'free', skinMoves: 'yes', under: '2', touch: 'both', place: 'side', skin: 'clear' },
        note: '',
      },
    ],
  },
  {
    dog: 'pip',
    collar: 'micro',
    daysAgo: 7,
    by: 0,
    note: '',
    choices: { ...house, split: { left: 5, right: 4 } },
    checks: [],
  },
  {
    dog: 'nutmeg',
    collar: 'martingale-middle',
    kind: 'martingale',
    daysAgo: 54,
    by: 1,
    note: '',
    choices: { options: { school: 'rings-apart' }, on: { strapMm: 308, houseStrapMm: 379 } },
    checks: [
      {
        minutesAfter: 7,
        by: 1,
        on: { strapMm: 308, houseStrapMm: 379 },
        answers: { breathing: 'free', through: 'loop', sits: 'high', rings: 'apart', under: '2', opens: 'yes', comesOver: 'no', loop: 'no' },
        note: 'The usual mistake, seen in time.',
      },
      {
        minutesAfter: 10,
        by: 1,
        on: { strapMm: 308, houseStrapMm: 379 },
        answers: { breathing: 'free', through: 'strap', sits: 'high', rings: 'apart', under: '2', opens: 'yes', comesOver: 'no', loop: 'no' },
        note: '',
      },
    ],
  },
  {
    dog: 'burdock',
    collar: 'head-large',
    kind: 'head-collar',
    daysAgo: 24,
    by: 2,
    note: '',
    choices: { options: {}, on: { neckMm: 606, noseMm: 318 } },
    checks: [],
  },
  {
    // «About»: its numbers are typical ones, and the spread of these reaches further than the window.
    dog: 'teasel',
    collar: 'brought',
    daysAgo: 3,
    by: 1,
    note: 'Its own collar, for now.',
    choices: { ...house, split: { left: 8, right: 7 } },
    checks: [],
  },
  {
    dog: 'linnet',
    collar: 'remote-small',
    kind: 'remote',
    daysAgo: 6,
    by: 0,
    note: '',
    choices: { options: { placement: 'upper-half' }, on: { strapMm: 386, postMm: 12, clock: 3 } },
    checks: [
      {
        minutesAfter: 8,
        by: 0,
        on: { strapMm: 386, postMm: 12, clock: 3 },
        answers: { breathing: 'free', skinMoves: 'yes', under: '2', touch: 'both', place: 'side', skin: 'clear' },
        note: '',
      },
    ],
  },
];
