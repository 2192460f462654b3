import { OwnerTick, z } from '@banter/contract';

/** Ticks that wait on an owner's device for the connection, in order. */
export const OwnerTicks = z.array(OwnerTick.omit({ key: true }));
