import { countOf, heldSessions, timeOfDay, MINUTE_MS, capital } from '@banter/core';
import { noDog, type TodayFacts, type TodayFound } from './today-facts.ts';

/** So many sessions that nobody logged stand each for itself; more stand together. */
const MISSED_SHOWN = 2;

/** Today's sessions that were not held yet, by the clock. */
export function sessionsDue({ planned, held, people, stageNames, dogs, now }: TodayFacts): TodayFound[] {
  const was = heldSessions(planned, held);
  const name = (id: string, of: readonly { id: string; name: string }[]) => of.find((one) => one.id === id)?.name ?? '';
  const open = planned.filter(({ id }) => !was.has(id)).sort((a, b) => a.at - b.at);
  const missed = open.filter((one) => now > one.at + one.minutes * MINUTE_MS);
  const each = (missed.length > MISSED_SHOWN ? open.slice(missed.length) : open).map((one): TodayFound => {
    const code = missed.includes(one) ? 'session-missed' : now >= one.at ? 'session-now' : 'session-ahead';
    const dogName = name(one.dogId, dogs);
    const what = stageNames[one.id] ?? one.note;
    return {
      dogId: one.dogId,
      dogName,
      code,
      tone: code === 'session-missed' ? 'mind' : 'open',
      title: `${timeOfDay(one.from)} ${dogName}${what ? `: ${what}` : ''}`,
      why: `${one.minutes} minutes with ${name(one.personId, people)}${code === 'session-missed' ? '; nothing was logged' : ''}.`,
      to: `/field?dog=${one.dogId}&hand=${one.personId}`,
      does: code === 'session-missed' ? 'Log it' : 'Begin',
      at: one.at,
      key: one.id,
    };
  });
  if (missed.length <= MISSED_SHOWN) return each;
  const together: TodayFound = {
    ...noDog,
    code: 'session-missed',
    tone: 'mind',
    title: `${capital(countOf(missed.length, 'session'))} of today were not logged.`,
    why: `${missed.map((one) => `${timeOfDay(one.from)} ${name(one.dogId, dogs)}`).join(', ')}.`,
    to: '/programme',
    does: 'See them',
    at: missed[0]!.at,
    key: 'missed',
  };
  return [together, ...each];
}
