<script setup lang="ts">
/** Kit up a class: tomorrow's dogs, and which collar of the locker each gets, with the least buying and the fewest links moved. */
import {
  classCase,
  ClassPage,
  COLLAR_KIND_NAMES,
  collarKind,
  DogCards,
  DogLines,
  pickList,
  type ClassDog,
  type CollarKindName,
  type DogCard,
  isDevice,
} from '@banter/contract';
import { refDebounced } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { failureSentence } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { todayIn } from '../parts/age.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useKitUp } from '../stores/kit-up.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { kitUpSentence, linksToBuy } from './kit-up/kit-up-words.ts';

const session = useSession();
const units = useUnits();
const kennel = computed(() => session.kennel!);
const { data, state, sentence, load } = useLoad(() => '/api/class', ClassPage);
const { found: kitUp, state: working, ask } = useKitUp();

/** Who is in the class, and what kind each is to have: what it wears, else what is for walking for a dog that pulls, and what identifies it for the rest. */
const chosen = ref<Record<string, CollarKindName | null>>({});
/** What is known of the dogs of the class; each is asked for once it is in it. */
const cards = shallowRef<ReadonlyMap<string, DogCard>>(new Map());
const everyday = COLLAR_KIND_NAMES.filter((kind) => collarKind(kind).traits.everyday);
const usualKind = ({ dog, fits }: DogCard): CollarKindName => {
  const worn = fits.find(({ plan }) => !isDevice(plan.kind))?.plan.kind;
  const wanted = dog.pull === 'settled' ? 'identity' : 'walking';
  return worn ?? everyday.find((kind) => collarKind(kind).purposes[0] === wanted) ?? COLLAR_KIND_NAMES[0];
};
const cardsFailed = ref('');
const CARDS_AT_ONCE = 60;
/** Takes dogs into the class, each with its usual kind; those that are in it stay as they are. */
async function take(ids: readonly string[]) {
  cardsFailed.value = '';
  const missing = ids.filter((id) => !cards.value.has(id));
  try {
    for (let at = 0; at < missing.length; at += CARDS_AT_ONCE) {
      const { rows } = await send('GET', `/api/dog-cards?dogs=${missing.slice(at, at + CARDS_AT_ONCE).join(',')}`, DogCards);
      cards.value = new Map([...cards.value, ...rows.map((card) => [card.dog.id, card] as const)]);
    }
    const fresh = ids.flatMap((id) => (chosen.value[id] || !cards.value.has(id) ? [] : [[id, usualKind(cards.value.get(id)!)] as const]));
    chosen.value = { ...chosen.value, ...Object.fromEntries(fresh) };
  } catch (failure) {
    cardsFailed.value = failureSentence(failure);
  }
}
watch(data, (page) => page && Object.keys(chosen.value).length === 0 && void take(page.planned.map(({ id }) => id)));

