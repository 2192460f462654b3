import type { GompertzCurve } from './gompertz.ts';

/**
 * How dogs of a size grow: adult weight from and to (kg), age at half the adult weight and at 99 % of it (days).
 * Classes up to 40 kg as in Salt and others, PLoS ONE 12 (2017), e0182064; ages after the curves of Hawthorne and others,
 * Journal of Nutrition 134 (2004), 2027S–2030S: small dogs are half grown at three months, giants at five. Numbers from memory.
 */
export const SIZE_CLASSES = [
  { id: 'toy', fromKg: 0, toKg: 6.5, halfDays: 80, grownDays: 280 },
  { id: 'small', fromKg: 6.5, toKg: 9, halfDays: 90, grownDays: 310 },
  { id: 'small-middle', fromKg: 9, toKg: 15, halfDays: 102, grownDays: 350 },
  { id: 'middle', fromKg: 15, toKg: 30, halfDays: 115, grownDays: 400 },
  { id: 'large', fromKg: 30, toKg: 40, halfDays: 125, grownDays: 440 },
  { id: 'giant', fromKg: 40, toKg: Infinity, halfDays: 145, grownDays: 540 },
] as const;
export type SizeClass = (typeof SIZE_CLASSES)[number];

/** The class of an adult weight in kg. */
export function sizeClassOf(adultKg: number): SizeClass {
  return SIZE_CLASSES.find(({ toKg }) => adultKg <= toKg)!;
}

/** −ln(−ln share): where on a Gompertz curve a share of the asymptote lies, in units of 1/rate from the inflection. */
const placeOf = (share: number) => -Math.log(-Math.log(share));

/** The curve of a class for an adult weight in kg: through half of it and 99 % of it at the ages of its class. */
export function classCurve(adultKg: number, { halfDays, grownDays }: SizeClass = sizeClassOf(adultKg)): GompertzCurve {
  const ratePerDay = (placeOf(0.99) - placeOf(0.5)) / (grownDays - halfDays);
  return { asymptoteKg: adultKg, ratePerDay, inflectionDays: halfDays - placeOf(0.5) / ratePerDay };
}

/** How dogs of one size differ: standard deviations of ln adult weight (told, or guessed from one weighing), ln rate, and inflection (days). From memory. */
export const PRIOR_SPREAD = { adultTold: 0.1, adultGuessed: 0.25, rate: 0.15, inflectionDays: 12 } as const;
/** How far a weighing lies from a dog's own curve: scales, fill and condition; standard deviation of ln weight. From memory. */
export const WEIGHING_SPREAD = 0.05;
