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

/** A migration that adds one column to a table. */
export function addsColumn(name: string, table: string, column: string, definition: string): new () => MigrationInterface {
  return class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` ADD COLUMN \`${column}\` ${definition}`);
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` DROP COLUMN \`${column}\``);
    }
  };
}

/** A migration that adds a key to a table: which rows a screen asks for. */
export function addsKey(name: string, table: string, key: string, columns: string): new () => MigrationInterface {
  return class implements MigrationInterface {
    name = name;
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` ADD KEY \`${key}\` (${columns})`);
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(`ALTER TABLE \`${table}\` DROP KEY \`${key}\``);
    }
  };
}
