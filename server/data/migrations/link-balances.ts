import type { MigrationInterface, QueryRunner } from 'typeorm';
import { makesTable } from './table-migration.ts';

/** What the moves there are come to. */
class BalancesOfMoves1764000000171 implements MigrationInterface {
  name = 'BalancesOfMoves1764000000171';
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `INSERT INTO link_balances (kennelId, account, gaugeMm, count)
       SELECT summed.kennelId, summed.account, summed.gaugeMm, summed.count
         FROM (SELECT kennelId, IF(side > 0, toAccount, fromAccount) AS account, gaugeMm, SUM(side * count) AS count
                 FROM link_moves CROSS JOIN (SELECT 1 AS side UNION ALL SELECT -1) AS sides GROUP BY kennelId, account, gaugeMm) summed
       ON DUPLICATE KEY UPDATE count = VALUES(count)`,
    );
  }
  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DELETE FROM link_balances WHERE kennelId IS NOT NULL');
  }
}

/** How many links of a gauge an account holds, kept with the moves that it follows from. The outside holds what came from it, below nothing. */
export const linkBalancesMigrations = [
  makesTable(
    'LinkBalances1764000000170',
    'link_balances',
    'kennelId uuid NOT NULL, account varchar(60) NOT NULL, gaugeMm decimal(5,2) NOT NULL, count int NOT NULL, PRIMARY KEY (kennelId, account, gaugeMm)',
  ),
  BalancesOfMoves1764000000171,
];
