<script setup lang="ts">
/** A head collar's two rings to one scale: the neck strap round the neck, and beside it the nose loop round the muzzle, with the nose end it must not pass. */
import { computed, useId } from 'vue';
import { useUnits } from '../../stores/units.ts';
import type { SectionProps } from '@banter/contract';
import { lowestPointAtRest } from '../ring-shapes.ts';

const props = defineProps<SectionProps>();
const units = useUnits();
const id = useId();
const setting = computed(() => props.drawn.setting as { neckMm: number; noseMm: number });
const neck = computed(() => props.dog.hairGirthMm! / (2 * Math.PI));
const muzzle = computed(() => props.dog.muzzleGirthMm! / (2 * Math.PI));
const stop = computed(() => props.dog.stopGirthMm! / (2 * Math.PI));
const strap = computed(() => setting.value.neckMm / (2 * Math.PI));
const loop = computed(() => setting.value.noseMm / (2 * Math.PI));
const BAND_MM = 4;
const neckCentre = computed(() => lowestPointAtRest(setting.value.neckMm, props.dog.hairGirthMm!));
const noseX = computed(() => neck.value + Math.max(stop.value, loop.value) + 42);
const noseCentre = computed(() => lowestPointAtRest(setting.value.noseMm, props.dog.muzzleGirthMm!));
const slidesOff = computed(() => loop.value >= stop.value);
const box = computed(() => {
  const left = -neck.value - 26;
  const right = noseX.value + Math.max(stop.value, loop.value) + 26;
  const top = -neck.value - 30;
  const bottom = neck.value + 44;
  return { left, top, width: right - left, height: bottom - top };
});
const text = computed(() => box.value.width / 29);
const label = computed(
  () =>
    `A neck of ${units.exact(props.dog.hairGirthMm!)} with a strap of ${units.exact(setting.value.neckMm)}, and a muzzle of ${units.exact(props.dog.muzzleGirthMm!)} with a loop of ${units.exact(setting.value.noseMm)}; ` +
    `the nose end is ${units.exact(props.dog.stopGirthMm!)}${slidesOff.value ? ', so the loop slides off' : ''}.`,
);
</script>

<template>
  <svg :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`" role="img" :aria-labelledby="`${id}-t`" class="block h-auto w-full">
    <title :id="`${id}-t`">{{ label }}</title>
    <circle :r="neck" fill="var(--hide)" stroke="var(--hide-deep)" :stroke-width="text * 0.12" />
    <circle :cx="neckCentre.x" :cy="neckCentre.y" :r="strap + BAND_MM / 2" fill="none" stroke="var(--deep)" :stroke-width="BAND_MM" />
    <rect x="-8" :y="-strap - 9 + neckCentre.y" width="16" height="13" rx="2.5" fill="var(--steel-light)" stroke="var(--steel)" stroke-width="2.6" />
    <text x="0" :y="text * 0.3" :font-size="text" text-anchor="middle" font-weight="600" fill="var(--hide-ink)">neck</text>

    <g :transform="`translate(${noseX} 0)`">
      <circle
        :r="stop"
        fill="none"
        :stroke="slidesOff ? 'var(--stop)' : 'var(--soft)'"
        :stroke-width="text * 0.14"
        :stroke-dasharray="`${text * 0.5} ${text * 0.4}`"
      />
      <circle :r="muzzle" fill="var(--hide)" stroke="var(--hide-deep)" :stroke-width="text * 0.12" />
      <circle :cx="noseCentre.x" :cy="noseCentre.y" :r="loop + BAND_MM / 2" fill="none" stroke="var(--deep)" :stroke-width="BAND_MM" />
      <circle :cy="noseCentre.y + loop + 13" r="7" fill="none" stroke="var(--ink)" stroke-width="3.2" />
      <text x="0" :y="text * 0.3" :font-size="text" text-anchor="middle" font-weight="600" fill="var(--hide-ink)">muzzle</text>
      <text x="0" :y="-Math.max(stop, loop) - text * 0.7" :font-size="text * 0.85" text-anchor="middle" fill="var(--soft)">dashed: the nose end</text>
    </g>
    <g :font-size="text" font-weight="650" fill="var(--ink)">
      <text :x="box.left + text * 0.4" :y="box.top + box.height - text * 0.7">neck strap {{ units.exact(setting.neckMm) }}</text>
      <text :x="box.left + box.width - text * 0.4" :y="box.top + box.height - text * 0.7" text-anchor="end" :fill="slidesOff ? 'var(--stop)' : 'var(--ink)'">
        nose loop {{ units.exact(setting.noseMm) }}
      </text>
    </g>
  </svg>
</template>
