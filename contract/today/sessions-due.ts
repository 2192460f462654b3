import { capital, countOf, heldSessions, timeOfDay, MINUTE_MS } from '@banter/core';
import { DateTime } from 'luxon';
import type { TodayItem } from '../records/today-page.ts';
import { noDog, type DogDueFacts, type TodayFound } from './today-facts.ts';

/** So many sessions that nobody logged stand each for itself; more stand together. */
export const MISSED_SHOWN = 2;
/** So many of these are named. */
export const MISSED_NAMED = 12;

/** Today's sessions of dogs that were not held yet: each as what it is before it begins, from its first minute, and once it is over. */
export function sessionsDue({ planned, held, people, stageNames, cards }: DogDueFacts): TodayFound[] {
  const was = heldSessions(planned, held);
  return planned.flatMap((one): TodayFound[] => {
    const dogName = cards.find(({ dog }) => dog.id === one.dogId)?.dog.name;
    if (was.has(one.id) || dogName === undefined) return [];
    const what = stageNames[one.id] ?? one.note;
    const person = people.find(({ id }) => id === one.personId)?.name ?? '';
    /** One press begins it, as it was planned. */
    const to = `/field?dog=${one.dogId}&hand=${one.personId}`;
    const own = {
      dogId: one.dogId,
      dogName,
      title: `${timeOfDay(one.from)} ${dogName}${what ? `: ${what}` : ''}`,
      at: one.at,
      key: one.id,
    };
    const why = `${one.minutes} minutes with ${person}`;
    const over = one.at + one.minutes * MINUTE_MS + 1;
    return [
      { ...own, code: 'session-ahead', tone: 'open', to: `${to}&begin=1`, why: `${why}.`, does: 'Begin', dueUntil: one.at },
      { ...own, code: 'session-now', tone: 'open', to: `${to}&begin=1`, why: `${why}.`, does: 'Begin', dueFrom: one.at, dueUntil: over },
      { ...own, code: 'session-missed', tone: 'mind', to, why: `${why}; nothing was logged.`, does: 'Log it', dueFrom: over },
    ];
  });
}

/** Sessions of today that nobody logged, where they are so many that they stand together: how many, and the first of them. */
export function missedTogether({ count, first }: { count: number; first: readonly Pick<TodayItem, 'dogName' | 'at'>[] }, zone: string): TodayFound {
  const named = first.slice(0, MISSED_NAMED).map(({ dogName, at }) => `${DateTime.fromISO(at!, { zone }).toFormat('HH:mm')} ${dogName}`);
  return {
    ...noDog,
    code: 'session-missed',
    tone: 'mind',
    title: `${capital(countOf(count, 'session'))} of today were not logged.`,
    why: `${named.join(', ')}${count > named.length ? ` and ${count - named.length} more` : ''}.`,
    to: '/programme',
    does: 'See them',
    at: Date.parse(first[0]!.at!),
    key: 'missed',
  };
}
