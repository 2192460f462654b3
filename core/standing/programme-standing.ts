import { resultsBySession, type ToldResult } from '../programme/results-by-session.ts';
import { judgeStage, type ProgrammeStage, type StageJudgement, type StageResult } from '../programme/stage.ts';

/** Where a dog stands in a programme: its stage, since when, what came of it, and what the marks say now. Times ms. */
export type ProgrammeStanding<Stage, Result> = {
  index: number;
  stage: Stage;
  since: number;
  results: Result[];
  judgement: StageJudgement;
  /** The stage that the marks lead to; null when they hold it, or lead past the last. */
  leadsTo: string | null;
  /** The marks say that the last stage is passed. */
  finished: boolean;
};

type Told = StageResult & ToldResult & { stageId: string };
type Moved = { toStage: string; at: number };

/**
 * In which stage a programme is at an instant, and since when, out of its moves in whatever order they come. A stage that has been
 * taken out of the programme since counts as the first. `startedAt` is the beginning of its first day; times ms. Common practice.
 *
 * @example stageAt([easy, harder], [{ toStage: 'harder', at: 5 }], { startedAt: 0, now: 9 }) // { index: 1, stage: harder, since: 5 }
 */
export function stageAt<Stage extends { id: string }>(
  stages: readonly Stage[],
  moves: readonly Moved[],
  { startedAt, now }: { startedAt: number; now: number },
): { index: number; stage: Stage; since: number } {
  const last = moves
    .filter(({ at }) => at <= now)
    .sort((a, b) => a.at - b.at)
    .at(-1);
  const index = Math.max(0, last ? stages.findIndex(({ id }) => id === last.toStage) : 0);
  return { index, stage: stages[index]!, since: last?.at ?? startedAt };
}

/**
 * Where a programme stands at an instant, out of its moves and results in whatever order they come; a session has one result.
 * `startedAt` is the beginning of its first day; times ms. Common practice.
 *
 * @example programmeStanding([easy, harder], { results: [], moves: [] }, { startedAt: 0, now: 1 }).stage // easy
 */
export function programmeStanding<Stage extends ProgrammeStage & { id: string }, Result extends Told>(
  stages: readonly Stage[],
  { results, moves }: { results: readonly Result[]; moves: readonly Moved[] },
  { startedAt, now }: { startedAt: number; now: number },
): ProgrammeStanding<Stage, Result> {
  const { index, stage, since } = stageAt(stages, moves, { startedAt, now });
  const own = resultsBySession(
    results.filter(({ stageId, at }) => stageId === stage.id && at >= since && at <= now),
    stage.minutes,
  );
  const judgement = judgeStage(stage, own, { index, begunAt: since, now });
  const to = judgement.verdict === 'on' ? index + 1 : judgement.verdict === 'back' ? index - judgement.back : index;
  return {
    index,
    stage,
    since,
    results: own,
    judgement,
    leadsTo: to === index ? null : (stages[to]?.id ?? null),
    finished: judgement.verdict === 'on' && to >= stages.length,
  };
}
