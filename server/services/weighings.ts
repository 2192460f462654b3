import { dayOf, standingWeighings, type Dog, type NewWeighing, type Weighing } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { DogEntity } from '../data/entities/dog.ts';
import { WeighingEntity, type WeighingRow } from '../data/entities/weighing.ts';
import { badField } from './failure.ts';
import { writeDeed } from '../records/deeds.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';
import { HOUR_MS } from '@banter/core';

const weighingsOf = async (scope: KennelScope, dogId: string) =>
  (await scope.all(WeighingEntity, { dogId }, { at: 'ASC', id: 'ASC' })).map((row) => ({ ...row, at: row.at.toISOString() }));

/** The dog weighs what the latest weighing says. */
async function weighAgain(scope: KennelScope, dogId: string): Promise<void> {
  const dog = await scope.hold(DogEntity, dogId);
  const latest = standingWeighings(await weighingsOf(scope, dogId)).at(-1);
  if (latest && latest.weightG !== dog.weightG) await scope.updateAt(DogEntity, dogId, dog.version, { weightG: latest.weightG });
}

export const weighingKind: AppendedKind<WeighingRow, NewWeighing, Weighing> = {
  entity: WeighingEntity,
  compute: async (scope, id, sent) => {
    // Of two weighings at once the second is reckoned with the first.
    const { bornOn } = await scope.hold(DogEntity, sent.dogId);
    const { timeZone } = await kennelOf(scope);
    if (bornOn !== null && dayOf(Date.parse(sent.at), timeZone) < bornOn) throw badField('at', 'The dog was not born then.');
    if (sent.correctsId !== null) {
      const corrected = await scope.find(WeighingEntity, sent.correctsId);
      if (!corrected || corrected.dogId !== sent.dogId) throw badField('correctsId', 'There is no such weighing of this dog.');
    }
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  after: (row, scope) => weighAgain(scope, row.dogId),
  sentOf: ({ dogId, weightG, correctsId, note, at }) => ({ dogId, weightG, correctsId, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

/** A weight written on the dog's own form is a weighing of now; one written over within the hour was a slip, and is corrected. */
const SLIP_MS = HOUR_MS;
export async function weighedOnForm(dog: Dog, scope: KennelScope, before: Pick<Dog, 'weightG'> | null): Promise<void> {
  // A weight that was there before, and may be old, is not weighed now because something else was changed.
  if (before && before.weightG === dog.weightG) return;
  const latest = standingWeighings(await weighingsOf(scope, dog.id)).at(-1);
  if (dog.weightG === null || latest?.weightG === dog.weightG) return;
  const now = new Date();
  const slip = latest && now.getTime() - latest.recordedAt.getTime() < SLIP_MS && latest.personId === scope.personId && latest.note === '';
  const id = uuidv7();
  await scope.insert(WeighingEntity, {
    id,
    dogId: dog.id,
    weightG: dog.weightG,
    correctsId: slip ? latest.id : null,
    note: '',
    personId: scope.personId,
    at: slip ? new Date(latest.at) : now,
    recordedAt: now,
  });
  await writeDeed(scope, { act: 'made', kind: 'weighing', recordId: id, dogId: dog.id });
}

/** All weighings of a dog, oldest first, those that were corrected among them. */
export async function weighingAnswers(scope: KennelScope, dogId: string): Promise<Weighing[]> {
  return keptAnswers(scope, await scope.all(WeighingEntity, { dogId }, { at: 'ASC', id: 'ASC' }));
}
