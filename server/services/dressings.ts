import { RIG_CATALOGUE, type Dressing, type DressingFacts } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { DressingEntity, type DressingRow } from '../data/entities/dressing.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { badField } from './failure.ts';
import type { VersionedKind } from '../records/record-base.ts';

export function dressingAnswer({ kennelId: _kennel, ...row }: DressingRow): Dressing {
  return row;
}

export const dressingKind: VersionedKind<DressingRow, DressingFacts, Dressing> = {
  entity: DressingEntity,
  toColumns: (facts) => facts,
  toAnswer: dressingAnswer,
  // Under the dog's own id: there is one for each dog of the kennel, and none for any other.
  admit: async ({ rig }, scope, id) => {
    await scope.get(DogEntity, id);
    const named = rig.flatMap(({ gearId, kind }, index) => (gearId === null ? [] : [{ gearId, what: RIG_CATALOGUE.parts[kind]!.gear, index }]));
    const pieces = await scope.someOf(GearEntity, [...new Set(named.map(({ gearId }) => gearId))]);
    for (const { gearId, what, index } of named) {
      const piece = pieces.find(({ id: own }) => own === gearId);
      if (piece?.what !== what) throw badField(`rig.${index}.gearId`, 'There is no such piece in the locker for this part.');
    }
  },
};
