import type { EntityManager } from 'typeorm';
import type { LinkBalance } from '@banter/contract';
import { balances, type LinkMoved } from '@banter/core';
import type { KennelScope } from '../services/kennel-scope.ts';

/** How many links of a gauge an account holds by the moves of a kennel, summed by the database. */
const BY_MOVES = `SELECT gaugeMm, IF(side > 0, toAccount, fromAccount) AS account, SUM(side * count) AS count
       FROM link_moves CROSS JOIN (SELECT 1 AS side UNION ALL SELECT -1) AS sides WHERE kennelId = :kennelId GROUP BY gaugeMm, account`;

/** Adds moves that are being kept to what the accounts hold, in the transaction that keeps them. Moves are never changed and never taken away. */
export async function addToBalances(manager: EntityManager, kennelId: string, moves: readonly LinkMoved[]): Promise<void> {
  const changed = balances(moves);
  if (changed.length === 0) return;
  await manager.query(
    `INSERT INTO link_balances (kennelId, account, gaugeMm, count) VALUES ${changed.map(() => '(?, ?, ?, ?)').join(', ')} ON DUPLICATE KEY UPDATE count = count + VALUES(count)`,
    changed.flatMap(({ account, gaugeMm, count }) => [kennelId, account, gaugeMm, count]),
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
    const summed = await within.raw<Balance>(BY_MOVES);
    const was = new Map(kept.map((one) => [named(one), Number(one.count)]));
    const is = new Map(summed.map((one) => [named(one), Number(one.count)]));
    const differ = [...new Set([...was.keys(), ...is.keys()])].filter((name) => (was.get(name) ?? 0) !== (is.get(name) ?? 0)).sort();
    if (differ.length > 0) {
      await within.raw('DELETE FROM link_balances WHERE kennelId = :kennelId');
      await within.raw(
        `INSERT INTO link_balances (kennelId, account, gaugeMm, count) SELECT :kennelId, summed.account, summed.gaugeMm, summed.count FROM (${BY_MOVES}) summed`,
      );
    }
    return { looked: is.size, differ };
  });
}

/** What is read of balances: those of some accounts, or all; as the transaction saw them when it began, or as they are now. */
type BalancesAsked = { accounts?: readonly string[]; asOf?: 'seen' | 'now' };

/** How many links are where; empty accounts left out. */
export async function linkBalances(scope: KennelScope, { accounts, asOf = 'seen' }: BalancesAsked = {}): Promise<LinkBalance[]> {
  if (accounts?.length === 0) return [];
  const rows = await scope.raw<Balance>(
    `SELECT account, gaugeMm, count FROM link_balances WHERE kennelId = :kennelId${accounts ? ' AND account IN (:accounts)' : ''}
      ORDER BY account, gaugeMm ${asOf === 'now' ? 'LOCK IN SHARE MODE' : ''}`,
    accounts ? { accounts } : {},
  );
  return rows.flatMap(({ account, gaugeMm, count }) => (Number(count) === 0 ? [] : [{ gaugeMm: Number(gaugeMm), account, count: Number(count) }]));
}
