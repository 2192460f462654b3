import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Ids are a kennel's own: what one kennel brings in from a file keeps its ids, whoever else has the same. */
function idsByKennel(name: string, table: string): new () => MigrationInterface {
  return class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` DROP PRIMARY KEY, ADD PRIMARY KEY (kennelId, id)`);
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` DROP PRIMARY KEY, ADD PRIMARY KEY (id)`);
    }
  };
}

/** Sign-ins know their kennel, as a person's id alone names nobody any more. Those there were are over: each signs in once again. */
class SessionsByKennel implements MigrationInterface {
  name = 'SessionsByKennel1764000000046';
  async up(runner: QueryRunner): Promise<void> {
    const [key] = (await runner.query(
      `SELECT CONSTRAINT_NAME AS name FROM information_schema.KEY_COLUMN_USAGE
       WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'sessions' AND REFERENCED_TABLE_NAME = 'people'`,
    )) as { name: string }[];
    await runner.query('DELETE FROM sessions');
    await runner.query(
      `ALTER TABLE sessions ${key ? `DROP FOREIGN KEY \`${key.name}\`,` : ''} ADD COLUMN kennelId uuid NULL AFTER idHash,
       ADD FOREIGN KEY (kennelId, personId) REFERENCES people (kennelId, id) ON DELETE CASCADE`,
    );
  }
  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DELETE FROM sessions');
    const keys = (await runner.query(
      `SELECT DISTINCT CONSTRAINT_NAME AS name FROM information_schema.KEY_COLUMN_USAGE
       WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'sessions' AND REFERENCED_TABLE_NAME = 'people'`,
    )) as { name: string }[];
    await runner.query(`ALTER TABLE sessions ${keys.map(({ name }) => `DROP FOREIGN KEY \`${name}\`, `).join('')} DROP COLUMN kennelId`);
  }
}

/** The tables whose rows are a kennel’s, each found by its kennel and its id. */
export const TABLES_BY_KENNEL = [
  'people',
  'places',
  'dogs',
  'collars',
  'gear',
  'wants',
  'tapings',
  'weighings',
  'screenings',
  'lifts',
  'plans',
  'fit_checks',
  'endings',
  'inspections',
  'link_moves',
  'dressings',
  'photos',
  'skin_looks',
  'bridges',
  'events',
  'field_events',
  'field_sessions',
  'presses',
  'level_caps',
  'programmes',
  'stage_results',
  'stage_moves',
  'hours',
  'planned_sessions',
  'kennel_templates',
  'drills',
  'calendar_feeds',
  'handovers',
  'owner_links',
  'owner_visits',
];
/** The first of their numbers. */
const FIRST = 47;
export const titled = (table: string) => table.replaceAll(/(?:^|_)(\w)/g, (_all, letter: string) => letter.toUpperCase());

export const idsByKennelMigrations = [
  SessionsByKennel,
  ...TABLES_BY_KENNEL.map((table, index) => idsByKennel(`${titled(table)}ByKennel17640000000${FIRST + index}`, table)),
];
