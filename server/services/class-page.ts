import type { ClassPage } from '@banter/contract';
import { DateTime } from 'luxon';
import { PlannedSessionEntity } from '../data/entities/calendar.ts';
import { dogsPage } from './dog-pages.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { linkBalances } from './links.ts';

/** What a class is kitted up from: the dogs that are here, what is owned, and whose sessions are tomorrow. */
export async function classPage(scope: KennelScope, now: Date): Promise<ClassPage> {
  const { timeZone } = await kennelOf(scope);
  // The kennel’s next day, also where a day has 23 hours or 25.
  const day = DateTime.fromJSDate(now, { zone: timeZone }).plus({ days: 1 }).toISODate()!;
  const [{ dogs, collars }, links, sessions] = await Promise.all([
    dogsPage(scope),
    linkBalances(scope),
    scope.all(PlannedSessionEntity, { day, state: 'planned' }, { id: 'ASC' }),
  ]);
  return { dogs: dogs.filter(({ dog }) => dog.archivedAt === null), collars, links, day, plannedThen: [...new Set(sessions.map(({ dogId }) => dogId))] };
}
