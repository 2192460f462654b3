import { collarKind, skinTold, type Dog, type Kennel, type SkinUnder, type ToldSkin } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { SkinLookEntity, type SkinLookRow } from '../data/entities/skin-look.ts';
import type { KennelScope } from './kennel-scope.ts';
import { lastWearOf } from './latest-wears.ts';

type Teller = Pick<SkinLookRow, 'id' | 'at' | 'recordedAt' | 'personId' | 'linkId'>;

/** Keeps what is told of the skin beside a check or an owner’s day as looks at the skin, the first under the teller’s own id: nothing is asked twice. */
export async function tellSkin(
  scope: KennelScope,
  teller: Teller,
  dog: Dog,
  kennel: Kennel,
  { collarId, ...under }: Omit<SkinUnder, 'lastAt'> & { collarId: string },
  { note = '', ...told }: ToldSkin & { note?: string },
): Promise<void> {
  const { wear, skinUnder } = collarKind(under.kind).traits;
  const lastAt = wear.contacts ? ((await lastWearOf(scope, dog.id, collarId, teller.at))?.places.at(-1)?.value ?? null) : null;
  const before = told.grade === 0 ? await scope.all(SkinLookEntity, { dogId: dog.id, under: skinUnder }, { at: 'ASC', id: 'ASC' }) : [];
  const looks = skinTold(told, { ...under, lastAt }, { dog, kennel, at: teller.at.getTime(), before });
  for (const [index, look] of looks.entries())
    await scope.insert(SkinLookEntity, { ...teller, ...look, id: index === 0 ? teller.id : uuidv7(), dogId: dog.id, sore: null, note, photoId: null });
}
