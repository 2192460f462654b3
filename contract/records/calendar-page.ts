import { z } from '../plain-words.ts';
import { Hours, PlannedSession } from './calendar.ts';
import { Instant, RecordId } from './common.ts';
import { Programme, StageShape } from './programme.ts';

/** What stands behind the question mark: from which day, and how many. */
export const CalendarAsked = z.object({ from: z.iso.date(), days: z.coerce.number().int().min(1).max(62) });
export type CalendarAsked = z.infer<typeof CalendarAsked>;

/** A programme that runs or rests, as the calendar shows it: the stage that its dog is in now, and the names of all. */
export const CalendarProgramme = z.object({
  ...z.object(Programme.shape).pick({ id: true, dogId: true, name: true, templateId: true, state: true, startsOn: true }).shape,
  stage: z.object(StageShape.shape).pick({ id: true, name: true, minutes: true, sessionsPerDay: true, everyDays: true, onAround: true }),
  stageNames: z.record(z.string(), z.string()),
});
export type CalendarProgramme = z.infer<typeof CalendarProgramme>;

/** Everything the kennel's calendar shows of a span of days, in one request. */
export const CalendarPage = z.object({
  from: z.iso.date(),
  days: z.number().int(),
  people: z.array(z.object({ id: RecordId, name: z.string() })),
  hours: z.array(Hours),
  dogs: z.array(z.object({ id: RecordId, name: z.string() })),
  programmes: z.array(CalendarProgramme),
  /** What is planned in the span; what was dropped is not shown. */
  sessions: z.array(PlannedSession),
  /** Sessions that were held in the span. */
  held: z.array(z.object({ id: RecordId, dogId: RecordId, begunAt: Instant, endedAt: Instant.nullable() })),
});
export type CalendarPage = z.infer<typeof CalendarPage>;
