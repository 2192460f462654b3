import {
  collarKind,
  fitKind,
  fittingDog,
  houseOf,
  latestGirths,
  stockForEach,
  wornByKind,
  type Collar,
  type DogCard,
  type KennelSettings,
  type KindFit,
} from '@banter/contract';
import type { Finger, Speaker } from '@banter/core';

/** What a change of the house's schools or limits would mean for one dog and kind, in words. */
export type Impact = { dog: string; kind: string; worn: boolean; before: string; after: string };

const told = (fit: KindFit) => `${fit.verdict}${fit.line ? `: ${fit.collarName}, ${fit.line}` : ''}`;

/**
 * The dogs and kinds for which Banter would take something else, or say something else of it, under changed settings; what is
 * worn now first. Dogs that are not taped, kinds not in the locker, and dogs that are put away are left out.
 */
export function impactOf(
  { dogs, collars }: { dogs: readonly DogCard[]; collars: readonly Collar[] },
  before: KennelSettings,
  after: KennelSettings,
  who: { finger: Finger | null; today: string },
  speak: Speaker,
): Impact[] {
  const stockFor = stockForEach(collars);
  const found: Impact[] = [];
  for (const { dog, girths, fits } of dogs) {
    if (dog.archivedAt !== null || girths.length === 0) continue;
    const facts = fittingDog(dog, latestGirths(girths), who);
    const stock = stockFor(dog);
    for (const kind of Object.keys(stock) as (keyof typeof stock)[]) {
      const [was, would] = [before, after].map((settings) => fitKind(kind, dog.name, facts, stock, houseOf(settings, dog), speak, wornByKind(fits)));
      if (was!.missing.length > 0 || told(was!) === told(would!)) continue;
      found.push({
        dog: dog.name,
        kind: collarKind(kind).name.toLowerCase(),
        worn: fits.some(({ plan }) => plan.kind === kind),
        before: told(was!),
        after: told(would!),
      });
    }
  }
  return found.sort((a, b) => Number(b.worn) - Number(a.worn));
}
