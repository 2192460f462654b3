import { MORE_CAUSES, RESPONSES } from '@banter/core';
import { z } from '../plain-words.ts';
import { Collar } from './collar.ts';
import { Instant, RecordId, SettingId } from './common.ts';
import { Dog } from './dog.ts';
import { FieldSession, LevelCap } from './field-log.ts';
import { FitCheck } from './fit-check.ts';
import { Plan } from './plan.ts';
import { Taping } from './taping.ts';

const At = z.object({ collarId: RecordId, at: Instant });

/** Everything the screen Levels shows of a dog but the single presses, in one request. */
export const LevelsPage = z.object({
  dog: Dog,
  girths: z.array(Taping),
  fits: z.array(z.object({ plan: Plan, check: FitCheck.nullable() })),
  /** The electronic collars it has been fitted with or pressed by. */
  collars: z.array(Collar),
  /** Its sessions of the last two years, oldest first. */
  sessions: z.array(FieldSession),
  caps: z.array(LevelCap),
  /** Answered presses of finding runs, oldest first, by device and setting. */
  findings: z.array(z.object({ collarId: RecordId, setting: z.string(), level: z.number(), response: z.enum(RESPONSES), at: Instant, sessionId: RecordId })),
  /** The lowest level that was too much, by device, over its whole record. */
  ceilings: z.array(z.object({ collarId: RecordId, level: z.number(), at: Instant })),
  /** When contact was felt, on a device or when a dog needed more than usual. */
  contactChecks: z.array(At.extend({ made: z.boolean() })),
  /** What was asked of levels that rose, and whether it was the cause. */
  causesAsked: z.array(At.extend({ cause: z.enum(MORE_CAUSES), was: z.boolean() })),
  /** How many presses the record holds, by device and setting, and between when. */
  presses: z.array(z.object({ collarId: RecordId, setting: z.string(), firstAt: Instant, lastAt: Instant })),
});
export type LevelsPage = z.infer<typeof LevelsPage>;

/** A span of presses put together: how many, their levels, and what they drew. */
export const PressBin = z.object({
  from: Instant,
  to: Instant,
  count: z.number().int(),
  low: z.number(),
  high: z.number(),
  mean: z.number(),
  none: z.number().int(),
  small: z.number().int(),
  did: z.number().int(),
  tooMuch: z.number().int(),
});
export type PressBin = z.infer<typeof PressBin>;
export const OnePress = z.object({
  id: RecordId,
  at: Instant,
  sessionId: RecordId,
  level: z.number(),
  mode: z.string(),
  response: z.enum(RESPONSES).nullable(),
  latencyMs: z.number().nullable(),
});
export type OnePress = z.infer<typeof OnePress>;

/** Which presses are asked for, and in how many bins at most they are put together when they are more. */
export const PressesAsked = z.strictObject({
  collar: RecordId,
  setting: SettingId.optional(),
  from: Instant,
  to: Instant,
  most: z.coerce.number().int().min(10).max(2000).default(600),
});
export type PressesAsked = z.infer<typeof PressesAsked>;
/** Presses of a span: each for itself where they are few enough, else put together. */
export const PressesPage = z.object({ total: z.number().int(), bins: z.array(PressBin).nullable(), presses: z.array(OnePress).nullable() });
export type PressesPage = z.infer<typeof PressesPage>;
