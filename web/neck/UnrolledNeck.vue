<script setup lang="ts">
/**
 * The neck as a flat map, to scale: ears at the top edge, shoulders below, throat at both ends, nape in the middle, left and
 * right the dog's. `collar`, or several `collars`, are laid on it as bands at their real width and height, `bands` as plain ones.
 * The slot `over` draws on it, in mm from nape and ear base.
 */
import { breedOf, girthAt, placeOnNeck, scaleBar, unrollNeck, type NeckTape } from '@banter/core';
import { listWords } from '@banter/core';
import { collarKind, type DrawnCollar, type PlainBand } from '@banter/contract';
import { computed, useId } from 'vue';
import { useUnits } from '../stores/units.ts';
import NeckAnimal from './NeckAnimal.vue';
import { headroom, onNeckDrawing } from './drawings.ts';

const props = defineProps<{
  tape: NeckTape;
  name: string;
  /** The breed as it is written, for the likeness of the animal. */
  breed?: string;
  collar?: DrawnCollar | null;
  collars?: readonly DrawnCollar[];
  bands?: readonly PlainBand[];
  size: 'small' | 'large';
}>();

const units = useUnits();
const id = useId();
const large = computed(() => props.size === 'large');
const neck = computed(() => unrollNeck(props.tape));
const laid = computed(() => props.collars ?? (props.collar ? [props.collar] : []));
const text = computed(() => neck.value.widthMm / (large.value ? 31 : 24));
/** The animal's likeness, as far as its breed is known. */
const breed = computed(() => breedOf(props.breed ?? ''));
const earHeight = computed(() => neck.value.levels[0].girthMm * (breed.value?.ears === 'prick' ? 0.28 : 0.2));
const margin = computed(() => ({
  left: text.value * 0.8,
  right: large.value ? text.value * 5.2 : text.value * 0.8,
  top: Math.max(earHeight.value + (large.value ? text.value * 0.6 : 2), ...laid.value.map(headroom)),
  bottom: large.value ? text.value * 3.3 : text.value * 0.5,
}));
const box = computed(() => {
  const { left, right, top, bottom } = margin.value;
  return `${-neck.value.widthMm / 2 - left} ${-top} ${neck.value.widthMm + left + right} ${neck.value.lengthMm + top + bottom}`;
});
const outline = computed(() => neck.value.outline.map(({ x, y }) => `${x},${y}`).join(' '));

/** The throat, from 5 to 7 on the clock, at either end. */
const throats = computed(() =>
  ([-1, 1] as const).map((side) =>
    [...neck.value.levels, ...[...neck.value.levels].reverse()]
      .map((level, index) => `${side * level.girthMm * (index < neck.value.levels.length ? 0.5 : 5 / 12)},${level.downMm}`)
      .join(' '),
  ),
);
const hours = computed(() =>
  [
    { clock: 6, label: '6' },
    { clock: 9, label: '9 left' },
    { clock: 12, label: '12 nape' },
    { clock: 3, label: '3 right' },
  ].map((hour) => ({ ...hour, ...placeOnNeck(neck.value, hour.clock, neck.value.lengthMm) })),
);
const bar = computed(() => scaleBar(neck.value.widthMm, units.length));
const onIt = computed(() => {
  const names = [...laid.value.map(({ kind }) => `a ${collarKind(kind).name.toLowerCase()}`), ...(props.bands ?? []).map(({ label }) => `a ${label}`)];
  return names.length === 0 ? '' : ` On it ${names.length === 1 ? 'lies' : 'lie, from the ears down,'} ${listWords(names)}.`;
});
const described = computed(() => {
  const sites = neck.value.levels.map((level) => `${level.site} girth ${level.taped ? '' : 'guessed at '}${units.exact(level.girthMm)}`).join(', ');
  return `${props.name}’s neck unrolled, to scale: ${sites}.${onIt.value}`;
});
const site = { high: 'high', mid: 'mid', base: 'base' };
</script>

