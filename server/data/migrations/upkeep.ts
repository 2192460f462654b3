import { happened, record, refers } from './column-sql.ts';
import { makesTable } from './table-migration.ts';

/** What keeps the rest alive day after day: weighings, and inspections of gear. */
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
  makesTable(
    'Inspections1764000000035',
    'inspections',
    `${record},
     collarId uuid NULL,
     gearId uuid NULL,
     answers json NOT NULL,
     outcome varchar(10) CHARACTER SET ascii NOT NULL CHECK (outcome IN ('ok', 'mend', 'scrap')),
     copy boolean NOT NULL,
     note varchar(1000) NOT NULL,
     ${happened},
     KEY ofCollar (kennelId, collarId, at),
     KEY ofGear (kennelId, gearId, at),
     CHECK ((collarId IS NULL) <> (gearId IS NULL)),
     ${refers('collarId', 'collars')},
     ${refers('gearId', 'gear')},
     ${refers('personId', 'people')}`,
  ),
];
