import type { z } from '@banter/contract';
import { tryOnScopeDispose, useEventListener } from '@vueuse/core';
import { ref, shallowRef, watch } from 'vue';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { isOnItsWay } from '../outbox/outbox-entry.ts';
import { useAgain } from './again.ts';
import { useConnection } from './connection.ts';
import { loadFirst } from './load-first.ts';
import { onLook } from './looked-at.ts';
import { useOffline } from './offline.ts';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';

/**
 * Loads what a screen shows in one request, and says how that went. What may pass is asked again by itself, with growing pauses, until the
 * screen is left; meanwhile it shows what this device last knew, of this address or of one that says less (`orElse`). `later`: not before
 * somebody loads it.
 */
export function useLoad<Schema extends z.ZodType>(
  path: () => string,
  schema: Schema,
  { orElse, later = false }: { orElse?: () => string; later?: boolean } = {},
) {
  const connection = useConnection();
  const offline = useOffline();
  const session = useSession();
  const outbox = useOutbox();
  const data = shallowRef<z.output<Schema> | null>(null);
  const state = ref<'loading' | 'ready' | 'missing' | 'failed'>('loading');
  const sentence = ref('');

  const again = useAgain(() => void load());
  /** Whether what is shown is not what the kennel says now. */
  let behind = false;
  useEventListener('online', () => behind && void load());
  onLook((isSeen) => isSeen && behind && void load());
  const part = Symbol('load');
  /** Of which address, and of when, that is. */
  let known: { path: string; at: number } | null = null;
  tryOnScopeDispose(() => offline.shows(part, null));

  // What was on its way when a screen asked is not in its answer: it asks once more when that has arrived.
  let onItsWay: readonly string[] = [];
  /** Whether it asked before the outbox was open: what lies in it then was on its way. */
  let askedBefore = false;
  const onTheWay = () => outbox.entries.flatMap(({ id, status }) => (isOnItsWay(status) ? [id] : []));
  watch([() => outbox.entries, () => outbox.box], ([entries, box]) => {
    if (askedBefore && box !== null) {
      askedBefore = false;
      onItsWay = onTheWay();
    }
    if (onItsWay.length === 0) return;
    const standing = new Map(entries.map(({ id, status }) => [id, status]));
    if (onItsWay.some((id) => isOnItsWay(standing.get(id)))) return;
    const hasArrived = onItsWay.some((id) => standing.get(id) === 'kept');
    onItsWay = [];
    if (hasArrived) void load();
  });

  let latest = 0;
  async function load(): Promise<void> {
    onItsWay = onTheWay();
    askedBefore = outbox.box === null;
    // An answer that comes after a later one is old by then.
    latest += 1;
    const own = latest;
    if (data.value === null) state.value = 'loading';
    try {
      const asked = path();
      const now = await send('GET', asked, schema);
      if (own !== latest) return;
      data.value = now;
      known = { path: asked, at: Date.now() };
      behind = false;
      offline.shows(part, null);
      void offline.keep(asked, now);
      state.value = 'ready';
      again.wentWell();
      connection.reached();
    } catch (failure) {
      if (own !== latest) return;
      const status = failure instanceof RequestFailure ? failure.problem?.status : undefined;
      if (failure instanceof RequestFailure && failure.mayPass) {
        connection.missed();
        again.later();
        behind = true;
        const asked = path();
        if (known?.path !== asked) {
          const kept = (await offline.recall(asked, schema)) ?? (orElse ? await offline.recall(orElse(), schema) : null);
          if (own !== latest) return;
          if (kept) {
            data.value = kept.body;
            known = { path: asked, at: kept.at };
          }
        }
        if (known?.path === asked) {
          state.value = 'ready';
          offline.shows(part, known.at);
          return;
        }
      }
      if (status === 401) session.lost();
      sentence.value = failureSentence(failure);
      state.value = status === 404 ? 'missing' : 'failed';
    }
  }
  if (!later) loadFirst(path, load);
  return { data, state, sentence, load };
}
