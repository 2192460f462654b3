import { STIMULATION_MODES } from '@banter/core/collars/electronic';
import { MORE_CAUSES, WEAR_STATES } from '@banter/core';
import { ClockPlace } from '../measures.ts';
import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';

const happened = { id: RecordId, at: Instant };
const onDog = { ...happened, dogId: RecordId, collarId: RecordId };
const ofDevice = { ...happened, collarId: RecordId };

/**
 * One thing that happened to a collar, by the id its teller gave it: put on and taken off, moved, watched otherwise; and what a
 * device told of itself. `void` takes an earlier event back, which stays in the record. The open format of docs/device-events.md
 * is this, a line each.
 */
export const NewEvent = z.discriminatedUnion('event', [
  z.strictObject({ event: z.literal('put-on'), ...onDog, clock: ClockPlace.nullable(), state: z.enum(WEAR_STATES) }),
  z.strictObject({ event: z.literal('taken-off'), ...onDog }),
  z.strictObject({ event: z.literal('moved'), ...onDog, clock: ClockPlace }),
  z.strictObject({ event: z.literal('state'), ...onDog, state: z.enum(WEAR_STATES) }),
  z.strictObject({ event: z.literal('charged'), ...ofDevice, percent: z.number().min(0).max(100) }),
  z.strictObject({ event: z.literal('covers'), ...ofDevice, shut: z.boolean() }),
  z.strictObject({ event: z.literal('paired'), ...ofDevice, paired: z.boolean() }),
  z.strictObject({ event: z.literal('switched'), ...ofDevice, on: z.boolean() }),
  z.strictObject({ event: z.literal('tried'), ...ofDevice, level: z.number().min(0).max(1000) }),
  z.strictObject({ event: z.literal('press'), ...ofDevice, level: z.number().min(0).max(1000), mode: z.enum(STIMULATION_MODES) }),
  // Null: strapped anew, or the dog soaked; they are to be felt again.
  z.strictObject({ event: z.literal('contact'), ...ofDevice, made: z.boolean().nullable() }),
  // One of the questions that a level that rose asks, and whether it was the cause.
  z.strictObject({ event: z.literal('looked-into'), ...ofDevice, cause: z.enum(MORE_CAUSES), was: z.boolean() }),
  z.strictObject({ event: z.literal('locked-out'), ...ofDevice, seconds: z.number().positive().max(3600) }),
  z.strictObject({ event: z.literal('void'), ...happened, eventId: RecordId }),
]);
export type NewEvent = z.infer<typeof NewEvent>;
export type EventName = NewEvent['event'];
export const EVENT_NAMES = NewEvent.options.map((option) => option.shape.event.value) as [EventName, ...EventName[]];

/** Who told it: a hand on the screen, the stand-in device, or a bridge to a real one. */
export const EVENT_SOURCES = ['hand', 'stand-in', 'bridge'] as const;

const kept = {
  source: z.enum(EVENT_SOURCES),
  recordedAt: Instant,
  /** Null when a bridge told it; then the name is the bridge’s. */
  personId: RecordId.nullable(),
  personName: z.string(),
};
type KeptOfEvent = { source: (typeof EVENT_SOURCES)[number]; recordedAt: string; personId: string | null; personName: string };
/** A kept event. */
export const NeckEvent = z.discriminatedUnion(
  'event',
  NewEvent.options.map((option) => z.object({ ...option.shape, ...kept })) as unknown as [(typeof NewEvent.options)[0]],
) as unknown as z.ZodType<NewEvent & KeptOfEvent>;
export type NeckEvent = z.infer<typeof NeckEvent>;

/** Several events told at once by a hand, kept together or not at all; the first one's id is the entry's. */
export const NewEntry = z.strictObject({ source: z.enum(['hand', 'stand-in']), events: z.array(NewEvent).min(1).max(40) }).check(({ value, issues }) => {
  const seen = new Set<string>();
  value.events.forEach(({ id }, index) => {
    if (seen.has(id)) issues.push({ code: 'custom', path: ['events', index, 'id'], input: id, message: 'Another event of this entry has this id already.' });
    seen.add(id);
  });
});
export type NewEntry = z.infer<typeof NewEntry>;
export const Entry = z.object({ events: z.array(NeckEvent) });
export type Entry = z.infer<typeof Entry>;

/**
 * What became of lines of events: how many were kept, were there already, and which were refused, by their line. With a hundred
 * refused the rest was not read: only then `gaveUpAt` is there, the last line that was.
 */
export const EventsKept = z.object({
  kept: z.number().int(),
  known: z.number().int(),
  refused: z.array(z.object({ line: z.number().int(), id: z.string().nullable(), message: z.string() })),
  gaveUpAt: z.number().int().optional(),
});
export type EventsKept = z.infer<typeof EventsKept>;
