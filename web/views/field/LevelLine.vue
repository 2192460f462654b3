<script setup lang="ts">
/** A device's scale as a line: what this dog needs here, its cap, what was too much, and where the hand is now. To scale up to what is known of it. */
import { levelWords, type LevelScale } from '@banter/core';
import { scaleLinear } from 'd3-scale';
import { computed, useId } from 'vue';

const props = defineProps<{
  scale: LevelScale;
  /** Where the hand is; null: nothing is set yet. */
  at: number | null;
  /** What is known of it here, and how it is said. */
  needs: { level: number; words: string } | null;
  cap: number | null;
  ceiling: number | null;
}>();
const id = useId();
const W = 340;
const AXIS = 34;
/** So much of the scale as bears on this dog: a third more than the highest that is marked. */
const end = computed(() => {
  const marks = [props.at, props.needs?.level, props.cap, props.ceiling].flatMap((one) => one ?? []);
  return marks.length === 0 ? props.scale.max : Math.min(props.scale.max, Math.max(props.scale.min + 5 * props.scale.step, Math.max(...marks) * 1.33));
});
const x = computed(() => scaleLinear([props.scale.min, end.value], [10, W - 38]).clamp(true));
const says = computed(() =>
  [
    `Scale from ${levelWords(props.scale.min)} to ${levelWords(props.scale.max)}`,
    props.at === null ? '' : `set to ${levelWords(props.at)}`,
    props.needs === null ? 'nothing known here' : `${props.needs.words} ${levelWords(props.needs.level)}`,
    props.cap === null ? '' : `cap ${levelWords(props.cap)}`,
    props.ceiling === null ? '' : `${levelWords(props.ceiling)} was too much`,
  ]
    .filter(Boolean)
    .join(', '),
);
</script>

<template>
  <svg :viewBox="`0 0 ${W} 62`" class="block h-auto w-full max-w-xl" role="img" :aria-label="`${says}.`">
    <defs>
      <pattern :id="`${id}-h`" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--stop)" stroke-width="1.6" />
      </pattern>
    </defs>
    <line :x1="x(scale.min)" :x2="W - 38" :y1="AXIS" :y2="AXIS" stroke="var(--steel)" stroke-width="4" stroke-linecap="round" />
    <text x="10" :y="AXIS + 22" font-size="12" fill="var(--soft)" text-anchor="middle">{{ levelWords(scale.min) }}</text>
    <text :x="W - 2" :y="AXIS + 4" font-size="12" fill="var(--soft)" text-anchor="end">
      {{ end < scale.max ? `…${levelWords(scale.max)}` : levelWords(scale.max) }}
    </text>
    <template v-if="ceiling !== null">
      <rect :x="x(ceiling)" :y="AXIS - 10" :width="W - 38 - x(ceiling)" height="20" :fill="`url(#${id}-h)`" />
      <line :x1="x(ceiling)" :x2="x(ceiling)" :y1="AXIS - 13" :y2="AXIS + 11" stroke="var(--stop)" stroke-width="2.5" />
      <text :x="x(ceiling)" :y="AXIS + 24" font-size="12" fill="var(--stop)" text-anchor="middle">{{ levelWords(ceiling) }}</text>
    </template>
    <template v-if="cap !== null">
      <path :d="`M${x(cap) - 7},${AXIS - 11} H${x(cap)} V${AXIS + 9}`" fill="none" stroke="var(--mind)" stroke-width="2.5" />
      <text v-if="ceiling === null || Math.abs(x(cap) - x(ceiling)) > 16" :x="x(cap)" :y="AXIS + 24" font-size="12" fill="var(--mind)" text-anchor="middle">
        {{ levelWords(cap) }}
      </text>
    </template>
    <template v-if="needs !== null">
      <circle :cx="x(needs.level)" :cy="AXIS" r="6" fill="var(--deep)" />
      <text :x="x(needs.level)" :y="AXIS + 24" font-size="13" font-weight="700" fill="var(--deep)" text-anchor="middle">{{ levelWords(needs.level) }}</text>
    </template>
    <path v-if="at !== null" :d="`M${x(at)},${AXIS - 8} l-8,-13 h16 Z`" fill="var(--tape)" stroke="var(--ink)" stroke-width="1.2" stroke-linejoin="round" />
  </svg>
</template>
