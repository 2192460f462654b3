import type { LinkBalance } from '@banter/contract';
import type { LinkMoved } from '@banter/core';
import type { KennelScope } from '../services/kennel-scope.ts';

/** What some accounts of a kennel hold by all moves there are now, also by those of others since a transaction began; in SQL. */
const SUMMED = `SELECT moved.account, moved.gaugeMm, SUM(moved.count) AS count
       FROM ((SELECT toAccount AS account, gaugeMm, count FROM link_moves WHERE kennelId = :kennelId AND toAccount IN (:accounts) LOCK IN SHARE MODE)
             UNION ALL (SELECT fromAccount, gaugeMm, -count FROM link_moves WHERE kennelId = :kennelId AND fromAccount IN (:accounts) LOCK IN SHARE MODE)) moved
      GROUP BY moved.account, moved.gaugeMm`;

/**
 * Keeps what accounts hold with the moves that were written just now, in the transaction that keeps these. It is summed and not added to: what a
 * server of an earlier version moved without it is right again with the next move.
 */
export const keepBalances = (scope: KennelScope, moves: readonly LinkMoved[]): Promise<void> =>
  keepBalancesOf(scope, [...new Set(moves.flatMap(({ from, to }) => [from, to]))].sort());

async function keepBalancesOf(scope: KennelScope, accounts: readonly string[]): Promise<void> {
  if (accounts.length === 0) return;
  await scope.raw(
    `INSERT INTO link_balances (kennelId, account, gaugeMm, count) SELECT :kennelId, summed.account, summed.gaugeMm, summed.count FROM (${SUMMED}) summed
     ON DUPLICATE KEY UPDATE count = VALUES(count)`,
    { accounts },
  );
}

type Balance = { account: string; gaugeMm: string; count: string | number };
const named = ({ account, gaugeMm }: Balance) => `${Number(gaugeMm)} mm, ${account}`;

/** Sums all moves anew, keeps what comes out, and says which accounts it differs at: at none, or a move was kept without them. */
export async function rebuildBalances(scope: KennelScope): Promise<{ looked: number; differ: string[] }> {
  return await scope.inOneAsItStands(async (within) => {
    // Who moves a link holds the kennel: nobody does meanwhile.
    await within.holdKennel();
    const kept = await within.raw<Balance>('SELECT account, gaugeMm, count FROM link_balances WHERE kennelId = :kennelId');
    const rows = await within.raw<{ account: string }>(
      'SELECT fromAccount AS account FROM link_moves WHERE kennelId = :kennelId UNION SELECT toAccount FROM link_moves WHERE kennelId = :kennelId',
    );
    const accounts = rows.map(({ account }) => account);
    const summed = accounts.length === 0 ? [] : await within.raw<Balance>(SUMMED, { accounts });
    const was = new Map(kept.map((one) => [named(one), Number(one.count)]));
    const is = new Map(summed.map((one) => [named(one), Number(one.count)]));
    const differ = [...new Set([...was.keys(), ...is.keys()])].filter((name) => (was.get(name) ?? 0) !== (is.get(name) ?? 0)).sort();
    if (differ.length > 0) {
      await within.raw('DELETE FROM link_balances WHERE kennelId = :kennelId');
      await keepBalancesOf(within, accounts);
    }
    return { looked: is.size, differ };
  });
}

const toBalances = (rows: readonly Balance[]): LinkBalance[] =>
  rows.flatMap(({ account, gaugeMm, count }) => (Number(count) === 0 ? [] : [{ gaugeMm: Number(gaugeMm), account, count: Number(count) }]));

/** How many links are where, as it is kept: on some accounts, or on all; empty ones left out. */
export async function linkBalances(scope: KennelScope, accounts?: readonly string[]): Promise<LinkBalance[]> {
  if (accounts?.length === 0) return [];
  return toBalances(
    await scope.raw<Balance>(
      `SELECT account, gaugeMm, count FROM link_balances WHERE kennelId = :kennelId${accounts ? ' AND account IN (:accounts)' : ''} ORDER BY account, gaugeMm`,
      accounts ? { accounts } : {},
    ),
  );
}

/** How many links some accounts hold now, summed from their moves: what a move is judged by. Whoever asks holds the kennel. */
export const linksNow = async (scope: KennelScope, accounts: readonly string[]): Promise<LinkBalance[]> =>
  toBalances(await scope.raw<Balance>(SUMMED, { accounts }));
