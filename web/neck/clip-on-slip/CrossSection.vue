<script setup lang="ts">
/** A clip-on slip round the neck, clipped to its floating ring; as a backup it hangs, to scale. */
import { angleAtClock } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import type { SectionProps } from '@banter/contract';
import { arc, lowestPointAtRest, onCircle } from '../ring-shapes.ts';
import SectionFrame from '../shared/SectionFrame.vue';

const props = defineProps<SectionProps>();
const units = useUnits();
const numbers = computed(() => props.drawn.collar.numbers as { lengthMm: number; thickMm: number; material: string });
const girthMm = computed(() => props.dog.hairGirthMm!);
const overMm = computed(() => numbers.value.lengthMm - girthMm.value);
const thick = computed(() => Math.max(4, numbers.value.thickMm));
const centre = computed(() => lowestPointAtRest(numbers.value.lengthMm, girthMm.value));
const radius = computed(() => Math.max(girthMm.value, numbers.value.lengthMm) / (2 * Math.PI) + thick.value / 2);
const at = computed(() => angleAtClock(props.drawn.ringAt));
const ring = computed(() => onCircle(centre.value, radius.value, at.value));
const label = computed(
  () =>
    `Cross-section seen from behind the dog: a neck of ${units.exact(girthMm.value)} with a clip-on slip of ${units.girth(numbers.value.lengthMm)}, ` +
    (overMm.value >= 0 ? `${units.gap(overMm.value)} longer than the neck.` : `${units.gap(-overMm.value)} shorter than the neck.`),
);
</script>

<template>
  <SectionFrame
    v-slot="{ text }"
    :girth-mm="girthMm"
    :out-mm="Math.max(34, centre.y * 2 + thick + 12)"
    :up-mm="40"
    :label="label"
    :notes="[{ text: overMm >= 0 ? `longer by ${units.gap(overMm)}` : `short by ${units.gap(-overMm)}`, ...(overMm < 0 ? { tone: 'stop' } : {}) }]"
  >
    <path
      :d="arc(centre, radius, at + 0.1, at + 2 * Math.PI - 0.1)"
      fill="none"
      :stroke="numbers.material === 'chain' ? 'var(--steel)' : 'var(--deep)'"
      :stroke-width="thick"
      stroke-linecap="round"
    />
    <g :transform="`translate(${ring.x} ${ring.y}) rotate(${(at * 180) / Math.PI})`" fill="none" stroke="var(--ink)">
      <circle cx="-7" cy="-2" r="7" :stroke-width="text * 0.28" />
      <path d="M5 -2 h9 a5 5 0 0 1 0 10 h-6" :stroke-width="text * 0.28" stroke-linecap="round" />
      <circle cx="-7" cy="-20" r="6" :stroke-width="text * 0.28" />
      <path d="M-7 -9 V-14" :stroke-width="text * 0.22" />
    </g>
  </SectionFrame>
</template>
