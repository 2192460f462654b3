<script setup lang="ts">
/** A receiver on the unrolled neck: its strap, the receiver at its clock place with both contacts, and the footprint's outline. */
import { type DrawnCollar, ElectronicNumbersShape } from '@banter/contract';
import { girthAt, placeOnNeck, type UnrolledNeck } from '@banter/core';
import { RECEIVER_STRAP_MM, RECEIVER_WIDTH_MM } from '@banter/core/collars/electronic';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar; antenna?: boolean }>();
const numbers = computed(() => ElectronicNumbersShape.parse(props.drawn.collar.numbers));
const STRAP_MM = RECEIVER_STRAP_MM;
const BOX_MM = RECEIVER_WIDTH_MM;
const down = computed(() => BOX_MM / 2 + (props.drawn.topMm ?? 8));
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const at = computed(() => placeOnNeck(props.neck, (props.drawn.setting as { clock: number }).clock, down.value));
</script>

<template>
  <g>
    <path :d="`M${-half},${down} H${half}`" fill="none" stroke="var(--deep)" :stroke-width="STRAP_MM" opacity="0.85" />
    <rect
      :x="at.x - numbers.footprintMm / 2 - 4"
      :y="down - BOX_MM / 2 - 4"
      :width="numbers.footprintMm + 8"
      :height="BOX_MM + 8"
      rx="7"
      fill="none"
      stroke="var(--tape)"
      stroke-width="2.4"
    />
    <rect :x="at.x - numbers.footprintMm / 2" :y="down - BOX_MM / 2" :width="numbers.footprintMm" :height="BOX_MM" rx="5" fill="var(--ink)" />
    <circle v-for="x in [-numbers.spacingMm / 2, numbers.spacingMm / 2]" :key="x" :cx="at.x + x" :cy="down" r="4" fill="var(--steel-light)" />
    <path v-if="antenna" :d="`M${at.x},${down - BOX_MM / 2} v-10 m-6 4 l6 -6 l6 6`" fill="none" stroke="var(--ink)" stroke-width="2.6" />
  </g>
</template>
