<script setup lang="ts">
/** A receiver on its strap: posts through the coat to the skin at their real length, the footprint's arc, and the windpipe it must clear. */
import { ElectronicNumbersShape, type SectionProps } from '@banter/contract';
import { angleAtClock, clearOfWindpipe } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { arc, lowestPointAtRest, ringSector } from '../ring-shapes.ts';
import SectionFrame from './SectionFrame.vue';

const props = defineProps<SectionProps & { antenna?: boolean }>();
const units = useUnits();
const numbers = computed(() => ElectronicNumbersShape.parse(props.drawn.collar.numbers));
const setting = computed(() => props.drawn.setting as { strapMm: number; postMm: number; clock: number });
const hairMm = computed(() => props.dog.hairGirthMm!);
const skinMm = computed(() => props.dog.skinGirthMm ?? hairMm.value - 2 * Math.PI * (props.dog.coatDepthMm ?? 0));
const skin = computed(() => skinMm.value / (2 * Math.PI));
const hair = computed(() => hairMm.value / (2 * Math.PI));
const at = computed(() => angleAtClock(setting.value.clock));
const halfArc = computed(() => numbers.value.footprintMm / hair.value / 2);
const clearMm = computed(() => clearOfWindpipe(setting.value.clock, hairMm.value, numbers.value.footprintMm));
const reaches = computed(() => setting.value.postMm >= hair.value - skin.value);
const BAND_MM = 4;
const strapCentre = computed(() => lowestPointAtRest(setting.value.strapMm, hairMm.value));
const BOX_MM = 22;
/** The end of the receiver that looks up to the sky: towards the nape. */
const upEnd = computed(() => (setting.value.clock > 0 && setting.value.clock <= 6 ? -1 : 1));
const degrees = computed(() => (at.value * 180) / Math.PI);
const label = computed(
  () =>
    `Cross-section seen from behind the dog: the receiver at ${setting.value.clock} on a neck of ${units.exact(hairMm.value)} over the coat, posts of ${units.gap(setting.value.postMm)}` +
    `${reaches.value ? ' reaching the skin' : ' not reaching the skin'}, ${clearMm.value >= 0 ? `${units.gap(clearMm.value)} clear of the windpipe` : 'over the windpipe'}.`,
);
</script>

<template>
  <SectionFrame
    v-slot="{ text }"
    :girth-mm="skinMm"
    :hair-mm="hairMm"
    :out-mm="BOX_MM + 30"
    :up-mm="BOX_MM + 14"
    :label="label"
    :notes="[
      reaches ? { text: `post ${units.gap(setting.postMm)}` } : { text: `post ${units.gap(setting.postMm)}: too short`, tone: 'stop' },
      clearMm >= 0 ? { text: `clear by ${units.gap(clearMm)}` } : { text: 'over the windpipe', tone: 'stop' },
    ]"
  >
    <path :d="ringSector({ x: 0, y: 0 }, skin * 0.93, hair, (Math.PI * 5) / 6, (Math.PI * 7) / 6)" fill="var(--stop)" opacity="0.32" />
    <circle
      :cx="strapCentre.x"
      :cy="strapCentre.y"
      :r="setting.strapMm / (2 * Math.PI) + BAND_MM / 2"
      fill="none"
      stroke="var(--deep)"
      :stroke-width="BAND_MM"
    />
    <path :d="arc({ x: 0, y: 0 }, skin * 0.95, at - halfArc, at + halfArc)" fill="none" stroke="var(--tape)" :stroke-width="text * 0.4" />
    <g :transform="`rotate(${degrees})`">
      <rect :x="-numbers.footprintMm / 2" :y="-hair - BAND_MM - BOX_MM" :width="numbers.footprintMm" :height="BOX_MM" rx="5" fill="var(--ink)" />
      <path
        v-if="antenna"
        :transform="`translate(${upEnd * (numbers.footprintMm / 2)} ${-hair - BAND_MM - BOX_MM / 2}) scale(${upEnd} 1)`"
        d="M0,0 h12 m-5 -6 l6 6 l-6 6"
        fill="none"
        stroke="var(--ink)"
        stroke-width="2.6"
      />
      <circle r="2.6" :cx="numbers.footprintMm / 2 - 8" :cy="-hair - BAND_MM - BOX_MM + 7" fill="var(--tape)" />
      <line
        v-for="x in [-numbers.spacingMm / 2, numbers.spacingMm / 2]"
        :key="x"
        :x1="x"
        :x2="x"
        :y1="-Math.sqrt(Math.max(0, hair ** 2 - x ** 2)) - 2"
        :y2="-Math.sqrt(Math.max(0, hair ** 2 - x ** 2)) + setting.postMm"
        :stroke="reaches ? 'var(--ink)' : 'var(--stop)'"
        stroke-width="4.4"
        stroke-linecap="round"
      />
    </g>
  </SectionFrame>
</template>
