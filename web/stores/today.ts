import { TodayChange, todayChanged, TodayItems, TodayPage, type TodayItem } from '@banter/contract';
import { tryOnScopeDispose, useEventListener, useEventSource, useTimeoutFn } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { hasComeAlong } from '../api/came-along.ts';
import { failureSentence } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { useConnection } from './connection.ts';
import { loadFirst } from './load-first.ts';
import { onLook } from './looked-at.ts';
import { useOffline } from './offline.ts';
import { useWearing } from './wearing.ts';

/** Until a stream that broke is opened again: so long, then twice that, up to a minute; ms. */
const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 60_000;

/**
 * Today as it stands, live: one stream that begins with the whole of it and goes on with each change, whoever made it. Where the
 * stream breaks, what was last heard stays, and it is opened again by itself.
 */
export function useToday() {
  const connection = useConnection();
  const offline = useOffline();
  const wearing = useWearing();
  const page = shallowRef<TodayPage | null>(null);
  const state = ref<'loading' | 'ready' | 'failed'>('loading');
  const sentence = ref('');
  let wait = FIRST_WAIT_MS;
  const { data, event, error, status, open, close } = useEventSource('/api/today', ['today', 'changed'] as const);
  /** Until it has broken once, it is on its way. */
  const live = computed(() => status.value === 'OPEN' || (status.value === 'CONNECTING' && error.value === null));
  const later = useTimeoutFn(open, () => wait, { immediate: false });

  watch(data, (text) => {
    const now = text === null ? null : heard(event.value, text);
    if (now === null) return;
    page.value = now;
    if (now.wearing) wearing.hear(now.wearing);
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

  /** What the stream says, as a page; null where it cannot be read. What goes on from a page that is not here begins anew, with the whole. */
  function heard(name: string | null, text: string): TodayPage | null {
    const told: unknown = JSON.parse(text);
    if (name === 'today') return TodayPage.safeParse(told).data ?? null;
    const change = TodayChange.safeParse(told).data;
    const now = change && page.value ? todayChanged(page.value, change) : null;
    if (now === null) open();
    return now;
  }

  // As it was known last it opens without a connection, and so do the dogs of today and those that wear something.
  const part = Symbol('today');
  tryOnScopeDispose(() => offline.shows(part, null));
  // What is due and what is worn come by themselves, in whichever order.
  watch([page, () => wearing.wearing], ([now]) => {
    if (now === null || !live.value) return;
    offline.shows(part, null);
    void offline.keep('/api/today', now);
    const ofToday = now.items.flatMap((item) => ('dogId' in item && typeof item.dogId === 'string' ? [item.dogId] : []));
    void offline.fetchAhead([...wearing.wearing.map(({ dogId }) => dogId), ...ofToday]);
  });

  /** What else is due, beyond what a page shows, as far as somebody has asked for it. */
  const others = shallowRef<readonly TodayItem[]>([]);
  const next = ref<string | null>(null);
  const fetching = ref(false);
  watch(page, async (now) => {
    const had = others.value.length;
    next.value = now?.next ?? null;
    const fresh: TodayItem[] = [];
    // As far as somebody has read, it is there again.
    while (fresh.length < had && next.value !== null && page.value === now) {
      const part = await partAfter(next.value);
      if (part === null) break;
      fresh.push(...part.items);
      next.value = part.next;
    }
    if (page.value === now) others.value = fresh;
  });
  const partAfter = (after: string) => send('GET', `/api/today/items?after=${encodeURIComponent(after)}`, TodayItems).catch(() => null);
  async function more() {
    const [after, of] = [next.value, page.value];
    if (after === null || fetching.value) return;
    fetching.value = true;
    const part = await partAfter(after);
    fetching.value = false;
    if (part === null || page.value !== of) return;
    others.value = [...others.value, ...part.items];
    next.value = part.next;
  }
  const items = computed(() => [...(page.value?.items ?? []), ...others.value]);

  /** Without a stream, in one plain request: it also says what is wrong. */
  async function once() {
    try {
      const now = await send('GET', '/api/today', TodayPage);
      page.value = now;
      if (now.wearing) wearing.hear(now.wearing);
      state.value = 'ready';
      connection.reached();
    } catch (failure) {
      if (page.value !== null) return;
      const kept = await offline.recall('/api/today', TodayPage);
      if (kept && page.value === null) {
        page.value = kept.body;
        state.value = 'ready';
        offline.shows(part, kept.at);
      } else if (page.value === null) {
        state.value = 'failed';
        sentence.value = failureSentence(failure);
      }
    }
  }
  // What came with the page is there before the stream has begun.
  if (hasComeAlong('/api/today')) loadFirst(() => '/api/today', once);
  // A page that was put away may have lost its stream without a word.
  onLook((isSeen) => isSeen && !live.value && open());
  useEventListener('online', open);
  return { page, items, goesOn: computed(() => next.value !== null), fetching, more, state, sentence, live, again: open };
}
