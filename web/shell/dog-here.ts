import type { CurrentFit, Dog, Dressing, Kennel, Taping } from '@banter/contract';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** A dog as its screens last had it. */
export type DogHere = {
  dog: Dog;
  girths: Partial<Record<Taping['site'], Taping>>;
  fits: readonly Pick<CurrentFit, 'plan' | 'check'>[];
  kennel: Kennel;
  dressing?: Dressing | null;
};

/** The dog whose screens are open, for the bar over them; it stays from one screen of the dog to the next. */
export const useDogHere = defineStore('dog-here', () => {
  const here = shallowRef<DogHere | null>(null);
  return { here, of: (dogId: string) => (here.value?.dog.id === dogId ? here.value : null) };
});