<template>
  <svg :viewBox="box" role="img" :aria-labelledby="`${id}-t`" class="block h-auto w-full" preserveAspectRatio="xMidYMid meet">
    <title :id="`${id}-t`">{{ described }}</title>
    <defs>
      <pattern :id="`${id}-h`" :width="text * 0.55" :height="text * 0.55" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" :y2="text * 0.55" stroke="var(--hide-deep)" :stroke-width="text * 0.12" />
      </pattern>
    </defs>
    <NeckAnimal
      :high-mm="neck.levels[0].girthMm"
      :base-mm="neck.levels[2].girthMm"
      :length-mm="neck.lengthMm"
      :outline="outline"
      :ears="breed?.ears ?? 'drop'"
      :coat="breed?.coat ?? 'smooth'"
      :text="text"
    />
    <polygon v-for="throat in throats" :key="throat" :points="throat" :fill="`url(#${id}-h)`" opacity="0.55" />
    <line
      v-for="(edge, index) in neck.edges"
      :key="index"
      :x1="edge.from.x"
      :y1="edge.from.y"
      :x2="edge.to.x"
      :y2="edge.to.y"
      stroke="var(--hide-deep)"
      :stroke-width="text * 0.16"
      :stroke-dasharray="edge.guessed ? `${text * 0.6} ${text * 0.45}` : undefined"
    />
    <template v-if="large">
      <g v-for="level in neck.levels" :key="level.site">
        <line
          :x1="-level.girthMm / 2"
          :x2="level.girthMm / 2"
          :y1="level.downMm"
          :y2="level.downMm"
          stroke="var(--hide-deep)"
          :stroke-width="text * 0.08"
          :stroke-dasharray="level.taped ? undefined : `${text * 0.4} ${text * 0.4}`"
          opacity="0.6"
        />
        <line
          :x1="level.girthMm / 2"
          :x2="neck.widthMm / 2 + text * 0.4"
          :y1="level.downMm"
          :y2="level.downMm"
          stroke="var(--soft)"
          :stroke-width="text * 0.06"
        />
        <text :x="neck.widthMm / 2 + text * 0.7" :y="level.downMm + text * 0.1" :font-size="text * 0.92" fill="var(--soft)">
          {{ site[level.site] }}
          <tspan :x="neck.widthMm / 2 + text * 0.7" :dy="text" :fill="level.taped ? 'var(--ink)' : 'var(--soft)'" :font-weight="level.taped ? 650 : 400">
            {{ level.taped ? '' : 'about ' }}{{ units.exact(level.girthMm) }}
          </tspan>
        </text>
      </g>
    </template>
    <rect
      v-for="band in bands"
      :key="band.key"
      :x="-girthAt(neck.levels, band.topMm + band.widthMm / 2) / 2"
      :y="band.topMm"
      :width="girthAt(neck.levels, band.topMm + band.widthMm / 2)"
      :height="band.widthMm"
      :fill="band.strap ? 'var(--deep)' : 'var(--steel-light)'"
      stroke="var(--steel)"
      stroke-width="1.5"
    />
    <component :is="onNeckDrawing(one.kind)" v-for="one in laid" :key="one.kind" :neck="neck" :drawn="one" />
    <slot name="over" :neck="neck" :text="text" />
    <template v-if="large">
      <text
        v-for="hour in hours"
        :key="hour.clock"
        :x="hour.clock === 6 ? -girthAt(neck.levels, neck.lengthMm) / 2 : hour.x"
        :y="neck.lengthMm + text * 1.3"
        :font-size="text * 0.92"
        fill="var(--soft)"
        text-anchor="middle"
      >
        {{ hour.label }}
      </text>
      <text :x="girthAt(neck.levels, neck.lengthMm) / 2" :y="neck.lengthMm + text * 1.3" :font-size="text * 0.92" fill="var(--soft)" text-anchor="middle">
        6
      </text>
      <g :transform="`translate(${-neck.widthMm / 2} ${neck.lengthMm + text * 2.75})`">
        <path :d="`M0,${-text * 0.3} V0 H${bar.mm} V${-text * 0.3}`" fill="none" stroke="var(--ink)" :stroke-width="text * 0.13" />
        <text :x="bar.mm + text * 0.5" y="0" :font-size="text * 0.92" fill="var(--ink)">{{ bar.label }}</text>
      </g>
    </template>
  </svg>
</template>
