import { collarKind, houseOf, ringAtFor, skinLooksOf, type CollarKindName, type Dog, type Kennel } from '@banter/contract';
import { skinStanding, type SkinGrade } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { SkinLookEntity, type SkinLookRow } from '../data/entities/skin-look.ts';
import type { KennelScope } from './kennel-scope.ts';
import { wearsOfCollar } from './wears-of-collar.ts';

/** The skin under a collar as it was told beside something else; `skinAt` is the clock place, null where nobody said. */
export type ToldSkin = { grade: SkinGrade; skinAt: number | null; note?: string };
/** The fit that it was under. */
type Under = { kind: CollarKindName; collarId: string; choices: unknown; on?: unknown };
type Teller = Pick<SkinLookRow, 'id' | 'at' | 'recordedAt' | 'personId' | 'linkId'>;

/** Where that skin is: where the contacts sat last, or as they were set; of a collar without contacts the place that was said, else where it closes. */
async function placeUnder(scope: KennelScope, dog: Dog, kennel: Kennel, { kind, collarId, choices, on }: Under, skinAt: number | null, at: Date) {
  if (!collarKind(kind).traits.wear.contacts) return skinAt ?? ringAtFor(kind, choices, houseOf(kennel, dog), dog.worksOn);
  const last = (await wearsOfCollar(scope, dog.id, collarId, at)).at(-1)?.places.at(-1)?.value;
  const set = last ?? (on as { clock?: unknown } | undefined)?.clock;
  return typeof set === 'number' ? set : null;
}

/**
 * What is told of the skin beside a check or an owner’s day is one look at the skin, under the teller’s own id: nothing is asked twice.
 * Clear under a collar that lies all round is clear wherever it was flagged under such a one.
 */
export async function tellSkin(
  scope: KennelScope,
  teller: Teller,
  dog: Dog,
  kennel: Kennel,
  under: Under,
  { grade, skinAt, note = '' }: ToldSkin,
): Promise<void> {
  const clock = await placeUnder(scope, dog, kennel, under, skinAt, teller.at);
  if (clock === null) return;
  const { skinUnder, wear } = collarKind(under.kind).traits;
  const look = (place: number, id: string) =>
    scope.insert(SkinLookEntity, { ...teller, id, dogId: dog.id, clock: place, under: skinUnder, grade, sore: null, note, photoId: null });
  await look(clock, teller.id);
  if (grade !== 0 || wear.contacts) return;
  const before = await scope.all(SkinLookEntity, { dogId: dog.id, under: skinUnder }, { at: 'ASC', id: 'ASC' });
  const { flags } = skinStanding(skinLooksOf(before), teller.at.getTime(), houseOf(kennel, dog).rules);
  for (const one of flags) if (one.clock % 12 !== clock % 12) await look(one.clock, uuidv7());
}
