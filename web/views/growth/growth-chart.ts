import type { DogGrowth } from '@banter/contract';
import { grownAt } from '@banter/core';

type Told = Extract<DogGrowth, { missing: null }>;
const MONTH_DAYS = 30.4375;
const STEPS = 90;

/** How far the charts reach, days of age: from birth to well past the last weighing, and to where it is grown. */
export function reachDays({ ageDays, weighIns, fit }: Told): number {
  const last = Math.max(ageDays, ...weighIns.map((one) => one.ageDays));
  const grown = fit.inflectionDays + 4 / fit.ratePerDay;
  return Math.min(Math.max(last * 1.15, Math.min(grown, last + 540)), Math.max(last * 1.15, 900));
}

/** The curve with its interval at even steps of age. */
export function curvePoints(growth: Told): { age: number; kg: number; low: number; high: number }[] {
  const to = reachDays(growth);
  return Array.from({ length: STEPS + 1 }, (_step, index) => {
    const age = (to * index) / STEPS;
    const { weightKg, low95Kg, high95Kg } = grownAt(growth.fit, age);
    return { age, kg: weightKg, low: Math.max(0, low95Kg), high: high95Kg };
  });
}

/** Whole months of age at which the charts are ruled: every one, two, three, six or twelve, so that at most nine stand. */
export function monthTicks(toDays: number): { age: number; months: number }[] {
  const all = Math.floor(toDays / MONTH_DAYS);
  const every = [1, 2, 3, 6, 12, 24].find((step) => all / step <= 9) ?? 36;
  return Array.from({ length: Math.floor(all / every) + 1 }, (_tick, index) => ({ age: index * every * MONTH_DAYS, months: index * every }));
}
