<script setup lang="ts">
/**
 * What a collar presses with round the clock under a leash force, as a rose about the neck: idealised, to compare collars by, with
 * what the model leaves out. Two cases of one collar stand one inside the other.
 */
import { collarKind, type CollarKindName, type FittingDog } from '@banter/contract';
import { collarLoad, LOAD_REASON_WORDS, loadReasons, wordReason, capital } from '@banter/core';
import { computed, ref } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { rosePath } from './load-rose.ts';

const props = defineProps<{ kind: CollarKindName; dog: FittingDog; numbers: unknown; choices: unknown }>();
const units = useUnits();
/** A light hand, a firm pull, a strong one and a lunge; N. The last three as published tests of collars used them, from memory. */
const FORCES = [
  { n: 10, name: 'a light hand' },
  { n: 40, name: 'a firm pull' },
  { n: 70, name: 'a strong pull' },
  { n: 140, name: 'a lunge' },
] as const;
const forceN = ref<number>(40);
const cases = computed(() =>
  collarKind(props.kind)
    .loads(props.dog, props.numbers, props.choices, forceN.value)
    .map((one) => ({ ...one, found: collarLoad(one.load) })),
);
const peakKPa = computed(() => Math.max(...cases.value.map(({ found }) => found.peakKPa)));
const RADIUS = 62;
const REACH = 48;
const HALF = RADIUS + REACH + 26;
const hours = [12, 3, 6, 9].map((clock) => {
  const angle = (clock / 12) * 2 * Math.PI;
  return { clock, x: Math.sin(angle) * RADIUS * 0.78, y: -Math.cos(angle) * RADIUS * 0.78 + 5 };
});
const roses = computed(() =>
  cases.value.map(({ name, found }, index) => ({
    name,
    found,
    first: index === 0,
    path: rosePath(found, { radius: RADIUS, reach: REACH, peakKPa: peakKPa.value }),
  })),
);
const says = computed(() => [
  ...cases.value.flatMap(({ name, load, found }) => {
    const [reason] = loadReasons(load, found);
    return reason ? [`${cases.value.length > 1 ? `${capital(name)}: ` : ''}${wordReason(LOAD_REASON_WORDS, reason, units.speak).text}`] : [];
  }),
]);
const leavesOut = computed(() => wordReason(LOAD_REASON_WORDS, { code: 'model-leaves-out' }, units.speak).text);
</script>

<template>
  <section v-if="cases.length > 0" aria-label="Load under a leash">
    <div class="flex flex-wrap gap-2" role="radiogroup" aria-label="How hard the leash pulls">
      <button
        v-for="one in FORCES"
        :key="one.n"
        type="button"
        role="radio"
        class="press"
        :class="one.n === forceN ? 'border-deep! bg-deep text-on-deep' : 'press-plain'"
        :aria-checked="one.n === forceN"
        @click="forceN = one.n"
      >
        {{ one.name }}
        <span class="text-sm font-normal">{{ units.speak.force(one.n) }}</span>
      </button>
    </div>
    <div class="mt-3 grid items-center gap-4 sm:grid-cols-[15rem_minmax(0,1fr)]">
      <svg :viewBox="`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`" class="mx-auto block h-auto w-full max-w-64" role="img" :aria-label="`${says.join(' ')}`">
        <path
          v-for="rose in [...roses].reverse()"
          :key="rose.name"
          :d="rose.path"
          :fill="rose.first ? 'var(--warm)' : 'none'"
          :fill-opacity="rose.first ? 0.42 : undefined"
          :stroke="rose.first ? 'var(--warm)' : 'var(--ink)'"
          stroke-width="2"
          :stroke-dasharray="rose.first ? undefined : '5 4'"
          stroke-linejoin="round"
        />
        <circle :r="RADIUS" fill="var(--hide)" stroke="var(--hide-deep)" stroke-width="2" />
        <text v-for="hour in hours" :key="hour.clock" :x="hour.x" :y="hour.y" font-size="15" font-weight="600" text-anchor="middle" fill="var(--hide-ink)">
          {{ hour.clock }}
        </text>
        <path
          :d="`M0 ${-RADIUS - REACH - 4}V${-RADIUS - REACH - 18}m-6 6 6-7 6 7`"
          fill="none"
          stroke="var(--ink)"
          stroke-width="2.4"
          stroke-linecap="round"
          stroke-linejoin="round"
        />
        <text :x="10" :y="-RADIUS - REACH - 8" font-size="13" fill="var(--soft)">leash</text>
      </svg>
      <div>
        <dl class="grid grid-cols-[1fr_auto] gap-x-4 tabular-nums">
          <template v-for="rose in roses" :key="rose.name">
            <dt>
              <span aria-hidden="true" class="mr-2 inline-block w-6 border-t-2 align-middle" :class="rose.first ? 'border-warm' : 'border-dashed border-ink'" />
              most, {{ rose.name }}
            </dt>
            <dd class="text-right font-semibold">{{ units.speak.pressure(rose.found.peakKPa) }}</dd>
            <template v-if="rose.found.tipForceN !== null">
              <dt class="pl-8">each tip</dt>
              <dd class="text-right">{{ units.speak.force(rose.found.tipForceN) }}</dd>
            </template>
            <template v-else-if="rose.found.meanKPa !== rose.found.peakKPa">
              <dt class="pl-8">mean of the circle</dt>
              <dd class="text-right">{{ units.speak.pressure(rose.found.meanKPa) }}</dd>
            </template>
          </template>
        </dl>
        <p v-for="sentence in says" :key="sentence" class="mt-2 text-[0.95rem]">{{ sentence }}</p>
      </div>
    </div>
    <p class="mt-2 text-sm text-soft">{{ leavesOut }}</p>
  </section>
</template>
