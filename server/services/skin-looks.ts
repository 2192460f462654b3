import type { NewSkinLook, SkinLook } from '@banter/contract';
import { DogEntity } from '../data/entities/dog.ts';
import { PhotoEntity } from '../data/entities/photo.ts';
import { SkinLookEntity, type SkinLookRow } from '../data/entities/skin-look.ts';
import { badField } from './failure.ts';
import { happenedNow, keptAnswers } from './kept.ts';
import type { AppendedKind } from './record-base.ts';

export const skinLookKind: AppendedKind<SkinLookRow, NewSkinLook, SkinLook> = {
  entity: SkinLookEntity,
  compute: async (scope, id, sent) => {
    await scope.get(DogEntity, sent.dogId);
    if (sent.photoId !== null && !(await scope.find(PhotoEntity, sent.photoId))) throw badField('photoId', 'This photo has not been kept.');
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ dogId, clock, under, grade, sore, note, photoId, at }) => ({ dogId, clock, under, grade, sore, note, photoId, at: at.toISOString() }),
  toAnswers: keptAnswers,
};
