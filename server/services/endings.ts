import type { Ending, NewEnding } from '@banter/contract';
import { EndingEntity, type EndingRow } from '../data/entities/ending.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { badField } from './failure.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

export const endingKind: AppendedKind<EndingRow, NewEnding, Ending> = {
  entity: EndingEntity,
  compute: async (scope, id, sent) => {
    const plan = await scope.get(PlanEntity, sent.planId);
    if (plan.dogId !== sent.dogId) throw badField('planId', 'This fit is not one of this dog.');
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ dogId, planId, ended, note, at }) => ({ dogId, planId, ended, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};
