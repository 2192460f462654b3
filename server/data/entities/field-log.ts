import type { FieldSession, LevelCap } from '@banter/contract';
import type { DogResponse, SessionPurpose } from '@banter/core';
import type { StimulationMode } from '@banter/core/collars/electronic';
import { EntitySchema } from 'typeorm';
import { happenedColumns, recordColumns } from '../columns.ts';

/** A session as its events leave it. */
export type FieldSessionRow = Omit<FieldSession, 'begunAt' | 'endedAt' | 'lastAt' | 'handlerName'> & {
  kennelId: string;
  begunAt: Date;
  endedAt: Date | null;
  lastAt: Date;
};
export const FieldSessionEntity = new EntitySchema<FieldSessionRow>({
  name: 'fieldSession',
  tableName: 'field_sessions',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    handlerId: { type: 'uuid' },
    purpose: { type: 'varchar', length: 10 },
    settings: { type: 'json' },
    begunAt: { type: 'datetime', precision: 3 },
    endedAt: { type: 'datetime', precision: 3, nullable: true },
    lastAt: { type: 'datetime', precision: 3 },
    tally: { type: 'json' },
  },
});

/** A press that stands, with what came of it. */
export type PressRow = {
  id: string;
  kennelId: string;
  sessionId: string;
  dogId: string;
  collarId: string;
  setting: string;
  purpose: SessionPurpose;
  level: number;
  mode: StimulationMode;
  response: DogResponse | null;
  latencyMs: number | null;
  at: Date;
};
export const PressEntity = new EntitySchema<PressRow>({
  name: 'press',
  tableName: 'presses',
  columns: {
    ...recordColumns,
    sessionId: { type: 'uuid' },
    dogId: { type: 'uuid' },
    collarId: { type: 'uuid' },
    setting: { type: 'varchar', length: 40 },
    purpose: { type: 'varchar', length: 10 },
    level: { type: 'double' },
    mode: { type: 'varchar', length: 12 },
    response: { type: 'varchar', length: 10, nullable: true },
    latencyMs: { type: 'int', nullable: true },
    at: { type: 'datetime', precision: 3 },
  },
});

export type LevelCapRow = Omit<LevelCap, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };
export const LevelCapEntity = new EntitySchema<LevelCapRow>({
  name: 'levelCap',
  tableName: 'level_caps',
  columns: {
    ...recordColumns,
    dogId: { type: 'uuid' },
    collarId: { type: 'uuid' },
    cap: { type: 'double', nullable: true },
    note: { type: 'varchar', length: 500 },
    ...happenedColumns,
  },
});
