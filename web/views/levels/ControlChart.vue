<script setup lang="ts">
/**
 * The level needed session by session with its control charts: dots, the weighted average (EWMA) in its limits, the running sums
 * (CUSUM) below, when contact was felt along the foot. Arrow keys or the pointer read one session out; a table says the same.
 */
import type { LevelsPage, SettingLevels } from '@banter/contract';
import { levelWords, type HouseRules, type LevelScale } from '@banter/core';
import { bisectCenter, extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { computed, ref } from 'vue';

const props = defineProps<{ setting: SettingLevels; scale: LevelScale; rules: HouseRules; checks: LevelsPage['contactChecks']; timeZone: string }>();
const W = 720;
const H = 250;
const SUM_H = 92;
const LEFT = 44;
const needed = computed(() => [...props.setting.needed].sort((a, b) => a.at - b.at));
const drift = computed(() => props.setting.drift);
const from = computed(() => needed.value.length - drift.value.after.length);
const x = computed(() => {
  const [first, last] = extent(needed.value, ({ at }) => at) as [number, number];
  return scaleUtc([first, last > first ? last : first + 1], [LEFT + 8, W - 12]);
});
const y = computed(() => {
  const charts = drift.value.charts;
  const all = [...needed.value.map(({ level }) => level), ...(charts ? [charts.ewmaLow, charts.ewmaHigh] : [])];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  return scaleLinear([low - props.scale.step, high + props.scale.step], [H - 26, 10]).nice(6);
});
const h = computed(() => drift.value.baseline?.cusumLimit ?? 0);
const sums = computed(() => {
  const { charts } = drift.value;
  if (!charts) return null;
  const most = Math.max(h.value * 1.2, ...charts.cusumHigh, ...charts.cusumLow);
  return scaleLinear([-most, most], [SUM_H - 6, 6]);
});
const points = computed(() =>
  needed.value.map(({ at, level, sessionId }, index) => {
    const after = index - from.value;
    const alarmed = drift.value.charts?.alarms.filter((alarm) => alarm.index === after) ?? [];
    return {
      at,
      level,
      sessionId,
      x: x.value(at),
      y: y.value(level),
      base: after < 0,
      ewma: drift.value.charts?.ewma[after] ?? null,
      high: drift.value.charts?.cusumHigh[after] ?? null,
      low: drift.value.charts?.cusumLow[after] ?? null,
      alarmed,
    };
  }),
);
const average = computed(
  () =>
    line<(typeof points.value)[number]>(
      ({ x: at }) => at,
      ({ ewma }) => y.value(ewma!),
    )(points.value.filter(({ ewma }) => ewma !== null)) ?? '',
);
const felt = computed(() => {
  const [first, last] = x.value.domain().map(Number) as [number, number];
  return props.checks.map(({ at, made }) => ({ at: Date.parse(at), made })).filter(({ at }) => at >= first && at <= last);
});
const day = computed(() => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: props.timeZone }));
const read = ref<number | null>(null);
const point = computed(() => (read.value === null ? null : (points.value[read.value] ?? null)));
function hover(event: PointerEvent) {
  const box = (event.currentTarget as SVGSVGElement).getBoundingClientRect();
  const at = ((event.clientX - box.left) / box.width) * W;
  read.value = bisectCenter(
    points.value.map((one) => one.x),
    at,
  );
}
function move(event: KeyboardEvent) {
  const last = points.value.length - 1;
  const at = read.value ?? last;
  const to = { ArrowLeft: at - 1, ArrowRight: at + 1, Home: 0, End: last }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  read.value = Math.min(last, Math.max(0, to));
}
const pointWords = (one: (typeof points.value)[number]) =>
  [
    `${day.value.format(one.at)}: needed ${levelWords(one.level)}`,
    one.base ? 'says what is usual' : '',
    one.ewma === null ? '' : `average ${levelWords(one.ewma)}`,
    one.high === null ? '' : `sums ${levelWords(one.high)} up, ${levelWords(one.low!)} down (limit ${levelWords(h.value)})`,
    one.alarmed.length > 0 ? `out of its limits (${[...new Set(one.alarmed.map(({ chart }) => chart.toUpperCase()))].join(' and ')})` : '',
  ]
    .filter(Boolean)
    .join(', ');
const asTable = ref(false);
</script>

