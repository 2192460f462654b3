import { EntitySchema } from 'typeorm';
import type { NewWhistleTest, WhistleTest } from '../../contract/records/whistle-test.fixture.ts';
import { happenedColumns, recordColumns } from '../data/columns.ts';
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
export const WHISTLE_TABLE = `CREATE TABLE whistle_tests (id uuid NOT NULL, kennelId uuid NOT NULL, dogId uuid NOT NULL, turned tinyint(1) NOT NULL,
  note varchar(400) NOT NULL, personId uuid NOT NULL, at datetime(3) NOT NULL, recordedAt datetime(3) NOT NULL, PRIMARY KEY (kennelId, id),
  FOREIGN KEY (kennelId, dogId) REFERENCES dogs (kennelId, id), FOREIGN KEY (kennelId, personId) REFERENCES people (kennelId, id))`;
