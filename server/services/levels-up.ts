import type { DeviceStanding, DogDueFacts } from '@banter/contract';
import { DAY_MS } from '@banter/core';

/** Levels speak of dogs that worked of late. */
export const WORKED_DAYS = 7;

/** Dogs that worked of late and need more than they did. */
export function levelsUp(
  cards: DogDueFacts['cards'],
  levels: ReadonlyMap<string, DeviceStanding[]>,
  nameOf: (collarId: string) => string,
  now: Date,
): DogDueFacts['levels'] {
  const lately = now.getTime() - WORKED_DAYS * DAY_MS;
  return cards.flatMap(({ dog }) =>
    (levels.get(dog.id) ?? [])
      .filter(({ settings }) => settings.some(({ workedAt }) => (workedAt ?? 0) >= lately))
      .flatMap(({ collarId, settings }) =>
        settings.flatMap(({ name, reason, look }) =>
          // Once the cause is found there is nothing left to ask; contact that was lost is due until it is good.
          reason.code === 'needs-more' && look !== null && (look.found === null || look.found === 'contact')
            ? [{ dogId: dog.id, dogName: dog.name, device: nameOf(collarId), setting: name, reason, look }]
            : [],
        ),
      ),
  );
}
