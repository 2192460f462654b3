import type { NewSkinLook, SkinLook } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { OwnerLinkEntity } from '../data/entities/handover.ts';
import { PhotoEntity } from '../data/entities/photo.ts';
import { SkinLookEntity, type SkinLookRow } from '../data/entities/skin-look.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

/** Looks as they are answered: an owner's under the name of the link. */
async function skinLookAnswers(scope: KennelScope, rows: SkinLookRow[]): Promise<SkinLook[]> {
  const links = await scope.someOf(OwnerLinkEntity, [...new Set(rows.flatMap(({ linkId }) => linkId ?? []))]);
  const names = new Map(links.map(({ id, name }) => [id, name]));
  return (await keptAnswers(scope, rows)).map((look) => (look.linkId === null ? look : { ...look, personName: names.get(look.linkId) ?? '' }));
}

export const skinLookKind: AppendedKind<SkinLookRow, NewSkinLook, SkinLook> = {
  entity: SkinLookEntity,
  compute: async (scope, id, sent) => {
    await scope.get(DogEntity, sent.dogId);
    if (sent.photoId !== null && !(await scope.find(PhotoEntity, sent.photoId))) throw badField('photoId', 'This photo has not been saved.');
    return { ...sent, id, linkId: null, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ dogId, clock, under, grade, sore, note, photoId, at }) => ({ dogId, clock, under, grade, sore, note, photoId, at: at.toISOString() }),
  toAnswers: skinLookAnswers,
};
