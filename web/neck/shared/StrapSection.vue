<script setup lang="ts">
/** A buckled strap round the neck, hanging from the nape so that its slack is a clear gap at the throat; buckle and ring in place. */
import { type SectionProps, StrapNumbersShape } from '@banter/contract';
import { angleAtClock } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { arc, lowestPointAtRest, onCircle } from '../ring-shapes.ts';
import SectionFrame from './SectionFrame.vue';

const props = defineProps<SectionProps & { broadThroat?: boolean }>();
const units = useUnits();
const numbers = computed(() => StrapNumbersShape.parse(props.drawn.collar.numbers));
const setMm = computed(() => (props.drawn.setting as { setMm: number }).setMm);
const girthMm = computed(() => props.dog.hairGirthMm!);
const slackMm = computed(() => setMm.value - girthMm.value);
const BAND_MM = 5;
const radius = computed(() => setMm.value / (2 * Math.PI) + BAND_MM / 2);
const centre = computed(() => lowestPointAtRest(setMm.value, girthMm.value));
const at = computed(() => angleAtClock(props.broadThroat ? 12 : props.drawn.ringAt));
const buckleAt = computed(() => at.value - (props.broadThroat ? 0 : 0.55));
const buckle = computed(() => onCircle(centre.value, radius.value, buckleAt.value));
const ring = computed(() => onCircle(centre.value, radius.value + 11, at.value));
const holes = computed(() => {
  const { holePitchMm, minMm, maxMm } = numbers.value;
  if (holePitchMm === null) return [];
  const count = Math.min(9, Math.floor((maxMm - minMm) / holePitchMm) + 1);
  const set = Math.round((setMm.value - minMm) / holePitchMm);
  return Array.from({ length: count }, (_none, n) => ({
    n,
    ...onCircle(centre.value, radius.value, buckleAt.value - ((n - set) * holePitchMm) / radius.value - 12 / radius.value),
    used: n === set,
  }));
});
const label = computed(
  () =>
    `Cross-section seen from behind the dog: a neck of ${units.exact(girthMm.value)} with a ${props.broadThroat ? 'wide-throat' : 'flat'} collar set to ${units.exact(setMm.value)}, ` +
    (slackMm.value >= 0 ? `slack ${units.gap(slackMm.value)}.` : `pressing by ${units.gap(-slackMm.value)}.`),
);
</script>

<template>
  <SectionFrame
    v-slot="{ text }"
    :girth-mm="girthMm"
    :out-mm="Math.max(34, centre.y * 2 + 24)"
    :label="label"
    :notes="[slackMm >= 0 ? { text: `slack ${units.gap(slackMm)}` } : { text: `presses ${units.gap(-slackMm)}`, tone: 'stop' }]"
  >
    <circle :cx="centre.x" :cy="centre.y" :r="radius" fill="none" stroke="var(--deep)" :stroke-width="BAND_MM" />
    <path
      v-if="broadThroat"
      :d="arc(centre, radius, Math.PI * 0.62, Math.PI * 1.38)"
      fill="none"
      stroke="var(--deep)"
      :stroke-width="BAND_MM * 2.4"
      stroke-linecap="round"
    />
    <text v-if="broadThroat" :x="centre.x" :y="centre.y + radius + text * 1.5" :font-size="text * 0.85" text-anchor="middle" fill="var(--soft)"
      >broad part</text
    >
    <circle v-for="hole in holes" :key="hole.n" :cx="hole.x" :cy="hole.y" :r="hole.used ? 2.4 : 1.5" :fill="hole.used ? 'var(--tape)' : 'var(--felt)'" />
    <g :transform="`translate(${buckle.x} ${buckle.y}) rotate(${(buckleAt * 180) / Math.PI})`" fill="none">
      <rect x="-9" y="-8" width="18" height="16" rx="2.5" stroke="var(--steel)" :stroke-width="numbers.buckle === 'plastic' ? 5 : 3" />
      <path v-if="numbers.buckle === 'metal tongue'" d="M9 0 H-11" stroke="var(--steel)" stroke-width="3" />
      <path v-else d="M0 -8 V8" stroke="var(--steel)" stroke-width="2.4" />
    </g>
    <circle :cx="ring.x" :cy="ring.y" r="8" fill="none" stroke="var(--ink)" stroke-width="3.4" />
  </SectionFrame>
</template>
