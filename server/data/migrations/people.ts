import type { MigrationInterface, QueryRunner } from 'typeorm';
import { whereAllowed } from '../deeds-stay.ts';
import { kept, recordAtFirst, refers } from './column-sql.ts';
import { addsColumn, makesTable } from './table-migration.ts';

/** A migration after which nothing in a table is changed or taken out, by whatever means: the database itself refuses. */
function keepsForGood(name: string, table: string, act: 'UPDATE' | 'DELETE'): new () => MigrationInterface {
  const trigger = `${table}_no_${act.toLowerCase()}`;
  return class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await whereAllowed(() =>
        runner.query(
          `CREATE TRIGGER \`${trigger}\` BEFORE ${act} ON \`${table}\` FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was done stays written.'`,
        ),
      );
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(`DROP TRIGGER \`${trigger}\``);
    }
  };
}

/** Who may do what, who was invited, and who did what. Whoever was there before could do everything: a lead. */
export const peopleMigrations = [
  addsColumn(
    'PeopleRole1764000000037',
    'people',
    'role',
    "varchar(10) CHARACTER SET ascii NOT NULL DEFAULT 'lead' CHECK (role IN ('lead', 'assistant', 'reader'))",
  ),
  addsColumn('PeopleLeft1764000000038', 'people', 'leftAt', 'datetime(3) NULL'),
  makesTable(
    'Invites1764000000039',
    'invites',
    `${recordAtFirst},
     version int NOT NULL CHECK (version > 0),
     name varchar(80) NOT NULL,
     role varchar(10) CHARACTER SET ascii NOT NULL CHECK (role IN ('lead', 'assistant', 'reader')),
     personId uuid NULL,
     keyHash char(64) CHARACTER SET ascii NOT NULL UNIQUE,
     expiresAt datetime(3) NOT NULL,
     revokedAt datetime(3) NULL,
     usedAt datetime(3) NULL,
     ${refers('personId', 'people')}`,
  ),
  makesTable(
    'Deeds1764000000040',
    'deeds',
    `${recordAtFirst},
     at datetime(3) NOT NULL,
     personId uuid NULL,
     act varchar(10) CHARACTER SET ascii NOT NULL,
     kind varchar(40) CHARACTER SET ascii NOT NULL,
     recordId uuid NULL,
     dogId uuid NULL,
     label varchar(120) NOT NULL,
     about json NOT NULL,
     KEY byTime (kennelId, at, id),
     KEY byDog (kennelId, dogId, at),
     KEY byPerson (kennelId, personId, at),
     ${refers('personId', 'people')}`,
  ),
  keepsForGood('DeedsStay1764000000041', 'deeds', 'UPDATE'),
  keepsForGood('DeedsStayIn1764000000042', 'deeds', 'DELETE'),
  makesTable(
    'Handovers1764000000043',
    'handovers',
    `${recordAtFirst},
     dogId uuid NOT NULL,
     toWhom varchar(120) NOT NULL,
     callWhom varchar(160) NOT NULL,
     lengthUnit varchar(2) CHARACTER SET ascii NOT NULL CHECK (lengthUnit IN ('in', 'cm')),
     massUnit varchar(2) CHARACTER SET ascii NOT NULL CHECK (massUnit IN ('lb', 'kg')),
     note text NOT NULL,
     sheet json NOT NULL,
     ${kept},
     KEY ofDog (kennelId, dogId, at),
     ${refers('dogId', 'dogs')},
     ${refers('personId', 'people')}`,
  ),
  makesTable(
    'OwnerLinks1764000000044',
    'owner_links',
    `${recordAtFirst},
     version int NOT NULL CHECK (version > 0),
     dogId uuid NOT NULL,
     name varchar(80) NOT NULL,
     keyHash char(64) CHARACTER SET ascii NOT NULL UNIQUE,
     expiresAt datetime(3) NOT NULL,
     revokedAt datetime(3) NULL,
     lastSeenAt datetime(3) NULL,
     KEY ofDog (kennelId, dogId),
     ${refers('dogId', 'dogs')}`,
  ),
  makesTable(
    'OwnerVisits1764000000045',
    'owner_visits',
    `${recordAtFirst},
     linkId uuid NOT NULL,
     dogId uuid NOT NULL,
     what varchar(10) CHARACTER SET ascii NOT NULL CHECK (what IN ('opened', 'paper', 'ticked', 'unticked')),
     item varchar(60) NOT NULL,
     day date NULL,
     at datetime(3) NOT NULL,
     KEY ofDog (kennelId, dogId, at),
     KEY ofLink (kennelId, linkId, at),
     ${refers('linkId', 'owner_links')},
     ${refers('dogId', 'dogs')}`,
  ),
];
