<script setup lang="ts">
/** A flat collar on the unrolled neck: the band at its real width, its buckle, holes and ring. */
import { type DrawnCollar, StrapNumbersShape } from '@banter/contract';
import { girthAt, placeOnNeck, type UnrolledNeck } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const numbers = computed(() => StrapNumbersShape.parse(props.drawn.collar.numbers));
const width = computed(() => numbers.value.widthMm);
const down = computed(() => width.value / 2 + (props.drawn.topMm ?? 8));
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const ring = computed(() => placeOnNeck(props.neck, props.drawn.ringAt, down.value));
const buckleX = computed(() => ring.value.x - width.value * 2.4);
const holes = computed(() => (numbers.value.holePitchMm === null ? [] : [0, 1, 2, 3].map((n) => buckleX.value - 20 - n * numbers.value.holePitchMm!)));
</script>

<template>
  <g>
    <path :d="`M${-half},${down} H${half}`" fill="none" stroke="var(--deep)" :stroke-width="width" />
    <circle v-for="x in holes.filter((one) => one > -half)" :key="x" :cx="x" :cy="down" r="2.2" fill="var(--felt)" />
    <rect :x="buckleX - 9" :y="down - width / 2 - 4" width="18" :height="width + 8" rx="3" fill="none" stroke="var(--steel)" stroke-width="4" />
    <path v-if="numbers.buckle === 'metal tongue'" :d="`M${buckleX + 9},${down} H${buckleX - 12}`" stroke="var(--steel)" stroke-width="3.4" />
    <circle :cx="ring.x" :cy="down + width / 2 + 6" r="8" fill="none" stroke="var(--ink)" stroke-width="3.4" />
  </g>
</template>
