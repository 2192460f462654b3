import { addsKey } from './table-migration.ts';

/** Keys for a calendar that shows some of a kennel's hands, and their dogs. */
export const calendarKeysMigrations = [
  addsKey('PlannedOfHands1764000000160', 'planned_sessions', 'ofHands', 'kennelId, personId, day'),
  addsKey('PlannedOfDogs1764000000161', 'planned_sessions', 'ofDogs', 'kennelId, dogId, day'),
  addsKey('PlannedOfProgrammes1764000000162', 'planned_sessions', 'ofProgrammes', 'kennelId, programmeId, day'),
];
