import { collarKind, linksOf, type CollarKindName, type MadeUp, type SetFor } from '@banter/contract';
import { linksAt, type LinkCountAt } from '@banter/core';
import { asData } from '../data/json-column.ts';
import type { KennelScope } from './kennel-scope.ts';
import { linksOnCollars } from './links.ts';

type Row = {
  collarId: string;
  collarName: string;
  kind: CollarKindName;
  dogId: string;
  dogName: string;
  setting: unknown;
  numbers: unknown;
  at: Date | string;
};

/** Checks of a kennel by collar, in SQL: the one whose place is 1 is the latest on any dog, by which the collar is made up now. What was found is not ordered with them. */
export const LAST_FOUND_ON = `SELECT plans.collarId, checked.id, checked.dogId,
       ROW_NUMBER() OVER (PARTITION BY plans.collarId ORDER BY checked.at DESC, checked.id DESC) AS place
  FROM fit_checks checked JOIN plans ON plans.kennelId = checked.kennelId AND plans.id = checked.planId
 WHERE checked.kennelId = :kennelId`;

/** The latest check of each of some collars; of all that are not scrapped where none are named. */
const latestChecks = (scope: KennelScope, collarIds?: readonly string[]): Promise<Row[]> =>
  scope.raw<Row>(
    `SELECT latest.collarId, collars.name AS collarName, collars.numbers, checked.kind, latest.dogId, dogs.name AS dogName, checked.setting, checked.at
       FROM (${LAST_FOUND_ON}${collarIds ? ' AND plans.collarId IN (:collarIds)' : ''}) latest
       JOIN fit_checks checked ON checked.kennelId = :kennelId AND checked.id = latest.id
       JOIN collars ON collars.kennelId = :kennelId AND collars.id = latest.collarId
       JOIN dogs ON dogs.kennelId = :kennelId AND dogs.id = latest.dogId
      WHERE latest.place = 1 AND collars.retiredAt IS NULL`,
    collarIds ? { collarIds } : {},
  );
/** How it was found, as its kind says it; null where that cannot be read any more. */
const foundOn = ({ kind, setting }: Row) => {
  const on = collarKind(kind)?.setting.safeParse(asData(setting));
  return on?.success ? { on: on.data as unknown } : null;
};

/** For whom some collars are made up now. One that cannot be read any more is left out. */
export async function madeUpNow(scope: KennelScope, collarIds: readonly string[]): Promise<MadeUp[]> {
  if (collarIds.length === 0) return [];
  const rows = await latestChecks(scope, collarIds);
  const balances = await linksOnCollars(
    scope,
    rows.map(({ collarId }) => collarId),
  );
  return rows.flatMap((row): MadeUp[] => {
    const found = foundOn(row);
    if (!found) return [];
    const { collarId, collarName, kind, dogId, dogName, at } = row;
    const numbers = asData(row.numbers);
    const linked = linksOf({ kind, numbers });
    const links = linked && linksAt(balances as LinkCountAt[], linked.gaugeMm, `collar:${collarId}`);
    return [{ collarId, collarName, kind, dogId, dogName, ...found, numbers, links, at: new Date(at).toISOString() }];
  });
}

/** For which dogs but this one collars of the kennel are made up now. */
export const setForOthers = async (scope: KennelScope, dogId: string): Promise<SetFor[]> =>
  (await latestChecks(scope)).flatMap((row) => {
    const found = row.dogId === dogId ? null : foundOn(row);
    return found ? [{ collarId: row.collarId, dogName: row.dogName, ...found }] : [];
  });
