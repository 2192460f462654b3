import type { Dog } from '@banter/contract';
import { ageWords, todayIn } from './age.ts';

/** What tells a dog from others at a glance: breed, age and weight, as far as they are known. */
export const dogFacts = (dog: Pick<Dog, 'breed' | 'bornOn' | 'weightG'>, timeZone: string, weight: (grams: number) => string): string[] =>
  [dog.breed, dog.bornOn && ageWords(dog.bornOn, todayIn(timeZone)), dog.weightG && weight(dog.weightG)].filter((one): one is string => Boolean(one));
