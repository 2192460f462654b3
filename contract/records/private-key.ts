import { z } from '../plain-words.ts';

/** The SHA-256 of a private key, in hexadecimal: all that is ever kept of it. */
export const KeyHash = z.string().regex(/^[0-9a-f]{64}$/, 'This is no SHA-256 in hexadecimal.');
