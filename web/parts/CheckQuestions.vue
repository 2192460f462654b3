<script setup lang="ts">
/**
 * The questions of a fit check in the order the hands go. At a desk all of them are in sight, the open one marked; on a phone the open one stands
 * alone under the thumb, and the others are a line each that opens. An answer opens the next that has none; the keys 1 to 4 answer the open one.
 */
import { labelOf, questionsAsked, type EarSet } from '@banter/core';
import type { AnyCollarKind } from '@banter/contract';
import { useNarrower } from '../stores/widths.ts';
import { computed, nextTick, ref } from 'vue';
import HandPicture from '../drawings/HandPicture.vue';
import { checkPictures } from '../drawings/hand-pictures.ts';
import PicturePair from '../drawings/PicturePair.vue';
import { useScreenKeys } from '../stores/keys.ts';
import { useUnits } from '../stores/units.ts';
import ChoiceRow from './ChoiceRow.vue';

const props = defineProps<{ kind: AnyCollarKind; errorAt: (path: string) => string; ears?: EarSet }>();
const answers = defineModel<Record<string, string | null>>('answers', { required: true });
const counts = defineModel<Record<string, number | null>>('counts', { required: true });
const units = useUnits();
/** What a finger may have folded, at most as many as one sees at a glance. */
const MOST_COUNTED = 5;
const NOT_TRIED = 'not-tried';

type Row = { id: string; ask: string; how: string; optional: boolean; answers: { value: string; label: string }[]; value: string | null; isCount: boolean };
const rows = computed<Row[]>(() => [
  ...questionsAsked(props.kind.questions, answers.value).map((question) => ({
    id: question.id,
    ask: question.ask,
    how: question.how,
    optional: question.optional ?? false,
    answers: question.answers.map(({ value, label }) => ({ value, label: labelOf(label, units.speak) })),
    value: answers.value[question.id] ?? null,
    isCount: false,
  })),
  ...props.kind.counts.map((count) => ({
    id: count.id,
    ask: count.ask,
    how: count.how,
    optional: true,
    answers: [
      { value: NOT_TRIED, label: 'Not tried' },
      ...Array.from({ length: Math.min(count.most, MOST_COUNTED) + 1 }, (_none, n) => ({ value: String(n), label: String(n) })),
    ],
    value: counts.value[count.id]?.toString() ?? NOT_TRIED,
    isCount: true,
  })),
]);
/** Opened by hand, else the first that needs an answer. */
const opened = ref<string | null>(null);
const open = computed(() => rows.value.find(({ id }) => id === opened.value) ?? rows.value.find(({ optional, value }) => !optional && value === null) ?? null);
const isOpen = ({ id }: Row) => open.value?.id === id;
const said = (row: Row) => row.answers.find(({ value }) => value === row.value)?.label ?? (row.optional ? 'may be left out' : 'to do');

const list = ref<HTMLElement | null>(null);
const phone = useNarrower('sm');
async function answer(row: Row, value: string | null) {
  if (row.isCount) counts.value = { ...counts.value, [row.id]: value === NOT_TRIED ? null : Number(value) };
  else answers.value = { ...answers.value, [row.id]: value };
  opened.value = null;
  if (!phone.value) return;
  // The row under the thumb has folded: whoever listens is led on to the next.
  await nextTick();
  list.value?.querySelector<HTMLElement>('[data-open] [role="radio"]')?.focus({ preventScroll: true });
}
useScreenKeys(
  'Check',
  ['first', 'second', 'third', 'fourth'].map((which, index) => ({
    key: String(index + 1),
    does: `The ${which} answer to the marked question`,
    run: () => {
      const chosen = open.value?.answers[index];
      if (open.value && chosen) void answer(open.value, chosen.value);
    },
  })),
);
</script>

<template>
  <section ref="list" class="sheet py-1! sm:py-2!" aria-label="Questions">
    <div
      v-for="row in rows"
      :key="row.id"
      class="border-t border-line first:border-t-0 max-sm:-mx-1"
      :class="isOpen(row) && 'sm:-mx-4 sm:bg-raised sm:px-4 sm:shadow-[inset_4px_0_var(--tape)]'"
      :data-open="isOpen(row) || undefined"
    >
      <button
        v-if="!isOpen(row)"
        type="button"
        class="flex min-h-12 w-full items-center justify-between gap-3 px-1 text-left sm:hidden"
        :aria-label="`${row.ask} ${said(row)}. Open`"
        @click="opened = row.id"
      >
        <span :class="row.value === null && 'text-soft'">{{ row.ask }}</span>
        <span class="shrink-0" :class="row.value === null ? 'text-sm text-soft' : 'font-semibold'">{{ said(row) }}</span>
      </button>
      <ChoiceRow
        class="py-1.5 max-sm:px-1 max-sm:py-3"
        :class="!isOpen(row) && 'max-sm:hidden'"
        :model-value="row.value"
        :label="row.ask"
        :hint="row.how"
        :answers="row.answers"
        :error="errorAt(`answers.${row.id}`)"
        beside
        @update:model-value="(value) => answer(row, value)"
      />
      <PicturePair v-if="isOpen(row) && checkPictures(row.id)" class="pb-3" :good="checkPictures(row.id)![0].says" :bad="checkPictures(row.id)![1].says">
        <template #good><HandPicture class="rounded bg-ground" :picture="checkPictures(row.id)![0]" v-bind="ears ? { ears } : {}" /></template>
        <template #bad><HandPicture class="rounded bg-ground" :picture="checkPictures(row.id)![1]" v-bind="ears ? { ears } : {}" /></template>
      </PicturePair>
    </div>
  </section>
</template>
