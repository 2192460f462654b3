import { linksShort, type LockerPage } from '@banter/contract';
import { countOf } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';

/** Links that a fit still needs and the bag does not have, in words. */
export type LinksShort = ReturnType<typeof linksShort>[number] & { text: string };

/** What the fits of a kennel need and the bag lacks. */
export const shoppingOf = ({ needed, links }: Pick<LockerPage, 'needed' | 'links'>): LinksShort[] =>
  linksShort(needed, links).map((one) => ({
    ...one,
    text: `${countOf(one.needs - one.inBag, 'link')} of ${gaugeName(one.gaugeMm)} for ${one.dogName}, ${one.collarName}`,
  }));
