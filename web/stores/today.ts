import { TodayPage } from '@banter/contract';
import { onBeforeUnmount, ref, shallowRef } from 'vue';
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
  const live = ref(false);
  let stream: EventSource | null = null;
  let wait = FIRST_WAIT_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let gone = false;

  function open() {
    clearTimeout(timer);
    stream?.close();
    if (gone) return;
    stream = new EventSource('/api/today');
    stream.addEventListener('today', (event) => {
      const parsed = TodayPage.safeParse(JSON.parse((event as MessageEvent<string>).data));
      if (!parsed.success) return;
      page.value = parsed.data;
      state.value = 'ready';
      live.value = true;
      wait = FIRST_WAIT_MS;
      connection.reached();
    });
    stream.addEventListener('error', () => {
      live.value = false;
      stream?.close();
      stream = null;
      if (page.value === null) void once();
      timer = setTimeout(open, wait);
      wait = Math.min(wait * 2, LONGEST_WAIT_MS);
    });
  }

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
  const back = () => !document.hidden && !live.value && open();
  document.addEventListener('visibilitychange', back);
  addEventListener('online', open);
  onBeforeUnmount(() => {
    gone = true;
    clearTimeout(timer);
    stream?.close();
    document.removeEventListener('visibilitychange', back);
    removeEventListener('online', open);
  });
  open();
  return { page, state, sentence, live, again: open };
}
