import type { Programme, StageMove, StageResult } from '@banter/contract';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

export type ProgrammeRow = Programme & { kennelId: string };
export const ProgrammeEntity = new EntitySchema<ProgrammeRow>({
  name: 'programme',
  tableName: 'programmes',
  columns: {
    ...recordColumns,
    version: { type: 'int' },
    dogId: { type: 'uuid' },
    templateId: { type: 'varchar', length: 40 },
    name: { type: 'varchar', length: 60 },
    stages: { type: 'json' },
    startsOn: { type: 'date' },
    state: { type: 'varchar', length: 10 },
    note: { type: 'varchar', length: 1000 },
    tellTale: { type: 'json', nullable: true },
  },
});

type Happened<Answer> = Omit<Answer, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };
export type StageResultRow = Happened<StageResult>;
export const StageResultEntity = new EntitySchema<StageResultRow>({
  name: 'stageResult',
  tableName: 'stage_results',
  columns: {
    ...recordColumns,
    programmeId: { type: 'uuid' },
    stageId: { type: 'varchar', length: 40 },
    sessionId: { type: 'uuid', nullable: true },
    met: { type: 'int' },
    of: { type: 'int', name: 'tries' },
    setback: { type: 'boolean' },
    note: { type: 'varchar', length: 1000 },
    ...happenedColumns,
  },
});

export type StageMoveRow = Happened<StageMove>;
export const StageMoveEntity = new EntitySchema<StageMoveRow>({
  name: 'stageMove',
  tableName: 'stage_moves',
  columns: {
    ...recordColumns,
    programmeId: { type: 'uuid' },
    fromStage: { type: 'varchar', length: 40 },
    toStage: { type: 'varchar', length: 40 },
    verdict: { type: 'varchar', length: 5 },
    overruled: { type: 'boolean' },
    reasons: { type: 'json' },
    note: { type: 'varchar', length: 1000 },
    ...happenedColumns,
  },
});
