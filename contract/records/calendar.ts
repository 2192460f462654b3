import { z } from '../plain-words.ts';
import { line, namedLine, RecordId } from './common.ts';

const DAY_MINUTES = 1440;
const minute = z.number().int().min(0).max(DAY_MINUTES);
/** From and to, minutes from midnight in the kennel's zone. */
export const DaySpanShape = z.tuple([minute, minute]).refine(([from, to]) => from < to, 'It ends before it begins.');

const AwayShape = z
  .strictObject({ from: z.iso.date(), to: z.iso.date(), note: line(80) })
  .refine(({ from, to }) => from <= to, { path: ['to'], message: 'It ends before it begins.' });

/** When the kennel is open, or one of its people is there: by weekday from Monday, but for the days away. Kept under the kennel's or the person's own id. */
export const HoursFacts = z.strictObject({
  personId: RecordId.nullable(),
  week: z.array(DaySpanShape.nullable()).length(7),
  away: z.array(AwayShape).max(60),
});
export type HoursFacts = z.infer<typeof HoursFacts>;
export const Hours = HoursFacts.extend({ id: RecordId, version: z.number().int() });
export type Hours = z.infer<typeof Hours>;

export const PLANNED_STATES = ['planned', 'dropped'] as const;

/** A session as it is planned: whose, with whom, when, and how long the collar is on around it. Whether it was held the field log tells. */
export const PlannedSessionFacts = z
  .strictObject({
    dogId: RecordId,
    /** The programme and stage it is for; null: planned by hand. */
    programmeId: RecordId.nullable(),
    stageId: namedLine(40).nullable(),
    personId: RecordId,
    day: z.iso.date(),
    /** Minutes from midnight in the kennel's zone. */
    from: z
      .number()
      .int()
      .min(0)
      .max(DAY_MINUTES - 1),
    minutes: z.number().int().min(1).max(240),
    aroundMinutes: z.number().int().min(0).max(120),
    state: z.enum(PLANNED_STATES),
    note: line(200),
  })
  .refine(({ from, minutes }) => from + minutes <= DAY_MINUTES, { path: ['minutes'], message: 'It would go past midnight.' });
export type PlannedSessionFacts = z.infer<typeof PlannedSessionFacts>;
export const PlannedSession = z.object({ ...PlannedSessionFacts.shape, id: RecordId, version: z.number().int() });
export type PlannedSession = z.infer<typeof PlannedSession>;

/** Sessions that are planned, moved and dropped together, or not at all; `version` null: a new one. */
export const CalendarChange = z.strictObject({
  sessions: z
    .array(z.strictObject({ id: RecordId, version: z.number().int().min(1).nullable(), facts: PlannedSessionFacts }))
    .min(1)
    .max(1500)
    .refine((all) => new Set(all.map(({ id }) => id)).size === all.length, 'A session is in it twice.'),
});
export type CalendarChange = z.infer<typeof CalendarChange>;
export const CalendarChanged = z.object({ sessions: z.array(PlannedSession) });
export type CalendarChanged = z.infer<typeof CalendarChanged>;
