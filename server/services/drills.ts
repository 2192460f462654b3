import { correctionWays, type Drill, type DrillsPage, type NewDrill } from '@banter/contract';
import { CORE_VERSION, drillScenes, drillScore, judgeScene, DAY_MS } from '@banter/core';
import { MoreThanOrEqual } from 'typeorm';
import { DrillEntity, type DrillRow } from '../data/entities/drill.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf, rulesOf } from './kennels.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind } from '../records/record-base.ts';

export const drillKind: AppendedKind<DrillRow, NewDrill, Drill> = {
  entity: DrillEntity,
  compute: async (scope, id, sent) => {
    const rules = rulesOf(await kennelOf(scope));
    const scenes = drillScenes({ seed: sent.seed, count: sent.answers.length, pace: sent.pace });
    const judged = scenes.map((scene, index) => judgeScene(scene, sent.answers[index]!, { ways: correctionWays(sent.collar), rules }));
    return { ...sent, id, score: drillScore(scenes, judged), coreVersion: CORE_VERSION, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ seed, pace, collar, answers, at }) => ({ seed, pace, collar, answers, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

/** Drills of the last year are shown. */
const SHOWN_DAYS = 366;

/** How everybody of the kennel did of late. */
export async function drillsPage(scope: KennelScope, now: Date): Promise<DrillsPage> {
  const since = new Date(now.getTime() - SHOWN_DAYS * DAY_MS);
  const rows = await scope.all(DrillEntity, { at: MoreThanOrEqual(since) }, { at: 'ASC', id: 'ASC' });
  return { drills: (await keptAnswers(scope, rows)).map(({ answers: _answers, ...row }) => row) };
}
