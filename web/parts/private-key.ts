const KEY_BYTES = 32;
const hex = (bytes: Uint8Array) => [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** A key made here and never sent, with the hash by which Banter knows it. */
export async function makePrivateKey(): Promise<{ key: string; keyHash: string }> {
  const key = hex(crypto.getRandomValues(new Uint8Array(KEY_BYTES)));
  return { key, keyHash: hex(new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(key)))) };
}
