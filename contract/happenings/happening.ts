import { DIRECTIONS, MORE_CAUSES, RESPONSES, SESSION_PURPOSES, WEAR_STATES, type FieldEvent } from '@banter/core';
import { STIMULATION_MODES } from '@banter/core/collars/electronic';
import { ClockPlace } from '../measures.ts';
import { between, z } from '../plain-words.ts';
import { Instant, namedLine, passage, RecordId, SettingId } from '../records/common.ts';

/** A latency longer than this was not one: the response was looked for and not timed, ms. */
const LONGEST_LATENCY_MS = 60_000;

const happened = { id: RecordId, at: Instant };
const onDog = { ...happened, dogId: RecordId, collarId: RecordId };
const ofDevice = { ...happened, collarId: RecordId };
const inSession = { ...happened, sessionId: RecordId };
/** Also told outside of any session: by a bridge, at the neck, at a check. */
const anywhere = { ...happened, sessionId: RecordId.optional() };
const plain = <Name extends string>(event: Name) => z.strictObject({ event: z.literal(event), ...inSession });

/**
 * One thing that happened, by the id its teller gave it; `at` is the teller's own time. A collar on, off, moved and watched; what a device told of
 * itself; a tap of the field log. `void` takes an earlier one back, which stays in the record. The open format of docs/device-events.md is this, a
 * line each.
 */
