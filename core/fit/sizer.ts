import type { HouseRules } from '../rules/house-rules.ts';
import type { HouseSchools } from '../rules/house-schools.ts';
import type { FittingDog } from './fitting-dog.ts';
import { inCollar } from './neck-in-collar.ts';
import { worstTone, type FitRow, type FitTone } from './fit-row.ts';

/** How a collar is made up on a dog, by name: strap lengths in mm, a post in mm, a clock place in hours. */
export type Setting = Record<string, number>;

/** What a kennel holds to: its limits and its schools, with a dog's own laid over them. */
export type House = { rules: HouseRules; schools: HouseSchools; headCollarChart: readonly HeadCollarSize[] };

/** One row of a chart of head collars as they are sold: ranges of neck and muzzle, mm. */
export type HeadCollarSize = { name: string; neckMinMm: number; neckMaxMm: number; noseMinMm: number; noseMaxMm: number };

/** A collar made up on a dog, judged: a verdict of its kind, each measure with its limit, and the reasons. */
export type Judged<Reason> = { verdict: string; rows: FitRow[]; reasons: Reason[] };

/**
 * How one kind of collar is sized. `settle` makes a collar of the stock up as well as it can be; `judge` says what any make-up
 * comes to; `off` how far it lies from what is aimed at, in mm, to choose between collars that both fit; `wanted` what to look
 * for in a shop.
 */
export type Sizer<Numbers, Options, Reason> = {
  settle: (dog: FittingDog, numbers: Numbers, options: Options, rules: HouseRules) => Setting;
  judge: (dog: FittingDog, numbers: Numbers, setting: Setting, options: Options, rules: HouseRules) => Judged<Reason>;
  off: (dog: FittingDog, numbers: Numbers, setting: Setting, options: Options, rules: HouseRules) => number;
};

/** One collar of the stock, made up and judged. */
export type StockFit<Reason> = { collarId: string; setting: Setting; tone: FitTone; offMm: number } & Judged<Reason>;

const RANK: Record<FitTone, number> = { good: 0, open: 1, mind: 2, stop: 3 };

/** Every collar of a stock made up and judged on the dog as hands found it there, best first: by tone, then nearest the aim, then as stocked. */
export function fitStock<Numbers, Options, Reason>(
  sizer: Sizer<Numbers, Options, Reason>,
  dog: FittingDog,
  stock: readonly { id: string; numbers: Numbers }[],
  options: Options,
  rules: HouseRules,
): StockFit<Reason>[] {
  return stock
    .map(({ id, numbers }) => {
      const own = inCollar(dog, id);
      const setting = sizer.settle(own, numbers, options, rules);
      const judged = sizer.judge(own, numbers, setting, options, rules);
      return { collarId: id, setting, ...judged, tone: worstTone(judged.rows), offMm: sizer.off(own, numbers, setting, options, rules) };
    })
    .sort((a, b) => RANK[a.tone] - RANK[b.tone] || a.offMm - b.offMm);
}
