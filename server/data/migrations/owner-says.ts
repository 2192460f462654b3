import type { MigrationInterface, QueryRunner } from 'typeorm';

const among = (what: readonly string[]) =>
  `ALTER TABLE \`owner_visits\` MODIFY COLUMN \`what\` varchar(10) CHARACTER SET ascii NOT NULL CHECK (what IN (${what.map((one) => `'${one}'`).join(', ')}))`;
const BEFORE = ['opened', 'paper', 'ticked', 'unticked'];

/** Owners say what is not right, and take it back. */
export const ownerSaysMigrations = [
  class implements MigrationInterface {
    name = 'OwnerSays1764000000093';
    async up(runner: QueryRunner): Promise<void> {
      await runner.query(among([...BEFORE, 'said', 'unsaid']));
    }
    async down(runner: QueryRunner): Promise<void> {
      await runner.query(among(BEFORE));
    }
  },
];
