import type { z } from '@banter/contract';
import { useStorage } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { itRemembers } from '../first-picture/device.ts';

/** Reads what this device remembers under a key; anything that does not fit its schema is as if it were not there. */
export function readStored<Schema extends z.ZodType>(key: string, schema: Schema): z.output<Schema> | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : readText(text, schema);
  } catch {
    return null;
  }
}

function readText<Schema extends z.ZodType>(text: string, schema: Schema): z.output<Schema> | null {
  try {
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

/** A value that this device remembers; what another tab makes of it is seen here. What does not fit its schema is as if it were not there. */
export function stored<Schema extends z.ZodType>(key: string, schema: Schema, first: z.output<Schema>): Ref<z.output<Schema>> {
  if (import.meta.env.SSR) return ref(readText(itRemembers(key) ?? '', schema) ?? first) as Ref<z.output<Schema>>;
  return useStorage<z.output<Schema>>(key, first, undefined, {
    writeDefaults: false,
    onError: () => undefined,
    serializer: { read: (text) => readText(text, schema) ?? first, write: (value) => JSON.stringify(value) },
  }) as Ref<z.output<Schema>>;
}
