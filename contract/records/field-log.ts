import { DIRECTIONS, RESPONSES, SESSION_PURPOSES } from '@banter/core';
import { between, z } from '../plain-words.ts';
import { Happening } from '../happenings/happening.ts';
import { Instant, passage, RecordId } from './common.ts';

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

/** One session with everything that was told of it, oldest first. */
export const FieldSessionPage = z.object({ session: FieldSession, events: z.array(Happening) });
export type FieldSessionPage = z.infer<typeof FieldSessionPage>;

/** What stands behind the question mark: only what arrived since. */
export const SessionAsked = z.object({ since: Instant.optional() });

/** The highest level that a dog's trainer permits on a device; null lifts it. The latest counts. */
export const NewLevelCap = z.strictObject({ dogId: RecordId, collarId: RecordId, cap: between(0, 1000).nullable(), note: passage(500), at: Instant });
export type NewLevelCap = z.infer<typeof NewLevelCap>;
export const LevelCap = z.object({ ...NewLevelCap.shape, id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() });
export type LevelCap = z.infer<typeof LevelCap>;
