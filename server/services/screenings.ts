import type { Lift, NewLift, NewScreening, Screening } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { LiftEntity, ScreeningEntity, type LiftRow, type ScreeningRow } from '../data/entities/screening.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

export const screeningKind: AppendedKind<ScreeningRow, NewScreening, Screening> = {
  entity: ScreeningEntity,
  compute: async (scope, id, sent) => {
    await scope.get(DogEntity, sent.dogId);
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ dogId, answers, note, at }) => ({ dogId, answers, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

export const liftKind: AppendedKind<LiftRow, NewLift, Lift> = {
  entity: LiftEntity,
  compute: async (scope, id, sent) => {
    await scope.get(DogEntity, sent.dogId);
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ dogId, item, lifted, note, at }) => ({ dogId, item, lifted, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};
