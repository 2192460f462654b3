import type { Dressing, DressingFacts } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { DressingEntity, type DressingRow } from '../data/entities/dressing.ts';
import type { VersionedKind } from './record-base.ts';

export function dressingAnswer({ kennelId: _kennel, ...row }: DressingRow): Dressing {
  return row;
}

export const dressingKind: VersionedKind<DressingRow, DressingFacts, Dressing> = {
  entity: DressingEntity,
  toColumns: (facts) => facts,
  toAnswer: dressingAnswer,
  // Under the dog's own id: there is one for each dog of the kennel, and none for any other.
  admit: async (_facts, scope, id) => {
    await scope.get(DogEntity, id);
  },
};
