<script setup lang="ts">
/** A wide-throat collar on the unrolled neck: broad at the throat, at both ends of the map, narrow with its buckle at the nape. */
import { type DrawnCollar, StrapNumbersShape } from '@banter/contract';
import { girthAt, type UnrolledNeck } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const numbers = computed(() => StrapNumbersShape.parse(props.drawn.collar.numbers));
/** At the nape it is a third as wide as on the throat. From memory. */
const narrow = computed(() => numbers.value.widthMm / 3);
const top = computed(() => props.drawn.topMm ?? 6);
const half = computed(() => girthAt(props.neck.levels, top.value + numbers.value.widthMm / 2) / 2);
const middle = computed(() => top.value + numbers.value.widthMm / 2);
const shape = computed(() => {
  const wide = numbers.value.widthMm / 2;
  const slim = narrow.value / 2;
  const m = middle.value;
  const h = half.value;
  const quarter = h * 0.5;
  return `M${-h},${m - wide} C${-h * 0.75},${m - wide} ${-quarter},${m - slim} 0,${m - slim} C${quarter},${m - slim} ${h * 0.75},${m - wide} ${h},${m - wide} V${m + wide} C${h * 0.75},${m + wide} ${quarter},${m + slim} 0,${m + slim} C${-quarter},${m + slim} ${-h * 0.75},${m + wide} ${-h},${m + wide} Z`;
});
</script>

<template>
  <g>
    <path :d="shape" fill="var(--deep)" />
    <rect x="-9" :y="middle - narrow / 2 - 4" width="18" :height="narrow + 8" rx="3" fill="none" stroke="var(--steel)" stroke-width="4" />
    <path :d="`M9,${middle} H-12`" stroke="var(--steel)" stroke-width="3.4" />
    <circle cx="26" :cy="middle" r="7" fill="none" stroke="var(--ink)" stroke-width="3.4" />
  </g>
</template>
