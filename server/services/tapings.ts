import { broughtUp, takenTaping, type NewTaping, type Taping } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { TapingEntity, type TapingRow } from '../data/entities/taping.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf, rulesOf } from './kennels.ts';
import { keptAnswers, keptNow } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

async function compute(scope: KennelScope, id: string, sent: NewTaping): Promise<Omit<TapingRow, 'kennelId'>> {
  await scope.get(DogEntity, sent.dogId);
  if (sent.correctsId !== null) {
    const corrected = await scope.find(TapingEntity, sent.correctsId);
    if (!corrected || corrected.dogId !== sent.dogId || corrected.site !== sent.site) {
      throw badField('correctsId', 'What this corrects is not a taping of the same site of this dog.');
    }
  }
  const rules = rulesOf(await kennelOf(scope));
  return { ...sent, id, ...takenTaping(sent, rules), ...keptNow(scope, sent.at, rules) };
}

export const tapingKind: AppendedKind<TapingRow, NewTaping, Taping> = {
  entity: TapingEntity,
  compute,
  sentOf: (row) => ({
    dogId: row.dogId,
    site: row.site,
    way: row.way,
    readingsMm: row.readingsMm,
    typed: row.typed,
    overCoat: row.overCoat,
    coatDepthMm: row.coatDepthMm,
    weightG: row.weightG,
    neckBuild: row.neckBuild,
    at: row.at.toISOString(),
    correctsId: row.correctsId,
    settled: row.settled,
  }),
  toAnswers: async (scope, rows) => (await keptAnswers(scope, rows)).map((taping) => broughtUp('tapings', taping)),
};
