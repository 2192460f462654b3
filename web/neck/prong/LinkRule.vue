<script setup lang="ts">
/**
 * A rule with a stop for each link count: where the collar would lie at rest against the neck, with the window that the house
 * wants. Each stop is a button. To scale along its length.
 */
import { spokenSpan } from '@banter/core';
import { type LinkSplit } from '@banter/core/collars/prong';
import { computed } from 'vue';
import { VERDICT_WORDS, PRONG_TONES } from '@banter/contract';
import { useUnits } from '../../stores/units.ts';
import type { LinkStop } from './link-stops.ts';

const props = defineProps<{ stops: LinkStop[]; now: number; window: { lowMm: number; highMm: number }; aimMm: number; headRoomMm: number | null }>();
const emit = defineEmits<{ choose: [split: LinkSplit] }>();

const units = useUnits();
const low = computed(() => Math.min(props.window.lowMm - 12, ...props.stops.map((stop) => stop.slackMm)) - 12);
const high = computed(() => Math.max(props.window.highMm + 12, ...props.stops.map((stop) => stop.slackMm)) + 12);
const at = (mm: number) => `${((mm - low.value) / (high.value - low.value)) * 100}%`;
const wide = (mm: number) => `${(mm / (high.value - low.value)) * 100}%`;
const caption = computed(
  () =>
    `Links, and the slack each leaves. Green is the house window, ${spokenSpan(units.gap(props.window.lowMm), units.gap(props.window.highMm))}, ` +
    `its line the aim of ${units.gap(props.aimMm)}${props.headRoomMm !== null && props.headRoomMm < high.value ? '; red would pass the head' : ''}.`,
);
const marks = { good: '●', mind: '◆', stop: '■', open: '○' } as const;
const tones = { good: 'border-good text-good', mind: 'border-mind text-mind', stop: 'border-stop text-stop', open: 'border-line text-soft' } as const;
</script>

<template>
  <div role="group" aria-label="Links, and the slack each count leaves">
    <div class="relative mx-5 h-[6.4rem]">
      <div class="tape-edge absolute inset-x-0 top-[3.6rem] h-2" />
      <div
        class="absolute top-[2.7rem] h-[1.4rem] border-x-2 border-good bg-good-wash"
        :style="{ left: at(window.lowMm), width: wide(window.highMm - window.lowMm) }"
      />
      <div class="absolute top-[2.5rem] h-[1.7rem] w-0.5 bg-good" :style="{ left: at(aimMm) }" />
      <div
        v-if="headRoomMm !== null && headRoomMm < high"
        class="absolute top-[2.5rem] right-0 h-[1.7rem] border-l-2 border-stop bg-stop-wash"
        :style="{ left: at(headRoomMm) }"
      />
      <button
        v-for="stop in stops"
        :key="stop.links"
        type="button"
        class="absolute top-0 flex h-[6rem] w-12 -translate-x-1/2 flex-col items-center justify-start rounded-t-md"
        :class="[stop.links === now && 'font-bold', Math.abs(stop.links - now) > 1 && 'max-sm:hidden']"
        :style="{ left: at(stop.slackMm) }"
        :aria-pressed="stop.links === now"
        :aria-label="`${stop.links} links: slack ${units.gap(stop.slackMm)}, ${VERDICT_WORDS[stop.verdict]}`"
        @click="emit('choose', stop.split)"
      >
        <span
          class="flex h-9 w-11 items-center justify-center gap-1 rounded-[0.3rem] border-2 bg-raised"
          :class="[tones[PRONG_TONES[stop.verdict]], stop.links === now ? 'bg-tape! text-on-tape! border-on-tape!' : '']"
        >
          <span aria-hidden="true" class="text-[0.55rem]">{{ marks[PRONG_TONES[stop.verdict]] }}</span>
          {{ stop.links }}
        </span>
        <span class="h-[1.9rem] w-0.5" :class="stop.links === now ? 'bg-ink' : 'bg-soft'" />
        <span class="mt-0.5 text-sm whitespace-nowrap" :class="stop.links === now ? 'text-ink' : 'text-soft'">{{ units.gap(stop.slackMm) }}</span>
      </button>
    </div>
    <p class="mt-1 text-sm text-soft">{{ caption }}</p>
  </div>
</template>