const search = ref('');
const searched = refDebounced(search, 200);
const found = useLoad(() => `/api/dogs${searched.value.trim() ? `?search=${encodeURIComponent(searched.value.trim())}` : ''}`, DogLines);
watch(searched, () => void found.load());
const isPlanned = (id: string) => data.value!.planned.some((one) => one.id === id);
/** Who can be ticked: the dogs of the class and of the day first, then those that are looked for. */
const listed = computed(() => {
  const names = new Map(data.value!.planned.map(({ id, name }) => [id, name]));
  for (const [id, { dog }] of cards.value) if (chosen.value[id]) names.set(id, dog.name);
  for (const { id, name } of [...(found.data.value?.rows ?? [])].sort((a, b) => a.name.localeCompare(b.name))) names.set(id, name);
  return [...names].map(([id, name]) => ({ id, name }));
});
const dogs = computed((): ClassDog[] =>
  listed.value.flatMap(({ id }) => (chosen.value[id] && cards.value.has(id) ? [{ dogId: id, kind: chosen.value[id] }] : [])),
);
const asked = computed(() =>
  data.value
    ? classCase(data.value, [...cards.value.values()], dogs.value, { kennel: kennel.value, today: todayIn(kennel.value.timeZone), speak: units.speak })
    : null,
);
watch(asked, (now) => now && ask(now.asked), { immediate: true });
const names = computed(() => new Map([...cards.value.values()].map(({ dog }) => [dog.id, dog.name])));
const lines = computed(() =>
  kitUp.value && asked.value && kitUp.value.given.every(({ dogId }) => asked.value!.asked.dogs.some(({ id }) => id === dogId))
    ? pickList(asked.value, kitUp.value, data.value!)
    : [],
);
const heading = computed(() => {
  if (dogs.value.length === 0) return 'Who is in the class?';
  if (working.value === 'failed') return 'It could not be worked out here.';
  if (!kitUp.value || lines.value.length === 0) return working.value === 'working' ? 'Working it out …' : 'No dog can be kitted up yet.';
  return kitUpSentence(kitUp.value);
});
const day = computed(() =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(new Date(data.value!.day)),
);
const KINDS = COLLAR_KIND_NAMES.filter((kind) => !isDevice(kind));
const print = () => window.print();
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the class" @again="load">
    <RouterLink to="/locker" class="no-print">To the locker</RouterLink>
    <div class="mt-1">
      <VerdictMark
        v-if="kitUp && lines.length > 0"
        :tone="kitUp.bought + kitUp.linksBought > 0 || lines.some(({ from }) => from === 'nowhere') ? 'mind' : 'good'"
        :word="kitUp.bought + kitUp.linksBought > 0 ? 'Buy' : 'All there'"
      />
    </div>
    <h1 aria-live="polite">{{ heading }}</h1>
    <p class="max-w-[75ch] text-soft">
      Class of {{ day }}, from the locker, by the house rules: least to buy, then fewest links moved. Collars on other dogs stay there.
    </p>
    <div class="mt-5 grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.5fr)]">
      <section class="no-print sheet self-start" aria-labelledby="class">
        <h2 id="class">The class</h2>
        <label class="mt-1 block">
          <span class="sr-only">Find a dog by name, breed or owner</span>
          <input v-model="search" type="search" class="field" placeholder="Name, breed or owner" />
        </label>
        <p v-if="cardsFailed || found.state.value === 'failed'" role="alert" class="mt-2">{{ cardsFailed || found.sentence.value }}</p>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="one in listed" :key="one.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
            <label class="flex min-h-11 grow items-center gap-3">
              <input
                type="checkbox"
                class="tick size-5"
                :checked="Boolean(chosen[one.id])"
                @change="($event.target as HTMLInputElement).checked ? void take([one.id]) : (chosen = { ...chosen, [one.id]: null })"
              />
              <span class="font-semibold">{{ one.name }}</span>
              <span v-if="isPlanned(one.id)" class="text-sm text-soft">has a session then</span>
            </label>
            <label v-if="chosen[one.id]">
              <span class="sr-only">Kind for {{ one.name }}</span>
              <select
                class="field w-auto!"
                :value="chosen[one.id]"
                @change="chosen = { ...chosen, [one.id]: ($event.target as HTMLSelectElement).value as CollarKindName }"
              >
                <option v-for="kind in KINDS" :key="kind" :value="kind">{{ collarKind(kind).name }}</option>
              </select>
            </label>
          </li>
        </ul>
      </section>
      <section aria-labelledby="picks">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <h2 id="picks">Pick list</h2>
          <button v-if="lines.length > 0" type="button" class="no-print press press-plain ml-auto" @click="print">Print it</button>
        </div>
        <ul v-if="lines.length > 0" class="mt-2 divide-y divide-line border-y border-line">
          <li v-for="line in lines" :key="line.dogId" class="grid grid-cols-[1.75rem_minmax(0,7rem)_minmax(0,1fr)] gap-x-3 py-2.5">
            <span aria-hidden="true" class="mt-1 size-5 rounded-sm border-2 border-ink" />
            <span class="font-semibold">{{ names.get(line.dogId) }}</span>
            <span>
              <template v-if="line.from === 'locker'">{{ line.name }}: {{ line.line }}</template>
              <template v-else-if="line.from === 'shop'"><strong>Buy:</strong> {{ line.line }}</template>
              <span v-else class="text-stop">{{ line.line }}</span>
              <span v-if="line.links" class="block text-sm text-soft">{{ line.links }}</span>
            </span>
          </li>
        </ul>
        <p v-else class="mt-2 text-soft">Tick the dogs of the class.</p>
        <p v-if="kitUp && lines.length > 0 && linksToBuy(kitUp).length > 0" class="mt-3 font-semibold">Buy {{ linksToBuy(kitUp).join(' and ') }}.</p>
        <div v-if="asked && asked.missing.length > 0" class="mt-5">
          <h3>Not yet</h3>
          <ul class="mt-1 space-y-1">
            <li v-for="one in asked.missing" :key="one.dogId">
              <RouterLink :to="`/dogs/${one.dogId}`" class="underline">{{ names.get(one.dogId) }}</RouterLink>: {{ one.why }}
            </li>
          </ul>
        </div>
      </section>
    </div>
  </LoadFrame>
</template>
