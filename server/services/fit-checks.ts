import { broughtUp, collarKind, linksOf, takenCheck, type Dog, type Kennel, type FitCheck, type NewFitCheck } from '@banter/contract';
import { FitCheckEntity, type FitCheckRow } from '../data/entities/fit-check.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { PlanEntity, type PlanRow } from '../data/entities/plan.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { dogAnswer } from './dogs.ts';
import { badField } from './failure.ts';
import { toldByHand } from './happenings/kept-happenings.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { happenedNow, keptAnswers, keptNow } from '../records/kept.ts';
import { fitLinks } from './links.ts';
import { readable } from './readable.ts';
import type { AppendedKind } from '../records/record-base.ts';
import { tapingKind } from './tapings.ts';
import { tellSkin } from './told-skin.ts';
import { standingChecks, standingTapings } from './what-counts.ts';

async function compute(scope: KennelScope, id: string, sent: NewFitCheck): Promise<Omit<FitCheckRow, 'kennelId'>> {
  // Two people checking at once get attempts of their own: the plan is held while the attempt is counted.
  const plan = broughtUp('plans', await scope.hold(PlanEntity, sent.planId));
  if (plan.dogId !== sent.dogId || plan.kind !== sent.kind) throw badField('planId', 'This plan is not one for this dog and collar.');
  if (readable(scope, 'plan', [plan]).length === 0) throw badField('planId', 'This plan cannot be read any more: decide the fit again.');
  const [kennel, dog] = [await kennelOf(scope), await scope.get(DogEntity, plan.dogId)];
  const before = await standingChecks(scope, [plan.id]);
  const earlier = readable(
    scope,
    'fitCheck',
    before.map((check) => broughtUp('fitChecks', check)),
  );
  const { collar } = plan.inputs;
  const links = linksOf({ kind: sent.kind, numbers: collar.numbers });
  if (links) await fitLinks(scope, { id: collar.id, gaugeMm: links.gaugeMm }, links.inIt(sent.on), sent.at);
  const tapings = await tapingKind.toAnswers(scope, await standingTapings(scope, [dog.id], 1));
  const [answeredDog, answeredKennel] = [dogAnswer(dog), kennelAnswer(kennel)];
  const { outcome, rules } = takenCheck(sent, { plan, earlier, dog: answeredDog, tapings, kennel: answeredKennel });
  await tellBesides(scope, id, sent, plan, answeredDog, answeredKennel);
  return { ...sent, id, attempt: (before.at(-1)?.attempt ?? 0) + 1, outcome, ...keptNow(scope, sent.at, rules) };
}

/** What a check answers of contact and skin is told where contact and skin are told, under the check's own id: nothing is asked twice. */
async function tellBesides(
  scope: KennelScope,
  id: string,
  { kind, answers, on, at }: NewFitCheck,
  plan: Pick<PlanRow, 'collarId' | 'choices'>,
  dog: Dog,
  kennel: Kennel,
) {
  const { contactMade, skin, skinAt } = collarKind(kind).tells(answers);
  const happened = happenedNow(scope, at);
  if (contactMade !== null) {
    await scope.insert(HappeningEntity, toldByHand({ id, event: 'contact', collarId: plan.collarId, data: { made: contactMade } }, happened));
  }
  if (skin !== null) await tellSkin(scope, { id, linkId: null, ...happened }, dog, kennel, { ...plan, kind, on }, { grade: skin, skinAt });
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
  toAnswers: async (scope, rows) =>
    readable(
      scope,
      'fitCheck',
      (await keptAnswers(scope, rows)).map((record) => broughtUp('fitChecks', record)),
    ),
};
