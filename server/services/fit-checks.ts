import { collarKind, houseOf, ProngNumbers, type FitCheck, type NewFitCheck } from '@banter/contract';
import { FitCheckEntity, type FitCheckRow } from '../data/entities/fit-check.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { keptAnswers, keptNow } from './kept.ts';
import { fitLinks } from './links.ts';
import { readable } from './readable.ts';
import type { AppendedKind } from './record-base.ts';

async function compute(scope: KennelScope, id: string, sent: NewFitCheck): Promise<Omit<FitCheckRow, 'kennelId'>> {
  // Two people checking at once get attempts of their own: the plan is held while the attempt is counted.
  const plan = await scope.hold(PlanEntity, sent.planId);
  if (plan.dogId !== sent.dogId || plan.kind !== sent.kind) throw badField('planId', 'This plan is not one for this dog and collar.');
  if (readable(scope, 'plan', [plan]).length === 0) throw badField('planId', 'This plan cannot be read any more: decide the fit anew.');
  const kind = collarKind(sent.kind);
  const { rules } = houseOf(await kennelOf(scope), await scope.get(DogEntity, plan.dogId));
  const before = await scope.all(FitCheckEntity, { planId: plan.id }, { attempt: 'ASC' });
  const earlier = readable(scope, 'fitCheck', before);
  const { collar } = plan.inputs;
  if (sent.kind === 'prong') {
    const { left, right } = sent.on as { left: number; right: number };
    await fitLinks(scope, { id: collar.id, gaugeMm: ProngNumbers.parse(collar.numbers).gaugeMm }, left + right, sent.at);
  }
  const outcome = kind.check(plan.inputs.dog, collar, plan.choices, sent.on, sent.answers, earlier, rules);
  return { ...sent, id, attempt: before.length + 1, outcome, ...keptNow(scope, sent.at, rules) };
}

export const fitCheckKind: AppendedKind<FitCheckRow, NewFitCheck, FitCheck> = {
  entity: FitCheckEntity,
  compute,
  sentOf: (row) => ({
    dogId: row.dogId,
    planId: row.planId,
    kind: row.kind,
    on: row.on,
    answers: row.answers,
    note: row.note,
    at: row.at.toISOString(),
  }),
  toAnswers: async (scope, rows) => readable(scope, 'fitCheck', await keptAnswers(scope, rows)),
};
