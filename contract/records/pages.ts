import { z } from '../plain-words.ts';
import { Collar } from './collar.ts';
import { Dog } from './dog.ts';
import { FitCheck } from './fit-check.ts';
import { Plan } from './plan.ts';
import { Taping } from './taping.ts';

/** A dog with what its card shows: the latest girth of each site, the latest plan, and that plan's latest check. */
export const DogCard = z.object({ dog: Dog, girths: z.array(Taping), plan: Plan.nullable(), check: FitCheck.nullable() });
export type DogCard = z.infer<typeof DogCard>;

export const DogsPage = z.object({ dogs: z.array(DogCard) });
export type DogsPage = z.infer<typeof DogsPage>;

/** A dog with its whole record, oldest first, and the kennel's collars. */
export const DogPage = z.object({
  dog: Dog,
  tapings: z.array(Taping),
  plans: z.array(Plan),
  checks: z.array(FitCheck),
  collars: z.array(Collar),
});
export type DogPage = z.infer<typeof DogPage>;

export const CollarsPage = z.object({ collars: z.array(Collar) });
export type CollarsPage = z.infer<typeof CollarsPage>;
