<script setup lang="ts">
/** A few values over time as a small line, with each point to be read, and a limit where there is one. */
import { extent, max, min } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';

const props = withDefaults(
  defineProps<{
    points: readonly { at: string; value: number; label: string; faint?: boolean }[];
    name: string;
    limit?: number;
    fromZero?: boolean;
    /** Of its drawing, beside a height of 56. */
    width?: number;
  }>(),
  { limit: undefined, width: 260 },
);
const WIDTH = props.width;
const HEIGHT = 56;
const PAD = 6;
const x = computed(() => {
  const [first, last] = extent(props.points, (point) => new Date(point.at));
  return scaleUtc()
    .domain([first ?? new Date(0), last && first && last > first ? last : new Date((first?.getTime() ?? 0) + 1)])
    .range([PAD, WIDTH - PAD]);
});
const y = computed(() => {
  const values = [...props.points.map(({ value }) => value), ...(props.limit === undefined ? [] : [props.limit])];
  const low = props.fromZero ? 0 : min(values)!;
  const high = max(values)!;
  return scaleLinear()
    .domain(high > low ? [low, high] : [low - 1, high + 1])
    .range([HEIGHT - PAD, PAD]);
});
const drawn = computed(() => props.points.map((point) => ({ ...point, x: x.value(new Date(point.at)), y: y.value(point.value) })));
const path = computed(
  () =>
    line<(typeof drawn.value)[number]>()
      .x((point) => point.x)
      .y((point) => point.y)(drawn.value.filter((point) => !point.faint)) ?? undefined,
);
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="block h-14 w-full" role="img" :aria-label="`${name}: ${points.map((point) => point.label).join('; ')}.`">
    <line v-if="limit !== undefined" :x1="PAD" :x2="WIDTH - PAD" :y1="y(limit)" :y2="y(limit)" stroke="var(--good)" stroke-width="1.4" stroke-dasharray="5 4" />
    <path :d="path" fill="none" stroke="var(--steel)" stroke-width="2" />
    <circle
      v-for="point in drawn"
      :key="point.at + point.label"
      :cx="point.x"
      :cy="point.y"
      r="4"
      :fill="point.faint ? 'var(--line)' : 'var(--tape)'"
      stroke="var(--ink)"
      stroke-width="1.2"
    >
      <title>{{ point.label }}</title>
    </circle>
  </svg>
</template>
