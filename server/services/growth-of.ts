import { currentFits, dayOf, dogGrowth, isGrowing, type DogDueFacts, type Kennel } from '@banter/contract';
import { benchSpeaker } from '@banter/core';
import { growthPages } from './dog-pages.ts';
import type { KennelScope } from './kennel-scope.ts';

/** What growth will do to what dogs wear now. */
export async function growthOf(
  scope: KennelScope,
  cards: DogDueFacts['cards'],
  kennel: Kennel,
  now: Date,
): Promise<{ growing: Set<string>; growth: DogDueFacts['growth'] }> {
  const today = dayOf(now.getTime(), kennel.timeZone);
  const speak = benchSpeaker(kennel.lengthUnit, kennel.massUnit);
  const growing = new Set(cards.flatMap(({ dog }) => (isGrowing(dog, today) ? [dog.id] : [])));
  const asked = cards.filter(({ dog, fits }) => growing.has(dog.id) && fits.length > 0).map(({ dog }) => dog);
  const growth = (await growthPages(scope, asked)).map((told) => {
    const grown = dogGrowth(told, kennel, { now: now.getTime(), today, speak });
    // Of what is worn now alone: what was set aside is nothing to outgrow.
    const worn = new Set(currentFits({ ...told, collars: [] }).map(({ plan }) => plan.id));
    return {
      dogId: told.dog.id,
      dogName: told.dog.name,
      bornOn: told.dog.bornOn!,
      outgrows: grown.missing === null ? grown.outgrows.filter(({ planId }) => worn.has(planId)) : [],
    };
  });
  return { growing, growth };
}
