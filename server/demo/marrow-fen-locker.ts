import type { CollarFacts, GearFacts, PlaceFacts } from '@banter/contract';

/** A collar of another kind than the prongs, as it hangs at Marrow Fen. Everything here is invented. */
export type ToldOther = Pick<CollarFacts, 'kind' | 'name' | 'numbers' | 'metal' | 'condition' | 'note'> & { key: string; measuredDaysAgo: number | null };

const slip = (key: string, name: string, inches: number, thickMm: number, longLink = false): ToldOther => ({
  key,
  kind: 'slip',
  name,
  metal: 'stainless',
  condition: 'sound',
  note: '',
  measuredDaysAgo: 70,
  numbers: { lengthMm: inches * 25.4, ringMm: 22, material: 'chain', thickMm, longLink },
});
const clipOn = (key: string, name: string, inches: number, thickMm: number): ToldOther => ({
  key,
  kind: 'clip-on-slip',
  name,
  metal: null,
  condition: 'sound',
  note: '',
  measuredDaysAgo: 64,
  numbers: { lengthMm: inches * 25.4, material: 'cord', thickMm },
});
const martingale = (
  key: string,
  name: string,
  strapMinMm: number,
  strapMaxMm: number,
  loopMm: number,
  widthMm: number,
  loop: 'cloth' | 'chain',
): ToldOther => ({
  key,
  kind: 'martingale',
  name,
  metal: 'stainless',
  condition: 'sound',
  note: '',
  measuredDaysAgo: 58,
  numbers: { strapMinMm, strapMaxMm, loopMm, widthMm, loop, hardware: 'metal', buckled: false },
});
const strap = (
  key: string,
  kind: 'flat' | 'wide-throat',
  name: string,
  minMm: number,
  maxMm: number,
  widthMm: number,
  buckle: string,
  holePitchMm: number | null,
): ToldOther => ({
  key,
  kind,
  name,
  metal: null,
  condition: buckle === 'plastic' ? 'worn' : 'sound',
  note: '',
  measuredDaysAgo: buckle === 'plastic' ? null : 52,
  numbers: { minMm, maxMm, widthMm, buckle, holePitchMm },
});
const head = (key: string, name: string, neckMinMm: number, neckMaxMm: number, noseMinMm: number, noseMaxMm: number): ToldOther => ({
  key,
  kind: 'head-collar',
  name,
  metal: null,
  condition: 'sound',
  note: '',
  measuredDaysAgo: 47,
  numbers: { neckMinMm, neckMaxMm, noseMinMm, noseMaxMm, widthMm: 16 },
});
const receiver = (key: string, kind: 'remote' | 'fence', name: string, massG: number, footprintMm: number, postsMm: number[], scaleMax: number): ToldOther => ({
  key,
  kind,
  name,
  metal: null,
  condition: 'sound',
  note: '',
  measuredDaysAgo: 33,
  numbers: {
    scaleMin: 0,
    scaleMax,
    scaleStep: 1,
    modes: ['momentary', 'tone', 'vibration'],
    massG,
    footprintMm,
    spacingMm: Math.round(footprintMm * 0.6),
    postsMm,
    strapMinMm: 200,
    strapMaxMm: 700,
  },
});

export const TOLD_OTHERS: readonly ToldOther[] = [
  slip('slip-16', 'Heron', 16, 2.5),
  slip('slip-18', 'Egret', 18, 2.5),
  slip('slip-22', 'Bittern', 22, 3, true),
  clipOn('clip-15', 'Snipe', 15.5, 7),
  clipOn('clip-20', 'Plover', 20, 9),
  martingale('martingale-slim', 'Osier', 240, 330, 110, 50, 'cloth'),
  martingale('martingale-middle', 'Willow', 300, 440, 130, 38, 'cloth'),
  martingale('martingale-large', 'Sallow', 400, 640, 130, 38, 'chain'),
  strap('flat-small', 'flat', 'Clover', 180, 260, 12, 'metal tongue', 12.7),
  strap('flat-middle', 'flat', 'Reed', 330, 470, 20, 'metal tongue', 25.4),
  strap('flat-large', 'flat', 'Bulrush', 430, 640, 25, 'metal tongue', 25.4),
  strap('flat-plastic', 'flat', 'Foundling', 300, 450, 20, 'plastic', null),
  strap('wide', 'wide-throat', 'Harebell', 250, 350, 50, 'metal tongue', 12.7),
  head('head-middle', 'Thimble', 330, 470, 190, 260),
  head('head-large', 'Bellpull', 430, 620, 240, 340),
  receiver('remote', 'remote', 'Curlew', 92, 62, [12, 16, 20], 100),
  receiver('remote-small', 'remote', 'Whimbrel', 68, 54, [12, 16], 60),
  receiver('fence', 'fence', 'Lapwing', 175, 78, [15, 20, 25], 10),
];

/** Leads, lines and the rest of Marrow Fen. */
export const TOLD_GEAR: readonly (Omit<GearFacts, 'retiredAt' | 'massG' | 'loadRated'> & Partial<Pick<GearFacts, 'massG' | 'loadRated'>>)[] = [
  { what: 'leash', name: 'Brown four-foot', lengthMm: 1219.2, widthMm: 15.9, colour: 'brown', material: 'leather', condition: 'sound', note: '' },
  { what: 'leash', name: 'Old six-foot', lengthMm: 1828.8, widthMm: 19, colour: 'green', material: 'web', condition: 'mend', note: 'Stitching at the handle.' },
  { what: 'long line', name: 'Blue thirty', lengthMm: 9144, widthMm: 13, colour: 'blue', material: 'web', condition: 'sound', note: '' },
  { what: 'slip leash', name: 'Half-inch slip', lengthMm: 1524, widthMm: 12.7, colour: 'yellow', material: 'rope', condition: 'sound', note: '' },
  {
    what: 'coupler',
    name: 'Short coupler',
    lengthMm: 180,
    widthMm: 10,
    colour: '',
    material: 'web',
    condition: 'sound',
    note: 'With a spare ring.',
    massG: 24,
  },
  {
    what: 'carabiner',
    name: 'Small steel',
    lengthMm: 60,
    widthMm: null,
    colour: '',
    material: 'steel',
    condition: 'sound',
    note: '',
    massG: 38,
    loadRated: true,
  },
  { what: 'safety strap', name: 'Chin strap', lengthMm: 150, widthMm: 10, colour: '', material: 'web', condition: 'sound', note: '' },
  { what: 'raised bed', name: 'Hut bed', lengthMm: 1050, widthMm: 700, colour: '', material: 'canvas', condition: 'sound', note: '' },
];

/** Where Marrow Fen works, with what its people have looked up; days ago, null when nobody has. */
export const TOLD_PLACES: readonly (Pick<PlaceFacts, 'name' | 'collars' | 'checkedBy' | 'source'> & { key: string; checkedDaysAgo: number | null })[] = [
  {
    key: 'bogs',
    name: 'Cranberry bogs',
    collars: { prong: 'allowed', remote: 'allowed', fence: 'allowed' },
    checkedBy: 'Wenna Sedge',
    checkedDaysAgo: 61,
    source: 'District rules for working dogs, printed copy in the office.',
  },
  {
    key: 'huts',
    name: 'Hill huts, over the border',
    collars: { prong: 'allowed', remote: 'not-allowed', fence: 'not-allowed' },
    checkedBy: 'Corin Haw',
    checkedDaysAgo: 402,
    source: 'Asked at the valley office.',
  },
  { key: 'market', name: 'Market town', collars: {}, checkedBy: '', checkedDaysAgo: null, source: '' },
];
