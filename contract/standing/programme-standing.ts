import { stageAt as stageOf, programmeStanding as standingOf, type ProgrammeStanding as Standing } from '@banter/core';
import type { NewStageMove, NewStageResult, ProgrammeFacts } from '../records/programme.ts';

type Result = Pick<NewStageResult, 'stageId' | 'sessionId' | 'met' | 'of' | 'setback'> & { at: number };
export type ProgrammeStanding = Standing<ProgrammeFacts['stages'][number], Result>;

type Told = {
  results: readonly (Omit<Result, 'at'> & Pick<NewStageResult, 'at'>)[];
  moves: readonly Pick<NewStageMove, 'toStage' | 'at'>[];
};
const inTime = <Kept extends { at: string }>(kept: readonly Kept[]) => kept.map((one) => ({ ...one, at: Date.parse(one.at) }));

/** In which stage a programme is at an instant, and since when, by its kept moves. `startedAt` is the beginning of its first day; both ms. */
export const stageAt = (
  { stages }: Pick<ProgrammeFacts, 'stages'>,
  moves: Told['moves'],
  when: { startedAt: number; now: number },
): Pick<ProgrammeStanding, 'index' | 'stage' | 'since'> => stageOf(stages, inTime<Told['moves'][number]>(moves), when);

/** Where a programme stands at an instant, out of its kept moves and results. `startedAt` is the beginning of its first day; both ms. */
export const programmeStanding = (
  { stages }: Pick<ProgrammeFacts, 'stages'>,
  { results, moves }: Told,
  when: { startedAt: number; now: number },
): ProgrammeStanding => standingOf(stages, { results: inTime<Told['results'][number]>(results), moves: inTime<Told['moves'][number]>(moves) }, when);
