import { DIRECTIONS, MORE_CAUSES, RESPONSES, SESSION_PURPOSES, type FieldEvent, DAY_MS } from '@banter/core';
import { STIMULATION_MODES } from '@banter/core/collars/electronic';
import { between, oneEach, z } from '../plain-words.ts';
import { Instant, namedLine, passage, RecordId, SettingId } from './common.ts';

const happened = { id: RecordId, at: Instant, sessionId: RecordId };
const plain = <Name extends string>(event: Name) => z.strictObject({ event: z.literal(event), ...happened });

/** A latency longer than this was not one: the response was looked for and not timed. */
const LONGEST_LATENCY_MS = 60_000;

/** One thing that happened in a session, by the id its phone gave it; `at` is the phone's own time. */
export const NewFieldEvent = z.discriminatedUnion('event', [
  z.strictObject({ event: z.literal('begin'), ...happened, dogId: RecordId, setting: SettingId, handlerId: RecordId, purpose: z.enum(SESSION_PURPOSES) }),
  z.strictObject({ event: z.literal('setting'), ...happened, setting: SettingId }),
  z.strictObject({ event: z.literal('press'), ...happened, collarId: RecordId, level: between(0, 1000), mode: z.enum(STIMULATION_MODES) }),
  z.strictObject({
    event: z.literal('response'),
    ...happened,
    pressId: RecordId,
    response: z.enum(RESPONSES),
    latencyMs: z.number().int().min(0).max(LONGEST_LATENCY_MS).nullable(),
  }),
  plain('cue'),
  plain('reward'),
  plain('marker'),
  plain('pushed-up'),
  plain('hold'),
  plain('let-go'),
  z.strictObject({ event: z.literal('correction'), ...happened, direction: z.enum(DIRECTIONS) }),
  z.strictObject({ event: z.literal('contact'), ...happened, collarId: RecordId, made: z.boolean().nullable() }),
  z.strictObject({ event: z.literal('looked-into'), ...happened, collarId: RecordId, found: z.enum([...MORE_CAUSES, 'nothing']) }),
  z.strictObject({ event: z.literal('note'), ...happened, text: passage(1000).refine((text) => text.trim() !== '', 'This is empty.') }),
  z
    .strictObject({
      event: z.literal('result'),
      ...happened,
      programmeId: RecordId,
      stageId: namedLine(40),
      met: z.number().int().min(0).max(1000),
      of: z.number().int().min(1).max(1000),
      setback: z.boolean(),
    })
    .refine(({ met, of }) => met <= of, { path: ['met'], message: 'More cannot go well than were tried.' }),
  z
    .strictObject({ event: z.literal('joins'), ...happened, intoId: RecordId })
    .refine(({ sessionId, intoId }) => sessionId !== intoId, { path: ['intoId'], message: 'A session does not join itself.' }),
  plain('end'),
  z.strictObject({ event: z.literal('void'), ...happened, eventId: RecordId }),
]);
export type NewFieldEvent = z.infer<typeof NewFieldEvent>;

/** A field event as the core counts it, its time in ms. */
export const fieldEventOf = ({ at, ...event }: NewFieldEvent): FieldEvent => ({ ...event, at: Date.parse(at) }) as FieldEvent;

/** A phone whose clock is further off than this is asked about, ms. */
export const CLOCK_OFF_MS = 60_000;
/** The most that is sent at once. */
export const MOST_FIELD_EVENTS = 200;

/**
 * What a phone sends of its log, in order. `clock` says how far the phone's clock runs ahead, once somebody has decided that it is
 * the phone that is wrong; 0 once somebody has said that it is right; null while nobody was asked.
 */
export const FieldBatch = z.strictObject({
  phone: namedLine(40),
  sentAt: Instant,
  clock: z
    .strictObject({
      aheadMs: z
        .number()
        .int()
        .min(-400 * DAY_MS)
        .max(400 * DAY_MS),
    })
    .nullable(),
  events: z.array(NewFieldEvent).min(1).max(MOST_FIELD_EVENTS).check(oneEach('id')),
});
export type FieldBatch = z.infer<typeof FieldBatch>;

/**
 * A batch as it is read: each of its events is looked at for itself, so that one that is not right holds up no other. What they must be is
 * `FieldBatch`.
 */
export const FieldBatchSent = FieldBatch.extend({ events: z.array(z.any()).min(1).max(MOST_FIELD_EVENTS) });
export type FieldBatchSent = z.infer<typeof FieldBatchSent>;

/** What became of each event, in their order: kept now, known before, refused for good, or waiting for another that has not come yet. One without an id has none here. */
export const FieldResult = z.object({ id: z.string(), status: z.enum(['kept', 'known', 'refused', 'waits']), message: z.string() });
export type FieldResult = z.infer<typeof FieldResult>;
export const FieldBatchKept = z.object({ results: z.array(FieldResult), serverAt: Instant });
export type FieldBatchKept = z.infer<typeof FieldBatchKept>;
/** What is answered, as `current`, to a phone whose clock is off and about which nobody has decided. */
export const ClockOff = z.object({ phoneAt: Instant, serverAt: Instant, aheadMs: z.number().int() });
export type ClockOff = z.infer<typeof ClockOff>;

const count = z.number().int();
const ms = z.number();
/** What a session comes to, as the core adds it up. */
export const TallyShape = z.object({
  lastedMs: ms,
  presses: count,
  responses: z.record(z.enum(RESPONSES), count),
  needed: z.array(z.object({ collarId: RecordId, setting: z.string(), level: z.number(), atEnd: z.number().optional(), presses: count })),
  tooMuch: z.array(z.object({ collarId: RecordId, level: z.number() })),
  latencyMs: ms.nullable(),
  corrections: count,
  directions: z.record(z.enum(DIRECTIONS), count),
  heldMs: ms,
  longestHoldMs: ms,
  rewards: count,
  cues: count,
  markers: count,
  pushedUp: count,
});

/** A session as it stands: who, where, when, and what it comes to. */
export const FieldSession = z.object({
  id: RecordId,
  dogId: RecordId,
  handlerId: RecordId,
  handlerName: z.string(),
  purpose: z.enum(SESSION_PURPOSES),
  settings: z.array(z.string()),
  begunAt: Instant,
  endedAt: Instant.nullable(),
  lastAt: Instant,
  tally: TallyShape,
});
export type FieldSession = z.infer<typeof FieldSession>;

/** A kept field event: the phone's time beside the one that counts, and who told it. */
export const KeptFieldEvent = z.object({
  event: NewFieldEvent,
  /** What the phone's clock said; differs from the event's `at` where that clock was off. */
  saidAt: Instant,
  recordedAt: Instant,
  personName: z.string(),
  phone: z.string(),
});
export type KeptFieldEvent = z.infer<typeof KeptFieldEvent>;

/** One session with everything that was told of it, oldest first. */
export const FieldSessionPage = z.object({ session: FieldSession, events: z.array(KeptFieldEvent) });
export type FieldSessionPage = z.infer<typeof FieldSessionPage>;

/** What stands behind the question mark: only what arrived since. */
export const SessionAsked = z.object({ since: Instant.optional() });

/** The highest level that a dog's trainer permits on a device; null lifts it. The latest counts. */
export const NewLevelCap = z.strictObject({ dogId: RecordId, collarId: RecordId, cap: between(0, 1000).nullable(), note: passage(500), at: Instant });
export type NewLevelCap = z.infer<typeof NewLevelCap>;
export const LevelCap = z.object({ ...NewLevelCap.shape, id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() });
export type LevelCap = z.infer<typeof LevelCap>;
