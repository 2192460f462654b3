<script setup lang="ts">
/** The collars by kind, with their numbers, their condition, and whether a ruler has been laid on them. */
import { COLLAR_KIND_NAMES, collarKind, isHere, type Collar, type CollarKindName, type LockerPage } from '@banter/contract';
import { countOf, PIECE_WORDS } from '@banter/core';
import { ChevronDown } from '@lucide/vue';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import KindMark from '../../neck/KindMark.vue';
import StockStart from '../../parts/StockStart.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useScreenKeys } from '../../stores/keys.ts';
import { useUnits } from '../../stores/units.ts';
import { useNarrower } from '../../stores/widths.ts';

const props = defineProps<{ locker: LockerPage }>();
const emit = defineEmits<{ changed: [] }>();
const units = useUnits();
const route = useRoute();
const router = useRouter();
const described = (collar: Collar) => collarKind(collar.kind).describeNumbers(collarKind(collar.kind).numbers.parse(collar.numbers), units.speak);
const here = computed(() => props.locker.collars.filter(isHere));
const scrapped = computed(() => props.locker.collars.filter(({ owned, retiredAt }) => owned && retiredAt !== null));
const toBuy = computed(() => props.locker.collars.filter(({ owned, retiredAt }) => !owned && retiredAt === null).length);
/** With more collars than these one looks for one by its name; so many rows are drawn until somebody asks for more. */
const FEW = 20;
const AT_ONCE = 60;
const search = ref('');
const most = ref(AT_ONCE);
const found = computed(() => {
  const text = search.value.trim().toLowerCase();
  return here.value.filter(({ name, kind }) => `${name} ${collarKind(kind).name}`.toLowerCase().includes(text));
});
const groups = computed(() => {
  const inOrder = COLLAR_KIND_NAMES.flatMap((kind) => found.value.filter((collar) => collar.kind === kind)).slice(0, most.value);
  return COLLAR_KIND_NAMES.map((kind) => ({ kind, title: collarKind(kind).name, collars: inOrder.filter((collar) => collar.kind === kind) })).filter(
    ({ collars }) => collars.length > 0,
  );
});
const phone = useNarrower('md');
const folded = computed(() => phone.value && here.value.length > FEW && search.value.trim() === '');
const unfolded = ref<ReadonlySet<CollarKindName>>(new Set());
function unfold(kind: CollarKindName) {
  const next = new Set(unfolded.value);
  if (!next.delete(kind)) next.add(kind);
  unfolded.value = next;
}
const adding = ref(COLLAR_KIND_NAMES.some((kind) => kind === route.query.add));
const add = (kind: CollarKindName) => void router.push(`/locker/${uuidv7()}?new=1&kind=${kind}`);
useScreenKeys('Locker', [{ key: 'n', does: 'Add a collar', run: () => (adding.value = true) }]);
</script>

<template>
  <div>
    <div v-if="adding" class="sheet" role="group" aria-label="Which kind?">
      <p class="font-semibold">Which kind?</p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button v-for="kind in COLLAR_KIND_NAMES" :key="kind" type="button" class="press press-plain" @click="add(kind)">{{ collarKind(kind).name }}</button>
        <button type="button" class="press press-quiet" @click="adding = false">Cancel</button>
      </div>
    </div>
    <div v-else class="flex flex-wrap items-center gap-3">
      <button type="button" class="press press-main" @click="adding = true">Add a collar</button>
      <input
        v-if="here.length > FEW"
        v-model="search"
        type="search"
        class="field max-w-80"
        aria-label="Find a collar"
        placeholder="Name or kind of collar"
        autocomplete="off"
      />
    </div>
    <StockStart v-if="locker.collars.length === 0" class="mt-6" :kind="COLLAR_KIND_NAMES[0]" @made="emit('changed')" />
    <p v-if="toBuy > 0" class="mt-4 text-soft">
      {{ countOf(toBuy, 'collar') }} to buy, with typical numbers: <RouterLink :to="{ path: '/locker', query: { show: 'shopping' } }">on the list</RouterLink>.
    </p>
    <p v-if="search.trim() !== '' && found.length === 0" class="mt-3" role="status">No collar matches.</p>
    <section v-for="group in groups" :key="group.kind" :class="folded ? '' : 'mt-6'" :aria-label="group.title">
      <!-- Under one thumb the kinds are a line each until one of them is wanted. -->
      <button
        v-if="folded"
        type="button"
        class="flex min-h-14 w-full items-center gap-3 border-b border-line text-left"
        :aria-expanded="unfolded.has(group.kind)"
        @click="unfold(group.kind)"
      >
        <KindMark :kind="group.kind" />
        <span class="grow font-display text-lg font-semibold">{{ group.title }}</span>
        <span class="text-soft">{{ group.collars.length }}</span>
        <ChevronDown :size="18" class="shrink-0 text-soft" :class="unfolded.has(group.kind) && 'rotate-180'" aria-hidden="true" />
      </button>
      <h2 v-else class="flex items-center gap-2 text-soft"><KindMark :kind="group.kind" />{{ group.title }}</h2>
      <ul v-if="!folded || unfolded.has(group.kind)" class="divide-y divide-line border-b border-line" :class="folded ? 'pl-3' : 'mt-1 border-t'">
        <li v-for="collar in group.collars" :key="collar.id" class="relative flex flex-wrap items-center gap-x-6 gap-y-1 py-3 hover:bg-felt">
          <RouterLink :to="`/locker/${collar.id}`" class="w-40 font-display text-lg font-semibold no-underline before:absolute before:inset-0">
            {{ collar.name }}
          </RouterLink>
          <span class="min-w-0 grow basis-72 text-soft">{{ described(collar) }}{{ collar.metal ? `, ${collar.metal}` : '' }}</span>
          <VerdictMark v-if="collar.condition !== 'sound'" class="text-sm" tone="mind" :word="PIECE_WORDS[collar.condition].word" />
          <VerdictMark class="text-sm" :tone="collar.measuredOn ? 'good' : 'open'" :word="collar.measuredOn ? 'Measured' : 'Typical numbers'" />
        </li>
      </ul>
    </section>
    <button v-if="found.length > most" type="button" class="press press-plain mt-4" @click="most += AT_ONCE">{{ found.length - most }} more</button>
    <section v-if="scrapped.length > 0" class="mt-6">
      <h2 class="text-soft">Scrapped</h2>
      <ul class="mt-1">
        <li v-for="collar in scrapped" :key="collar.id" class="py-1">
          <RouterLink :to="`/locker/${collar.id}`" class="text-soft">{{ collar.name }}, {{ described(collar) }}</RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>
