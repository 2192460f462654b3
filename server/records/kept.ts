import { CORE_VERSION, rulesBesideDefaults, type HouseRuleOverrides, type HouseRules } from '@banter/core';
import { badField } from '../services/failure.ts';
import type { KennelScope } from '../services/kennel-scope.ts';

/** A clock may run ahead of ours by this much; further, the time is asked about. */
export const CLOCK_AHEAD_MS = 24 * 60 * 60 * 1000;

/** The columns of something that happened: who, when, and when it arrived. */
export function happenedNow(scope: KennelScope, at: string) {
  const happened = new Date(at);
  if (happened.getTime() > Date.now() + CLOCK_AHEAD_MS) throw badField('at', 'This time lies in the future.');
  return { personId: scope.personId, at: happened, recordedAt: new Date() };
}

/** The columns that every kept verdict gets: who, when it happened and arrived, and what computed it. */
export function keptNow(scope: KennelScope, at: string, rules: HouseRules) {
  return { ...happenedNow(scope, at), coreVersion: CORE_VERSION, rules: { ...rules } };
}

type KeptRow = { personId: string | null; at: Date; recordedAt: Date; kennelId: string };

/** Rows of kept verdicts as they are answered: times as text, the person's name beside the id. */
export async function keptAnswers<Row extends KeptRow>(scope: KennelScope, rows: Row[]) {
  const names = rows.length === 0 ? new Map<string, string>() : await scope.peopleNames();
  return rows.map(({ kennelId: _kennel, at, recordedAt, ...row }) => ({
    ...row,
    at: at.toISOString(),
    recordedAt: recordedAt.toISOString(),
    personName: (row.personId && names.get(row.personId)) ?? '',
  }));
}

/**
 * Kept verdicts as a screen is told of many: of the rules of then only those that are not the defaults, by which they are the same rules
 * again. They are the most of every record; at its own address one is told with all of them.
 */
export const briefly = <Kept extends { rules: HouseRuleOverrides }>(records: readonly Kept[]): Kept[] =>
  records.map((record) => ({ ...record, rules: rulesBesideDefaults(record.rules) as Kept['rules'] }));
