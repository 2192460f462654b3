import { ProngNumbers, type Collar, type CollarFacts } from '@banter/contract';
import { CollarEntity, type CollarRow } from '../data/entities/collar.ts';
import { countCollar } from './links.ts';
import type { VersionedKind } from './record-base.ts';

export function collarAnswer({ kennelId: _kennel, retiredAt, ...row }: CollarRow): Collar {
  return { ...row, retiredAt: retiredAt && retiredAt.toISOString() };
}

export const collarKindOfRecord: VersionedKind<CollarRow, CollarFacts, Collar> = {
  entity: CollarEntity,
  toColumns: ({ retiredAt, ...facts }) => ({ ...facts, retiredAt: retiredAt === null ? null : new Date(retiredAt) }),
  toAnswer: collarAnswer,
  // Only a prong comes apart into links.
  after: async ({ id, kind, numbers, retiredAt }, scope) => {
    if (kind !== 'prong') return;
    const { gaugeMm, links } = ProngNumbers.parse(numbers);
    await countCollar(scope, { id, gaugeMm, links, scrapped: retiredAt !== null });
  },
};
