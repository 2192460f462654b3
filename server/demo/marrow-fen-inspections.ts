import { GEAR_INSPECTIONS, inspectionOf } from '@banter/contract';
import { type InspectionSpec, MINUTE_MS } from '@banter/core';
import { CollarEntity } from '../data/entities/collar.ts';
import { GearEntity } from '../data/entities/gear.ts';
import { inspectionKind } from '../services/inspections.ts';
import type { KennelScope } from '../services/kennel-scope.ts';
import { putAppended } from '../records/record-base.ts';

/** What was found on a piece, by its name, where not all was good; how long ago each was looked at. The others: eleven to twenty-five days. */
const FOUND: Record<string, { daysAgo: number; answers?: Record<string, string>; note?: string }> = {
  'Old six-foot': { daysAgo: 12, answers: { stitching: 'bad' }, note: 'Stitching at the handle.' },
  Hazel: { daysAgo: 33 },
  Curlew: { daysAgo: 18, answers: { posts: 'bad' }, note: 'One post was loose; tightened on the spot.' },
};
/** Nobody has looked at these whole. */
const NEVER = new Set(['Rush', 'Blue thirty', 'Thistle']);

/** The gear as it was looked at. */
export async function seedInspections(
  scopes: readonly KennelScope[],
  make: { ago: (days: number, minutes?: number) => Date; id: (at: Date) => string },
): Promise<void> {
  const [scope] = scopes;
  const byName = { name: 'ASC' } as const;
  const collars = (await scope!.all(CollarEntity, {}, byName)).map((one) => ({
    id: one.id,
    of: 'collarId' as const,
    name: one.name,
    spec: inspectionOf(one),
  }));
  const gear = (await scope!.all(GearEntity, {}, byName)).map((one) => ({
    id: one.id,
    of: 'gearId' as const,
    name: one.name,
    spec: GEAR_INSPECTIONS[one.what],
  }));
  const allGood = ({ items }: InspectionSpec) => Object.fromEntries(items.map(({ id, finds }) => [id, finds[0]!.value]));
  for (const [index, piece] of [...collars, ...gear].entries()) {
    if (NEVER.has(piece.name)) continue;
    const { daysAgo = 11 + ((index * 5) % 15), answers = {}, note = '' } = FOUND[piece.name] ?? {};
    const at = make.ago(daysAgo, 4 * index);
    const id = make.id(at);
    const sent = { collarId: null, gearId: null, [piece.of]: piece.id, answers: { ...allGood(piece.spec), ...answers }, note, at: at.toISOString() };
    await putAppended(scopes[index % scopes.length]!, inspectionKind, id, sent);
    // The loose post was tightened, and looked at once more.
    if (answers.posts) {
      const again = new Date(at.getTime() + 20 * MINUTE_MS);
      await putAppended(scopes[index % scopes.length]!, inspectionKind, make.id(again), {
        ...sent,
        answers: allGood(piece.spec),
        note: 'Tight.',
        at: again.toISOString(),
      });
    }
  }
}
