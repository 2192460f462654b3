import type { ReasonWords } from '../reasons/reason.ts';
import { sessionClash, somebodyThere, type PlacedSession, type ScheduleCase } from './schedule.ts';

/** Anything against a session where it lies. */
export type SessionFault =
  | { code: 'closed' }
  | { code: 'outside-hours' }
  | { code: 'hand-away'; hand: string }
  | { code: 'hand-busy'; hand: string; withId: string }
  | { code: 'dog-busy'; withId: string }
  | { code: 'little-rest'; minutes: number; restMinutes: number }
  | { code: 'many-a-day'; count: number; limit: number }
  | { code: 'around-alone'; aroundMinutes: number }
  | { code: 'past' };

export const SESSION_FAULT_WORDS: ReasonWords<SessionFault> = {
  closed: () => 'The kennel is closed that day.',
  'outside-hours': () => 'It lies outside the open hours.',
  'hand-away': (r) => `${r.hand} is not there then.`,
  'hand-busy': (r) => `${r.hand} has another session then.`,
  'dog-busy': () => 'The dog has another session then.',
  'little-rest': (r) => `${r.minutes} minutes of rest between two sessions of the dog; the house wants ${r.restMinutes}.`,
  'many-a-day': (r) => `${r.count} sessions of the dog that day; the house allows ${r.limit}.`,
  'around-alone': (r) => `Nobody is there for all of the ${r.aroundMinutes} minutes that the collar is on before and after.`,
  past: () => 'That time is over.',
};

/** Faults that nobody can decide away: a dog and a pair of hands are in one place at a time, and what is over is over. */
const HARD: readonly SessionFault['code'][] = ['dog-busy', 'hand-busy', 'past'];
export const isHardFault = ({ code }: SessionFault): boolean => HARD.includes(code);

/**
 * All that speaks against a session where it lies among others: what cannot be first, then what the house would not do.
 * `now` is the day and minute before which nothing is begun. Minutes of the day. Common practice.
 */
export function sessionFaults(
  session: PlacedSession,
  others: readonly PlacedSession[],
  { days, hands, rules, notBefore }: Pick<ScheduleCase, 'days' | 'hands' | 'rules' | 'notBefore'>,
): SessionFault[] {
  const { day, from, minutes, aroundMinutes } = session;
  const to = from + minutes;
  const same = others.filter((other) => other.id !== session.id && other.day === day);
  const hand = hands.find(({ id }) => id === session.handId);
  const faults: SessionFault[] = [];
  if (day < notBefore.day || (day === notBefore.day && from < notBefore.minute)) faults.push({ code: 'past' });
  let least = Infinity;
  for (const other of same) {
    const clash = sessionClash(session, other, rules.dogRestMinutes);
    if (clash === 'dog') faults.push({ code: 'dog-busy', withId: other.id });
    if (clash === 'hands') faults.push({ code: 'hand-busy', hand: hand?.name ?? 'The hand', withId: other.id });
    if (clash === 'rest') least = Math.min(least, Math.max(other.from - to, from - (other.from + other.minutes)));
  }
  const open = days[day]?.open ?? null;
  if (!open) faults.push({ code: 'closed' });
  else if (from - aroundMinutes < open[0] || to + aroundMinutes > open[1]) faults.push({ code: 'outside-hours' });
  const hours = hand?.hours[day] ?? null;
  if (!hours || from < hours[0] || to > hours[1]) faults.push({ code: 'hand-away', hand: hand?.name ?? 'The hand' });
  if (aroundMinutes > 0 && open && !somebodyThere(day, [from - aroundMinutes, to + aroundMinutes], hands)) faults.push({ code: 'around-alone', aroundMinutes });
  if (least < Infinity) faults.push({ code: 'little-rest', minutes: least, restMinutes: rules.dogRestMinutes });
  const count = 1 + same.filter(({ dogId }) => dogId === session.dogId).length;
  if (count > rules.dogSessionsPerDay) faults.push({ code: 'many-a-day', count, limit: rules.dogSessionsPerDay });
  return faults;
}
