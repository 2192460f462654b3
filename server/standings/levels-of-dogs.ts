import { isDevice, type DeviceStanding, type Kennel } from '@banter/contract';
import type { DogsPage } from '../services/dog-pages.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { standingsOf } from './kept-standings.ts';
import { LEVELS_STANDING } from './levels-standing.ts';

/** What stands of the levels of dogs that are fitted with a device, by dog: of those devices. */
export async function levelsOfDogs(scope: KennelScope, { dogs }: Pick<DogsPage, 'dogs'>, kennel: Kennel, now: Date): Promise<Map<string, DeviceStanding[]>> {
  const fitted = new Map(
    dogs
      .map(({ dog, fits }) => [dog.id, new Set(fits.flatMap(({ plan }) => (isDevice(plan.kind) ? [plan.collarId] : [])))] as const)
      .filter(([, ids]) => ids.size > 0),
  );
  const kept = await standingsOf(scope, LEVELS_STANDING, [...fitted.keys()], kennel, now);
  return new Map([...fitted].map(([id, ids]) => [id, (kept.get(id) ?? []).filter(({ collarId }) => ids.has(collarId))]));
}
