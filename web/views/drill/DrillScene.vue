<script setup lang="ts">
/** The walk from above: a hand, a leg with its heel line, the dog beside it, the leash slack or tight, another dog when one passes. */
import type { Direction } from '@banter/core';
import { usePreferredReducedMotion } from '@vueuse/core';
import { computed } from 'vue';
import DogFromAbove from './DogFromAbove.vue';
import type { DrillRun } from './drill-run.ts';

const props = defineProps<{ run: DrillRun; paid: boolean }>();
const motion = usePreferredReducedMotion();
const WIDTH = 560;
const HEIGHT = 430;
const LEG = { x: 430, y: 250 };
const HEEL = { x: 330, y: 250 };
const LENGTH = 150;
const dog = computed(() => ({
  x: HEEL.x - props.run.dog.value.out * LENGTH,
  y: HEEL.y - props.run.dog.value.ahead * LENGTH,
  turned: -props.run.dog.value.out * 24,
}));
const neck = computed(() => ({ x: dog.value.x, y: dog.value.y - 17 }));
const hand = { x: LEG.x - 26, y: LEG.y - 8 };
const tight = computed(() => props.run.holding.value !== null);
const leash = computed(() => {
  const { x, y } = neck.value;
  // A slack leash lowestPointAtRest in a curve between hand and neck.
  const hang = tight.value ? 0 : 42;
  return `M${hand.x} ${hand.y} Q${(hand.x + x) / 2} ${(hand.y + y) / 2 + hang} ${x} ${y}`;
});
/** How far the ground has come down, so that one walks up the drawing. */
const STRIDE = 64;
const ground = computed(() => (motion.value === 'reduce' ? 0 : (props.run.walked.value * 0.075) % STRIDE));
const step = computed(() => (motion.value === 'reduce' ? 0 : Math.sin(props.run.walked.value / 170) * 13));
const ARROWS: Record<Direction, string> = {
  forward: 'M0 14V-18M-9 -9 0 -18 9 -9',
  back: 'M0 -14V18M-9 9 0 18 9 9',
  in: 'M-16 0H16M7 -9 16 0 7 9',
  across: 'M-20 6Q0 -10 20 6M11 8 20 6 17 -3',
  up: 'M0 12V-8M-7 -1 0 -8 7 -1M-12 16H12',
  down: 'M0 -12V8M-7 1 0 8 7 1M-12 14H12',
};
const other = computed(() => (props.run.dog.value.other === null ? null : { x: 120, y: -110 + props.run.dog.value.other * (HEIGHT + 240) }));
</script>

<template>
  <svg :viewBox="`60 0 ${WIDTH} ${HEIGHT}`" class="block max-h-[48vh] w-full rounded-lg bg-felt" role="img" aria-label="The walk, seen from above">
    <g stroke="var(--line)" stroke-width="2" stroke-linecap="round" opacity="0.8">
      <line
        v-for="row in 9"
        :key="row"
        :x1="row % 2 ? 40 : 66"
        :x2="row % 2 ? 58 : 78"
        :y1="row * STRIDE - STRIDE + ground"
        :y2="row * STRIDE - STRIDE + ground"
      />
      <line
        v-for="row in 9"
        :key="`r${row}`"
        :x1="row % 2 ? 640 : 618"
        :x2="row % 2 ? 664 : 630"
        :y1="row * STRIDE - 30 + ground"
        :y2="row * STRIDE - 30 + ground"
      />
      <line
        v-for="row in 9"
        :key="`m${row}`"
        :x1="row % 2 ? 520 : 250"
        :x2="row % 2 ? 528 : 262"
        :y1="row * STRIDE - 50 + ground"
        :y2="row * STRIDE - 50 + ground"
      />
    </g>
    <!-- The heel line: the dog's shoulder beside the seam of the leg. -->
    <line :x1="HEEL.x - 70" :x2="LEG.x + 40" :y1="HEEL.y" :y2="HEEL.y" stroke="var(--deep)" stroke-width="2" stroke-dasharray="3 7" />
    <text :x="LEG.x + 48" :y="HEEL.y + 5" fill="var(--soft)" font-size="15">heel line</text>
    <g v-if="other" :transform="`translate(${other.x} ${other.y})`"><DogFromAbove coat="steel" :turned="180" /></g>
    <g :transform="`translate(${LEG.x} ${LEG.y})`">
      <rect x="-20" :y="-22 + step" width="15" height="40" rx="7" fill="var(--steel)" />
      <rect x="6" :y="-22 - step" width="15" height="40" rx="7" fill="var(--steel)" />
      <path d="M-34 2 C-34 -16 34 -16 34 2 C34 18 -34 18 -34 2Z" fill="var(--deep)" />
      <circle cx="0" cy="-1" r="11" fill="var(--hide)" stroke="var(--hide-deep)" stroke-width="2" />
    </g>
    <g :transform="`translate(${dog.x} ${dog.y})`"><DogFromAbove :turned="dog.turned" /></g>
    <path :d="leash" fill="none" :stroke="tight ? 'var(--warm)' : 'var(--hide-deep)'" :stroke-width="tight ? 5 : 4" stroke-linecap="round" />
    <circle :cx="hand.x" :cy="hand.y" r="7" fill="var(--hide)" stroke="var(--hide-deep)" stroke-width="2" />
    <g
      v-if="run.holding.value"
      :transform="`translate(${neck.x - 46} ${neck.y})`"
      fill="none"
      stroke="var(--warm)"
      stroke-width="6"
      stroke-linecap="round"
      stroke-linejoin="round"
    >
      <path :d="ARROWS[run.holding.value.direction]" />
    </g>
    <g v-if="paid" :transform="`translate(${dog.x + 44} ${dog.y - 62})`">
      <circle r="9" fill="var(--tape)" stroke="var(--on-tape)" stroke-width="2" />
      <text x="16" y="5" fill="var(--ink)" font-size="15" font-weight="650">paid</text>
    </g>
  </svg>
</template>
