import { TodayPage } from '@banter/contract';
import { useEventListener, useEventSource, useTimeoutFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { failureSentence } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { useConnection } from './connection.ts';

/** Until a stream that broke is opened again: so long, then twice that, up to a minute; ms. */
const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 60_000;

/**
 * Today as it stands, live: one stream that begins with the whole of it and goes on with each change, whoever made it. Where the
 * stream breaks, what was last heard stays, and it is opened again by itself.
 */
export function useToday() {
  const connection = useConnection();
  const page = shallowRef<TodayPage | null>(null);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const sentence = ref('');
  let wait = FIRST_WAIT_MS;
  const { data, error, status, open, close } = useEventSource('/api/today', ['today'] as const);
  const live = computed(() => status.value === 'OPEN');
  const later = useTimeoutFn(open, () => wait, { immediate: false });

  watch(data, (text) => {
    const parsed = text === null ? null : TodayPage.safeParse(JSON.parse(text));
    if (!parsed?.success) return;
    page.value = parsed.data;
    state.value = 'ready';
    wait = FIRST_WAIT_MS;
    connection.reached();
  });
  watch(error, (broke) => {
    if (broke === null) return;
    close();
    if (page.value === null) void once();
    later.start();
    wait = Math.min(wait * 2, LONGEST_WAIT_MS);
  });

  /** Without a stream, in one plain request: it also says what is wrong. */
  async function once() {
    try {
      page.value = await send('GET', '/api/today', TodayPage);
      state.value = 'ready';
      connection.reached();
    } catch (failure) {
      if (page.value === null) {
        state.value = 'failed';
        sentence.value = failureSentence(failure);
      }
    }
  }
  // A page that was put away may have lost its stream without a word.
  useEventListener(document, 'visibilitychange', () => !document.hidden && !live.value && open());
  useEventListener('online', open);
  return { page, state, sentence, live, again: open };
}
