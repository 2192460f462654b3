import type { z } from '@banter/contract';
import { ref, watch, type Ref } from 'vue';

/** Reads what this device remembers under a key; anything that does not fit its schema is as if it were not there. */
export function readStored<Schema extends z.ZodType>(key: string, schema: Schema): z.output<Schema> | null {
  try {
    const text = localStorage.getItem(key);
    if (text === null) return null;
    const parsed = schema.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : null;
  } catch {
    return null;
  }
}

/** Remembers on this device. A full or forbidden store is answered false; the page goes on without it. */
export function writeStored(key: string, value: unknown): boolean {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** A value that this device remembers. */
export function stored<Schema extends z.ZodType>(key: string, schema: Schema, first: z.output<Schema>): Ref<z.output<Schema>> {
  const value = ref(readStored(key, schema) ?? first) as Ref<z.output<Schema>>;
  watch(value, (now) => writeStored(key, now), { deep: true });
  return value;
}
