import { makesTable } from './table-migration.ts';

/**
 * What stands of a dog, as it was worked out last. `touched` counts the writes that bear on it; it counts as long as `worked` says the
 * same. Of a kennel's rows alone: everything in it is worked out from other tables.
 */
export const standingMigrations = [
  makesTable(
    'Standings1764000000100',
    'standings',
    `kennelId uuid NOT NULL, kind varchar(20) NOT NULL, dogId uuid NOT NULL, touched bigint NOT NULL, worked bigint NULL, basis varchar(60) NULL,
     untilAt datetime(3) NULL, data longtext NULL, PRIMARY KEY (kennelId, kind, dogId)`,
  ),
];
