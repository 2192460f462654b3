import { OwnerSays, OwnerTick, z } from '@banter/contract';

/** Ticks and words that wait on an owner’s device for the connection, in order. */
export const OwnerTicks = z.array(z.union([OwnerTick.omit({ key: true }), OwnerSays.omit({ key: true })]));
export type OwnerWaiting = z.infer<typeof OwnerTicks>[number];
