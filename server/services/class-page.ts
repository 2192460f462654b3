import { isHere, isSound, type ClassPage, type Kennel } from '@banter/contract';
import { DateTime } from 'luxon';
import { DAY_STANDING } from '../standings/day-standing.ts';
import { bringUpToDate } from '../standings/kept-standings.ts';
import { linkBalances } from '../standings/link-balances.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { LAST_FOUND_ON } from './made-up.ts';
import { stockOf } from './stock.ts';

/** Which dog wears which collar by its fits; one that was re-linked for another since hangs on no other any more. */
async function wornCollars(scope: KennelScope, kennel: Kennel, now: Date): Promise<ClassPage['worn']> {
  await bringUpToDate(scope, [DAY_STANDING], kennel, now);
  return scope.raw<{ collarId: string; dogId: string }>(
    `SELECT worn.pieceId AS collarId, worn.dogId FROM worn_pieces worn JOIN collars ON collars.kennelId = worn.kennelId AND collars.id = worn.pieceId
       LEFT JOIN (${LAST_FOUND_ON}) found ON found.collarId = worn.pieceId AND found.place = 1
      WHERE worn.kennelId = :kennelId AND COALESCE(found.dogId, worn.dogId) = worn.dogId ORDER BY worn.pieceId, worn.dogId`,
  );
}

/** What a class is kitted up from: whose sessions are tomorrow, and what is owned. The dogs' own cards are asked for by whoever is in the class. */
export async function classPage(scope: KennelScope, now: Date): Promise<ClassPage> {
  const kennel = kennelAnswer(await kennelOf(scope));
  // The kennel’s next day, also where a day has 23 hours or 25.
  const day = DateTime.fromJSDate(now, { zone: kennel.timeZone }).plus({ days: 1 }).toISODate()!;
  const [collars, links, worn, planned] = await Promise.all([
    stockOf(scope),
    linkBalances(scope),
    wornCollars(scope, kennel, now),
    scope.raw<{ id: string; name: string }>(
      `SELECT DISTINCT dogs.id, dogs.name FROM planned_sessions planned STRAIGHT_JOIN dogs ON dogs.kennelId = planned.kennelId AND dogs.id = planned.dogId AND dogs.archivedAt IS NULL
        WHERE planned.kennelId = :kennelId AND planned.day = :day AND planned.state = 'planned' ORDER BY dogs.name, dogs.id`,
      { day },
    ),
  ]);
  return {
    day,
    planned,
    collars: collars.filter((one) => isHere(one) && isSound(one)),
    links,
    worn,
  };
}
