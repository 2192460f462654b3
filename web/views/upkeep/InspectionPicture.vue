<script setup lang="ts">
/** What a good one and a bad one look like, side by side, drawn by us. The fault is in another line, and is named below. */
import type { InspectionPicture } from '@banter/core';
import { computed } from 'vue';
import PicturePair from '../../drawings/PicturePair.vue';
import { PICTURES } from './inspection-pictures.ts';

const props = defineProps<{ picture: InspectionPicture; good: string; bad: string }>();
const sides = computed(() => [
  { name: 'good' as const, says: props.good, drawn: PICTURES[props.picture].good },
  { name: 'bad' as const, says: props.bad, drawn: PICTURES[props.picture].bad },
]);
</script>

<template>
  <PicturePair :good="good" :bad="bad">
    <template v-for="side in sides" :key="side.name" #[side.name]>
      <svg
        viewBox="0 0 96 60"
        class="block h-auto w-full rounded bg-ground"
        role="img"
        :aria-label="`${side.name}: ${side.says}`"
        fill="none"
        stroke-linecap="round"
        stroke-linejoin="round"
      >
        <path v-for="d in side.drawn.cloth ?? []" :key="d" :d="d" fill="var(--deep)" opacity="0.75" />
        <path v-for="d in side.drawn.thread ?? []" :key="d" :d="d" stroke="var(--tape)" stroke-width="2" stroke-dasharray="5 4" />
        <path v-for="d in side.drawn.steel ?? []" :key="d" :d="d" stroke="var(--steel)" stroke-width="4" />
        <circle v-for="dot in side.drawn.dots ?? []" :key="dot.x" :cx="dot.x" :cy="dot.y" :r="dot.r" fill="var(--steel)" />
        <path v-for="d in side.drawn.fault ?? []" :key="d" :d="d" stroke="var(--stop)" stroke-width="3.4" />
      </svg>
    </template>
  </PicturePair>
</template>
