<script setup lang="ts">
/** A collar that has no drawing of its own: a plain band at its real width, with its ring. */
import { collarKind, type DrawnCollar } from '@banter/contract';
import { girthAt, placeOnNeck, type UnrolledNeck } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ neck: UnrolledNeck; drawn: DrawnCollar }>();
const width = computed(() => collarKind(props.drawn.kind).onNeck.widthMm(props.drawn.collar.numbers));
const down = computed(() => width.value / 2 + (props.drawn.topMm ?? 8));
const half = computed(() => girthAt(props.neck.levels, down.value) / 2);
const ring = computed(() => placeOnNeck(props.neck, props.drawn.ringAt, down.value));
</script>

<template>
  <g>
    <path :d="`M${-half},${down} H${half}`" fill="none" stroke="var(--deep)" :stroke-width="width" />
    <circle :cx="ring.x" :cy="down" r="8" fill="none" stroke="var(--ink)" stroke-width="3.4" />
  </g>
</template>
