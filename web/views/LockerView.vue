<script setup lang="ts">
/** The collars the kennel owns, with their own numbers and whether a ruler has been laid on them. */
import type { Collar } from '@banter/contract';
import { CollarsPage } from '@banter/contract';
import { gaugeName } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { ProngNumbers } from '@banter/contract';
import LoadFrame from '../parts/LoadFrame.vue';
import StockStart from '../parts/StockStart.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useScreenKeys } from '../stores/keys.ts';
import { useLoad } from '../stores/load.ts';
import { useUnits } from '../stores/units.ts';

const units = useUnits();
const router = useRouter();
const { data, state, sentence, load } = useLoad(() => '/api/collars', CollarsPage);
const described = (collar: Collar) => {
  const { gaugeMm, links, insideGirthMm, pitchMm, closingMm } = ProngNumbers.parse(collar.numbers);
  return {
    title: `${gaugeName(gaugeMm)} prong`,
    numbers: `${links} links · ${units.exact(insideGirthMm)} inside · a link is ${units.gap(pitchMm)} · closes by ${units.gap(closingMm)}`,
  };
};
const here = computed(() => (data.value?.collars ?? []).filter((collar) => collar.retiredAt === null));
const scrapped = computed(() => (data.value?.collars ?? []).filter((collar) => collar.retiredAt !== null));
const addNew = () => void router.push(`/locker/${uuidv7()}?new=1`);
useScreenKeys('Locker', [{ key: 'n', does: 'Add a collar', run: addNew }]);
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the locker" @again="load">
    <div class="flex flex-wrap items-end gap-3">
      <div class="mr-auto">
        <h1>Locker</h1>
        <p class="text-soft">What the bench sizes from. Each collar by its own numbers, taken with a ruler.</p>
      </div>
      <button type="button" class="press press-main" @click="addNew">Add a collar</button>
    </div>
    <StockStart v-if="data!.collars.length === 0" class="mt-6" kind="prong" @made="load" />
    <ul v-else class="mt-5 divide-y divide-line border-y border-line">
      <li v-for="collar in here" :key="collar.id" class="relative flex flex-wrap items-center gap-x-6 gap-y-1 py-3 hover:bg-felt">
        <RouterLink :to="`/locker/${collar.id}`" class="w-44 font-display text-lg font-semibold no-underline before:absolute before:inset-0">
          {{ collar.name }}
        </RouterLink>
        <span class="w-32">{{ described(collar).title }}</span>
        <span class="grow text-soft">{{ described(collar).numbers }}</span>
        <VerdictMark class="text-sm" :tone="collar.measuredOn ? 'good' : 'open'" :word="collar.measuredOn ? 'Measured' : 'Typical numbers'" />
      </li>
    </ul>
    <section v-if="scrapped.length > 0" class="mt-6">
      <h2 class="text-soft">Scrapped</h2>
      <ul class="mt-1">
        <li v-for="collar in scrapped" :key="collar.id" class="py-1">
          <RouterLink :to="`/locker/${collar.id}`" class="text-soft">{{ collar.name }}, {{ described(collar).title }}</RouterLink>
        </li>
      </ul>
    </section>
  </LoadFrame>
</template>
