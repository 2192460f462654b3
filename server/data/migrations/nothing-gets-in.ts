import type { MigrationInterface, QueryRunner } from 'typeorm';
import { DEEDS_STAY, whereAllowed } from '../deeds-stay.ts';
import { addsColumn, makesTable } from './table-migration.ts';

/** An e-mail may stand in several kennels, each with a password of its own: that it is known is nobody's to find out. */
class EmailsOfSeveral implements MigrationInterface {
  name = 'EmailsOfSeveral1764000000082';
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE people DROP KEY onePerEmail, ADD KEY byEmail (email)');
  }
  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE people DROP KEY byEmail, ADD UNIQUE KEY onePerEmail (email)');
  }
}

/** The log stays, but for the demo's: what visitors did in it is put back whole. */
class DemoDeedsMayGo implements MigrationInterface {
  name = 'DemoDeedsMayGo1764000000085';
  async up(runner: QueryRunner): Promise<void> {
    await whereAllowed(() => runner.query(DEEDS_STAY.deeds_no_delete));
  }
  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE OR REPLACE TRIGGER \`deeds_no_delete\` BEFORE DELETE ON \`deeds\` FOR EACH ROW
       SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was done stays written.'`,
    );
  }
}

/** What keeps Banter from being overrun and taken over; counts and open streams stand in the database, so that several servers count together. */
export const nothingGetsInMigrations = [
  EmailsOfSeveral,
  makesTable(
    'Tries1764000000083',
    'tries',
    `keyHash char(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY,
     count int NOT NULL CHECK (count > 0),
     opensAt datetime(3) NOT NULL,
     forgottenAt datetime(3) NOT NULL,
     KEY byEnd (forgottenAt)`,
  ),
  makesTable(
    'Listeners1764000000084',
    'listeners',
    `id uuid NOT NULL PRIMARY KEY,
     kennelId uuid NOT NULL,
     personId uuid NOT NULL,
     seenAt datetime(3) NOT NULL,
     KEY ofPerson (kennelId, personId)`,
  ),
  DemoDeedsMayGo,
  addsColumn('KennelUsed1764000000086', 'kennels', 'usedAt', 'datetime(3) NULL'),
];
