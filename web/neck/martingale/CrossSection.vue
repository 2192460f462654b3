<script setup lang="ts">
/** A martingale pulled snug: the main strap between its slides, the rings as far apart as they stay, the control loop above; dashed, as worn at rest. */
import { MartingaleNumbersShape, type SectionProps } from '@banter/contract';
import { angleAtClock } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { arc, lowestPointAtRest, onCircle } from '../ring-shapes.ts';
import SectionFrame from '../shared/SectionFrame.vue';

const props = defineProps<SectionProps>();
const units = useUnits();
const numbers = computed(() => MartingaleNumbersShape.parse(props.drawn.collar.numbers));
const strapMm = computed(() => (props.drawn.setting as { strapMm: number }).strapMm);
const girthMm = computed(() => props.dog.hairGirthMm!);
const gapMm = computed(() => girthMm.value - strapMm.value);
const BAND_MM = 4.5;
const radius = computed(() => Math.max(girthMm.value, strapMm.value) / (2 * Math.PI) + BAND_MM / 2);
const at = computed(() => angleAtClock(props.drawn.ringAt));
/** Half the angle that the slides leave open. */
const open = computed(() => Math.max(0.035, (gapMm.value / girthMm.value) * Math.PI));
const slides = computed(() => [at.value - open.value, at.value + open.value].map((angle) => ({ angle, ...onCircle({ x: 0, y: 0 }, radius.value, angle) })));
/** The loop's two sides run from slide to slide over the leash ring. */
const apex = computed(() => {
  const between = Math.hypot(slides.value[1]!.x - slides.value[0]!.x, slides.value[1]!.y - slides.value[0]!.y);
  const side = Math.max(between, numbers.value.loopMm - between) / 2;
  return onCircle({ x: 0, y: 0 }, radius.value * Math.cos(open.value) + Math.sqrt(Math.max(0, side ** 2 - (between / 2) ** 2)), at.value);
});
const restMm = computed(() => strapMm.value + numbers.value.loopMm / 2);
const centre = computed(() => lowestPointAtRest(restMm.value, girthMm.value));
const label = computed(
  () =>
    `Cross-section seen from behind the dog: a neck of ${units.exact(girthMm.value)} with a martingale set to ${units.exact(strapMm.value)}. Pulled, its rings stay ` +
    `${gapMm.value >= 0 ? `${units.gap(gapMm.value)} apart` : 'together before it is snug'}; as worn it is ${units.exact(restMm.value)}.`,
);
</script>

<template>
  <SectionFrame
    v-slot="{ text }"
    :girth-mm="girthMm"
    :out-mm="Math.max(34, centre.y * 2 + 14)"
    :up-mm="numbers.loopMm / 2 + 16"
    :label="label"
    :notes="[
      { text: gapMm >= 0 ? `rings ${units.gap(gapMm)} apart` : 'rings meet, loose', ...(gapMm < -3 ? { tone: 'stop' } : {}) },
      { text: `as worn ${units.exact(restMm)}` },
    ]"
  >
    <circle
      :cx="centre.x"
      :cy="centre.y"
      :r="restMm / (2 * Math.PI)"
      fill="none"
      stroke="var(--soft)"
      :stroke-width="text * 0.12"
      :stroke-dasharray="`${text * 0.5} ${text * 0.4}`"
    />
    <path :d="arc({ x: 0, y: 0 }, radius, at + open, at + 2 * Math.PI - open)" fill="none" stroke="var(--deep)" :stroke-width="BAND_MM" />
    <path
      :d="`M${slides[0]!.x},${slides[0]!.y} L${apex.x},${apex.y} L${slides[1]!.x},${slides[1]!.y}`"
      fill="none"
      :stroke="numbers.loop === 'chain' ? 'var(--steel)' : 'var(--deep)'"
      :stroke-width="3.4"
      :stroke-dasharray="numbers.loop === 'chain' ? '7 2.2' : undefined"
      stroke-linejoin="round"
    />
    <g v-for="slide in slides" :key="slide.angle" :transform="`translate(${slide.x} ${slide.y}) rotate(${(slide.angle * 180) / Math.PI})`">
      <rect x="-3" y="-8" width="6" height="15" rx="1.5" fill="var(--steel-light)" stroke="var(--steel)" stroke-width="2" />
    </g>
    <circle :cx="apex.x" :cy="apex.y" r="8" fill="none" stroke="var(--ink)" stroke-width="3.6" />
  </SectionFrame>
</template>
