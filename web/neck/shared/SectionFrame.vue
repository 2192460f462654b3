<script setup lang="ts">
/**
 * The neck in cross-section seen from behind the dog, to scale: the clock, the windpipe, left and right. The collar is drawn
 * in the slot, in mm from the middle of the neck; `outMm` is how far it reaches beyond the skin.
 */
import { computed, useId } from 'vue';

const props = defineProps<{
  girthMm: number;
  outMm: number;
  upMm?: number;
  label: string;
  hairMm?: number | undefined;
  notes?: readonly { text: string; tone?: 'stop' }[];
}>();
const id = useId();
const radius = computed(() => props.girthMm / (2 * Math.PI));
const hairRadius = computed(() => (props.hairMm ? props.hairMm / (2 * Math.PI) : radius.value));
const half = computed(() => Math.max(radius.value, hairRadius.value) + props.outMm + radius.value * 0.16);
const text = computed(() => half.value / 13.5);
/** How far it goes up: what stands on top of the neck may be taller than what stands beside it. */
const up = computed(() => Math.max(radius.value, hairRadius.value) + (props.upMm ?? props.outMm) + radius.value * 0.12);
const down = computed(() => half.value + text.value * 1.4 * Math.max(0, Math.ceil((props.notes?.length ?? 0) / 2) - 1));
const hours = computed(() => {
  const at = radius.value * 0.8;
  return [
    { label: '12', x: 0, y: -at },
    { label: '3', x: at, y: 0 },
    { label: '6', x: 0, y: at },
    { label: '9', x: -at, y: 0 },
  ];
});
</script>

<template>
  <svg :viewBox="`${-half} ${-up} ${2 * half} ${up + down}`" role="img" :aria-labelledby="`${id}-t`" class="block h-auto w-full">
    <title :id="`${id}-t`">{{ label }}</title>
    <circle v-if="hairRadius > radius + 0.5" :r="hairRadius" fill="var(--hide-deep)" opacity="0.45" />
    <circle :r="radius" fill="var(--hide)" stroke="var(--hide-deep)" :stroke-width="text * 0.14" />
    <g :transform="`translate(0 ${radius * 0.5})`">
      <circle :r="radius * 0.125" fill="none" stroke="var(--hide-deep)" :stroke-width="radius * 0.09" opacity="0.8" />
    </g>
    <text x="0" :y="radius * 0.28" :font-size="text * 0.78" text-anchor="middle" fill="var(--hide-ink)">windpipe</text>
    <text
      v-for="hour in hours"
      :key="hour.label"
      :x="hour.x"
      :y="hour.y + text * 0.35"
      :font-size="text"
      text-anchor="middle"
      font-weight="600"
      fill="var(--hide-ink)"
    >
      {{ hour.label }}
    </text>
    <slot :radius="radius" :text="text" :half="half" />
    <g :font-size="text * 0.9" fill="var(--soft)">
      <text :x="-half * 0.98" :y="-up + text * 1.4">from behind the dog</text>
      <text :x="-half * 0.98" :y="text * 0.3">left</text>
      <text :x="half * 0.98" :y="text * 0.3" text-anchor="end">right</text>
    </g>
    <text
      v-for="(note, index) in notes ?? []"
      :key="note.text"
      :x="index % 2 === 0 ? -half * 0.98 : half * 0.98"
      :y="down - text * (0.8 + 1.25 * Math.floor(index / 2))"
      :text-anchor="index % 2 === 0 ? 'start' : 'end'"
      :font-size="text"
      font-weight="650"
      :fill="note.tone === 'stop' ? 'var(--stop)' : 'var(--ink)'"
    >
      {{ note.text }}
    </text>
  </svg>
</template>
