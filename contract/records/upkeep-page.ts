import { z } from '../plain-words.ts';
import { UpkeepPiece } from '../upkeep/pieces.ts';
import { Cursor } from './list-page.ts';

/** The lists of Upkeep: what is to be looked at, what later, and what has been scrapped. */
export const UPKEEP_LISTS = ['due', 'later', 'scrapped'] as const;
export type UpkeepList = (typeof UPKEEP_LISTS)[number];

/** What is asked of Upkeep: a list and where in it, or one piece by itself. */
export const UpkeepAsked = z.object({ list: z.enum(UPKEEP_LISTS).default('due'), after: Cursor.optional(), piece: z.string().optional() });

/** What is kept up: how much there is of each list, and so many pieces of one; how everything that is owned is hung, each way once. */
export const UpkeepPage = z.object({
  counts: z.object({ due: z.number().int(), later: z.number().int(), scrapped: z.number().int() }),
  rows: z.array(UpkeepPiece),
  next: Cursor.nullable(),
  storing: z.array(z.string()),
});
export type UpkeepPage = z.infer<typeof UpkeepPage>;
