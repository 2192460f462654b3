import type { PeoplePage } from '@banter/contract';
import { technicalError, type Finger } from '@banter/core';
import { PersonEntity, type PersonRow } from '../data/entities/person.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import type { KennelScope } from './kennel-scope.ts';

/** Somebody's own finger, or null until they have measured it. */
export function fingerOf({ fingerThicknessMm, fingerWidthMm }: Pick<PersonRow, 'fingerThicknessMm' | 'fingerWidthMm'>): Finger | null {
  return fingerThicknessMm === null || fingerWidthMm === null ? null : { thicknessMm: fingerThicknessMm, widthMm: fingerWidthMm };
}

/** The people of a kennel with their fingers, and for each month how well their readings of girths agree. */
export async function peoplePage(scope: KennelScope): Promise<PeoplePage> {
  const people = await scope.all(PersonEntity, {}, { createdAt: 'ASC', id: 'ASC' });
  const tapings = await scope.all(TapingEntity, {}, { at: 'ASC', id: 'ASC' });
  return {
    people: people.map((person) => {
      const byMonth = new Map<string, number[][]>();
      for (const { personId, basis, at, readingsMm } of tapings) {
        if (personId !== person.id || basis === 'length') continue;
        const month = at.toISOString().slice(0, 7);
        byMonth.set(month, [...(byMonth.get(month) ?? []), readingsMm]);
      }
      return {
        id: person.id,
        name: person.name,
        finger: fingerOf(person),
        tape: [...byMonth].map(([month, sets]) => {
          const { tem, percent } = technicalError(sets);
          return { month, sets: sets.length, temMm: tem, temPercent: percent };
        }),
      };
    }),
  };
}
