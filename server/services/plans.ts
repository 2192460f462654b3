import { collarKind, fittingDog, latestGirths, type NewPlan, type Plan } from '@banter/contract';
import { contractSpeaker } from '@banter/core';
import { IsNull } from 'typeorm';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PlanEntity, type PlanRow } from '../data/entities/plan.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf, rulesOf } from './kennels.ts';
import { keptAnswers, keptNow } from './kept.ts';
import type { AppendedKind } from './record-base.ts';
import { tapingKind } from './tapings.ts';

async function compute(scope: KennelScope, id: string, sent: NewPlan): Promise<Omit<PlanRow, 'kennelId'>> {
  const dog = await scope.get(DogEntity, sent.dogId);
  const collar = await scope.find(CollarEntity, sent.collarId);
  if (!collar || collar.kind !== sent.kind) throw badField('collarId', 'This collar is not in the locker.');
  if (collar.retiredAt) throw badField('collarId', 'This collar has been scrapped.');
  const girths = latestGirths(await tapingKind.toAnswers(scope, await scope.all(TapingEntity, { dogId: dog.id }, { at: 'ASC' })));
  const facts = fittingDog(dog, girths);
  const kind = collarKind(sent.kind);
  const [missing] = kind.missing(facts);
  if (missing) throw badField('dogId', missing);
  const stock = await scope.all(CollarEntity, { kind: sent.kind, retiredAt: IsNull() }, { name: 'ASC', id: 'ASC' });
  const rules = rulesOf(await kennelOf(scope));
  const outcome = kind.plan(facts, collar, stock, sent.choices, rules);
  if (outcome.blocked) throw badField('choices', kind.planReasons(outcome, contractSpeaker)[0]?.text ?? 'This must not be worn.');
  if (!outcome.keep && sent.note.trim() === '') throw badField('note', 'This does not fit as it is; say in a note why it is kept all the same.');
  return {
    ...sent,
    id,
    inputs: {
      dog: facts,
      tapingIds: Object.values(girths).map((taping) => taping.id),
      collar: { id: collar.id, name: collar.name, numbers: collar.numbers },
    },
    outcome,
    ...keptNow(scope, sent.at, rules),
  };
}

export const planKind: AppendedKind<PlanRow, NewPlan, Plan> = {
  entity: PlanEntity,
  compute,
  sentOf: (row) => ({
    dogId: row.dogId,
    collarId: row.collarId,
    kind: row.kind,
    choices: row.choices,
    note: row.note,
    at: row.at.toISOString(),
  }),
  toAnswers: keptAnswers,
};
