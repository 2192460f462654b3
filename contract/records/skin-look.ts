import { SKIN_GRADES } from '@banter/core';
import { ClockPlace } from '../measures.ts';
import { z } from '../plain-words.ts';
import { Instant, passage, RecordId } from './common.ts';

/** Where the skin was under, for the question of what rubbed. */
export const SKIN_UNDER = ['prong', 'contacts', 'strap'] as const;

/** One look at the skin at a clock place, with what was asked of a sore one. */
export const NewSkinLook = z
  .strictObject({
    dogId: RecordId,
    clock: ClockPlace,
    under: z.enum(SKIN_UNDER),
    grade: z.literal(SKIN_GRADES),
    sore: z
      .strictObject({ fit: z.enum(['good', 'loose', 'tight', 'unknown']), stayed: z.enum(['yes', 'no', 'not-tried']), metal: z.enum(['same', 'changed']) })
      .nullable(),
    note: passage(1000),
    photoId: RecordId.nullable(),
    at: Instant,
  })
  .check(({ value, issues }) => {
    if (value.grade === 0 && value.sore !== null)
      issues.push({ code: 'custom', path: ['sore'], input: value.sore, message: 'Clear skin has nothing that rubbed.' });
  });
export type NewSkinLook = z.infer<typeof NewSkinLook>;
/** A kept look: by a person of the kennel, or by an owner through a link; then the name is the link’s. */
export const SkinLook = z.object({
  ...NewSkinLook.shape,
  id: RecordId,
  recordedAt: Instant,
  personId: RecordId.nullable(),
  linkId: RecordId.nullable().default(null),
  personName: z.string(),
});
export type SkinLook = z.infer<typeof SkinLook>;

/** The longer edge of a photo as it is kept, px. */
export const PHOTO_EDGE_PX = 1600;
/** A photo as it is kept: re-encoded, without what the camera wrote into it. */
export const Photo = z.object({ id: RecordId, widthPx: z.number().int(), heightPx: z.number().int(), bytes: z.number().int() });
export type Photo = z.infer<typeof Photo>;
