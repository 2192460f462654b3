import { isDeepStrictEqual } from 'node:util';
import { linksOf, type Collar, type CollarFacts } from '@banter/contract';
import { In } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { CollarEntity, type CollarRow } from '../data/entities/collar.ts';
import { EndingEntity } from '../data/entities/ending.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { writeDeed } from '../records/deeds.ts';
import type { KennelScope } from './kennel-scope.ts';
import { bringLinksBack, countCollar, scrapLinks } from './links.ts';
import type { VersionedKind } from '../records/record-base.ts';

export function collarAnswer({ kennelId: _kennel, retiredAt, ...row }: CollarRow): Collar {
  return { ...row, retiredAt: retiredAt && retiredAt.toISOString() };
}

export const collarKindOfRecord: VersionedKind<CollarRow, CollarFacts, Collar> = {
  entity: CollarEntity,
  toColumns: ({ retiredAt, ...facts }) => ({ ...facts, retiredAt: retiredAt === null ? null : new Date(retiredAt) }),
  toAnswer: collarAnswer,
  after: async (now, scope, before) => {
    const { id, kind, name, numbers, owned, retiredAt } = now;
    const scrapped = retiredAt !== null;
    const was = before !== null && before.retiredAt !== null;
    if (scrapped && !was) await setAsideScrapped(scope, id, name);
    const links = linksOf({ kind, numbers });
    // Links of what is still to be bought are not here yet.
    if (!links || !owned) return;
    const collar = { id, gaugeMm: links.gaugeMm, links: links.stocked };
    if (scrapped) await (was ? undefined : scrapLinks(scope, collar));
    else if (was) await bringLinksBack(scope, collar);
    else if (isCounted(now, before)) await countCollar(scope, collar);
  },
};

/** Whether the links were counted with this change: it is new or has come in, or a ruler was laid on it. Looking at it, or calling it otherwise, moves none. */
const isCounted = (now: Collar, before: CollarRow | null): boolean =>
  before === null || !before.owned || before.measuredOn !== now.measuredOn || !isDeepStrictEqual(before.numbers, now.numbers);

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
    const endingId = uuidv7();
    await scope.insert(EndingEntity, {
      id: endingId,
      dogId: plan.dogId,
      planId: plan.id,
      ended: true,
      note: `${name} was scrapped.`,
      personId: scope.personId,
      at: now,
      recordedAt: now,
    });
    await writeDeed(scope, { act: 'made', kind: 'ending', recordId: endingId, dogId: plan.dogId, label: name });
  }
}
