import type { FieldError, z } from '@banter/contract';
import { tryOnScopeDispose } from '@vueuse/core';
import { reactive, toRefs } from 'vue';
import { YARD_RECORDS, type YardRecord } from '../outbox/outbox-entry.ts';
import { useOutbox } from './outbox.ts';

/** A record that is safe on this device, and that the kennel has not got yet. */
export const BOXED = 'boxed';

/**
 * Saves a record that is made in the yard, through the outbox of this device. It is kept at once where there is a connection; else it is safe
 * here, and sent by itself, also when the screen has been left. What is refused while the screen is there is shown at its fields, with all
 * that was typed; later it is told among what could not be saved.
 *
 * `state`: still, `sending`, `boxed`, or `refused` with `errors` at their fields.
 */
export function useYard() {
  const outbox = useOutbox();
  const state = reactive({ state: 'still' as 'still' | 'sending' | 'boxed' | 'refused', sentence: '', errors: [] as readonly FieldError[] });
  let gone = false;
  tryOnScopeDispose(() => (gone = true));

  /** Answers the record once it is kept, `boxed` where it is safe for later, and null where it was refused. `about` says of what it is: the dog's name. */
  async function keep<Schema extends z.ZodType>(
    path: YardRecord,
    id: string,
    answer: Schema,
    body: object,
    about: string,
  ): Promise<z.output<Schema> | typeof BOXED | null> {
    if (state.state === 'sending') return null;
    Object.assign(state, { state: 'sending', sentence: '', errors: [] });
    const plain = JSON.parse(JSON.stringify(body)) as Record<string, unknown>;
    const outcome = await outbox.add({ id, words: `${YARD_RECORDS[path]}: ${about}`, sent: { is: 'record', path, body: plain } });
    if (outcome.is === 'refused') {
      Object.assign(state, { state: 'refused', sentence: outcome.message, errors: outcome.errors });
      // All that was typed is still in front of whoever typed it.
      if (!gone) await outbox.letGo(id);
      return null;
    }
    const kept = outcome.is === 'kept' ? answer.safeParse(outcome.answer) : null;
    const why = outbox.sending === 'signed-out' ? 'Your sign-in has ended.' : 'No connection.';
    Object.assign(state, kept ? { state: 'still' } : { state: 'boxed', sentence: `${why} It is safe on this device and will be sent.` });
    return kept?.success ? kept.data : BOXED;
  }
  return { ...toRefs(state), keep, errorAt: (path: string) => state.errors.find((error) => error.path === path)?.message ?? '' };
}
export type YardKeeping = ReturnType<typeof useYard>;
