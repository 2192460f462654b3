import { MOST_IN_ROW, type GrowthPage } from '@banter/contract';
import { EARLIER_CHECKS } from '@banter/core';
import { FitCheckEntity, type FitCheckRow } from '../data/entities/fit-check.ts';
import { PlanEntity, type PlanRow } from '../data/entities/plan.ts';
import { StageResultEntity, type StageResultRow } from '../data/entities/programme.ts';
import { TapingEntity, type TapingRow } from '../data/entities/taping.ts';
import type { KennelScope } from './kennel-scope.ts';

/*
 * What was told of a dog and counts still. Whoever says how a dog stands reads it here: a dog of years costs no more than a new one, and no two
 * screens go by other records.
 */

/** Of so many decisions for a collar that was checked the latest, what hands found in it is among them. */
const CHECKED_PLANS = 3;
/** Of so many results of a programme, the latest, its stage is judged: twice as many as any stage asks for in a row, since a session may be told twice. */
const STAGE_RESULTS = 2 * MOST_IN_ROW;

const oldestFirst = <Row extends { at: Date; id: string }>(rows: Row[]): Row[] =>
  rows.sort((a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1));

const idsOf = async (scope: KennelScope, sql: string, values: Record<string, string[]>): Promise<string[]> =>
  (await scope.raw<{ id: string }>(sql, values)).map(({ id }) => id);

/** Tapings of some dogs that nothing corrects, in SQL, the latest of each site in place 1. */
const IN_PLACES = `SELECT id, dogId, site, at, tapedMm, ROW_NUMBER() OVER (PARTITION BY dogId, site ORDER BY at DESC, id DESC) AS place FROM tapings
  WHERE kennelId = :kennelId AND dogId IN (:dogIds)
    AND id NOT IN (SELECT correctsId FROM tapings WHERE kennelId = :kennelId AND dogId IN (:dogIds) AND correctsId IS NOT NULL)`;

/** The latest tapings of each site of some dogs that nothing corrects, so many of a site, oldest first. */
export async function standingTapings(scope: KennelScope, dogIds: readonly string[], most: number): Promise<TapingRow[]> {
  if (dogIds.length === 0) return [];
  const ids = await idsOf(scope, `SELECT id FROM (${IN_PLACES}) told WHERE place <= ${most}`, { dogIds: [...dogIds] });
  return oldestFirst(await scope.someOf(TapingEntity, ids));
}

/** High girths of a dog as taped before the latest so many, mm, oldest first. */
export async function girthsBefore(scope: KennelScope, dogId: string, most: number): Promise<GrowthPage['tapedBefore']> {
  const rows = await scope.raw<{ id: string; at: Date; tapedMm: number }>(
    `SELECT id, at, tapedMm FROM (${IN_PLACES}) told WHERE site = 'high' AND place > ${most} ORDER BY place DESC`,
    { dogIds: [dogId] },
  );
  return rows.map(({ id, at, tapedMm }) => ({ id, at: at.toISOString(), tapedMm }));
}

/** What was decided for some dogs and counts still, oldest first: the latest for each collar of a dog, and the latest of each that hands were in. */
export async function standingPlans(scope: KennelScope, dogIds: readonly string[]): Promise<PlanRow[]> {
  if (dogIds.length === 0) return [];
  const ids = await idsOf(
    scope,
    `SELECT id FROM (SELECT id, checked, ROW_NUMBER() OVER (PARTITION BY dogId, collarId ORDER BY at DESC, id DESC) AS place,
                            ROW_NUMBER() OVER (PARTITION BY dogId, collarId, checked ORDER BY at DESC, id DESC) AS placeOfChecked
        FROM (SELECT plans.id, plans.dogId, plans.collarId, plans.at,
                     EXISTS (SELECT 1 FROM fit_checks checks WHERE checks.kennelId = plans.kennelId AND checks.planId = plans.id) AS checked
                FROM plans WHERE plans.kennelId = :kennelId AND plans.dogId IN (:dogIds)) decided) ranked
      WHERE place = 1 OR (checked AND placeOfChecked <= ${CHECKED_PLANS})`,
    { dogIds: [...dogIds] },
  );
  return oldestFirst(await scope.someOf(PlanEntity, ids));
}

/** What hands found last with some plans, as many checks of each as the next one goes by, in the order they were made. */
export async function standingChecks(scope: KennelScope, planIds: readonly string[]): Promise<FitCheckRow[]> {
  if (planIds.length === 0) return [];
  const ids = await idsOf(
    scope,
    `SELECT id FROM (SELECT id, ROW_NUMBER() OVER (PARTITION BY planId ORDER BY attempt DESC) AS place FROM fit_checks
        WHERE kennelId = :kennelId AND planId IN (:planIds)) told
      WHERE place <= ${EARLIER_CHECKS}`,
    { planIds: [...planIds] },
  );
  return (await scope.someOf(FitCheckEntity, ids)).sort((a, b) => a.attempt - b.attempt);
}

/** What came of the latest sessions of some programmes, as many of each as any stage is judged by, oldest first. */
export async function standingResults(scope: KennelScope, programmeIds: readonly string[]): Promise<StageResultRow[]> {
  if (programmeIds.length === 0) return [];
  const ids = await idsOf(
    scope,
    `SELECT id FROM (SELECT id, ROW_NUMBER() OVER (PARTITION BY programmeId ORDER BY at DESC, id DESC) AS place FROM stage_results
        WHERE kennelId = :kennelId AND programmeId IN (:programmeIds)) told
      WHERE place <= ${STAGE_RESULTS}`,
    { programmeIds: [...programmeIds] },
  );
  return oldestFirst(await scope.someOf(StageResultEntity, ids));
}
