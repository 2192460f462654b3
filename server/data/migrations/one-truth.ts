import type { MigrationInterface, QueryRunner } from 'typeorm';
import { addsColumn } from './table-migration.ts';

/** An owner tells of the skin, too: a look is by a person of the kennel, or by an owner's link. */
class SkinByOwner implements MigrationInterface {
  name = 'SkinByOwner1764000000097';
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE skin_looks MODIFY COLUMN personId uuid NULL, ADD CONSTRAINT skinLookOfLink FOREIGN KEY (kennelId, linkId) REFERENCES owner_links (kennelId, id),
       ADD CONSTRAINT skinLookByOne CHECK ((personId IS NULL) <> (linkId IS NULL))`,
    );
  }
  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE skin_looks DROP CONSTRAINT skinLookByOne, DROP FOREIGN KEY skinLookOfLink, MODIFY COLUMN personId uuid NOT NULL');
  }
}

/** What several screens disagreed about, kept once: mass and rating of a piece of gear wherever it hangs, an owner's word about the skin, the heel line
 * and which tool where of a dog. */
export const oneTruthMigrations = [
  addsColumn('GearMass1764000000094', 'gear', 'massG', 'double NULL'),
  addsColumn('GearLoadRated1764000000095', 'gear', 'loadRated', 'boolean NULL'),
  addsColumn('SkinLookLink1764000000096', 'skin_looks', 'linkId', 'uuid NULL'),
  SkinByOwner,
  addsColumn('DogHeelLine1764000000098', 'dogs', 'heelLine', "varchar(120) NOT NULL DEFAULT ''"),
  addsColumn('DogToolsWhere1764000000099', 'dogs', 'toolsWhere', 'json NULL'),
];
