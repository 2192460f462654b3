<script setup lang="ts">
/**
 * How a dog grows, to scale: weight above, high girth below, over its age; the band is the 95 % interval of the curve, dots are
 * weighings and tapes, lines across are where a collar has to be made up anew or is outgrown.
 */
import { girthAtWeight } from '@banter/core';
import type { DogGrowth } from '@banter/contract';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useElementSize } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { curvePoints, monthTicks, reachDays } from './growth-chart.ts';

const props = defineProps<{ growth: Extract<DogGrowth, { missing: null }>; name: string; odd: readonly number[] }>();
const units = useUnits();
/** As wide as it is shown, so that its letters stay readable on a phone. */
const sheet = ref<HTMLElement | null>(null);
const { width } = useElementSize(sheet);
/** As wide as it is when it comes, so that nothing moves when it is measured. */
const cameWide = ref(0);
onMounted(() => (cameWide.value = sheet.value?.clientWidth ?? 0));
const W = computed(() => Math.max(300, Math.min(760, width.value || cameWide.value || 720)));
const LEFT = 64;
const RIGHT = 16;
const TOP = 10;
const WEIGHT = 230;
const GAP = 34;
const GIRTH = 170;
const points = computed(() => curvePoints(props.growth));
const to = computed(() => reachDays(props.growth));
const x = computed(() => scaleLinear([0, to.value], [LEFT, W.value - RIGHT]));
const most = computed(() => Math.max(...points.value.map(({ high }) => high), ...props.growth.weighIns.map(({ weightKg }) => weightKg)));
const kg = computed(() => scaleLinear([0, most.value * 1.05], [TOP + WEIGHT, TOP]));
const girthOf = (weightKg: number) => girthAtWeight(props.growth.factor!, weightKg);
const lines = computed(() =>
  props.growth.outgrows.flatMap(({ change, outgrown, collarName }) => [
    ...(change ? [{ mm: change.girthMm, says: `${collarName} let out`, end: false }] : []),
    ...(outgrown ? [{ mm: outgrown.girthMm, says: `${collarName} outgrown`, end: true }] : []),
  ]),
);
const girthTop = TOP + WEIGHT + GAP;
const mm = computed(() => {
  if (props.growth.factor === null) return null;
  const highest = Math.max(girthOf(most.value), ...props.growth.girths.map(({ girthMm }) => girthMm), ...lines.value.map((one) => one.mm));
  return scaleLinear([0.3 * highest, highest * 1.04], [girthTop + GIRTH, girthTop]).clamp(true);
});
const H = computed(() => (mm.value ? girthTop + GIRTH : TOP + WEIGHT) + 30);
type Point = (typeof points.value)[number];
const band = computed(
  () =>
    area<Point>(
      (p) => x.value(p.age),
      (p) => kg.value(p.low),
      (p) => kg.value(p.high),
    )(points.value) ?? undefined,
);
const curve = computed(
  () =>
    line<Point>(
      (p) => x.value(p.age),
      (p) => kg.value(p.kg),
    )(points.value) ?? undefined,
);
/** What lies under the drawing's foot is left out of it. */
const shown = computed(() => points.value.filter(({ kg: weight }) => mm.value === null || girthOf(weight) >= mm.value.domain()[0]!));
const girthBand = computed(() =>
  mm.value
    ? (area<Point>(
        (p) => x.value(p.age),
        (p) => mm.value!(girthOf(p.low)),
        (p) => mm.value!(girthOf(p.high)),
      )(shown.value) ?? undefined)
    : undefined,
);
const girthCurve = computed(() =>
  mm.value
    ? (line<Point>(
        (p) => x.value(p.age),
        (p) => mm.value!(girthOf(p.kg)),
      )(shown.value) ?? undefined)
    : undefined,
);
/** Labels of lines that lie close stand one above the other. */
const labelled = computed(() => {
  let last = Infinity;
  return [...lines.value]
    .sort((a, b) => a.mm - b.mm)
    .map((one) => {
      const at = mm.value!(one.mm);
      last = Math.min(at - 4, last - 16);
      return { ...one, y: at, labelY: last };
    });
});
const says = computed(() => {
  const { growth } = props;
  const last = growth.weighIns.at(-1)!;
  return `Weight of ${props.name} by age: ${growth.weighIns.length} weighings, the last ${units.weight(last.weightKg * 1000)}; grown about ${units.weight(growth.fit.asymptoteKg * 1000)}.`;
});
</script>

