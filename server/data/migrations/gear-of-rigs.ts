import { addsColumn } from './table-migration.ts';

/** What is asked once of a piece of gear, wherever it hangs: its mass, g, and whether it is made for load. */
export const gearOfRigsMigrations = [
  addsColumn('GearMass1764000000094', 'gear', 'massG', 'double NULL'),
  addsColumn('GearLoadRated1764000000095', 'gear', 'loadRated', 'tinyint NULL'),
];
