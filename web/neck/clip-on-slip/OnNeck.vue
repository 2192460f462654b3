<script setup lang="ts">
/** A clip-on slip on the unrolled neck: its cord, the floating ring and the clip; a backup lies below a prong's place. */
import { girthAt, placeOnNeck, type UnrolledNeck } from '@banter/core';
import { slipWidthMm } from '@banter/core/collars/slip';
import { type ClipOnNumbers } from '@banter/core/collars/clip-on-slip';
import { computed } from 'vue';
import type { DrawnCollar } from '@banter/contract';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const numbers = computed(() => props.drawn.collar.numbers as ClipOnNumbers);
const thick = computed(() => slipWidthMm(numbers.value));
const longer = computed(() => numbers.value.lengthMm - props.neck.levels[0].girthMm > 50);
const down = computed(() =>
  props.drawn.topMm !== undefined ? props.drawn.topMm + thick.value / 2 : longer.value ? Math.min(props.neck.lengthMm * 0.45, 46) : 12,
);
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const ring = computed(() => placeOnNeck(props.neck, props.drawn.ringAt, down.value));
</script>

<template>
  <g fill="none">
    <path :d="`M${-half},${down} H${half}`" :stroke="numbers.material === 'chain' ? 'var(--steel)' : 'var(--deep)'" :stroke-width="thick" />
    <g stroke="var(--ink)" stroke-width="3.4">
      <circle :cx="ring.x" :cy="ring.y" r="8" fill="var(--hide)" />
      <path :d="`M${ring.x + 9},${ring.y - 6} h10 a6 6 0 0 1 0 12 h-8`" stroke-linecap="round" />
      <circle :cx="ring.x" :cy="ring.y + 17" r="6" />
    </g>
  </g>
</template>
