import { ProngNumbers, type Collar, type CollarFacts } from '@banter/contract';
import { In } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { CollarEntity, type CollarRow } from '../data/entities/collar.ts';
import { EndingEntity } from '../data/entities/ending.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import type { KennelScope } from './kennel-scope.ts';
import { countCollar } from './links.ts';
import type { VersionedKind } from './record-base.ts';

export function collarAnswer({ kennelId: _kennel, retiredAt, ...row }: CollarRow): Collar {
  return { ...row, retiredAt: retiredAt && retiredAt.toISOString() };
}

export const collarKindOfRecord: VersionedKind<CollarRow, CollarFacts, Collar> = {
  entity: CollarEntity,
  toColumns: ({ retiredAt, ...facts }) => ({ ...facts, retiredAt: retiredAt === null ? null : new Date(retiredAt) }),
  toAnswer: collarAnswer,
  after: async ({ id, kind, name, numbers, retiredAt }, scope) => {
    if (retiredAt !== null) await setAsideScrapped(scope, id, name);
    // Only a prong comes apart into links.
    if (kind !== 'prong') return;
    const { gaugeMm, links } = ProngNumbers.parse(numbers);
    await countCollar(scope, { id, gaugeMm, links, scrapped: retiredAt !== null });
  },
};

/** What has been scrapped, no dog wears any more: its fits are set aside at once. The plans and their checks stay in the record. */
async function setAsideScrapped(scope: KennelScope, collarId: string, name: string): Promise<void> {
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const plans = await scope.all(PlanEntity, { collarId }, byTime);
  if (plans.length === 0) return;
  const endings = await scope.all(EndingEntity, { planId: In(plans.map(({ id }) => id)) }, byTime);
  const ended = new Map(endings.map((one) => [one.planId, one.ended]));
  const now = new Date();
  for (const plan of plans) {
    if (ended.get(plan.id) === true) continue;
    await scope.insert(EndingEntity, {
      id: uuidv7(),
      dogId: plan.dogId,
      planId: plan.id,
      ended: true,
      note: `«${name}» was scrapped.`,
      personId: scope.personId,
      at: now,
      recordedAt: now,
    });
  }
}
