import { isDeepStrictEqual } from 'node:util';
import { birthDateFault, type Dog, type DogFacts } from '@banter/contract';
import { DateTime } from 'luxon';
import { DogEntity, type DogRow } from '../data/entities/dog.ts';
import { badField, Failure } from './failure.ts';
import { kennelOf } from './kennels.ts';
import type { VersionedKind } from '../records/record-base.ts';
import { weighedOnForm } from './weighings.ts';

export function dogAnswer({ kennelId: _kennel, archivedAt, ...row }: DogRow): Dog {
  return { ...row, archivedAt: archivedAt && archivedAt.toISOString() };
}

export const dogKind: VersionedKind<DogRow, DogFacts, Dog> = {
  entity: DogEntity,
  toColumns: ({ archivedAt, ...facts }) => ({ ...facts, archivedAt: archivedAt === null ? null : new Date(archivedAt) }),
  toAnswer: dogAnswer,
  after: weighedOnForm,
  admit: async (facts, scope, _id, before) => {
    if (scope.role !== 'lead') {
      const said = (what: string) => new Failure('not-allowed', { detail: `Only a lead ${what}.` });
      if ((facts.archivedAt === null) !== ((before?.archivedAt ?? null) === null)) throw said('takes a dog off the list or puts it back');
      if (!isDeepStrictEqual(facts.house, before?.house ?? null)) throw said('gives a dog schools and limits of its own');
    }
    const { timeZone } = await kennelOf(scope);
    const fault = birthDateFault(facts.bornOn, DateTime.now().setZone(timeZone).toISODate()!);
    if (fault) throw badField('bornOn', fault);
  },
};
