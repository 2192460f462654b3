import { makesTable } from './table-migration.ts';

/** What several servers on one database, or on a cluster of them, know of each other. Nothing that was there is changed: an older server goes on. */
export const severalServersMigrations = [
  // What two may not change at the same time: whoever changes it writes its row.
  makesTable('Holds1764000000156', 'holds', 'kennelId uuid NOT NULL, subjectId uuid NOT NULL, turn bigint NOT NULL, PRIMARY KEY (kennelId, subjectId)'),
  // In which kennels something has changed of late, and which server knows it already.
  makesTable('Changes1764000000157', 'changes', 'id bigint NOT NULL AUTO_INCREMENT PRIMARY KEY, kennelId uuid NOT NULL, serverId uuid NOT NULL'),
  // Files that are being brought in: whichever server took one, any may keep it.
  makesTable(
    'Imports1764000000158',
    'imports',
    `kennelId uuid NOT NULL, id uuid NOT NULL, state varchar(10) CHARACTER SET ascii NOT NULL, view longtext NOT NULL, seenAt datetime(3) NOT NULL,
     PRIMARY KEY (kennelId, id), KEY bySeen (seenAt)`,
  ),
  makesTable(
    'ImportParts1764000000159',
    'import_parts',
    'kennelId uuid NOT NULL, importId uuid NOT NULL, part int NOT NULL, bytes mediumblob NOT NULL, PRIMARY KEY (kennelId, importId, part)',
  ),
];
