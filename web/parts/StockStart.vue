<script setup lang="ts">
/** No collar of this kind yet: size with the usual ones at typical numbers, which stand on the list to buy until one is said to be here. */
import { Collar, collarKind, type CollarFacts, type CollarKindName } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { useKeep } from '../stores/keep.ts';
import SaveBar from '../work/SaveBar.vue';
import { useUnits } from '../stores/units.ts';

const props = defineProps<{ kind: CollarKindName }>();
const emit = defineEmits<{ made: [] }>();
const keeping = useKeep();
const units = useUnits();
const usual = collarKind(props.kind).usual.map(({ name, numbers }) => ({ id: uuidv7(), name, numbers: numbers as Record<string, unknown> }));
const noun = collarKind(props.kind).name.toLowerCase();
const few = ['', 'this one', 'these two', 'these three'][usual.length] ?? 'these';

async function put() {
  for (const { id, name, numbers } of usual) {
    const facts: CollarFacts = {
      kind: props.kind,
      name,
      metal: null,
      condition: 'sound',
      numbers,
      measuredOn: null,
      owned: false,
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
    <h1>No {{ noun }} in the locker yet.</h1>
    <p class="mt-2 max-w-[42rem] text-lg">
      Enter the one you have, with its own numbers. Or size with usual sizes: they stay on the shopping list until you have one.
    </p>
    <ul class="sheet mt-4 max-w-2xl divide-y divide-line">
      <li v-for="{ id, name, numbers } in usual" :key="id" class="flex flex-wrap gap-x-6 py-2">
        <span class="w-44 font-semibold">{{ name }}</span>
        <span class="grow">{{ collarKind(kind).describeNumbers(numbers, units.speak) }}</span>
      </li>
    </ul>
    <SaveBar class="mt-4" :keeping="keeping" :label="`Size with ${few}`">
      <RouterLink :to="`/locker?add=${kind}`" class="press press-quiet">Enter my own</RouterLink>
    </SaveBar>
  </form>
</template>
