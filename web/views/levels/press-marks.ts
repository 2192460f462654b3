import type { PressesPage } from '@banter/contract';

type At = (value: number) => number;
export type Spot = { x: number; y: number };
export type Bar = { x: number; low: number; high: number };
/** What is drawn of presses: spots for single ones and for the means of many, bars from the lowest to the highest of many. */
export type PressMarks = { bars: Bar[]; quiet: Spot[]; noticed: Spot[]; much: Spot[] };

/** Presses as marks on a chart; `x` takes ms, `y` levels. Bins show whether most of their presses were noticed. */
export function pressMarks(page: PressesPage, x: At | ((date: Date) => number), y: At): PressMarks {
  const across = (at: string) => (x as At)(Date.parse(at));
  const marks: PressMarks = { bars: [], quiet: [], noticed: [], much: [] };
  for (const { at, level, response } of page.presses ?? []) {
    const spot = { x: across(at), y: y(level) };
    if (response === 'too-much') marks.much.push(spot);
    else if (response === 'small' || response === 'did') marks.noticed.push(spot);
    else marks.quiet.push(spot);
  }
  for (const bin of page.bins ?? []) {
    const middle = (across(bin.from) + across(bin.to)) / 2;
    marks.bars.push({ x: middle, low: y(bin.low), high: y(bin.high) });
    const spot = { x: middle, y: y(bin.mean) };
    if (bin.small + bin.did >= bin.count / 2) marks.noticed.push(spot);
    else marks.quiet.push(spot);
    if (bin.tooMuch > 0) marks.much.push({ x: middle, y: y(bin.high) });
  }
  return marks;
}

const tenth = (value: number) => Math.round(value * 10) / 10;
/** All bars as one path, so that a chart is a handful of elements however much it shows. */
export const barPath = (bars: readonly Bar[]): string => bars.map(({ x, low, high }) => `M${tenth(x)} ${tenth(low)}V${tenth(high)}`).join('');
/** All spots as one path of small circles. */
export const dotPath = (spots: readonly Spot[], radius: number): string =>
  spots.map(({ x, y }) => `M${tenth(x - radius)} ${tenth(y)}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`).join('');
