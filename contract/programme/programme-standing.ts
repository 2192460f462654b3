import { judgeStage, resultsBySession, type StageJudgement } from '@banter/core';
import type { NewStageMove, NewStageResult, ProgrammeFacts } from '../records/programme.ts';

/** Where a dog stands in a programme: its stage, since when, what came of it, and what the marks say now. */
export type ProgrammeStanding = {
  index: number;
  stage: ProgrammeFacts['stages'][number];
  since: number;
  results: Pick<NewStageResult, 'met' | 'of' | 'setback' | 'at'>[];
  judgement: StageJudgement;
  /** The stage that the marks lead to; null when they hold it, or lead past the last. */
  leadsTo: string | null;
  /** The marks say that the last stage is passed. */
  finished: boolean;
};

type Told = {
  results: readonly Pick<NewStageResult, 'stageId' | 'sessionId' | 'met' | 'of' | 'setback' | 'at'>[];
  moves: readonly Pick<NewStageMove, 'toStage' | 'at'>[];
};

/**
 * Where a programme stands at an instant (ms), out of its moves and results in whatever order they come; a session has one result. A stage that has been
 * taken out of the programme since counts as the first. `startedAt` is the beginning of its first day, ms.
 */
export function programmeStanding(
  { stages }: Pick<ProgrammeFacts, 'stages'>,
  { results, moves }: Told,
  { startedAt, now }: { startedAt: number; now: number },
): ProgrammeStanding {
  const last = [...moves]
    .filter(({ at }) => Date.parse(at) <= now)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
    .at(-1);
  const index = Math.max(0, last ? stages.findIndex(({ id }) => id === last.toStage) : 0);
  const stage = stages[index]!;
  const since = last ? Date.parse(last.at) : startedAt;
  const told = results.map((one) => ({ ...one, at: Date.parse(one.at) })).filter(({ stageId, at }) => stageId === stage.id && at >= since && at <= now);
  const own = resultsBySession(told, stage.minutes);
  const judgement = judgeStage(
    stage,
    own.map(({ met, of, setback, at }) => ({ met, of, setback, at })),
    { index, begunAt: since, now },
  );
  const to = judgement.verdict === 'on' ? index + 1 : judgement.verdict === 'back' ? index - judgement.back : index;
  return {
    index,
    stage,
    since,
    results: own.map((one) => ({ ...one, at: new Date(one.at).toISOString() })),
    judgement,
    leadsTo: to === index ? null : (stages[to]?.id ?? null),
    finished: judgement.verdict === 'on' && to >= stages.length,
  };
}
