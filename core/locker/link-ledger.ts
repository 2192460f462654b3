/** Where a link can be: outside the kennel, in the bag, on a collar, lent with a dog, or scrapped. */
export type LinkAccount = 'outside' | 'bag' | 'scrap' | `collar:${string}` | `dog:${string}`;

/** Links of a gauge (wire, mm) that went from one account to another; `count` at least 1. */
export type LinkMoved = { gaugeMm: number; count: number; from: LinkAccount; to: LinkAccount };

export type LinkCountAt = { gaugeMm: number; account: LinkAccount; count: number };

/**
 * How many links are where, by double entry: each move takes from one account what it gives to another, so that over all
 * accounts, the outside included, the count of each gauge is nothing. Source: double-entry bookkeeping; common practice that
 * what comes out of a collar is kept.
 *
 * @example balances([{ gaugeMm: 3, count: 13, from: 'outside', to: 'collar:a' }]) // 13 on the collar, −13 outside
 */
export function balances(moves: readonly LinkMoved[]): LinkCountAt[] {
  const counts = new Map<string, LinkCountAt>();
  const add = (gaugeMm: number, account: LinkAccount, count: number) => {
    const key = `${gaugeMm} ${account}`;
    const held = counts.get(key) ?? { gaugeMm, account, count: 0 };
    counts.set(key, { ...held, count: held.count + count });
  };
  for (const { gaugeMm, count, from, to } of moves) {
    add(gaugeMm, from, -count);
    add(gaugeMm, to, count);
  }
  return [...counts.values()].sort((a, b) => a.gaugeMm - b.gaugeMm || (a.account < b.account ? -1 : 1));
}

/** How many links of a gauge an account holds. */
export function linksAt(counts: readonly LinkCountAt[], gaugeMm: number, account: LinkAccount): number {
  return counts.find((one) => one.gaugeMm === gaugeMm && one.account === account)?.count ?? 0;
}

/** The moves that make a collar up to a number of links, from the bag or into it; none when it has them. */
export function movesToMakeUp(counts: readonly LinkCountAt[], gaugeMm: number, collarId: string, links: number): LinkMoved[] {
  const account = `collar:${collarId}` as const;
  const difference = links - linksAt(counts, gaugeMm, account);
  if (difference === 0) return [];
  return [difference > 0 ? { gaugeMm, count: difference, from: 'bag', to: account } : { gaugeMm, count: -difference, from: account, to: 'bag' }];
}

/** The account that a move would overdraw, with what it holds; null when it can be made. The outside has no bottom. */
export function overdrawn(counts: readonly LinkCountAt[], move: LinkMoved): { account: LinkAccount; holds: number } | null {
  if (move.from === 'outside') return null;
  const holds = linksAt(counts, move.gaugeMm, move.from);
  return holds < move.count ? { account: move.from, holds } : null;
}
