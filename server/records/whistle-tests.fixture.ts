import { EntitySchema } from 'typeorm';
import type { NewWhistleTest, WhistleTest } from '../../contract/records/whistle-test.fixture.ts';
import { happenedColumns, recordColumns } from '../data/columns.ts';
import { happened, record, refers } from '../data/migrations/column-sql.ts';
import { happenedNow, keptAnswers } from './kept.ts';
import type { AppendedKind } from './record-base.ts';

type WhistleTestRow = Omit<WhistleTest, 'at' | 'recordedAt' | 'personName'> & { kennelId: string; at: Date; recordedAt: Date };

export const whistleTestKind: AppendedKind<WhistleTestRow, NewWhistleTest, WhistleTest> = {
  entity: new EntitySchema<WhistleTestRow>({
    name: 'whistle_test',
    tableName: 'whistle_tests',
    columns: { ...recordColumns, dogId: { type: 'uuid' }, turned: { type: 'boolean' }, note: { type: 'varchar', length: 400 }, ...happenedColumns },
  }),
  compute: async (scope, id, sent) => ({ ...sent, id, ...happenedNow(scope, sent.at) }),
  sentOf: ({ dogId, turned, note, at }) => ({ dogId, turned, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};

/** The table that its step of the database would make. */
export const WHISTLE_TABLE = `CREATE TABLE whistle_tests (${record}, dogId uuid NOT NULL, turned boolean NOT NULL, note varchar(400) NOT NULL, ${happened},
  ${refers('dogId', 'dogs')}, ${refers('personId', 'people')})`;
