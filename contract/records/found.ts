import { COLLAR_KIND_NAMES } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { RecordId } from './common.ts';

/** What is looked for by a part of its name. */
export const FindAsked = z.object({ text: z.string().trim().min(1).max(60) });
export type FindAsked = z.output<typeof FindAsked>;

/** Dogs and collars whose names say what was looked for, those that begin with it first; the first few of each. */
export const Found = z.object({
  dogs: z.array(z.object({ id: RecordId, name: z.string(), breed: z.string(), away: z.boolean() })),
  collars: z.array(z.object({ id: RecordId, name: z.string(), kind: z.enum(COLLAR_KIND_NAMES) })),
});
export type Found = z.infer<typeof Found>;
