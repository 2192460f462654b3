<script setup lang="ts">
/** How skin healed: a row for each place that was ever sore, over weeks; each look a mark of its own shape, the rest of a pink place as a bar. */
import type { SkinLook } from '@banter/contract';
import { scaleUtc } from 'd3-scale';
import { computed } from 'vue';
import { clockWords, SKIN_GRADE_WORDS, DAY_MS, HOUR_MS } from '@banter/core';
import { dayWords } from '../parts/age.ts';
import SkinMark from './SkinMark.vue';

const props = defineProps<{ looks: readonly SkinLook[]; now: number; restHours: number; zone: string }>();
const WIDTH = 480;
const LEFT = 96;
const ROW = 34;
const WEEK_MS = 7 * DAY_MS;
const LONGEST_WEEKS = 12;
const places = computed(() => {
  const sore = new Set(props.looks.filter(({ grade }) => grade > 0).map(({ clock }) => clock % 12));
  return [...sore].sort((a, b) => a - b).map((place) => ({ place, looks: props.looks.filter(({ clock }) => clock % 12 === place) }));
});
const since = computed(() => {
  const first = Math.min(props.now - 2 * WEEK_MS, ...places.value.flatMap(({ looks }) => looks.map(({ at }) => Date.parse(at))));
  return Math.max(first, props.now - LONGEST_WEEKS * WEEK_MS);
});
const x = computed(() => scaleUtc([since.value, props.now], [LEFT, WIDTH - 14]));
const weeks = computed(() => x.value.ticks(5).map((tick) => ({ x: x.value(tick), label: dayWords(tick.toISOString(), props.zone).replace(/ \d{4}$/, '') })));
const rows = computed(() =>
  places.value.map(({ place, looks }, index) => ({
    place,
    words: clockWords(place === 0 ? 12 : place),
    y: 18 + index * ROW,
    looks: looks.filter(({ at }) => Date.parse(at) >= since.value).map((look) => ({ ...look, x: x.value(Date.parse(look.at)) })),
    rests: looks.flatMap((look, n) => {
      if (look.grade !== 1) return [];
      const from = Date.parse(look.at);
      const next = looks[n + 1] ? Date.parse(looks[n + 1]!.at) : Infinity;
      const to = Math.min(from + props.restHours * HOUR_MS, next, props.now);
      return to <= since.value ? [] : [{ id: look.id, from: x.value(Math.max(from, since.value)), to: x.value(to) }];
    }),
    off: looks.flatMap((look, n) => {
      if (look.grade < 2) return [];
      const to = Math.min(looks[n + 1] ? Date.parse(looks[n + 1]!.at) : Infinity, props.now);
      return to <= since.value ? [] : [{ id: look.id, from: x.value(Math.max(Date.parse(look.at), since.value)), to: x.value(to) }];
    }),
  })),
);
const height = computed(() => 18 + rows.value.length * ROW + 18);
const words = computed(() =>
  places.value
    .map(
      ({ place, looks }) =>
        `${clockWords(place === 0 ? 12 : place)}: ${looks.map((look) => `${SKIN_GRADE_WORDS[look.grade]} on ${dayWords(look.at, props.zone)}`).join(', ')}`,
    )
    .join('. '),
);
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" class="block h-auto w-full" role="img" :aria-label="`Healing over time. ${words}.`">
    <g v-for="week in weeks" :key="week.x">
      <line :x1="week.x" :x2="week.x" y1="4" :y2="height - 18" stroke="var(--line)" stroke-width="1" />
      <text :x="week.x" :y="height - 4" font-size="14" text-anchor="middle" fill="var(--soft)">{{ week.label }}</text>
    </g>
    <g v-for="row in rows" :key="row.place">
      <text x="0" :y="row.y + 5" font-size="16" fill="var(--ink)">{{ row.words }}</text>
      <line :x1="LEFT" :x2="WIDTH - 14" :y1="row.y" :y2="row.y" stroke="var(--line)" stroke-width="1.5" />
      <line
        v-for="rest in row.rests"
        :key="rest.id"
        :x1="rest.from"
        :x2="rest.to"
        :y1="row.y"
        :y2="row.y"
        stroke="var(--mind)"
        stroke-width="7"
        opacity="0.45"
      />
      <line v-for="off in row.off" :key="off.id" :x1="off.from" :x2="off.to" :y1="row.y" :y2="row.y" stroke="var(--stop)" stroke-width="7" opacity="0.45" />
      <template v-for="look in row.looks" :key="look.id">
        <SkinMark v-if="look.grade > 0" :x="look.x" :y="row.y" :size="9" :grade="look.grade" />
        <g v-else :transform="`translate(${look.x} ${row.y})`">
          <circle r="6.5" fill="var(--good-wash)" stroke="var(--good)" stroke-width="1.6" />
          <path d="M-3 0.3 -0.8 2.6 3.4 -2.4" fill="none" stroke="var(--good)" stroke-width="1.7" />
        </g>
      </template>
    </g>
  </svg>
</template>
