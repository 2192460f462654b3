<script setup lang="ts">
/** A slip on the unrolled neck: the chain all round, its two rings, and the running part over the top towards the handler. */
import { type DrawnCollar, SlipNumbersShape } from '@banter/contract';
import { girthAt, placeOnNeck, type UnrolledNeck } from '@banter/core';
import { slipWidthMm } from '@banter/core/collars/slip';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const numbers = computed(() => SlipNumbersShape.parse(props.drawn.collar.numbers));
const thick = computed(() => slipWidthMm(numbers.value));
const down = computed(() => thick.value / 2 + (props.drawn.topMm ?? 10));
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const ring = computed(() => placeOnNeck(props.neck, props.drawn.ringAt, down.value));
const girthMm = computed(() => 2 * half.value);
const gapMm = computed(() => Math.max(4, numbers.value.lengthMm - girthMm.value - numbers.value.ringMm));
const stroke = computed(() => (numbers.value.material === 'chain' ? 'var(--steel)' : 'var(--deep)'));
const dashes = computed(() => (numbers.value.material === 'chain' ? `${numbers.value.longLink ? 13 : 7} 2.2` : undefined));
</script>

<template>
  <g fill="none">
    <path :d="`M${-half},${down} H${half}`" :stroke="stroke" :stroke-width="thick" :stroke-dasharray="dashes" />
    <path :d="`M${ring.x},${ring.y} l${gapMm * 0.8},${gapMm * 0.6}`" :stroke="stroke" :stroke-width="thick" :stroke-dasharray="dashes" />
    <circle :cx="ring.x" :cy="ring.y" r="9" stroke="var(--ink)" stroke-width="3.6" />
    <circle :cx="ring.x + gapMm * 0.8" :cy="ring.y + gapMm * 0.6" r="8" stroke="var(--ink)" stroke-width="3.6" />
  </g>
</template>
