<script setup lang="ts">
/**
 * From above: the dog walking up the page, the handler beside it, and the leash between hand and ring. Left and right are the
 * dog's and the picture's alike.
 */
import type { RingAndSide } from '@banter/core';
import { pointAtClock } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ ring: Pick<RingAndSide, 'clock' | 'leashSide'>; name: string; worksOn: 'left' | 'right' }>();
/** The handler stands on the leash's side of the dog. */
const side = computed(() => (props.ring.leashSide === 'right' ? 1 : -1));
const NECK = { x: 100, y: 62 };
const RADIUS = 15;
/** Seen from above, a clock place lies left or right of the neck's middle; its height is not seen. */
const ringX = computed(() => NECK.x + pointAtClock(props.ring.clock, RADIUS).x);
const hand = computed(() => ({ x: NECK.x + side.value * 62, y: 88 }));
const words = computed(() => `From above: ${props.name} works on the handler’s ${props.worksOn}; the leash runs on the dog’s ${props.ring.leashSide} side.`);
</script>

<template>
  <svg viewBox="18 8 176 186" class="block h-auto w-full" role="img" :aria-label="words">
    <ellipse cx="100" cy="128" rx="25" ry="50" fill="var(--hide)" />
    <path d="M100 176 q-6 10 2 14" stroke="var(--hide-deep)" stroke-width="6" fill="none" stroke-linecap="round" />
    <ellipse :cx="NECK.x" :cy="NECK.y + 16" rx="17" ry="20" fill="var(--hide)" />
    <path d="M84 44 q16 -30 32 0 q4 20 -16 22 q-20 -2 -16 -22Z" fill="var(--hide)" />
    <path d="M85 46 q-13 2 -12 20 q10 0 14 -10Z M115 46 q13 2 12 20 q-10 0 -14 -10Z" fill="var(--hide-deep)" />
    <path :d="`M${NECK.x - 18},${NECK.y + 10} q18 7 36 0`" fill="none" stroke="var(--steel)" stroke-width="6" stroke-linecap="round" />
    <path
      :d="`M${ringX},${NECK.y + 12} Q${NECK.x + side * 48},${NECK.y + 44} ${hand.x},${hand.y}`"
      fill="none"
      stroke="var(--deep)"
      stroke-width="3.2"
      stroke-linecap="round"
    />
    <circle :cx="ringX" :cy="NECK.y + 12" r="5" fill="var(--felt)" stroke="var(--ink)" stroke-width="2.6" />
    <g :transform="`translate(${NECK.x + side * 70} 106)`">
      <ellipse rx="24" ry="13" fill="var(--steel-light)" />
      <circle r="10.5" fill="var(--steel)" />
      <path :d="`M${-side * 18},-4 Q${-side * 20},-18 ${-side * 8},-18`" fill="none" stroke="var(--steel-light)" stroke-width="7" stroke-linecap="round" />
    </g>
    <circle :cx="hand.x" :cy="hand.y" r="4.4" fill="var(--ink)" />
    <text x="24" y="26" font-size="15" fill="var(--soft)">left</text>
    <text x="190" y="26" font-size="15" fill="var(--soft)" text-anchor="end">right</text>
  </svg>
</template>
