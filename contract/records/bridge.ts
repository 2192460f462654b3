import { z } from '../plain-words.ts';
import { Instant, namedLine, RecordId } from './common.ts';
import { KeyHash } from './private-key.ts';

/**
 * A program that may tell events of this kennel’s devices. Its key is made where it is shown, once; only the key’s SHA-256
 * is ever sent here, in hexadecimal. Taken back, it is refused at once.
 */
export const BridgeFacts = z.strictObject({
  name: namedLine(60),
  keyHash: KeyHash,
  revokedAt: Instant.nullable(),
});
export type BridgeFacts = z.infer<typeof BridgeFacts>;
export const Bridge = z.object({ ...BridgeFacts.shape, id: RecordId, version: z.number().int(), lastSeenAt: Instant.nullable() });
export type Bridge = z.infer<typeof Bridge>;
export const BridgesPage = z.object({ bridges: z.array(Bridge) });
export type BridgesPage = z.infer<typeof BridgesPage>;
