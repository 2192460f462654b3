import type { Programme } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';

type Stages = Programme['stages'];

/** Empty lines of a stage's steps and cautions are none. */
export function cleanStages(stages: Stages): Stages {
  const clean = (lines: readonly string[]) => lines.map((line) => line.trim()).filter((line) => line !== '');
  return stages.map((stage) => ({ ...stage, how: clean(stage.how), cautions: clean(stage.cautions) }));
}

/** Changes a stage's place with its neighbour's. */
export function moveStage(stages: Stages, index: number, by: -1 | 1): void {
  [stages[index], stages[index + by]] = [stages[index + by]!, stages[index]!];
}

/** A stage to fill in, with the numbers and marks of another. */
export function stageLike(like: Stages[number]): Stages[number] {
  return { ...(JSON.parse(JSON.stringify(like)) as Stages[number]), id: `stage-${uuidv7().slice(-8)}`, name: 'New stage', aim: '', how: [], cautions: [] };
}
