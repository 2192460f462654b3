import { z } from '../plain-words.ts';
import { Hours, PlannedSession } from './calendar.ts';
import { Instant, RecordId } from './common.ts';
import { Programme, StageShape } from './programme.ts';

/** So many pairs of hands are looked at together: what they hold in a week fills a screen, whoever else the kennel has. */
export const HANDS_AT_ONCE = 6;
/** So many dogs, and programmes of which nothing is planned, are offered; the others are found by name, or come once those are planned. */
export const CALENDAR_OFFERS = 60;

/**
 * What stands behind the question mark: from which day, how many, whose by their ids (`hands`, with commas between), and a dog that is looked at
 * whoever works with it.
 */
export const CalendarAsked = z.object({
  from: z.iso.date(),
  days: z.coerce.number().int().min(1).max(62),
  hands: z
    .string()
    .max(37 * HANDS_AT_ONCE - 1)
    .optional(),
  dog: RecordId.optional(),
});
export type CalendarAsked = z.infer<typeof CalendarAsked>;

/** A programme that runs or rests, as the calendar shows it: the stage that its dog is in now, and the names of all. */
export const CalendarProgramme = z.object({
  ...z.object(Programme.shape).pick({ id: true, dogId: true, name: true, templateId: true, state: true, startsOn: true }).shape,
  stage: z.object(StageShape.shape).pick({ id: true, name: true, minutes: true, sessionsPerDay: true, everyDays: true, onAround: true }),
  stageNames: z.record(z.string(), z.string()),
});
export type CalendarProgramme = z.infer<typeof CalendarProgramme>;

/**
 * Everything the kennel's calendar shows of a span of days, in one request: of all hands where these are few, else of some, and of every dog that
 * one of those works with, whoever else does.
 */
export const CalendarPage = z.object({
  from: z.iso.date(),
  days: z.number().int(),
  /** Who handles; `left`: somebody who has left the kennel, and for whom something is planned in the span. */
  people: z.array(z.object({ id: RecordId, name: z.string(), left: z.boolean().default(false) })),
  /** Whose calendar it is, of `people`. */
  hands: z.array(RecordId),
  hours: z.array(Hours),
  /** The dogs on it, and some that are not. */
  dogs: z.array(z.object({ id: RecordId, name: z.string() })),
  /** How many more the kennel has. */
  moreDogs: z.number().int(),
  /** Of its dogs, and some that run with nothing planned. */
  programmes: z.array(CalendarProgramme),
  /** How many more run with nothing planned. */
  moreUnplanned: z.number().int(),
  /** What is planned in the span; what was dropped is not shown. */
  sessions: z.array(PlannedSession),
  /** Sessions that were held in the span. */
  held: z.array(z.object({ id: RecordId, dogId: RecordId, begunAt: Instant, endedAt: Instant.nullable() })),
});
export type CalendarPage = z.infer<typeof CalendarPage>;
