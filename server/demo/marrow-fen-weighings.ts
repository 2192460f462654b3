import type { EntityManager } from 'typeorm';
import { WeighingEntity } from '../data/entities/weighing.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { putAppended } from '../records/record-base.ts';
import { weighingKind } from '../services/weighings.ts';
import { TOLD_DOGS } from './marrow-fen-dogs.ts';

/** Weighings beside those that went with a tape: how long ago, and kg. Sorrel’s have a gap, and one was typed wrong. */
const TOLD_WEIGHINGS: Record<string, readonly (readonly [daysAgo: number, kg: number])[]> = {
  sorrel: [
    [140, 6.9],
    [133, 7.9],
    [126, 8.8],
    [35, 2.17],
  ],
  hale: [[40, 38.4]],
  bramble: [[44, 29.2]],
};

/** The dogs on the scales, as it happened. */
export async function seedWeighings(
  manager: EntityManager,
  scopes: readonly KennelScope[],
  dogIds: ReadonlyMap<string, string>,
  make: { ago: (days: number, minutes?: number) => Date; id: (at: Date) => string },
): Promise<void> {
  for (const { key, facts, tapings } of TOLD_DOGS) {
    const dogId = dogIds.get(key)!;
    // What the form of a new dog kept as weighed this minute was weighed earlier.
    await manager.delete(WeighingEntity, { kennelId: scopes[0]!.kennelId, dogId });
    const withTape = new Map(tapings.flatMap(({ daysAgo, weightKg }) => (weightKg === undefined ? [] : [[daysAgo, weightKg] as const])));
    const own = [...withTape, ...(TOLD_WEIGHINGS[key] ?? [])];
    const all = own.some(([daysAgo]) => daysAgo < 30) ? own : [...own, [Math.min(30, ...tapings.map(({ daysAgo }) => daysAgo), 30), facts.weightKg] as const];
    for (const [daysAgo, kg] of [...all].sort((a, b) => b[0] - a[0])) {
      const at = make.ago(daysAgo, -25);
      await putAppended(scopes[1]!, weighingKind, make.id(at), { dogId, weightG: Math.round(kg * 1000), correctsId: null, note: '', at: at.toISOString() });
    }
  }
}