<template>
  <div ref="sheet">
    <svg :viewBox="`0 0 ${W} ${H}`" class="block h-auto w-full" role="img" :aria-label="says">
      <g v-for="tick in monthTicks(to)" :key="tick.months">
        <path :d="`M${x(tick.age)} ${TOP}V${TOP + WEIGHT}`" stroke="var(--line)" />
        <path v-if="mm" :d="`M${x(tick.age)} ${girthTop}V${girthTop + GIRTH}`" stroke="var(--line)" />
        <text :x="x(tick.age)" :y="H - 10" font-size="14" text-anchor="middle" fill="var(--soft)">{{ tick.months }}</text>
      </g>
      <text :x="W - RIGHT" :y="TOP + WEIGHT + 20" font-size="14" text-anchor="end" fill="var(--soft)">months of age</text>
      <g v-for="tick in kg.ticks(5)" :key="tick">
        <path :d="`M${LEFT} ${kg(tick)}H${W - RIGHT}`" stroke="var(--line)" />
        <text :x="LEFT - 8" :y="kg(tick) + 5" font-size="14" text-anchor="end" fill="var(--soft)">{{ units.weight(tick * 1000) }}</text>
      </g>
      <path :d="band" fill="var(--good)" opacity="0.16" />
      <path :d="curve" fill="none" stroke="var(--deep)" stroke-width="2.6" />
      <path :d="`M${x(growth.ageDays)} ${TOP}V${mm ? girthTop + GIRTH : TOP + WEIGHT}`" stroke="var(--tape)" stroke-width="3" opacity="0.8" />
      <g v-for="(one, index) in growth.weighIns" :key="one.weighing.id">
        <circle
          :cx="x(one.ageDays)"
          :cy="kg(one.weightKg)"
          :r="odd.includes(index) ? 8 : 5"
          :fill="odd.includes(index) ? 'none' : 'var(--tape)'"
          :stroke="odd.includes(index) ? 'var(--stop)' : 'var(--ink)'"
          :stroke-width="odd.includes(index) ? 3 : 1.3"
        >
          <title>{{ units.weight(one.weightKg * 1000) }} at {{ Math.round(one.ageDays) }} days</title>
        </circle>
      </g>
      <g v-if="mm">
        <g v-for="tick in mm.ticks(4)" :key="tick">
          <path :d="`M${LEFT} ${mm(tick)}H${W - RIGHT}`" stroke="var(--line)" />
          <text :x="LEFT - 8" :y="mm(tick) + 5" font-size="14" text-anchor="end" fill="var(--soft)">{{ units.speak.taped(tick) }}</text>
        </g>
        <path :d="girthBand" fill="var(--good)" opacity="0.16" />
        <path :d="girthCurve" fill="none" stroke="var(--deep)" stroke-width="2.6" />
        <circle
          v-for="one in growth.girths"
          :key="one.ageDays"
          :cx="x(one.ageDays)"
          :cy="mm(one.girthMm)"
          r="5"
          fill="var(--hide)"
          stroke="var(--ink)"
          stroke-width="1.3"
        >
          <title>{{ units.exact(one.girthMm) }} at {{ Math.round(one.ageDays) }} days</title>
        </circle>
        <g v-for="one in labelled" :key="one.says">
          <path
            :d="`M${LEFT} ${one.y}H${W - RIGHT}`"
            :stroke="one.end ? 'var(--stop)' : 'var(--mind)'"
            stroke-width="2"
            :stroke-dasharray="one.end ? undefined : '7 5'"
          />
          <text :x="LEFT + 8" :y="one.labelY" font-size="14" font-weight="700" :fill="one.end ? 'var(--stop)' : 'var(--mind)'">{{ one.says }}</text>
        </g>
      </g>
    </svg>
  </div>
</template>
