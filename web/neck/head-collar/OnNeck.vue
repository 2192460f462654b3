<script setup lang="ts">
/** A head collar on the unrolled neck: its strap directly behind the ears, the nose loop beside the map, to the same scale. */
import { type DrawnCollar, HeadCollarNumbersShape } from '@banter/contract';
import { girthAt, type UnrolledNeck } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const width = computed(() => HeadCollarNumbersShape.parse(props.drawn.collar.numbers).widthMm);
const down = computed(() => width.value / 2 + (props.drawn.topMm ?? 3));
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const loop = computed(() => (props.drawn.setting as { noseMm: number }).noseMm / (2 * Math.PI));
const noseAt = computed(() => ({ x: -half.value + loop.value * 0.9, y: -loop.value - 12 }));
</script>

<template>
  <g fill="none">
    <path :d="`M${-half},${down} H${half}`" stroke="var(--deep)" :stroke-width="width" />
    <rect x="-8" :y="down - width / 2 - 3" width="16" :height="width + 6" rx="3" fill="var(--steel-light)" stroke="var(--steel)" stroke-width="3" />
    <circle :cx="noseAt.x" :cy="noseAt.y" :r="loop" stroke="var(--deep)" :stroke-width="Math.max(4, width * 0.45)" />
    <circle :cx="noseAt.x" :cy="noseAt.y + loop + 8" r="6" stroke="var(--ink)" stroke-width="3" />
  </g>
</template>
