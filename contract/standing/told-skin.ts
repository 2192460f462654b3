import { skinStanding, type SkinGrade } from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import { ringAtFor } from '../neck/drawn-collar.ts';
import type { Dog } from '../records/dog.ts';
import { houseOf, type Kennel } from '../records/kennel.ts';
import type { SkinLook } from '../records/skin-look.ts';
import { skinLooksOf } from './skin.ts';

/** The skin under a collar as it was told beside something else; `skinAt` is the clock place, null where nobody said. */
export type ToldSkin = { grade: SkinGrade; skinAt: number | null };
/** The fit that it was under; `lastAt`: where its contacts sat last, null where nobody told or it has none. */
export type SkinUnder = { kind: CollarKindName; choices: unknown; on?: unknown; lastAt: number | null };

/** Where that skin is: where the contacts sat last, or as they were set; of a collar without contacts the place that was said, else where it closes. */
function placeUnder({ kind, choices, on, lastAt }: SkinUnder, skinAt: number | null, dog: Pick<Dog, 'worksOn' | 'house'>, kennel: Kennel): number | null {
  if (!collarKind(kind).traits.wear.contacts) return skinAt ?? ringAtFor(kind, choices, houseOf(kennel, dog), dog.worksOn);
  const set = lastAt ?? (on as { clock?: unknown } | undefined)?.clock;
  return typeof set === 'number' ? set : null;
}

/**
 * Looks at the skin that are told beside a check or an owner’s day: one, at the place under the collar; and where that is clear under a collar that
 * lies all round, wherever it was flagged under such a one. None where nobody knows the place. `before`: what was seen of this dog's skin, oldest first.
 */
export function skinTold(
  { grade, skinAt }: ToldSkin,
  under: SkinUnder,
  of: {
    dog: Pick<Dog, 'worksOn' | 'house'>;
    kennel: Kennel;
    at: number;
    before: readonly (Pick<SkinLook, 'clock' | 'grade' | 'under'> & { at: string | Date })[];
  },
): Pick<SkinLook, 'clock' | 'under' | 'grade'>[] {
  const clock = placeUnder(under, skinAt, of.dog, of.kennel);
  if (clock === null) return [];
  const { skinUnder, wear } = collarKind(under.kind).traits;
  const here = { clock, under: skinUnder, grade };
  if (grade !== 0 || wear.contacts) return [here];
  const alike = of.before.filter((look) => look.under === skinUnder);
  const { flags } = skinStanding(skinLooksOf(alike), of.at, houseOf(of.kennel, of.dog).rules);
  return [here, ...flags.flatMap((one) => (one.clock % 12 === clock % 12 ? [] : [{ ...here, clock: one.clock }]))];
}
