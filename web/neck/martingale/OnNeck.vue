<script setup lang="ts">
/** A martingale on the unrolled neck: the strap at its real width, its slides as far apart as they stay, and the control loop. */
import { type DrawnCollar, MartingaleNumbersShape } from '@banter/contract';
import { girthAt, placeOnNeck, type UnrolledNeck } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const numbers = computed(() => MartingaleNumbersShape.parse(props.drawn.collar.numbers));
const down = computed(() => numbers.value.widthMm / 2 + (props.drawn.topMm ?? 6));
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const ring = computed(() => placeOnNeck(props.neck, props.drawn.ringAt, down.value));
const gapMm = computed(() => Math.max(8, 2 * half.value - (props.drawn.setting as { strapMm: number }).strapMm));
const left = computed(() => ring.value.x - gapMm.value / 2);
const right = computed(() => ring.value.x + gapMm.value / 2);
const width = computed(() => numbers.value.widthMm);
</script>

<template>
  <g>
    <path :d="`M${-half},${down} H${left} M${right},${down} H${half}`" fill="none" stroke="var(--deep)" :stroke-width="width" />
    <path
      :d="`M${left},${down} C${left},${down + width * 0.6 + 30} ${right},${down + width * 0.6 + 30} ${right},${down}`"
      fill="none"
      :stroke="numbers.loop === 'chain' ? 'var(--steel)' : 'var(--deep)'"
      :stroke-width="numbers.loop === 'chain' ? 5 : 9"
      :stroke-dasharray="numbers.loop === 'chain' ? '7 2.2' : undefined"
    />
    <rect
      v-for="x in [left, right]"
      :key="x"
      :x="x - 4"
      :y="down - width / 2 - 3"
      width="8"
      :height="width + 6"
      rx="2"
      fill="var(--steel-light)"
      stroke="var(--steel)"
      stroke-width="2.4"
    />
    <circle :cx="ring.x" :cy="down + width * 0.45 + 23" r="8" fill="none" stroke="var(--ink)" stroke-width="3.6" />
  </g>
</template>
