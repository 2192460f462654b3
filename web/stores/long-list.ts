import type { Cursor, z } from '@banter/contract';
import { computed, ref, shallowRef, watch } from 'vue';
import { failureSentence } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { useLoad } from './load.ts';

/**
 * What is asked for a part at a time: the first part as any screen is, and each next one as somebody gets there. A change of
 * what is asked begins it anew; what is shown stays until the answer is there.
 */
export function useParts<Page extends { next: Cursor | null }>(path: () => string, schema: z.ZodType<Page>) {
  const loaded = useLoad(path, schema);
  const page = computed(() => loaded.data.value as Page | null);
  const others = shallowRef<readonly Page[]>([]);
  const next = ref<Cursor | null>(null);
  /** Of the next part: on its way, or why it could not be had. */
  const fetching = ref(false);
  const moreFailed = ref('');
  watch(page, (now) => {
    others.value = [];
    next.value = now?.next ?? null;
    moreFailed.value = '';
  });
  watch(path, () => void loaded.load());

  async function more(): Promise<void> {
    const [after, of] = [next.value, page.value];
    if (after === null || fetching.value) return;
    fetching.value = true;
    moreFailed.value = '';
    try {
      const part = await send('GET', `${path()}${path().includes('?') ? '&' : '?'}after=${encodeURIComponent(after)}`, schema);
      // What has been asked for anew meanwhile does not go on from here.
      if (page.value !== of) return;
      others.value = [...others.value, part];
      next.value = part.next;
    } catch (failure) {
      moreFailed.value = failureSentence(failure);
    } finally {
      fetching.value = false;
    }
  }
  return {
    ...loaded,
    page,
    parts: computed((): readonly Page[] => (page.value ? [page.value, ...others.value] : [])),
    goesOn: computed(() => next.value !== null),
    fetching,
    moreFailed,
    more,
  };
}

export type ListPage<Row> = { rows: readonly Row[]; next: Cursor | null };

/** A list that is asked for a part at a time. */
export function useLongList<Row, Page extends ListPage<Row>>(path: () => string, schema: z.ZodType<Page>) {
  const all = useParts(path, schema);
  return { ...all, rows: computed(() => all.parts.value.flatMap(({ rows }) => rows)) };
}
export type LongListSource<Row, Page extends ListPage<Row>> = ReturnType<typeof useLongList<Row, Page>>;
