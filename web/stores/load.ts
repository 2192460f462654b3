import type { z } from '@banter/contract';
import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { ref, shallowRef } from 'vue';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { useConnection } from './connection.ts';
import { useSession } from './session.ts';

const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 20_000;

/** Loads what a screen shows in one request, and says how that went. What may pass is asked again by itself, with growing pauses, until the screen is left. */
export function useLoad<Schema extends z.ZodType>(path: () => string, schema: Schema) {
  const connection = useConnection();
  const session = useSession();
  const data = shallowRef<z.output<Schema> | null>(null);
  const state = ref<'loading' | 'ready' | 'missing' | 'failed'>('loading');
  const sentence = ref('');

  let wait = FIRST_WAIT_MS;
  const again = useTimeoutFn(
    () => void load(),
    () => wait,
    { immediate: false },
  );
  useEventListener('online', () => state.value === 'failed' && void load());
  useEventListener(document, 'visibilitychange', () => !document.hidden && state.value === 'failed' && void load());

  let latest = 0;
  async function load(): Promise<void> {
    // An answer that comes after a later one is old by then.
    latest += 1;
    const own = latest;
    if (data.value === null) state.value = 'loading';
    try {
      const now = await send('GET', path(), schema);
      if (own !== latest) return;
      data.value = now;
      state.value = 'ready';
      wait = FIRST_WAIT_MS;
      again.stop();
      connection.reached();
    } catch (failure) {
      if (own !== latest) return;
      const status = failure instanceof RequestFailure ? failure.problem?.status : undefined;
      if (failure instanceof RequestFailure && failure.mayPass) {
        connection.missed();
        again.start();
        wait = Math.min(wait * 2, LONGEST_WAIT_MS);
      }
      if (status === 401) session.lost();
      sentence.value = failureSentence(failure);
      state.value = status === 404 ? 'missing' : 'failed';
    }
  }
  void load();
  return { data, state, sentence, load };
}
