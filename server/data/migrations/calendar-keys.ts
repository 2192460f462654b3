import { addsKey, changesTable } from './table-migration.ts';

/** Keys for a calendar that shows some of a kennel's hands, and their dogs. */
export const calendarKeysMigrations = [
  addsKey('PlannedOfHands1764000000160', 'planned_sessions', 'ofHands', 'kennelId, personId, day'),
  addsKey('PlannedOfDogs1764000000161', 'planned_sessions', 'ofDogs', 'kennelId, dogId, day'),
  addsKey('PlannedOfProgrammes1764000000162', 'planned_sessions', 'ofProgrammes', 'kennelId, programmeId, day'),
];

/** The same keys, which answer by themselves: how much is planned of a day for whom and which dogs, and whether anything is planned of a programme. */
export const wholeCalendarKeysMigrations = [
  changesTable('PlannedOfDayWhole1764000000172', 'planned_sessions', {
    up: 'DROP KEY `ofDay`, ADD KEY `ofDay` (kennelId, day, state, personId, dogId)',
    down: 'DROP KEY `ofDay`, ADD KEY `ofDay` (kennelId, day)',
  }),
  changesTable('PlannedOfProgrammesWhole1764000000173', 'planned_sessions', {
    up: 'DROP KEY `ofProgrammes`, ADD KEY `ofProgrammes` (kennelId, programmeId, state, day)',
    down: 'DROP KEY `ofProgrammes`, ADD KEY `ofProgrammes` (kennelId, programmeId, day)',
  }),
];
