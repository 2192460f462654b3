import type { LockerPage } from '@banter/contract';
import { countOf, linksAt, type LinkCountAt } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';

/** Links that a fit still needs and the bag does not have. */
export type LinksShort = LockerPage['needed'][number] & { inBag: number; text: string };

/** What the fits of a kennel need and the bag lacks. What one fit takes out of the bag is gone for the next. */
export function shoppingOf({ needed, links }: Pick<LockerPage, 'needed' | 'links'>): LinksShort[] {
  const left = new Map<number, number>();
  return needed.flatMap((one): LinksShort[] => {
    const { gaugeMm, needs, dogName, collarName } = one;
    const inBag = left.get(gaugeMm) ?? linksAt(links as LinkCountAt[], gaugeMm, 'bag');
    left.set(gaugeMm, Math.max(0, inBag - needs));
    return needs <= inBag ? [] : [{ ...one, inBag, text: `${countOf(needs - inBag, 'link')} of ${gaugeName(gaugeMm)} for ${dogName}, «${collarName}»` }];
  });
}
