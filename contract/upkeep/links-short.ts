import { linksAt, type LinkCountAt } from '@banter/core';
import type { LinkBalance } from '../records/link-move.ts';
import type { LockerPage } from '../records/pages.ts';

type Needed = LockerPage['needed'][number];

/** The links that fits still need and the bag does not have. What one fit takes out of the bag is gone for the next. Common practice. */
export function linksShort(needed: readonly Needed[], links: readonly LinkBalance[]): (Needed & { inBag: number })[] {
  const left = new Map<number, number>();
  return needed.flatMap((one) => {
    const { gaugeMm, needs } = one;
    const inBag = left.get(gaugeMm) ?? linksAt(links as LinkCountAt[], gaugeMm, 'bag');
    left.set(gaugeMm, Math.max(0, inBag - needs));
    return needs <= inBag ? [] : [{ ...one, inBag }];
  });
}
