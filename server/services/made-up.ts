import { collarKind, linksOf, type CollarKindName, type MadeUp } from '@banter/contract';
import { linksAt, type LinkCountAt } from '@banter/core';
import { asData } from '../data/json-column.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linksOnCollars } from './links.ts';

/** For whom collars are made up now, all of the kennel or some: the latest check of each on any dog. One that cannot be read any more is left out. */
export async function madeUpNow(scope: KennelScope, only?: readonly string[]): Promise<MadeUp[]> {
  if (only?.length === 0) return [];
  const rows = await scope.raw<{
    collarId: string;
    collarName: string;
    kind: CollarKindName;
    dogId: string;
    dogName: string;
    setting: unknown;
    numbers: unknown;
    at: Date | string;
  }>(
    `SELECT latest.collarId, collars.name AS collarName, collars.numbers, latest.kind, latest.dogId, dogs.name AS dogName, latest.setting, latest.at
       FROM (SELECT plans.collarId, checked.kind, checked.dogId, checked.setting, checked.at,
                    ROW_NUMBER() OVER (PARTITION BY plans.collarId ORDER BY checked.at DESC, checked.id DESC) AS place
               FROM fit_checks checked JOIN plans ON plans.kennelId = checked.kennelId AND plans.id = checked.planId
              WHERE checked.kennelId = :kennelId${only ? ' AND plans.collarId IN (:only)' : ''}) latest
       JOIN collars ON collars.kennelId = :kennelId AND collars.id = latest.collarId
       JOIN dogs ON dogs.kennelId = :kennelId AND dogs.id = latest.dogId
      WHERE latest.place = 1 AND collars.retiredAt IS NULL`,
    only ? { only } : {},
  );
  const balances = await linksOnCollars(
    scope,
    rows.map(({ collarId }) => collarId),
  );
  return rows.flatMap(({ setting, numbers, at, ...row }): MadeUp[] => {
    const on = collarKind(row.kind)?.setting.safeParse(asData(setting));
    const own = asData(numbers);
    const linked = linksOf({ kind: row.kind, numbers: own });
    const links = linked && linksAt(balances as LinkCountAt[], linked.gaugeMm, `collar:${row.collarId}`);
    return on?.success ? [{ ...row, on: on.data, numbers: own, links, at: new Date(at).toISOString() }] : [];
  });
}
