import type { Hours, HoursFacts } from '@banter/contract';
import { HoursEntity, type HoursRow } from '../data/entities/calendar.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import type { VersionedKind } from '../records/record-base.ts';

export const hoursKind: VersionedKind<HoursRow, HoursFacts, Hours> = {
  entity: HoursEntity,
  toColumns: (facts) => facts,
  toAnswer: ({ kennelId: _kennel, ...row }) => row,
  admit: async ({ personId }, scope, id) => {
    if (personId === null && id !== scope.kennelId) throw badField('id', 'The kennel’s hours are kept under its own id.');
    if (personId !== null && id !== personId) throw badField('id', 'Somebody’s hours are kept under their own id.');
    if (personId !== null) await scope.get(PersonEntity, personId);
  },
};

/** The hours kept under an id, the kennel's or somebody's. */
export async function hoursOf(scope: KennelScope, id: string): Promise<Hours | null> {
  const row = await scope.find(HoursEntity, id);
  return row && hoursKind.toAnswer(row);
}

/** Everybody who handles or did before they left, in the order in which they came. */
export async function handsOf(scope: KennelScope): Promise<{ id: string; name: string; left: boolean }[]> {
  return (await scope.all(PersonEntity, {}, { createdAt: 'ASC', id: 'ASC' })).map(({ id, name, leftAt }) => ({ id, name, left: leftAt !== null }));
}
