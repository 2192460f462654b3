import { tellTaleTimes } from '@banter/core';
import type { CalendarChange } from '../records/calendar.ts';
import type { CalendarPage } from '../records/calendar-page.ts';
import type { Kennel } from '../records/kennel.ts';
import type { Programme, TellTaleShape } from '../records/programme.ts';
import { calendarCase, placedSession, plannedFacts, scheduleDays } from './kennel-calendar.ts';

/** A plan as it was dealt: its times, the sessions of its work, what it stands in place of, and the days on which work found no room. */
export type DealtPlan = {
  tellTale: TellTaleShape;
  sessions: CalendarChange['sessions'];
  noWork: string[];
};

/**
 * Deals two weeks of a programme on the kennel's calendar, from today or its first day on. Times that are over stay as they were,
 * and so does their work; what is ahead of an earlier deal is dropped.
 */
export function dealTellTale(
  programme: Programme,
  { collars, seed, newId }: { collars: readonly string[]; seed: number; newId: () => string },
  page: CalendarPage,
  kennel: Pick<Kennel, 'id' | 'rules' | 'timeZone'>,
  now: number,
): DealtPlan {
  const dates = scheduleDays(page);
  const { id: stageId, minutes: workMinutes } = programme.stages[0]!;
  const calendar = calendarCase(page, kennel, now);
  const begins = dates.indexOf(programme.startsOn);
  const notBefore = begins > calendar.notBefore.day ? { day: begins, minute: 0 } : calendar.notBefore;
  const isAhead = (day: string, minute: number) => dates.indexOf(day) > notBefore.day || (dates.indexOf(day) === notBefore.day && minute >= notBefore.minute);
  const old = page.sessions.filter((one) => one.programmeId === programme.id && one.stageId === stageId && isAhead(one.day, one.from));
  const gone = new Set(old.map(({ id }) => id));
  const fixed = page.sessions.filter(({ id }) => !gone.has(id)).map((one) => placedSession(one, dates));
  const wishId = `${programme.id} ${stageId}`;
  const dealt = tellTaleTimes({ collars, seed, dogId: programme.dogId, wishId, workMinutes, calendar: { ...calendar, notBefore }, fixed });
  const over = (programme.tellTale?.times ?? []).filter(({ day, minute }) => !isAhead(day, minute));
  const sessions: DealtPlan['sessions'] = [];
  const times = dealt.times.map(({ day, minute, minutes, worn, session }) => {
    if (!session) return { day: dates[day]!, minute, minutes, worn: [...worn], sessionId: null };
    const id = newId();
    sessions.push({ id, version: null, facts: plannedFacts(session, dates) });
    return { day: dates[day]!, minute, minutes, worn: [...worn], sessionId: id };
  });
  const dropped = old.map(({ id, version, ...facts }) => ({ id, version, facts: { ...facts, state: 'dropped' as const } }));
  return {
    tellTale: { collars: [...collars], seed, times: [...over, ...times] },
    sessions: [...dropped, ...sessions],
    noWork: [...new Set(dealt.noWork)].map((day) => dates[day]!),
  };
}
