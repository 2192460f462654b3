<script setup lang="ts">
/** A day's sessions one under the other, for a narrow screen and for paper; what is over of today is one line until it is wanted. */
import { timeOfDay } from '@banter/core';
import { computed, ref } from 'vue';
import type { StripTag } from './DayStrip.vue';

const props = defineProps<{
  title: string;
  today: boolean;
  closed: boolean;
  tags: readonly (StripTag & { dog: string; stage: string; hand: string })[];
  selected: string | null;
}>();
const emit = defineEmits<{ choose: [id: string] }>();
const WORDS = { kept: '', held: 'held', missed: 'not logged', changed: 'tried', clash: 'clashes' } as const;
const isOver = ({ is }: Pick<StripTag, 'is'>) => is === 'held' || is === 'missed';
const over = computed(() => (props.today ? props.tags.filter(isOver) : []));
const held = computed(() => over.value.filter(({ is }) => is === 'held').length);
const all = ref(false);
</script>

<template>
  <section class="border-t pt-2" :class="today ? 'border-t-4 border-tape' : 'border-line'" :aria-label="title">
    <div class="flex items-center gap-3">
      <h3 class="grow">{{ title }}</h3>
      <button v-if="over.length > 0" type="button" class="no-print min-h-11 text-sm underline" :aria-expanded="all" @click="all = !all">
        {{ all ? 'Hide earlier' : `${over.length} earlier, ${held} held` }}
      </button>
    </div>
    <p v-if="tags.length === 0" class="pb-2 text-soft">{{ closed ? 'Closed.' : 'Nothing planned.' }}</p>
    <ul v-else class="pb-2">
      <li v-for="tag in tags" :key="tag.id" :class="today && !all && isOver(tag) && 'hidden print:block'">
        <button
          type="button"
          class="day-row grid min-h-12 w-full grid-cols-[3.4rem_minmax(0,1fr)_auto] items-center gap-3 border-b border-line text-left"
          :class="[selected === tag.id && 'bg-raised', tag.faint && 'opacity-40']"
          :aria-pressed="selected === tag.id"
          @click="emit('choose', tag.id)"
        >
          <span class="tabular-nums">{{ timeOfDay(tag.from) }}</span>
          <span class="min-w-0 py-1 leading-tight">
            <span class="block truncate"
              ><strong>{{ tag.dog }}</strong> <span class="text-soft">{{ tag.stage }}</span></span
            >
            <span class="block truncate text-sm text-soft">{{ tag.minutes }} min with {{ tag.hand }}</span>
          </span>
          <span
            class="rounded px-1.5 text-sm font-semibold"
            :class="{
              'bg-good-wash text-good': tag.is === 'held',
              'text-soft': tag.is === 'missed',
              'bg-tape text-on-tape': tag.is === 'changed',
              'bg-stop-wash text-stop': tag.is === 'clash',
            }"
            >{{ WORDS[tag.is] }}</span
          >
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
@media print {
  .day-row {
    display: grid !important;
  }
}
</style>
