import { addsColumn } from './table-migration.ts';

/** What is noted of a dog and steers the choice of its collar, null where nobody has noted it; that a tape's doubt was settled, and whether a collar is owned. */
export const whatSteersMigrations = [
  addsColumn('DogAcquaintance1764000000087', 'dogs', 'acquaintance', "varchar(5) NULL CHECK (acquaintance IN ('new', 'known'))"),
  addsColumn('DogManner1764000000088', 'dogs', 'manner', "varchar(13) NULL CHECK (manner IN ('calm', 'excitable', 'reactive', 'very-reactive'))"),
  addsColumn('DogNickel1764000000089', 'dogs', 'nickel', 'boolean NULL'),
  addsColumn('DogSaltWater1764000000090', 'dogs', 'saltWater', 'boolean NULL'),
  addsColumn('TapingSettled1764000000091', 'tapings', 'settled', 'boolean NOT NULL DEFAULT FALSE'),
  addsColumn('CollarOwned1764000000092', 'collars', 'owned', 'boolean NOT NULL DEFAULT TRUE'),
];
