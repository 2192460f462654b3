import { collarKind, type LockerPage } from '@banter/contract';
import { countOf, linksAt, type LinkCountAt } from '@banter/core';
import { gaugeName } from '@banter/core/collars/prong';

/** Links that a fit still needs and the bag does not have. */
export type LinksShort = { dogId: string; dogName: string; collarName: string; gaugeMm: number; needs: number; inBag: number; text: string };

/**
 * What the fits of a kennel need and the locker lacks: for each collar of links that is planned and not yet found good on the dog, the links
 * beyond those on the collar and in the bag. What one fit takes out of the bag is gone for the next.
 */
export function shoppingOf({ plans, links }: LockerPage): LinksShort[] {
  const counts = links as LinkCountAt[];
  const left = new Map<number, number>();
  const short: LinksShort[] = [];
  for (const { dogId, dogName, plan, check } of plans) {
    const kind = collarKind(plan.kind);
    const own = kind.links?.(plan.inputs.collar.numbers);
    if (!own) continue;
    const { gaugeMm } = own;
    const target = check ? kind.nextSetting(check.outcome) : kind.firstSetting(plan.choices);
    const needs = own.inIt(target) - linksAt(counts, gaugeMm, `collar:${plan.inputs.collar.id}`);
    if (needs <= 0) continue;
    const inBag = left.get(gaugeMm) ?? linksAt(counts, gaugeMm, 'bag');
    left.set(gaugeMm, Math.max(0, inBag - needs));
    if (needs <= inBag) continue;
    const text = `${countOf(needs - inBag, 'link')} of ${gaugeName(gaugeMm)} for ${dogName}, «${plan.inputs.collar.name}»`;
    short.push({ dogId, dogName, collarName: plan.inputs.collar.name, gaugeMm, needs, inBag, text });
  }
  return short;
}
