<script setup lang="ts">
/**
 * The animal that a flat neck belongs to, quiet behind the map: the back of the skull with the ears of its breed at the top edge, the angle of the
 * jaw at the throat, the shoulders below, and the lie of the coat. In mm; the girths are the map's, the head is only a likeness.
 */
import type { CoatClass, EarSet } from '@banter/core';
import { computed, useId } from 'vue';

const props = defineProps<{ highMm: number; baseMm: number; lengthMm: number; outline: string; ears: EarSet; coat: CoatClass; text: number }>();
const id = useId();
const w = computed(() => props.highMm);
/** A path in shares of the high girth, mirrored for the dog's left. */
const path = (side: number, d: string) =>
  d.replace(/(-?[\d.]+),(-?[\d.]+)/g, (_pair, x: string, y: string) => `${(side * Number(x) * w.value).toFixed(1)},${(Number(y) * w.value).toFixed(1)}`);
const EARS: Record<EarSet, string> = {
  drop: 'M0.12,-0.155 C0.17,-0.19 0.235,-0.165 0.262,-0.1 C0.28,-0.05 0.265,-0.006 0.235,-0.004 C0.205,-0.006 0.19,-0.06 0.165,-0.09 Z',
  prick: 'M0.085,-0.14 C0.1,-0.2 0.13,-0.25 0.165,-0.275 C0.2,-0.22 0.21,-0.15 0.2,-0.08 C0.17,-0.075 0.12,-0.09 0.085,-0.14 Z',
  folded: 'M0.1,-0.145 C0.14,-0.19 0.2,-0.2 0.25,-0.175 C0.235,-0.14 0.2,-0.105 0.16,-0.095 Z',
};
const SKULL = 'M-0.2,0 C-0.2,-0.11 -0.13,-0.165 0,-0.165 C0.13,-0.165 0.2,-0.11 0.2,0 Z';
const JAW = 'M0.385,0 C0.41,-0.05 0.45,-0.062 0.5,-0.05 L0.5,0 Z';
const shoulders = computed(() => {
  const half = props.baseMm / 2;
  const { lengthMm: down, text } = props;
  return `M${-half},${down} C${-half - text * 0.6},${down + text} ${-half - text * 0.7},${down + text * 1.6} ${-half - text * 0.7},${down + text * 2} H${half + text * 0.7} C${half + text * 0.7},${down + text * 1.6} ${half + text * 0.6},${down + text} ${half},${down} Z`;
});
/** Strokes of the coat, from the ears down, in a square of this side. */
const COATS: Partial<Record<CoatClass, string>> = {
  double: 'M3,1 q1,4 0,7 M8,6 q1,4 0,7',
  long: 'M3,0 q3,7 1,13 M9,3 q3,6 1,11',
  curly: 'M2,3 a2,2 0 1 1 3,2 M8,9 a2,2 0 1 1 3,2',
  wire: 'M2,2 l2,4 M9,3 l-2,4 M5,9 l1,4 M10,9 l-1,4',
};
const hair = computed(() => COATS[props.coat] ?? null);
</script>

<template>
  <g>
    <defs v-if="hair">
      <pattern :id="`${id}-c`" width="14" height="14" patternUnits="userSpaceOnUse" :patternTransform="`scale(${text * 0.11})`">
        <path :d="hair" fill="none" stroke="var(--hide-deep)" stroke-width="1.1" stroke-linecap="round" />
      </pattern>
    </defs>
    <path :d="shoulders" fill="var(--hide)" opacity="0.3" />
    <path v-for="side in [-1, 1]" :key="`j${side}`" :d="path(side, JAW)" fill="var(--hide)" opacity="0.75" />
    <path :d="path(1, SKULL)" fill="var(--hide)" />
    <path v-for="side in [-1, 1]" :key="side" :d="path(side, EARS[ears])" fill="var(--hide-deep)" />
    <polygon :points="outline" fill="var(--hide)" />
    <polygon v-if="hair" :points="outline" :fill="`url(#${id}-c)`" opacity="0.3" />
  </g>
</template>
