import { DIRECTIONS, DRILL_PACES } from '@banter/core';
import { CORRECTION_WAYS } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';

const ms = z.number().min(0).max(120_000);
const PressureShape = z
  .strictObject({ direction: z.enum(DIRECTIONS), from: ms, to: ms })
  .refine(({ from, to }) => to >= from, { path: ['to'], message: 'It ends before it begins.' });
const AnswerShape = z.strictObject({ pressures: z.array(PressureShape).max(60), paidAt: ms.nullable() });

/** A handling drill as it was done: by its seed the scenes are known, so that what is kept is what hands did, and the score is worked out anew. */
export const NewDrill = z.strictObject({
  seed: z.number().int().min(0).max(99_990),
  pace: z.enum(DRILL_PACES),
  /** The id of a way of correcting. */
  collar: z.enum(CORRECTION_WAYS.map(({ id }) => id) as [string, ...string[]]),
  answers: z.array(AnswerShape).min(1, 'A drill has at least one scene.').max(40),
  at: Instant,
});
export type NewDrill = z.infer<typeof NewDrill>;

const Score = z.object({
  scenes: z.number(),
  toTell: z.number(),
  inTime: z.number(),
  rightWay: z.number(),
  letGo: z.number(),
  yielded: z.number(),
  steady: z.number(),
  leftInPeace: z.number(),
  paid: z.number(),
  medianSeconds: z.number().nullable(),
  longestHeldSeconds: z.number(),
  forNothing: z.number(),
  workOn: z.enum(['time', 'way', 'release', 'peace', 'pay']).nullable(),
});
export const Drill = z.object({
  ...NewDrill.shape,
  id: RecordId,
  score: Score,
  coreVersion: z.string(),
  recordedAt: Instant,
  personId: RecordId,
  personName: z.string(),
});
export type Drill = z.infer<typeof Drill>;
/** Everybody's drills, the newest last, without what hands did in each scene. */
export const DrillsPage = z.object({ drills: z.array(Drill.omit({ answers: true })) });
export type DrillsPage = z.infer<typeof DrillsPage>;