export const NewHappening = z.discriminatedUnion('event', [
  z.strictObject({ event: z.literal('put-on'), ...onDog, clock: ClockPlace.nullable(), state: z.enum(WEAR_STATES) }),
  z.strictObject({ event: z.literal('taken-off'), ...onDog }),
  z.strictObject({ event: z.literal('moved'), ...onDog, clock: ClockPlace }),
  z.strictObject({ event: z.literal('state'), ...onDog, state: z.enum(WEAR_STATES) }),
  z.strictObject({ event: z.literal('charged'), ...ofDevice, percent: between(0, 100) }),
  z.strictObject({ event: z.literal('covers'), ...ofDevice, shut: z.boolean() }),
  z.strictObject({ event: z.literal('paired'), ...ofDevice, paired: z.boolean() }),
  z.strictObject({ event: z.literal('switched'), ...ofDevice, on: z.boolean() }),
  z.strictObject({ event: z.literal('tried'), ...ofDevice, level: between(0, 1000) }),
  z.strictObject({ event: z.literal('locked-out'), ...ofDevice, seconds: z.number().positive().max(3600) }),
  // One of the questions that a level that rose asks, and whether it was the cause.
  z.strictObject({ event: z.literal('looked-into'), ...ofDevice, cause: z.enum(MORE_CAUSES), was: z.boolean() }),
  z.strictObject({ event: z.literal('press'), ...anywhere, collarId: RecordId, level: between(0, 1000), mode: z.enum(STIMULATION_MODES) }),
  // Null: strapped anew, or the dog soaked; they are to be felt again.
  z.strictObject({ event: z.literal('contact'), ...anywhere, collarId: RecordId, made: z.boolean().nullable() }),
  z.strictObject({ event: z.literal('begin'), ...inSession, dogId: RecordId, setting: SettingId, handlerId: RecordId, purpose: z.enum(SESSION_PURPOSES) }),
  z.strictObject({ event: z.literal('setting'), ...inSession, setting: SettingId }),
  z.strictObject({
    event: z.literal('response'),
    ...inSession,
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
  z.strictObject({ event: z.literal('correction'), ...inSession, direction: z.enum(DIRECTIONS) }),
  // The questions in their order, up to the one that was the cause, or none of them.
  z.strictObject({ event: z.literal('looked-through'), ...inSession, collarId: RecordId, found: z.enum([...MORE_CAUSES, 'nothing']) }),
  z.strictObject({ event: z.literal('note'), ...inSession, text: passage(1000).refine((text) => text.trim() !== '', 'This is empty.') }),
  z
    .strictObject({
      event: z.literal('result'),
      ...inSession,
      programmeId: RecordId,
      stageId: namedLine(40),
      met: z.number().int().min(0).max(1000),
      of: z.number().int().min(1).max(1000),
      setback: z.boolean(),
    })
    .refine(({ met, of }) => met <= of, { path: ['met'], message: 'More cannot go well than were tried.' }),
  z
    .strictObject({ event: z.literal('joins'), ...inSession, intoId: RecordId })
    .refine(({ sessionId, intoId }) => sessionId !== intoId, { path: ['intoId'], message: 'A session does not join itself.' }),
  plain('end'),
  z.strictObject({ event: z.literal('void'), ...anywhere, eventId: RecordId }),
]);
export type NewHappening = z.infer<typeof NewHappening>;
export type HappeningName = NewHappening['event'];

type Shape = Record<string, z.ZodType> & { event: { value: HappeningName } };
const SHAPES = new Map(
  NewHappening.options.map((option) => [(option as unknown as { shape: Shape }).shape.event.value, (option as unknown as { shape: Shape }).shape]),
);
export const HAPPENING_NAMES = [...SHAPES.keys()] as [HappeningName, ...HappeningName[]];
/** The fields that something that happened has of its own, `event`, `id` and `at` among them. */
const FIELDS: ReadonlyMap<HappeningName, ReadonlySet<string>> = new Map([...SHAPES].map(([name, shape]) => [name, new Set(Object.keys(shape))]));
export const happeningFields = (event: HappeningName): ReadonlySet<string> => FIELDS.get(event)!;

const namesWith = (field: string, needed: boolean) =>
  HAPPENING_NAMES.filter((name) => {
    const own = SHAPES.get(name)![field];
    return own !== undefined && own.safeParse(undefined).success !== needed;
  });
/** What is told within a session and nowhere else. */
export const SESSION_HAPPENINGS: readonly HappeningName[] = namesWith('sessionId', true);
/** What can be told of collars and devices without a session: the vocabulary of a bridge. */
export const OPEN_HAPPENINGS: readonly HappeningName[] = HAPPENING_NAMES.filter((name) => !SESSION_HAPPENINGS.includes(name));
/** What makes up a wear. */
export const WEAR_HAPPENINGS = ['put-on', 'taken-off', 'moved', 'state'] as const;
/** What says how a device stands. */
export const DEVICE_HAPPENINGS = ['charged', 'covers', 'paired', 'switched', 'tried', 'contact', 'locked-out'] as const;
/** Those two, and what takes one back. */
export const WEAR_AND_DEVICE_HAPPENINGS = [...WEAR_HAPPENINGS, ...DEVICE_HAPPENINGS, 'void'] as const;

/** Something of a session. */
export type SessionHappening = NewHappening & { sessionId: string };
export const isOfSession = (told: NewHappening): told is SessionHappening => 'sessionId' in told && told.sessionId !== undefined;

/** What happened in a session as the core counts it, its time in ms. */
export const fieldEventOf = ({ at, ...event }: SessionHappening): FieldEvent => ({ ...event, at: Date.parse(at) }) as FieldEvent;

/**
 * Something that happened as an earlier Banter told it, in today's words: what a session found when a level rose was once told under the name of
 * the desk's single question.
 */
export function broughtUpHappening<Told extends Record<string, unknown>>(told: Told): Told {
  const own = (told.data ?? told) as Record<string, unknown>;
  return told.event === 'looked-into' && 'found' in own ? { ...told, event: 'looked-through' } : told;
}

/** Who told it: a hand on the screen, the stand-in device, or a bridge to a real one. */
export const HAPPENING_SOURCES = ['hand', 'stand-in', 'bridge'] as const;
export type HappeningSource = (typeof HAPPENING_SOURCES)[number];

const kept = {
  /** What the teller's clock said; differs from `at` where that clock was off. */
  saidAt: Instant,
  recordedAt: Instant,
  source: z.enum(HAPPENING_SOURCES),
  /** Which phone; empty where none said. */
  phone: z.string(),
  /** Null when a bridge told it; then the name is the bridge’s. */
  personId: RecordId.nullable(),
  personName: z.string(),
};
type Kept = { saidAt: string; recordedAt: string; source: HappeningSource; phone: string; personId: string | null; personName: string };
/** Something that happened, as it is kept: its time is the one that counts. */
export const Happening = z.discriminatedUnion(
  'event',
  NewHappening.options.map((option) => z.object({ ...(option as (typeof NewHappening.options)[0]).shape, ...kept })) as unknown as [
    (typeof NewHappening.options)[0],
  ],
) as unknown as z.ZodType<NewHappening & Kept>;
export type Happening = NewHappening & Kept;

/** What happened, without who told it and when it arrived. */
export const whatHappened = (kept: Happening): NewHappening =>
  Object.fromEntries(Object.entries(kept).filter(([name]) => happeningFields(kept.event).has(name))) as NewHappening;
