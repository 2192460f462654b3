import { z } from '../../plain-words.ts';

/** A prong collar's own numbers, taken with a ruler; lengths mm. */
export const ProngNumbers = z
  .strictObject({
    gaugeMm: z.number().positive().max(10),
    pitchMm: z.number().positive().max(100),
    insideGirthMm: z.number().positive().max(2000),
    links: z.number().int().min(1).max(100),
    closingMm: z.number().min(0).max(500),
    /** It closes with a quick-release buckle, a part of its own that can fail, and not at a link. */
    quickRelease: z.boolean().default(false),
  })
  .meta({ id: 'ProngNumbers' });
export type ProngNumbers = z.infer<typeof ProngNumbers>;
