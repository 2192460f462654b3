<script setup lang="ts">
/** What a kind of collar is known by at a glance: its hardware, in a square as high as a line or two. Seen, not read: its name stands beside it. */
import type { CollarKindName } from '@banter/contract';

defineProps<{ kind: CollarKindName }>();
type Mark = { strap?: string; steel?: string; solid?: string; thread?: string };
const MARKS: Record<CollarKindName, Mark> = {
  prong: {
    steel: 'M4,15 a12,12 0 0 1 24,0 M6,9 l3,3 M11,4.5 l2,4 M16,3 v4 M21,4.5 l-2,4 M26,9 l-3,3 M4,15 l4,1 M28,15 l-4,1 M4,15 L16,22 L28,15 M16,22 v3',
    solid: 'M16,25 m-3,3 a3,3 0 1 0 6,0 a3,3 0 1 0 -6,0',
  },
  slip: { steel: 'M16,19 m-9,-2 a9.5,9.5 0 1 1 18,0 M25,17 L28,27 M7,17 a3,3 0 1 0 0.1,0 M28,27 a2.6,2.6 0 1 0 0.1,0', thread: 'M7,20 H25' },
  'clip-on-slip': { strap: 'M5,15 a11,11 0 1 1 22,0 a11,11 0 0 1 -18,8.5', steel: 'M9,23.5 m-3,-1 a3,3 0 1 0 0.1,0 M10,24 l5,5 M18,29 h-4' },
  martingale: { strap: 'M4,17 a12,11 0 1 0 24,0', steel: 'M4,17 a2.5,2.5 0 1 1 0.1,0 M28,17 a2.5,2.5 0 1 1 0.1,0 M5,14 L16,4 L27,14 M16,4 v-2' },
  flat: { strap: 'M8,8 a12,12 0 1 0 16,0', steel: 'M10,3 h12 v9 h-12 Z M16,7.5 h7' },
  'wide-throat': {
    strap: 'M9,7 a11,11 0 0 0 -4,9 M23,7 a11,11 0 0 1 4,9',
    solid: 'M4,15 a12,12 0 0 0 24,0 l-5,-1 a7,6 0 0 1 -14,0 Z',
    steel: 'M11,3 h10 v7 h-10 Z',
  },
  'head-collar': { strap: 'M14,10 a8,8 0 1 1 6,14 M14,10 L8,22 a5,5 0 1 0 8,3 L20,24', steel: 'M11,29 a2,2 0 1 0 0.1,0' },
  remote: { strap: 'M3,9 h26', solid: 'M7,5 h18 v12 h-18 Z', steel: 'M12,17 v8 M20,17 v8' },
  fence: { strap: 'M3,14 h26', solid: 'M7,10 h18 v11 h-18 Z', steel: 'M12,21 v6 M20,21 v6 M22,10 L27,3 M19,4 a6,6 0 0 1 4,-3' },
};
</script>

<template>
  <svg viewBox="0 0 32 32" class="inline-block size-7 shrink-0" aria-hidden="true" fill="none" stroke-linecap="round" stroke-linejoin="round">
    <path v-if="MARKS[kind].strap" :d="MARKS[kind].strap" stroke="currentColor" stroke-width="3.6" opacity="0.55" />
    <path v-if="MARKS[kind].solid" :d="MARKS[kind].solid" fill="currentColor" />
    <path v-if="MARKS[kind].steel" :d="MARKS[kind].steel" stroke="currentColor" stroke-width="2" />
    <path v-if="MARKS[kind].thread" :d="MARKS[kind].thread" stroke="currentColor" stroke-width="1.6" stroke-dasharray="2.5 2.5" />
  </svg>
</template>
