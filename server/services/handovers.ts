import { handoverSheet, type Handover, type HandoversPage, type NewHandover } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { HandoverEntity, OwnerLinkEntity, OwnerVisitEntity, type HandoverRow } from '../data/entities/handover.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf, rulesOf } from './kennels.ts';
import { keptAnswers, keptNow } from '../records/kept.ts';
import { levelsPage } from './levels.ts';
import { neckPage } from './neck-page.ts';
import { ownerLinkKind, visitAnswer } from './owner-links.ts';
import { readable } from './readable.ts';
import type { AppendedKind } from '../records/record-base.ts';

export const handoverKind: AppendedKind<HandoverRow, NewHandover, Handover> = {
  entity: HandoverEntity,
  compute: async (scope, id, sent) => {
    await scope.get(DogEntity, sent.dogId);
    const now = new Date();
    const kennel = kennelAnswer(await kennelOf(scope));
    const [neck, levels] = [await neckPage(scope, sent.dogId, now), await levelsPage(scope, sent.dogId, now)];
    return { ...sent, id, sheet: handoverSheet(neck, levels, kennel, sent, now.getTime()), ...keptNow(scope, sent.at, rulesOf(kennel)) };
  },
  sentOf: ({ dogId, toWhom, callWhom, lengthUnit, massUnit, note, at }) => ({ dogId, toWhom, callWhom, lengthUnit, massUnit, note, at: at.toISOString() }),
  toAnswers: async (scope, rows) => readable(scope, 'handover', await keptAnswers(scope, rows)),
};

/** Visits that are shown. */
const SHOWN_VISITS = 200;

/** What was handed over of a dog, the latest first, with its owners' links and what was done with them. */
export async function handoversPage(outer: KennelScope, dogId: string): Promise<HandoversPage> {
  const scope = outer.reading();
  const now = new Date();
  const [neck, levels] = [await neckPage(scope, dogId, now), await levelsPage(scope, dogId, now)];
  const [rows, links, visits] = await Promise.all([
    scope.all(HandoverEntity, { dogId }, { at: 'DESC', id: 'DESC' }),
    scope.all(OwnerLinkEntity, { dogId }, { expiresAt: 'DESC', id: 'ASC' }),
    scope
      .query(OwnerVisitEntity)
      .andWhere('record.dogId = :dogId', { dogId })
      .orderBy('record.at', 'DESC')
      .addOrderBy('record.id', 'DESC')
      .take(SHOWN_VISITS)
      .getMany(),
  ]);
  return { neck, levels, handovers: await handoverKind.toAnswers(scope, rows), links: links.map(ownerLinkKind.toAnswer), visits: visits.map(visitAnswer) };
}
