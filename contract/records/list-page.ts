import { z } from '../plain-words.ts';

/** Where the next part of a list begins, as the answer before said it; it means nothing to whoever asks. */
export const Cursor = z.string().max(600);
export type Cursor = z.infer<typeof Cursor>;
