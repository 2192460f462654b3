<script setup lang="ts">
/** A slip closed on the neck with its slack taken up: the running part stands off by the gap between the rings, to scale. */
import { type SectionProps, SlipNumbersShape } from '@banter/contract';
import { angleAtClock } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { arc, onCircle } from '../ring-shapes.ts';
import SectionFrame from '../shared/SectionFrame.vue';

const props = defineProps<SectionProps>();
const units = useUnits();
const numbers = computed(() => SlipNumbersShape.parse(props.drawn.collar.numbers));
const girthMm = computed(() => props.dog.hairGirthMm!);
const thick = computed(() => Math.max(3, numbers.value.thickMm * (numbers.value.material === 'chain' ? 2 : 1)));
const radius = computed(() => girthMm.value / (2 * Math.PI) + thick.value / 2);
const gapMm = computed(() => numbers.value.lengthMm - girthMm.value - numbers.value.ringMm);
const at = computed(() => angleAtClock(props.drawn.ringAt));
const ringRadius = computed(() => Math.max(6, numbers.value.ringMm / 2));
const onNeck = computed(() => onCircle({ x: 0, y: 0 }, radius.value, at.value));
/** The running part leaves along the neck, over the top, towards the handler. */
const side = computed(() => (props.dog.worksOn === 'left' ? 1 : -1));
const end = computed(() => {
  const length = Math.max(0, gapMm.value) + ringRadius.value * 2;
  return { x: onNeck.value.x + side.value * length * 0.82, y: onNeck.value.y - length * 0.57 };
});
const label = computed(
  () =>
    `Cross-section seen from behind the dog: a neck of ${units.exact(girthMm.value)} with a slip of ${units.girth(numbers.value.lengthMm)} closed on it, ` +
    (gapMm.value >= 0 ? `${units.gap(gapMm.value)} between its rings.` : `${units.gap(-gapMm.value)} too short to close.`),
);
</script>

<template>
  <SectionFrame
    v-slot="{ text }"
    :girth-mm="girthMm"
    :out-mm="38"
    :up-mm="Math.max(30, Math.max(0, gapMm) * 0.57 + 40)"
    :label="label"
    :notes="gapMm >= 0 ? [{ text: `ring gap ${units.gap(gapMm)}` }] : [{ text: `${units.gap(-gapMm)} too short`, tone: 'stop' }]"
  >
    <path
      :d="arc({ x: 0, y: 0 }, radius, at + 0.06, at + 2 * Math.PI - 0.06)"
      fill="none"
      :stroke="numbers.material === 'chain' ? 'var(--steel)' : 'var(--deep)'"
      :stroke-width="thick"
      :stroke-dasharray="numbers.material === 'chain' ? `${numbers.longLink ? 13 : 7} ${2.2}` : undefined"
    />
    <line
      :x1="onNeck.x"
      :y1="onNeck.y"
      :x2="end.x"
      :y2="end.y"
      :stroke="numbers.material === 'chain' ? 'var(--steel)' : 'var(--deep)'"
      :stroke-width="thick"
      :stroke-dasharray="numbers.material === 'chain' ? `${numbers.longLink ? 13 : 7} ${2.2}` : undefined"
    />
    <circle :cx="onNeck.x" :cy="onNeck.y" :r="ringRadius" fill="none" stroke="var(--ink)" :stroke-width="text * 0.32" />
    <circle :cx="end.x" :cy="end.y" :r="ringRadius" fill="none" stroke="var(--ink)" :stroke-width="text * 0.32" />
    <text
      :x="end.x + side * ringRadius * 1.3"
      :y="end.y - ringRadius * 0.9"
      :font-size="text * 0.85"
      :text-anchor="side > 0 ? 'start' : 'end'"
      fill="var(--soft)"
    >
      leash
    </text>
  </SectionFrame>
</template>
