import { breedOf, guessedWeightKg, sizeClassOf, DAY_MS } from '@banter/core';
import type { Dog } from '../records/dog.ts';

/** Where neither breed nor weight says anything. From memory: a middling dog. */
const MIDDLING_KG = 20;

/** Whether a dog is still growing on a day, by the size it is or will be; a dog of unknown age counts as grown. Source: core/growth/growth-prior.ts. */
export function isGrowing({ bornOn, breed, sex, weightG }: Pick<Dog, 'bornOn' | 'breed' | 'sex' | 'weightG'>, today: string): boolean {
  if (bornOn === null) return false;
  const known = breedOf(breed);
  const adultKg = Math.max(weightG === null ? 0 : weightG / 1000, known ? guessedWeightKg(known, sex) : 0);
  return (Date.parse(today) - Date.parse(bornOn)) / DAY_MS < sizeClassOf(adultKg || MIDDLING_KG).grownDays;
}
