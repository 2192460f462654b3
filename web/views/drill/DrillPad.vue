<script setup lang="ts">
/** What a hand can do: press a way for as long as it is held, and pay. By thumb, or by keys. */
import { DIRECTION_WORDS, type Direction } from '@banter/core';
import { useEventListener } from '@vueuse/core';
import type { DrillRun } from './drill-run.ts';

const props = defineProps<{ run: DrillRun }>();
const WAYS: { direction: Direction; key: string; shown: string }[] = [
  { direction: 'forward', key: 'ArrowUp', shown: '↑' },
  { direction: 'back', key: 'ArrowDown', shown: '↓' },
  { direction: 'in', key: 'ArrowRight', shown: '→' },
  { direction: 'across', key: 'a', shown: 'A' },
  { direction: 'up', key: 'u', shown: 'U' },
];
useEventListener(
  document,
  'keydown',
  (event: KeyboardEvent) => {
    if (props.run.state.value !== 'running' || event.ctrlKey || event.metaKey || event.altKey) return;
    const way = WAYS.find(({ key }) => key === event.key);
    if (!way && event.key !== ' ') return;
    event.preventDefault();
    // Keys of other screens do not act while a hand is on the leash.
    event.stopPropagation();
    if (event.repeat) return;
    if (way) props.run.press(way.direction);
    else props.run.pay();
  },
  { capture: true },
);
useEventListener(document, 'keyup', (event: KeyboardEvent) => {
  const way = WAYS.find(({ key }) => key === event.key);
  if (way && props.run.holding.value?.direction === way.direction) props.run.release();
});
</script>

<template>
  <div class="grid grid-cols-3 gap-2 sm:grid-cols-6" role="group" aria-label="Leash">
    <button
      v-for="way in WAYS"
      :key="way.direction"
      type="button"
      class="press press-plain min-h-16 touch-none flex-col gap-0! px-1! select-none"
      :class="run.holding.value?.direction === way.direction && 'border-warm! bg-mind-wash'"
      :aria-label="`Pressure ${way.direction}, while held`"
      :aria-keyshortcuts="way.key"
      @pointerdown.prevent="run.press(way.direction)"
      @pointerup="run.release()"
      @pointercancel="run.release()"
      @pointerleave="run.holding.value?.direction === way.direction && run.release()"
      @contextmenu.prevent
    >
      {{ DIRECTION_WORDS[way.direction].name }}
      <kbd class="hidden text-sm font-normal text-soft sm:block">{{ way.shown }}</kbd>
    </button>
    <button type="button" class="press press-main min-h-16 flex-col gap-0! px-1!" @pointerdown.prevent="run.pay()">
      Pay
      <kbd class="hidden text-sm font-normal sm:block">space</kbd>
    </button>
  </div>
</template>
