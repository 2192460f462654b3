<script setup lang="ts" generic="Row extends object, Page extends ListPage<Row>">
/** A list of however many rows: a short one is drawn whole, of a long one what is near the window, and the next part is asked for as somebody gets there. */
import { useWindowVirtualizer } from '@tanstack/vue-virtual';
import { defaultDocument, useResizeObserver } from '@vueuse/core';
import { computed, onMounted, ref, watch } from 'vue';
import type { ListPage, LongListSource } from '../stores/long-list.ts';

const props = defineProps<{
  source: LongListSource<Row, Page>;
  keyOf: (row: Row) => string;
  /** About how high a row is, px, until it has been drawn. */
  rowPx: number;
  /** Rows bring their own lines. */
  plain?: boolean;
}>();
const rows = computed(() => props.source.rows.value);
const goesOn = computed(() => props.source.goesOn.value);
const fetching = computed(() => props.source.fetching.value);
const moreFailed = computed(() => props.source.moreFailed.value);

/** A list of at most so many rows is drawn whole. */
const DRAWN_WHOLE = 60;
/** The next part is asked for so many rows before the end. */
const AHEAD = 15;

const list = ref<HTMLElement | null>(null);
const aboveList = ref(0);
const place = () => {
  if (list.value) aboveList.value = Math.round(list.value.getBoundingClientRect().top + window.scrollY);
};
onMounted(place);
useResizeObserver(() => defaultDocument?.body, place);
const isLong = computed(() => rows.value.length > DRAWN_WHOLE || goesOn.value);
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: isLong.value ? rows.value.length : 0,
    estimateSize: () => props.rowPx,
    overscan: 10,
    scrollMargin: aboveList.value,
    getItemKey: (index: number) => props.keyOf(rows.value[index]!),
  })),
);
const drawn = computed(() =>
  isLong.value
    ? virtual.value.getVirtualItems().flatMap(({ index }) => (rows.value[index] ? [{ index, row: rows.value[index] }] : []))
    : rows.value.map((row, index) => ({ index, row })),
);
const padding = computed(() => {
  if (!isLong.value) return {};
  const items = virtual.value.getVirtualItems();
  return {
    paddingTop: `${Math.max(0, (items[0]?.start ?? aboveList.value) - aboveList.value)}px`,
    paddingBottom: `${Math.max(0, virtual.value.getTotalSize() + aboveList.value - (items.at(-1)?.end ?? aboveList.value))}px`,
  };
});
const measure = (row: unknown) => {
  if (isLong.value && row instanceof HTMLElement) virtual.value.measureElement(row);
};
const nearEnd = computed(() => goesOn.value && isLong.value && (drawn.value.at(-1)?.index ?? 0) >= rows.value.length - AHEAD);
watch([nearEnd, fetching], () => nearEnd.value && !fetching.value && !moreFailed.value && void props.source.more(), { immediate: true });
</script>

<template>
  <div>
    <ul ref="list" :style="padding" :class="plain ? 'border-b border-line' : 'divide-y divide-line border-y border-line'">
      <li v-for="{ index, row } in drawn" :key="keyOf(row)" :ref="measure as never" :data-index="index">
        <slot :row="row" :index="index" />
      </li>
    </ul>
    <p v-if="goesOn || moreFailed" class="mt-2 flex flex-wrap items-center gap-3 text-soft">
      <span v-if="moreFailed" role="alert">{{ moreFailed }}</span>
      <span v-else-if="fetching" role="status">Loading more …</span>
      <button v-if="!fetching" type="button" class="press press-plain" @click="source.more()">Show more</button>
    </p>
  </div>
</template>
