<script setup lang="ts">
/** What is to be bought: links that fits still need, and what somebody has put on the list. */
import { Collar, collarKind, Want, type LockerPage } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import SaveBar from '../../work/SaveBar.vue';
import { shoppingOf } from '../../parts/shopping.ts';
import TextField from '../../parts/TextField.vue';
import { useKeep } from '../../stores/keep.ts';
import { useUnits } from '../../stores/units.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ locker: LockerPage }>();
const emit = defineEmits<{ changed: [] }>();
const keeping = useKeep();
const marking = useKeep();
const short = computed(() => shoppingOf(props.locker));
const open = computed(() => props.locker.wants.filter(({ boughtAt }) => boughtAt === null));
const bought = computed(() => props.locker.wants.filter(({ boughtAt }) => boughtAt !== null));
const { what } = useTyped('want', { what: '' });
const id = ref(uuidv7());
async function add() {
  if (what.value.trim() === '') return;
  if (!(await keeping.keep(`/api/wants/${id.value}`, Want, { what: what.value.trim(), dogId: null, boughtAt: null }))) return;
  id.value = uuidv7();
  what.value = '';
  emit('changed');
}
async function mark({ id: wantId, version, ...facts }: Want, now: boolean) {
  await marking.keep(`/api/wants/${wantId}`, Want, { ...facts, boughtAt: now ? new Date().toISOString() : null }, version);
  emit('changed');
}
const units = useUnits();
const usual = computed(() => props.locker.collars.filter(({ owned, retiredAt }) => !owned && retiredAt === null));
const described = ({ kind, numbers }: Collar) => collarKind(kind).describeNumbers(collarKind(kind).numbers.parse(numbers), units.speak);
async function change({ id: collarId, version, ...facts }: Collar, to: Partial<Collar>) {
  await marking.keep(`/api/collars/${collarId}`, Collar, { ...facts, ...to }, version);
  emit('changed');
}
const print = () => globalThis.print();
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
    <section class="sheet" aria-label="To buy">
      <div class="flex items-baseline gap-3">
        <h2 class="grow">To buy</h2>
        <button type="button" class="press press-quiet no-print" @click="print">Print it</button>
      </div>
      <p v-if="short.length + open.length + usual.length === 0" class="mt-2">Nothing: the locker has what the fits need.</p>
      <ul class="mt-2 divide-y divide-line">
        <li v-for="one in short" :key="one.dogId" class="flex flex-wrap items-center gap-3 py-2.5">
          <span class="grow first-letter:uppercase">{{ one.text }}</span>
          <span class="text-sm text-soft">needs {{ one.needs }}, in the bag {{ one.inBag }}</span>
          <RouterLink :to="{ path: '/locker', query: { show: 'links' } }" class="press press-plain">Bought</RouterLink>
        </li>
        <li v-for="one in open" :key="one.id" class="flex flex-wrap items-center gap-3 py-2.5">
          <span class="min-w-0 grow basis-60 break-words">{{ one.what }}</span>
          <button type="button" class="press press-plain" @click="mark(one, true)">
            Bought
            <span class="sr-only">: {{ one.what }}</span>
          </button>
        </li>
        <li v-for="one in usual" :key="one.id" class="flex flex-wrap items-center gap-3 py-2.5">
          <span class="min-w-0 grow basis-60">
            {{ one.name }}
            <span class="block text-sm text-soft">{{ described(one) }}, usually</span>
          </span>
          <button type="button" class="press press-plain" @click="change(one, { owned: true })">
            It is here<span class="sr-only">: {{ one.name }}</span>
          </button>
          <button type="button" class="press press-quiet" @click="change(one, { retiredAt: new Date().toISOString() })">
            Take it off<span class="sr-only">: {{ one.name }}</span>
          </button>
        </li>
      </ul>
      <p v-if="marking.sentence.value" role="alert" class="text-stop">{{ marking.sentence.value }}</p>
      <details v-if="bought.length > 0" class="mt-3">
        <summary class="text-soft">Bought: {{ bought.length }}</summary>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="one in bought" :key="one.id" class="flex flex-wrap items-center gap-3 py-2 text-soft">
            <span class="grow line-through">{{ one.what }}</span>
            <button type="button" class="underline" @click="mark(one, false)">Back on the list</button>
          </li>
        </ul>
        <p class="mt-1 text-sm text-soft">What has come in is added to the collars, or to the leads and the rest, with its own numbers.</p>
      </details>
    </section>
    <form class="sheet space-y-3 self-start" novalidate @submit.prevent="add">
      <h2>Put something on the list</h2>
      <TextField v-model="what" label="What" :error="keeping.errorAt('what')" />
      <SaveBar :keeping="keeping" label="Add to list" :disabled="what.trim() === ''" />
    </form>
  </div>
</template>
