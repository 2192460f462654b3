import { z } from '../plain-words.ts';
import { Hours, PlannedSession } from './calendar.ts';
import { Instant, RecordId } from './common.ts';
import { Programme, StageMove, StageResult } from './programme.ts';

/** What stands behind the question mark: from which day, and how many. */
export const CalendarAsked = z.object({ from: z.iso.date(), days: z.coerce.number().int().min(1).max(62) });
export type CalendarAsked = z.infer<typeof CalendarAsked>;

/** Everything the kennel's calendar shows of a span of days, in one request. */
export const CalendarPage = z.object({
  from: z.iso.date(),
  days: z.number().int(),
  people: z.array(z.object({ id: RecordId, name: z.string() })),
  hours: z.array(Hours),
  dogs: z.array(z.object({ id: RecordId, name: z.string() })),
  /** Programmes that run, with what was told of them since they began. */
  programmes: z.array(Programme),
  results: z.array(StageResult),
  moves: z.array(StageMove),
  /** What is planned in the span; what was dropped is not shown. */
  sessions: z.array(PlannedSession),
  /** Sessions that were held in the span. */
  held: z.array(z.object({ id: RecordId, dogId: RecordId, begunAt: Instant, endedAt: Instant.nullable() })),
});
export type CalendarPage = z.infer<typeof CalendarPage>;
