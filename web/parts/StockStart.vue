<script setup lang="ts">
/** An empty locker at the bench: put the usual collars in with typical numbers, to be measured one by one. */
import { Collar, type CollarFacts, type CollarKindName } from '@banter/contract';
import { gaugeName, TYPICAL_PRONGS } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { useKeep } from '../stores/keep.ts';
import KeepBar from './KeepBar.vue';
import { useUnits } from '../stores/units.ts';

defineProps<{ kind: CollarKindName }>();
const emit = defineEmits<{ made: [] }>();
const keeping = useKeep();
const units = useUnits();
const usual = TYPICAL_PRONGS.map((numbers) => ({ id: uuidv7(), numbers }));

async function put() {
  for (const { id, numbers } of usual) {
    const facts: CollarFacts = {
      kind: 'prong',
      name: `${gaugeName(numbers.gaugeMm)} prong`,
      metal: null,
      numbers,
      measuredOn: null,
      note: '',
      retiredAt: null,
    };
    if (!(await keeping.keep(`/api/collars/${id}`, Collar, facts))) return;
  }
  emit('made');
}
</script>

<template>
  <form @submit.prevent="put">
    <h1>Say which collars you have.</h1>
    <p class="mt-2 max-w-[42rem] text-lg">
      The bench sizes from your own collars. Begin with the three that are usually stocked, at typical numbers; each says so until you have laid a ruler on it.
    </p>
    <ul class="sheet mt-4 max-w-2xl divide-y divide-line">
      <li v-for="{ id, numbers } in usual" :key="id" class="flex flex-wrap gap-x-6 py-2">
        <span class="w-24 font-semibold">{{ gaugeName(numbers.gaugeMm) }}</span>
        <span>{{ numbers.links }} links, {{ units.girth(numbers.insideGirthMm) }} inside, a link is {{ units.gap(numbers.pitchMm) }}</span>
      </li>
    </ul>
    <KeepBar class="mt-4" :keeping="keeping" label="Put these three in the locker">
      <RouterLink to="/locker" class="press press-quiet">Enter my own instead</RouterLink>
    </KeepBar>
  </form>
</template>
