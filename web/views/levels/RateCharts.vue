<script setup lang="ts">
/** What sessions say beside the level: corrections and which way, tension, rewards, latency; one small line each. */
import type { FieldSession } from '@banter/contract';
import { correctionsPerTenMinutes, DIRECTION_WORDS, DIRECTIONS, percent, rewardsPerCorrection, tensionShare } from '@banter/core';
import { computed } from 'vue';
import SmallChart from '../../parts/SmallChart.vue';

const props = defineProps<{ sessions: readonly FieldSession[]; where: string | null; timeZone: string }>();
const day = computed(() => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: props.timeZone }));
type Tally = FieldSession['tally'];
const one = (value: number) => value.toFixed(1);
const MEASURES: { name: string; of: (tally: Tally) => number | null; says: (value: number) => string }[] = [
  { name: 'Corrections in ten minutes', of: correctionsPerTenMinutes, says: one },
  { name: 'Leash tight', of: tensionShare, says: percent },
  { name: 'Rewards for each correction', of: rewardsPerCorrection, says: one },
  { name: 'From press to response', of: ({ latencyMs }) => latencyMs, says: (ms) => `${one(ms / 1000)} s` },
];
const rows = computed(() =>
  MEASURES.map(({ name, of, says }) => {
    const points = props.sessions.flatMap(({ begunAt, tally }) => {
      const value = of(tally);
      return value === null ? [] : [{ at: begunAt, value, label: `${day.value.format(new Date(begunAt))}: ${says(value)}` }];
    });
    return { name, points, last: points.length > 0 ? says(points.at(-1)!.value) : null };
  }).filter(({ points }) => points.length > 0),
);
const directions = computed(() => {
  const sums = DIRECTIONS.map((direction) => ({ direction, count: props.sessions.reduce((sum, { tally }) => sum + (tally.directions[direction] ?? 0), 0) }));
  const most = Math.max(1, ...sums.map(({ count }) => count));
  return sums.map((row) => ({ ...row, share: row.count / most }));
});
</script>

<template>
  <section aria-labelledby="rates">
    <h2 id="rates">Session by session{{ where ? `, ${where}` : '' }}</h2>
    <div class="mt-3 grid gap-x-8 gap-y-5 sm:grid-cols-2">
      <div v-for="row in rows" :key="row.name">
        <p class="flex justify-between gap-3">
          <span class="font-semibold">{{ row.name }}</span>
          <span>{{ row.last }}</span>
        </p>
        <SmallChart :points="row.points" :name="row.name" :width="540" from-zero />
      </div>
      <div v-if="directions.some(({ count }) => count > 0)">
        <p class="font-semibold">Which way corrections went</p>
        <dl class="mt-1 grid grid-cols-[4.5rem_minmax(0,1fr)_2.5rem] items-center gap-x-3">
          <template v-for="row in directions" :key="row.direction">
            <dt>{{ DIRECTION_WORDS[row.direction].name }}</dt>
            <dd class="h-3 rounded bg-ground"><div class="h-3 rounded bg-steel" :style="{ width: `${row.share * 100}%` }"></div></dd>
            <dd class="text-right tabular-nums">{{ row.count }}</dd>
          </template>
        </dl>
      </div>
    </div>
  </section>
</template>
