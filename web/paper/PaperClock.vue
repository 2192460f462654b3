<script setup lang="ts">
/** The neck from behind the dog, to scale, with the places of the contacts numbered in the order in which they are used. */
import { angleAtClock, clockWords, listWords, pointAtClock } from '@banter/core';
import { computed } from 'vue';
import { ringSector } from '../neck/ring-shapes.ts';

const props = defineProps<{ girthMm: number; footprintMm: number; places: readonly number[]; resting: readonly number[]; name: string }>();
const origin = { x: 0, y: 0 };
const radius = computed(() => props.girthMm / (2 * Math.PI));
const text = computed(() => radius.value / 5.4);
const half = computed(() => radius.value * 1.62);
const halfArc = computed(() => props.footprintMm / radius.value / 2);
const sector = (clock: number, from: number, to: number) =>
  ringSector(origin, radius.value * from, radius.value * to, angleAtClock(clock) - halfArc.value, angleAtClock(clock) + halfArc.value);
const at = (clock: number, far: number) => pointAtClock(clock, radius.value * far);
const words = computed(
  () =>
    `The neck of ${props.name} from behind, to scale. ` +
    (props.places.length === 0 ? 'No place is free.' : `The contacts sit at ${listWords(props.places.map(clockWords))}, in this order.`),
);
</script>

<template>
  <svg :viewBox="`${-half} ${-half} ${2 * half} ${2 * half}`" class="block h-auto w-full" role="img" :aria-label="words">
    <circle cx="0" cy="0" :r="radius" fill="var(--hide)" stroke="var(--hide-deep)" :stroke-width="text * 0.14" />
    <path :d="ringSector(origin, radius * 0.8, radius, (Math.PI * 5) / 6, (Math.PI * 7) / 6)" fill="var(--stop)" opacity="0.55" />
    <circle cx="0" :cy="radius * 0.44" :r="radius * 0.11" fill="none" stroke="var(--hide-deep)" :stroke-width="radius * 0.07" opacity="0.8" />
    <text x="0" :y="radius * 0.22" :font-size="text * 0.78" text-anchor="middle" fill="var(--hide-ink)">windpipe</text>
    <text x="0" :y="-radius * 0.5" :font-size="text * 0.78" text-anchor="middle" fill="var(--hide-ink)">nape</text>
    <g v-for="(clock, index) in places" :key="clock">
      <path :d="sector(clock, 1.02, 1.16)" :fill="index === 0 ? 'var(--ink)' : 'var(--steel-light)'" stroke="var(--ink)" :stroke-width="text * 0.1" />
      <circle
        :cx="at(clock, 1.4).x"
        :cy="at(clock, 1.4).y"
        :r="text * 0.95"
        :fill="index === 0 ? 'var(--tape)' : 'var(--raised)'"
        stroke="var(--ink)"
        :stroke-width="text * 0.1"
      />
      <text :x="at(clock, 1.4).x" :y="at(clock, 1.4).y + text * 0.36" :font-size="text" text-anchor="middle" font-weight="700" fill="var(--ink)">
        {{ index + 1 }}
      </text>
    </g>
    <g v-for="clock in resting" :key="`rest ${clock}`">
      <path :d="sector(clock, 0.84, 0.99)" fill="var(--warm)" opacity="0.5" />
    </g>
    <text :x="-half * 0.97" :y="-half * 0.84" :font-size="text * 0.8" fill="var(--soft)">left</text>
    <text :x="half * 0.97" :y="-half * 0.84" :font-size="text * 0.8" fill="var(--soft)" text-anchor="end">right</text>
  </svg>
</template>
