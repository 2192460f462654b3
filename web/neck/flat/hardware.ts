import { line, HIGH, FLAT_BELOW, type HandPicture, type KindMark } from '../../drawings/picture-lines.ts';

/** What it is known by at a glance. */
export const MARK: KindMark = { strap: 'M8,8 a12,12 0 1 0 16,0', steel: 'M10,3 h12 v9 h-12 Z M16,7.5 h7' };

/** How it goes on: a picture for each line of its `putOn`. */
export const PUT_ON: readonly HandPicture[] = [
  { on: 'side', lines: [line('steel', HIGH, 5), line('cloth', FLAT_BELOW, 8)], says: 'High if it trains, below the others if it holds.' },
  { on: 'side', lines: [line('cloth', HIGH, 9), line('steel', 'M138,78 l8,4 l-5,12 l-8,-4 Z', 3)], says: 'Tongue and keeper both.' },
  {
    on: 'behind',
    lines: [line('cloth', 'M110,18 a66,66 0 1 1 -0.1,0', 8), line('hand', 'M178,62 a72,72 0 0 1 2,46 l-9,-6 m9,6 l8,-8', 3.5)],
    says: 'Turned once, for the hair.',
  },
];
