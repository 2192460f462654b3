import { dayOf, type ClassPage } from '@banter/contract';
import { PlannedSessionEntity } from '../data/entities/calendar.ts';
import { dogsPage } from './dog-pages.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { linkBalances } from './links.ts';
import { DAY_MS } from '@banter/core';

/** What a class is kitted up from: the dogs that are here, what is owned, and whose sessions are tomorrow. */
export async function classPage(scope: KennelScope, now: Date): Promise<ClassPage> {
  const { timeZone } = await kennelOf(scope);
  const day = dayOf(now.getTime() + DAY_MS, timeZone);
  const [{ dogs, collars }, links, sessions] = await Promise.all([
    dogsPage(scope),
    linkBalances(scope),
    scope.all(PlannedSessionEntity, { day, state: 'planned' }, { id: 'ASC' }),
  ]);
  return { dogs: dogs.filter(({ dog }) => dog.archivedAt === null), collars, links, day, plannedThen: [...new Set(sessions.map(({ dogId }) => dogId))] };
}