<template>
  <div>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      class="block h-auto w-full touch-pan-y"
      role="group"
      tabindex="0"
      :aria-label="`Level needed in ${setting.name}, ${points.length} sessions; arrow keys read them out`"
      @pointermove="hover"
      @pointerleave="read = null"
      @keydown="move"
    >
      <g v-for="tick in y.ticks(5)" :key="tick">
        <path :d="`M${LEFT} ${y(tick)}H${W - 6}`" stroke="var(--line)" />
        <text :x="LEFT - 8" :y="y(tick) + 5" font-size="15" text-anchor="end" fill="var(--soft)">{{ levelWords(tick) }}</text>
      </g>
      <template v-if="drift.charts && drift.after.length > 0">
        <rect
          :x="points[from]!.x - 6"
          :y="y(drift.charts.ewmaHigh)"
          :width="Math.max(0, W - 6 - points[from]!.x + 6)"
          :height="Math.max(0, y(drift.charts.ewmaLow) - y(drift.charts.ewmaHigh))"
          fill="var(--good-wash)"
        />
        <path :d="`M${LEFT} ${y(drift.baseline!.mean)}H${W - 6}`" stroke="var(--good)" stroke-width="1.5" stroke-dasharray="6 5" />
      </template>
      <path v-if="drift.alarm" :d="`M${x(drift.alarm.sinceAt)} 8V${H - 24}`" stroke="var(--mind)" stroke-width="2" stroke-dasharray="3 3" />
      <path :d="average" fill="none" stroke="var(--deep)" stroke-width="3" />
      <g v-for="(one, index) in points" :key="one.sessionId">
        <circle :cx="one.x" :cy="one.y" :r="read === index ? 7 : 4.5" :fill="one.base ? 'var(--felt)' : 'var(--tape)'" stroke="var(--ink)" stroke-width="1.5" />
        <path v-if="one.alarmed.length > 0" :d="`M${one.x} ${one.y - 15}l6 -10h-12Z`" fill="var(--stop)" />
      </g>
      <g v-for="one in felt" :key="one.at">
        <path :d="`M${x(one.at)} ${H - 22}v9`" :stroke="one.made ? 'var(--good)' : 'var(--stop)'" stroke-width="3" />
      </g>
      <text v-for="tick in x.ticks(6)" :key="+tick" :x="x(tick)" :y="H - 1" font-size="14" text-anchor="middle" fill="var(--soft)">{{ day.format(tick) }}</text>
    </svg>
    <svg
      v-if="sums && drift.charts"
      :viewBox="`0 0 ${W} ${SUM_H}`"
      class="mt-1 block h-auto w-full"
      role="img"
      aria-label="Running sums (CUSUM), up and down, with their limits"
    >
      <path :d="`M${LEFT} ${sums(0)}H${W - 6}`" stroke="var(--soft)" />
      <path v-for="side in [h, -h]" :key="side" :d="`M${LEFT} ${sums(side)}H${W - 6}`" stroke="var(--stop)" stroke-width="1.5" stroke-dasharray="6 5" />
      <g v-for="one in points" :key="one.sessionId">
        <template v-if="one.high !== null">
          <path :d="`M${one.x} ${sums(0)}V${sums(one.high)}`" :stroke="one.high > h ? 'var(--stop)' : 'var(--steel)'" stroke-width="5" />
          <path :d="`M${one.x} ${sums(0)}V${sums(-one.low!)}`" :stroke="one.low! > h ? 'var(--stop)' : 'var(--steel-light)'" stroke-width="5" />
        </template>
      </g>
      <text :x="LEFT - 8" :y="sums(0) + 5" font-size="15" text-anchor="end" fill="var(--soft)">sum</text>
    </svg>
    <p class="min-h-6 text-sm" aria-live="polite">{{ point ? pointWords(point) : '' }}</p>
    <p class="text-sm text-soft">
      Pale dots say what is usual. The line is the average that weighs the newest most (EWMA), the green band its limits; below, what adds up above and below
      usual (CUSUM). Ticks along the foot: contact checked.
      <span v-if="drift.charts" class="block">
        House rules: the first {{ rules.baselineSessions }} sessions say what is usual; newest weight {{ rules.ewmaLambda }}, band
        {{ rules.ewmaLimit }} standard deviations of that average ({{ levelWords(drift.charts.ewmaLow) }} to {{ levelWords(drift.charts.ewmaHigh) }}); slack
        {{ rules.cusumSlack }} and alarm {{ rules.cusumLimit }} standard deviations of {{ levelWords(drift.baseline!.sd) }}.
      </span>
      <button type="button" class="press-quiet" @click="asTable = !asTable">{{ asTable ? 'Hide the table' : 'As a table' }}</button>
    </p>
    <div v-if="asTable" class="mt-2 max-h-80 overflow-auto" tabindex="0" role="region" aria-label="Level needed, as a table">
      <table class="w-full text-left text-sm">
        <thead>
          <tr>
            <th class="py-1 pr-3">Day</th>
            <th class="pr-3 text-right">Needed</th>
            <th class="pr-3 text-right">EWMA</th>
            <th class="pr-3 text-right">Sum up</th>
            <th class="pr-3 text-right">Sum down</th>
            <th>Alarm</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in points" :key="one.sessionId" class="border-t border-line">
            <td class="py-1 pr-3">{{ day.format(one.at) }}</td>
            <td class="pr-3 text-right">{{ levelWords(one.level) }}</td>
            <td class="pr-3 text-right">{{ one.ewma === null ? '' : one.ewma.toFixed(2) }}</td>
            <td class="pr-3 text-right">{{ one.high === null ? '' : one.high.toFixed(2) }}</td>
            <td class="pr-3 text-right">{{ one.low === null ? '' : one.low.toFixed(2) }}</td>
            <td>{{ [...new Set(one.alarmed.map(({ chart }) => chart.toUpperCase()))].join(', ') }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
