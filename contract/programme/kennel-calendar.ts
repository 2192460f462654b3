import { DAY_MS, hoursOn, houseRules, USUAL_HOURS, type PlacedSession, type ScheduleCase, type SessionWish } from '@banter/core';
import { DateTime } from 'luxon';
import type { PlannedSession, PlannedSessionFacts } from '../records/calendar.ts';
import type { CalendarPage, CalendarProgramme } from '../records/calendar-page.ts';
import type { Kennel } from '../records/kennel.ts';

/** The days of a span, as dates. */
export function scheduleDays({ from, days }: Pick<CalendarPage, 'from' | 'days'>): string[] {
  const first = Date.parse(from);
  return Array.from({ length: days }, (_day, index) => new Date(first + index * DAY_MS).toISOString().slice(0, 10));
}

/** What holds on a kennel's calendar at an instant (ms): its days and hands with their hours, its rules, and before when nothing is begun. */
export type CalendarCase = Pick<ScheduleCase, 'days' | 'hands' | 'rules' | 'notBefore'>;

/** A kennel's calendar as it is scheduled on; whoever has said no hours of their own is there whenever the kennel is open, and who has left it never. */
export function calendarCase(page: CalendarPage, kennel: Pick<Kennel, 'id' | 'rules' | 'timeZone'>, now: number): CalendarCase {
  const dates = scheduleDays(page);
  // From Monday, which is 1 (ISO 8601).
  const weekdays = dates.map((day) => new Date(day).getUTCDay() || 7);
  const of = (id: string) => page.hours.find((one) => one.id === id);
  const open = of(kennel.id) ?? USUAL_HOURS;
  const own = houseRules(kennel.rules);
  const at = DateTime.fromMillis(now, { zone: kennel.timeZone });
  const today = dates.indexOf(at.toISODate()!);
  return {
    days: dates.map((day, index) => ({ day, open: hoursOn(open, day, weekdays[index]!) })),
    hands: page.people
      .filter(({ id }) => page.hands.includes(id))
      .map(({ id, name, left }) => ({ id, name, hours: dates.map((day, index) => (left ? null : hoursOn(of(id) ?? open, day, weekdays[index]!))) })),
    rules: { dogRestMinutes: own.dogRestMinutes, dogSessionsPerDay: own.dogSessionsPerDay },
    notBefore: today >= 0 ? { day: today, minute: at.hour * 60 + at.minute } : { day: at.toISODate()! < page.from ? 0 : dates.length, minute: 0 },
  };
}

/** What a session is planned for, as one word: the same for all sessions of a stage. */
export const wishIdOf = ({ programmeId, stageId }: Pick<PlannedSessionFacts, 'programmeId' | 'stageId'>): string => `${programmeId ?? ''} ${stageId ?? ''}`;

/** A planned session as the scheduler knows it; its day by its place in the span. */
export function placedSession(session: PlannedSession, days: readonly string[]): PlacedSession {
  const { id, dogId, personId, day, from, minutes, aroundMinutes } = session;
  return { id, wishId: wishIdOf(session), dogId, handId: personId, day: days.indexOf(day), from, minutes, aroundMinutes };
}

/** A programme that runs, and what is planned of it. */
export type StagePlanned = {
  programme: CalendarProgramme;
  dogName: string;
  /** Planned sessions to come. */
  ahead: PlannedSession[];
  /** Those of them that are for another stage than the dog is in. */
  stale: PlannedSession[];
  /** Its times are dealt by chance on the dog's own page, and not placed here. */
  dealt: boolean;
};

/** Whether a stage's times are dealt by chance: the two weeks without a tell-tale. */
export const isDealt = ({ templateId }: Pick<CalendarProgramme, 'templateId'>, stageId: string): boolean =>
  templateId === 'no-tell-tale' && stageId === 'on-and-off';

/** The programmes that run, with what is planned of them from an instant (ms) on. */
export function stagesPlanned(page: CalendarPage, kennel: Pick<Kennel, 'timeZone'>, now: number): StagePlanned[] {
  const at = DateTime.fromMillis(now, { zone: kennel.timeZone });
  const [today, minute] = [at.toISODate()!, at.hour * 60 + at.minute];
  const dogNames = new Map(page.dogs.map(({ id, name }) => [id, name]));
  const toCome = new Map<string | null, PlannedSession[]>();
  for (const one of page.sessions)
    if (one.day > today || (one.day === today && one.from >= minute)) {
      const own = toCome.get(one.programmeId);
      if (own) own.push(one);
      else toCome.set(one.programmeId, [one]);
    }
  return page.programmes
    .filter(({ state }) => state === 'running')
    .map((programme) => {
      const ahead = toCome.get(programme.id) ?? [];
      return {
        programme,
        dogName: dogNames.get(programme.dogId) ?? '',
        ahead,
        stale: ahead.filter(({ stageId }) => stageId !== programme.stage.id),
        dealt: isDealt(programme, programme.stage.id),
      };
    });
}

/** What a stage wants of the calendar, from a day on (by its place in the span); `aroundMinutes` where its collars are on around work. */
export function stageWish(
  { programme, dogName }: StagePlanned,
  { fromDay, aroundMinutes, hands }: { fromDay: number; aroundMinutes: number; hands: readonly string[] | null },
): SessionWish {
  const { stage } = programme;
  return {
    id: wishIdOf({ programmeId: programme.id, stageId: stage.id }),
    dogId: programme.dogId,
    dogName,
    minutes: stage.minutes,
    perDay: stage.sessionsPerDay,
    everyDays: stage.everyDays,
    fromDay,
    count: null,
    hands,
    aroundMinutes: stage.onAround ? aroundMinutes : 0,
  };
}

/** A placed session as it is kept. */
export function plannedFacts(placed: PlacedSession, days: readonly string[], note = ''): PlannedSessionFacts {
  const [programmeId, stageId] = placed.wishId.split(' ') as [string, string | undefined];
  return {
    dogId: placed.dogId,
    programmeId: programmeId || null,
    stageId: stageId || null,
    personId: placed.handId,
    day: days[placed.day]!,
    from: placed.from,
    minutes: placed.minutes,
    aroundMinutes: placed.aroundMinutes,
    state: 'planned',
    note,
  };
}
