import { rigPieces, type DogCard } from '@banter/contract';
import type { Condition } from '@banter/core';
import { CollarEntity } from '../data/entities/collar.ts';
import { DressingEntity } from '../data/entities/dressing.ts';
import { GearEntity } from '../data/entities/gear.ts';
import type { WornPiece } from '../standings/standing-kind.ts';
import { gearAnswer } from './gear.ts';
import type { KennelScope } from './kennel-scope.ts';

/** What dogs wear, by dog: the collars of their fits, and the pieces of the locker that hang in their rigs. */
export async function wornByDogs(scope: KennelScope, cards: readonly Pick<DogCard, 'dog' | 'fits'>[]): Promise<Map<string, WornPiece[]>> {
  const dressings = new Map(
    (
      await scope.someOf(
        DressingEntity,
        cards.map(({ dog }) => dog.id),
      )
    ).map((one) => [one.id, one]),
  );
  const gearIds = [...new Set([...dressings.values()].flatMap(({ rig }) => rig.flatMap(({ gearId }) => gearId ?? [])))];
  const gear = (await scope.someOf(GearEntity, gearIds)).map(gearAnswer);
  return new Map(
    cards.map(({ dog, fits }) => [
      dog.id,
      [
        ...fits.map(({ plan, check }) => ({ pieceId: plan.collarId, lookedAt: check?.at ?? null })),
        ...rigPieces(dressings.get(dog.id) ?? null, gear).map(({ piece }) => ({ pieceId: piece.id, lookedAt: null })),
      ],
    ]),
  );
}

/** Worn pieces as the locker has them: how they were found last, and whether they have been scrapped. */
export async function piecesOf(
  scope: KennelScope,
  worn: ReadonlyMap<string, readonly WornPiece[]>,
): Promise<Map<string, { name: string; condition: Condition; scrapped: boolean }>> {
  const ids = [...new Set([...worn.values()].flat().map(({ pieceId }) => pieceId))];
  const rows = [...(await scope.someOf(CollarEntity, ids)).filter(({ owned }) => owned), ...(await scope.someOf(GearEntity, ids))];
  return new Map(rows.map(({ id, name, condition, retiredAt }) => [id, { name, condition, scrapped: retiredAt !== null }]));
}
