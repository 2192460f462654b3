<script setup lang="ts">
/**
 * The dog's ladder: settings from easy to hard, on the device's own scale. A bar is the 95 % interval of the threshold, the dot the
 * threshold, the plate the working level; above the ceiling it is hatched, the cap is a line.
 */
import type { DeviceLevels } from '@banter/contract';
import { levelWords, type WorkingLevel } from '@banter/core';
import { OFFERED_WORDS } from '../../parts/level-standing-words.ts';
import { scaleBand, scaleLinear } from 'd3-scale';
import { computed } from 'vue';

const props = defineProps<{ device: DeviceLevels; chosen: string }>();
const emit = defineEmits<{ choose: [id: string] }>();
const W = 460;
const H = 300;
const LEFT = 44;
const BOTTOM = 46;
const levels = computed(() => {
  const { settings, ceiling, cap, scale } = props.device;
  const all = settings.flatMap(({ working, offered, lastNeeded }) => [working.low95, working.high95, offered?.level ?? null, lastNeeded?.atEnd ?? null]);
  return [...all, ceiling, cap, scale.min].filter((level): level is number => level !== null && Number.isFinite(level));
});
const y = computed(() => {
  const { min, max } = props.device.scale;
  const top = Math.min(max, Math.max(...levels.value) + (Math.max(...levels.value) - min) * 0.12 + props.device.scale.step);
  return scaleLinear([min, top], [H - BOTTOM, 12]).clamp(true);
});
const x = computed(() =>
  scaleBand(
    props.device.settings.map(({ id }) => id),
    [LEFT, W - 8],
  ).padding(0.3),
);
const ticks = computed(() => y.value.ticks(6));
/** Where half is noticed: by the curve, else in the middle between what was missed and what was noticed. */
const midOf = ({ threshold, low95, high95 }: WorkingLevel): number | null =>
  threshold.slope !== null && threshold.slope > 0 ? threshold.level : low95 === null || high95 === null ? null : (low95 + high95) / 2;
const rungs = computed(() =>
  props.device.settings.map(({ id, name, working, offered, lastNeeded }) => ({
    id,
    name,
    middle: x.value(id)! + x.value.bandwidth() / 2,
    low: working.low95,
    high: working.high95,
    at: midOf(working),
    working: offered?.level ?? null,
    last: lastNeeded?.atEnd ?? null,
    says: [
      name,
      offered === null ? 'no level to work at yet' : `${OFFERED_WORDS[offered.how]} ${levelWords(offered.level)}`,
      working.low95 !== null && working.high95 !== null ? `noticed from between ${levelWords(working.low95)} and ${levelWords(working.high95)}` : '',
      lastNeeded ? `last needed ${levelWords(lastNeeded.atEnd)}` : '',
    ]
      .filter(Boolean)
      .join(', '),
  })),
);
function move(event: KeyboardEvent) {
  const at = rungs.value.findIndex(({ id }) => id === props.chosen);
  const to = event.key === 'ArrowRight' ? at + 1 : event.key === 'ArrowLeft' ? at - 1 : null;
  if (to === null || !rungs.value[to]) return;
  event.preventDefault();
  emit('choose', rungs.value[to].id);
}
</script>

<template>
  <div>
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      class="block h-auto w-full"
      role="group"
      aria-label="Ladder: settings across, levels up; arrow keys choose a setting"
      tabindex="0"
      @keydown="move"
    >
      <defs>
        <pattern id="too-much" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke="var(--stop)" stroke-width="2" />
        </pattern>
      </defs>
      <g v-for="tick in ticks" :key="tick">
        <path :d="`M${LEFT} ${y(tick)}H${W - 8}`" stroke="var(--line)" />
        <text :x="LEFT - 8" :y="y(tick) + 5" font-size="14" text-anchor="end" fill="var(--soft)">{{ levelWords(tick) }}</text>
      </g>
      <g v-if="device.ceiling !== null">
        <rect :x="LEFT" y="4" :width="W - 8 - LEFT" :height="Math.max(0, y(device.ceiling) - 4)" fill="url(#too-much)" opacity="0.45" />
        <text :x="W - 14" :y="y(device.ceiling) - 6" font-size="14" font-weight="700" text-anchor="end" fill="var(--stop)">
          {{ levelWords(device.ceiling) }} was too much
        </text>
      </g>
      <g v-if="device.cap !== null">
        <path :d="`M${LEFT} ${y(device.cap)}H${W - 8}`" stroke="var(--ink)" stroke-width="2.5" />
        <text :x="LEFT + 6" :y="y(device.cap) - 6" font-size="14" font-weight="700" fill="var(--ink)">cap {{ levelWords(device.cap) }}</text>
      </g>
      <g v-for="rung in rungs" :key="rung.id" class="cursor-pointer" @click="emit('choose', rung.id)">
        <title>{{ rung.says }}</title>
        <rect
          :x="rung.middle - x.bandwidth() / 2 - 6"
          y="4"
          :width="x.bandwidth() + 12"
          :height="H - 8"
          rx="6"
          :fill="rung.id === chosen ? 'var(--tape)' : 'transparent'"
          :opacity="rung.id === chosen ? 0.16 : 1"
        />
        <rect
          v-if="rung.at !== null"
          :x="rung.middle - 7"
          :y="y(rung.high!)"
          width="14"
          :height="Math.max(2, y(rung.low!) - y(rung.high!))"
          rx="7"
          fill="var(--steel-light)"
        />
        <circle v-if="rung.at !== null" :cx="rung.middle" :cy="y(rung.at)" r="5" fill="var(--deep)" />
        <circle v-if="rung.last !== null" :cx="rung.middle + 20" :cy="y(rung.last)" r="5" fill="none" stroke="var(--warm)" stroke-width="2.5" />
        <g v-if="rung.working !== null">
          <path :d="`M${rung.middle - x.bandwidth() / 2} ${y(rung.working)}h${x.bandwidth()}`" stroke="var(--ink)" stroke-width="3" />
          <text :x="rung.middle - x.bandwidth() / 2" :y="y(rung.working) - 7" font-size="17" font-weight="750" fill="var(--ink)">
            {{ levelWords(rung.working) }}
          </text>
        </g>
        <text :x="rung.middle" :y="H - 22" font-size="14" text-anchor="middle" fill="var(--ink)" :font-weight="rung.id === chosen ? 700 : 400">
          {{ rung.name.split(' ')[0] }}
        </text>
        <text v-if="rung.name.includes(' ')" :x="rung.middle" :y="H - 7" font-size="14" text-anchor="middle" fill="var(--ink)">
          {{ rung.name.split(' ').slice(1).join(' ') }}
        </text>
      </g>
    </svg>
    <p class="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft">
      <span
        ><svg viewBox="0 0 14 14" class="inline size-3.5" aria-hidden="true"><circle cx="7" cy="7" r="5" fill="var(--deep)" /></svg> half noticed, with its 95 %
        interval</span
      >
      <span
        ><svg viewBox="0 0 18 14" class="inline h-3.5 w-4.5" aria-hidden="true"><path d="M0 7h18" stroke="var(--ink)" stroke-width="3" /></svg> working
        level</span
      >
      <span
        ><svg viewBox="0 0 14 14" class="inline size-3.5" aria-hidden="true">
          <circle cx="7" cy="7" r="5" fill="none" stroke="var(--warm)" stroke-width="2.5" />
        </svg>
        last needed</span
      >
    </p>
    <p class="sr-only">{{ rungs.map(({ says }) => says).join('. ') }}.</p>
  </div>
</template>
