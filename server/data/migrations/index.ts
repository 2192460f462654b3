import { calendarKeysMigrations, wholeCalendarKeysMigrations } from './calendar-keys.ts';
import { fieldLogMigrations } from './field-log.ts';
import { fitsMigrations } from './fits.ts';
import { idsByKennelMigrations } from './ids-by-kennel.ts';
import { keysForScreensMigrations } from './keys-for-screens.ts';
import { linkBalancesMigrations } from './link-balances.ts';
import { lockerMigrations } from './locker.ts';
import { neckMigrations } from './neck.ts';
import { nothingGetsInMigrations } from './nothing-gets-in.ts';
import { oneLogMigrations } from './one-log.ts';
import { oneTruthMigrations } from './one-truth.ts';
import { ownerSaysMigrations } from './owner-says.ts';
import { peopleAndDogsMigrations } from './people-and-dogs.ts';
import { peopleMigrations } from './people.ts';
import { programmeMigrations } from './programme.ts';
import { severalServersMigrations } from './several-servers.ts';
import { standingMigrations } from './standings.ts';
import { upkeepMigrations } from './upkeep.ts';
import { whatSteersMigrations } from './what-steers.ts';

/** Every step of the database, in the order in which they were taken; one that has landed is never changed. */
export const migrations = [
  ...peopleAndDogsMigrations,
  ...fitsMigrations,
  ...lockerMigrations,
  ...neckMigrations,
  ...fieldLogMigrations,
  ...programmeMigrations,
  ...upkeepMigrations,
  ...peopleMigrations,
  ...idsByKennelMigrations,
  ...nothingGetsInMigrations,
  ...whatSteersMigrations,
  ...ownerSaysMigrations,
  ...oneTruthMigrations,
  ...standingMigrations,
  ...oneLogMigrations,
  ...keysForScreensMigrations,
  ...severalServersMigrations,
  ...calendarKeysMigrations,
  ...linkBalancesMigrations,
  ...wholeCalendarKeysMigrations,
];
