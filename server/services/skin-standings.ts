import { houseOf, skinLooksOf, type Dog, type Kennel, type SkinLook, type DogDueFacts } from '@banter/contract';
import { skinStanding, type SkinLook as LookOfCore } from '@banter/core';
import type { KennelScope } from './kennel-scope.ts';

/** The latest look at each place of every dog's neck up to an instant, however long ago, by dog: all that the standing of their skin goes by. */
export async function latestSkin(scope: KennelScope, now: Date, only?: readonly string[]): Promise<Map<string, LookOfCore[]>> {
  if (only?.length === 0) return new Map();
  const rows = await scope.raw<{ dogId: string; clock: number; grade: SkinLook['grade']; at: Date }>(
    `SELECT dogId, clock, grade, at
       FROM (SELECT dogId, clock, grade, at, ROW_NUMBER() OVER (PARTITION BY dogId, MOD(clock, 12) ORDER BY at DESC, grade DESC) AS place
               FROM skin_looks WHERE kennelId = :kennelId AND at <= :now${only ? ' AND dogId IN (:only)' : ''}) looks
      WHERE place = 1`,
    only ? { now, only } : { now },
  );
  const byDog = new Map<string, typeof rows>();
  for (const row of rows) byDog.set(row.dogId, [...(byDog.get(row.dogId) ?? []), row]);
  return new Map([...byDog].map(([dogId, looks]) => [dogId, skinLooksOf(looks.map((look) => ({ ...look, clock: Number(look.clock) })))]));
}

/** The skin of dogs at an instant, each by its own house, out of the latest looks. */
export const skinOfDogs = (looks: ReadonlyMap<string, LookOfCore[]>, dogs: readonly Dog[], kennel: Kennel, now: Date): DogDueFacts['skins'] =>
  dogs.map((dog) => ({ dogId: dog.id, dogName: dog.name, skin: skinStanding(looks.get(dog.id) ?? [], now.getTime(), houseOf(kennel, dog).rules) }));
