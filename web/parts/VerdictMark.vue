<script setup lang="ts">
/** A verdict in a word, with a sign of its own shape: a tick in a ring, a split lozenge, a barred square, an open ring. */
import type { VerdictTone } from './verdict.ts';

defineProps<{ tone: VerdictTone; word: string }>();
const wash: Record<VerdictTone, string> = {
  good: 'bg-good-wash text-good',
  mind: 'bg-mind-wash text-mind',
  stop: 'bg-stop-wash text-stop',
  open: 'bg-ground text-soft',
};
</script>

<template>
  <span class="inline-flex items-baseline gap-2 rounded-[0.3rem] px-2.5 py-1 font-semibold" :class="wash[tone]">
    <svg viewBox="0 0 20 20" class="size-5 shrink-0 self-center" fill="none" stroke="currentColor" stroke-width="2.2" aria-hidden="true">
      <template v-if="tone === 'good'">
        <circle cx="10" cy="10" r="8" />
        <path d="M6 10.4 9 13.2 14.2 7" />
      </template>
      <template v-else-if="tone === 'mind'">
        <path d="M10 1.6 18.4 10 10 18.4 1.6 10Z" />
        <path d="M10 5.5v9" />
      </template>
      <template v-else-if="tone === 'stop'">
        <rect x="2.2" y="2.2" width="15.6" height="15.6" rx="1.5" />
        <path d="M5.5 10h9" stroke-width="3" />
      </template>
      <template v-else><circle cx="10" cy="10" r="8" stroke-dasharray="3.4 2.9" /></template>
    </svg>
    {{ word }}
  </span>
</template>
