import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A migration that makes one table: DDL is not transactional here, so each does one thing. */
export function makesTable(name: string, table: string, definition: string): new () => MigrationInterface {
  return class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(`CREATE TABLE \`${table}\` (${definition}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`);
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(`DROP TABLE \`${table}\``);
    }
  };
}

type Change = { up: string; down: string };
/** A migration that changes a table and nothing else. */
export const changesTable = (name: string, table: string, { up, down }: Change): new () => MigrationInterface =>
  class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` ${up}`);
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` ${down}`);
    }
  };

/** A migration that adds one column to a table. */
export const addsColumn = (name: string, table: string, column: string, definition: string) =>
  changesTable(name, table, { up: `ADD COLUMN \`${column}\` ${definition}`, down: `DROP COLUMN \`${column}\`` });

/** A migration that adds a key to a table, for rows that a screen asks for. */
export const addsKey = (name: string, table: string, key: string, columns: string) =>
  changesTable(name, table, { up: `ADD KEY \`${key}\` (${columns})`, down: `DROP KEY \`${key}\`` });

/** A migration that drops a unique key which another key says already. */
export const dropsUniqueKey = (name: string, table: string, key: string, columns: string) =>
  changesTable(name, table, { up: `DROP KEY \`${key}\``, down: `ADD UNIQUE KEY \`${key}\` (${columns})` });
