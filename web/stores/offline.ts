import { z } from '@banter/contract';
import { MINUTE_MS } from '@banter/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowReactive, watch } from 'vue';
import { send } from '../api/request.ts';
import { KeptAnswers } from '../offline/kept-answers.ts';
import { useConnection } from './connection.ts';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';

/** The screens of a dog that are worked with in the yard, and of so many dogs at most. */
const YARD_PAGES = ['page', 'neck', 'record', 'growth'] as const;
const MOST_DOGS = 12;
/** What was fetched no longer ago than this is not fetched ahead again, ms. */
const FRESH_MS = 30 * MINUTE_MS;

/** What this device last knew of what its screens show. Gone when the person signs out, or their sign-in ends. */
export const useOffline = defineStore('offline', () => {
  const session = useSession();
  const connection = useConnection();
  const outbox = useOutbox();
  let kennelOf = '';
  let opened: Promise<KeptAnswers> | null = null;
  const answers = (): Promise<KeptAnswers> | null => {
    const kennelId = session.me?.kennel.id;
    if (kennelId === undefined || import.meta.env.SSR) return null;
    if (kennelOf !== kennelId) {
      kennelOf = kennelId;
      opened = KeptAnswers.open(kennelId);
    }
    return opened;
  };

  /** Screens, or parts of them, that show what was known at an instant, ms. */
  const shown = shallowReactive(new Map<symbol, number>());
  const fetching = ref(false);
  let wanted: readonly string[] | null = null;
  function take() {
    const ids = wanted;
    wanted = null;
    return ids;
  }

  watch(
    () => session.me,
    (now, before) => {
      if (now !== null || before === null) return;
      shown.clear();
      void opened?.then((kept) => kept.clear());
      void outbox.forgetKept();
    },
  );

  return {
    /** The oldest of what the screen shows without a connection, ms; null while it shows what the kennel says now. */
    asOf: computed(() => (shown.size === 0 ? null : Math.min(...shown.values()))),
    /** Says that a part of the screen shows what was known at an instant, or that it no longer does. */
    shows: (part: symbol, at: number | null) => (at === null ? shown.delete(part) : shown.set(part, at)),
    keep: async (path: string, body: unknown) => void (await (await answers())?.put(path, body, Date.now())),
    recall: async <Schema extends z.ZodType>(path: string, schema: Schema) => (await (await answers())?.get(path, schema)) ?? null,
    /** Fetches the yard's screens of some dogs ahead, the first first, so that they open without a connection. */
    async fetchAhead(dogIds: readonly string[]) {
      wanted = dogIds;
      if (fetching.value || connection.lost) return;
      fetching.value = true;
      const kept = await answers();
      // Whoever is asked for meanwhile comes after these.
      for (let ids = take(); ids !== null; ids = take())
        for (const path of [...new Set(ids)].slice(0, MOST_DOGS).flatMap((id) => YARD_PAGES.map((page) => `/api/dogs/${id}/${page}`))) {
          if (!kept || connection.lost || !session.me) break;
          if (Date.now() - ((await kept.at(path)) ?? 0) < FRESH_MS) continue;
          const body = await send('GET', path, z.unknown()).catch(() => null);
          if (body !== null) await kept.put(path, body, Date.now());
        }
      fetching.value = false;
    },
  };
});
