import type { MigrationInterface, QueryRunner } from 'typeorm';
import { TABLES_BY_KENNEL, titled } from './ids-by-kennel.ts';
import { addsKey, dropsUniqueKey, makesTable } from './table-migration.ts';

/** What stands is found by its subject, a dog or a piece of gear, and read in the order of a list. Everything in it can be worked out again: it is emptied. */
class StandingsOfSubjects1764000000101 implements MigrationInterface {
  name = 'StandingsOfSubjects1764000000101';
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('DELETE FROM standings');
    await runner.query(
      `ALTER TABLE standings CHANGE COLUMN dogId subjectId uuid NOT NULL,
         ADD COLUMN \`rank\` tinyint NULL AFTER untilAt, ADD COLUMN sortAt datetime(3) NULL AFTER \`rank\`, ADD COLUMN sortKey varchar(190) NULL AFTER sortAt,
         ADD KEY inOrder (kennelId, kind, \`rank\`, sortAt, sortKey, subjectId), ADD KEY kept (kennelId, kind, worked, touched, untilAt, basis), ADD KEY byEnd (untilAt)`,
    );
  }
  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DELETE FROM standings');
    await runner.query(
      `ALTER TABLE standings DROP KEY inOrder, DROP KEY kept, DROP KEY byEnd, DROP COLUMN \`rank\`, DROP COLUMN sortAt, DROP COLUMN sortKey,
         CHANGE COLUMN subjectId dogId uuid NOT NULL`,
    );
  }
}

/**
 * What stands of a dog or of a piece of gear, as it was worked out last. `touched` counts the writes that bear on it; it counts as long as
 * `worked` says the same. Of a kennel's rows alone: everything in these tables is worked out from other tables.
 */
export const standingMigrations = [
  makesTable(
    'Standings1764000000100',
    'standings',
    `kennelId uuid NOT NULL, kind varchar(20) NOT NULL, dogId uuid NOT NULL, touched bigint NOT NULL, worked bigint NULL, basis varchar(60) NULL,
     untilAt datetime(3) NULL, data longtext NULL, PRIMARY KEY (kennelId, kind, dogId)`,
  ),
  StandingsOfSubjects1764000000101,
  // What a standing makes due, from when and until when, in the order of Today.
  makesTable(
    'Dues1764000000102',
    'dues',
    `kennelId uuid NOT NULL, kind varchar(20) NOT NULL, subjectId uuid NOT NULL, id varchar(190) COLLATE utf8mb4_bin NOT NULL,
     code varchar(20) NOT NULL, tone varchar(5) NOT NULL, place smallint NOT NULL, at datetime(3) NULL,
     fromAt datetime(3) NOT NULL, toAt datetime(3) NOT NULL, data longtext NOT NULL,
     PRIMARY KEY (kennelId, kind, subjectId, id), KEY inOrder (kennelId, place, at, id), KEY byTime (kennelId, fromAt, toAt, code, tone)`,
  ),
  // Which dog wears which piece: a collar by its fit, gear in its rig.
  makesTable(
    'WornPieces1764000000103',
    'worn_pieces',
    `kennelId uuid NOT NULL, dogId uuid NOT NULL, pieceId uuid NOT NULL, lookedAt datetime(3) NULL,
     PRIMARY KEY (kennelId, dogId, pieceId), KEY ofPiece (kennelId, pieceId)`,
  ),
  addsKey('LinksFromAccounts1764000000104', 'link_moves', 'fromWhere', 'kennelId, fromAccount, gaugeMm, count'),
  addsKey('LinksToAccounts1764000000105', 'link_moves', 'toWhere', 'kennelId, toAccount, gaugeMm, count'),
  // Ids are found by the primary key, which says the same.
  ...TABLES_BY_KENNEL.map((table, index) => dropsUniqueKey(`${titled(table)}Once1764000000${110 + index}`, table, 'ofKennel', 'kennelId, id')),
];
