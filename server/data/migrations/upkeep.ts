import { happened, record, refers } from './column-sql.ts';
import { makesTable } from './table-migration.ts';

/** What keeps the rest alive day after day: weighings. */
export const upkeepMigrations = [
  makesTable(
    'Weighings1764000000034',
    'weighings',
    `${record},
     dogId uuid NOT NULL,
     weightG double NULL CHECK (weightG BETWEEN 50 AND 120000),
     correctsId uuid NULL,
     note varchar(400) NOT NULL,
     ${happened},
     KEY ofDog (kennelId, dogId, at),
     CHECK (weightG IS NOT NULL OR correctsId IS NOT NULL),
     ${refers('dogId', 'dogs')},
     ${refers('correctsId', 'weighings')},
     ${refers('personId', 'people')}`,
  ),
];
