<script setup lang="ts">
/** A run as steps: filled where it was noticed, open where not, a ring round each turn. */
import type { LevelScale, Trial } from '@banter/core';
import { levelWords } from '@banter/core';
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';

const props = defineProps<{ trials: readonly Trial[]; reversals: number; next: number | null; scale: LevelScale }>();
const W = 340;
const H = 110;
const levels = computed(() => [...props.trials.map(({ level }) => level), ...(props.next === null ? [] : [props.next])]);
const x = computed(() => scaleLinear([0, Math.max(8, levels.value.length - 1)], [34, W - 14]));
const y = computed(() => scaleLinear([Math.min(...levels.value) - props.scale.step, Math.max(...levels.value) + props.scale.step], [H - 10, 10]));
const dots = computed(() => props.trials.map((trial, index) => ({ ...trial, index, x: x.value(index), y: y.value(trial.level) })));
const says = computed(
  () => `${props.trials.length} trials: ${props.trials.map(({ level, noticed }) => `${levelWords(level)} ${noticed ? 'noticed' : 'not'}`).join(', ')}.`,
);
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H}`" class="block h-auto w-full max-w-md" role="img" :aria-label="says">
    <g v-for="level in [...new Set(levels)]" :key="level">
      <text x="26" :y="y(level) + 4.5" font-size="13" text-anchor="end" fill="var(--soft)">{{ levelWords(level) }}</text>
      <path :d="`M32 ${y(level)}H${W - 4}`" stroke="var(--line)" stroke-width="1" />
    </g>
    <path :d="dots.map((dot, index) => `${index === 0 ? 'M' : 'L'}${dot.x} ${dot.y}`).join('')" fill="none" stroke="var(--steel)" stroke-width="1.5" />
    <g v-for="dot in dots" :key="dot.index">
      <circle :cx="dot.x" :cy="dot.y" r="6" :fill="dot.noticed ? 'var(--deep)' : 'var(--felt)'" stroke="var(--deep)" stroke-width="2.5" />
    </g>
    <circle v-if="next !== null" :cx="x(trials.length)" :cy="y(next)" r="6.5" fill="none" stroke="var(--ink)" stroke-width="2" stroke-dasharray="3 2.5" />
  </svg>
</template>
