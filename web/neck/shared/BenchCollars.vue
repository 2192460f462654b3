<script setup lang="ts">
/** The collars of this kind, each as well as it can be made up for the dog: those that hang in the locker, and those still to be bought. */
import type { AgainstCollar } from '@banter/contract';
import { PIECE_WORDS, small } from '@banter/core';
import { computed } from 'vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useUnits } from '../../stores/units.ts';
import type { Bench } from './bench.ts';

const props = defineProps<{ bench: Bench }>();
const units = useUnits();
const againstWord = (against: AgainstCollar) => (against === 'plated' ? against : small(PIECE_WORDS[against].word));
const rows = computed(() =>
  props.bench.suggestion.all.map((fit) => ({
    fit,
    collar: props.bench.collars.find(({ id }) => id === fit.collarId)!,
    on: fit.collarId === props.bench.collar.id,
  })),
);
</script>

<template>
  <section aria-label="Other collars in the locker">
    <p class="text-soft">{{ rows.some(({ collar }) => collar.owned) ? 'From the locker. Tap one to try it.' : 'Usual sizes, to buy. Tap one to try it.' }}</p>
    <ul class="mt-1 divide-y divide-line">
      <li v-for="{ fit, collar, on } in rows" :key="collar.id">
        <button
          type="button"
          class="flex min-h-12 w-full flex-wrap items-center gap-x-3 gap-y-1 py-1.5 text-left"
          :aria-pressed="on"
          @click="bench.take(fit.collarId, fit.choices)"
        >
          <span aria-hidden="true" class="w-4">{{ on ? '▸' : '' }}</span>
          <span class="min-w-28" :class="on && 'font-semibold'">{{ collar.name }}</span>
          <span class="text-soft">{{ fit.says(units.speak) }}</span>
          <span v-if="collar.against" class="rounded border border-line px-1.5 text-sm font-semibold">{{ againstWord(collar.against) }}</span>
          <span v-if="!collar.owned" class="rounded border border-line px-1.5 text-sm font-semibold">buy</span>
          <VerdictMark class="ml-auto text-sm" :tone="fit.tone" :word="fit.verdict" />
        </button>
      </li>
    </ul>
  </section>
</template>
