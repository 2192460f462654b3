<script setup lang="ts">
/** The prong in cross-section with its links to click, and those that were taken out. */
import { useScreenKeys } from '../../stores/keys.ts';
import type { Bench } from '../shared/bench.ts';
import { useBenchProng } from './bench-prong.ts';
import ProngCrossSection from './ProngCrossSection.vue';

const props = defineProps<{ bench: Bench }>();
const { choices, collar, neck, outcome, spare, shift, shiftBy } = useBenchProng(props.bench);
useScreenKeys('Links', [
  { key: '-', does: 'Take out a link, from the longer side', run: () => shiftBy(-1) },
  { key: '+', does: 'Put in a link, on the shorter side', run: () => shiftBy(1) },
]);
</script>

<template>
  <div>
    <ProngCrossSection
      :collar="collar"
      :split="choices.split"
      :girth-mm="neck.girthMm"
      :ring-at="bench.drawn.ringAt"
      live
      @take-out="(side) => shift(side, -1)"
    />
    <div class="mt-1 grid grid-cols-2 gap-3">
      <div v-for="side in ['left', 'right'] as const" :key="side" class="flex items-center gap-1" :class="side === 'right' && 'justify-end'">
        <button
          type="button"
          class="press press-plain size-12 shrink-0 p-0 text-xl"
          :aria-label="`Take out a link on the dog’s ${side}`"
          :disabled="choices.split[side] === 0 || outcome.judgement.links === 1"
          @click="shift(side, -1)"
        >
          −
        </button>
        <span class="min-w-10 text-center leading-tight">
          <strong class="text-lg">{{ choices.split[side] }}</strong>
          <span class="block text-sm text-soft">{{ side }}</span>
        </span>
        <button type="button" class="press press-plain size-12 shrink-0 p-0 text-xl" :aria-label="`Put in a link on the dog’s ${side}`" @click="shift(side, 1)">
          +
        </button>
      </div>
    </div>
    <div v-if="spare > 0" class="mt-3 flex flex-wrap items-center gap-2 border-t border-line pt-3">
      <span class="text-sm text-soft">Taken out. Label them and keep them:</span>
      <button
        v-for="n in spare"
        :key="n"
        type="button"
        class="press press-plain size-12 shrink-0 p-0"
        :aria-label="`Put link ${n} back in`"
        @click="shiftBy(1)"
      >
        <svg viewBox="0 0 24 24" class="size-6" fill="none" stroke="var(--steel)" stroke-width="2.4" stroke-linecap="round" aria-hidden="true">
          <path d="M6 20C6 1 18 1 18 20" />
          <path d="M13 7 22 11" />
        </svg>
      </button>
    </div>
  </div>
</template>
