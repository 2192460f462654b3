import { z } from '../plain-words.ts';
import { Collar } from './collar.ts';
import { Instant, RecordId } from './common.ts';
import { Gear } from './gear.ts';
import { Inspection } from './inspection.ts';

/** Everything that is kept up: what the kennel owns, how each piece was found, how often it was worn since, and who wears it. */
export const UpkeepPage = z.object({
  collars: z.array(Collar),
  gear: z.array(Gear),
  /** Of each piece its latest ones, newest first. */
  inspections: z.array(Inspection),
  /** How often each collar went on since its last inspection, and when it first was known. */
  wears: z.array(z.object({ collarId: RecordId, count: z.number().int() })),
  /** Which dog wears a collar, or is led by a piece of its rig. */
  worn: z.array(z.object({ pieceId: RecordId, dogId: RecordId, dogName: z.string(), ageDays: z.number().nullable(), lookedAt: Instant.nullable() })),
});
export type UpkeepPage = z.infer<typeof UpkeepPage>;
