<script setup lang="ts">
/** All dogs: the ones that need a hand first, each with its neck in small, what was decided, and the next step. */
import { COLLAR_KIND_NAMES, collarKind, DogLines, momentOn, type DogLine } from '@banter/contract';
import { refDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { dayWords } from '../parts/age.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import LongList from '../parts/LongList.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { goToStep } from '../parts/worn-words.ts';
import { dogFacts } from '../parts/dog-facts.ts';
import { useScreenKeys } from '../stores/keys.ts';
import { useLongList } from '../stores/long-list.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import UnsentOf from '../shell/UnsentOf.vue';
import { useWearing } from '../stores/wearing.ts';

/** What is typed is searched for once somebody stops for so long, ms. */
const SEARCH_AFTER_MS = 150;

const session = useSession();
const units = useUnits();
const router = useRouter();
const wearing = useWearing();
const kennel = computed(() => session.kennel!);
const onNow = (dogId: string) =>
  wearing
    .on(dogId)
    .map((one) => `${one.collarName} since ${momentOn(Date.parse(one.from), Date.now(), kennel.value.timeZone)}`)
    .join(', ');
const search = ref('');
const searched = refDebounced(search, SEARCH_AFTER_MS);
const showAway = ref(false);
const source = useLongList<DogLine, DogLines>(
  () => `/api/dogs?list=${showAway.value ? 'away' : 'here'}${searched.value.trim() ? `&search=${encodeURIComponent(searched.value.trim())}` : ''}`,
  DogLines,
);
const { data, state, sentence, load, rows } = source;

const marks = { stop: 'Stop', mind: 'Due', open: 'To do', good: 'Good' };
const factsOf = (line: DogLine) => dogFacts(line, kennel.value.timeZone, units.weight).join(' · ');
/** Dogs that need a hand stand before those that are fitted: the title of each group is over its first. */
const groupOf = ({ step }: DogLine) => (step.tone === 'good' ? 'Fitted' : 'Next');
const titleOver = (index: number) => {
  const group = groupOf(rows.value[index]!);
  return index === 0 || groupOf(rows.value[index - 1]!) !== group ? group : null;
};
useScreenKeys('Dogs', [{ key: 'n', does: 'Add a dog', run: () => void router.push('/dogs/new') }]);
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the dogs" @again="load">
    <div v-if="data!.counts.here + data!.counts.away === 0">
      <h1>Add your first dog.</h1>
      <p class="mt-2 max-w-[40rem] text-lg">Which collar is it for? Then name, girth, and seven looks on the dog.</p>
      <div class="mt-4 flex flex-wrap gap-2">
        <RouterLink v-for="kind in COLLAR_KIND_NAMES" :key="kind" :to="`/fit?kind=${kind}`" class="press press-plain">{{ collarKind(kind).name }}</RouterLink>
        <RouterLink to="/fit" class="press press-main">What would you use?</RouterLink>
      </div>
      <p class="mt-6 text-soft">
        <RouterLink to="/dogs/new" class="underline">Add a dog with all its details</RouterLink>, or
        <RouterLink to="/many" class="underline">size a group from a table</RouterLink>.
      </p>
    </div>
    <div v-else>
      <div class="flex flex-wrap items-end gap-3">
        <h1 class="mr-auto">Dogs</h1>
        <label class="w-full sm:w-64">
          <span class="sr-only">Search by name, breed or owner</span>
          <input v-model="search" type="search" class="field" placeholder="Name, breed or owner" />
        </label>
        <RouterLink to="/many" class="press press-plain">Size a group</RouterLink>
        <RouterLink to="/dogs/new" class="press press-main">Add a dog</RouterLink>
      </div>
      <p v-if="rows.length === 0" class="sheet mt-5">
        {{ searched ? `No dog here is called «${searched}».` : showAway ? 'No dog is put away.' : 'All dogs are put away.' }}
        <button v-if="search" type="button" class="underline" @click="search = ''">Show all</button>
      </p>
      <LongList v-else class="mt-2" plain :source="source" :key-of="({ id }) => id" :row-px="112">
        <template #default="{ row, index }">
          <h2 v-if="titleOver(index)" class="pt-4 pb-2 text-soft">{{ titleOver(index) }}</h2>
          <div
            class="relative grid grid-cols-[5.5rem_1fr] items-center gap-x-4 border-t border-line gap-y-1 py-3 hover:bg-felt md:grid-cols-[8.5rem_minmax(0,1.1fr)_minmax(0,1.6fr)_auto] md:gap-x-6"
          >
            <div class="self-center">
              <UnrolledNeck v-if="row.neck" v-bind="row.neck" :name="row.name" :breed="row.breed" size="small" />
              <div v-else class="flex h-14 items-center justify-center rounded border-2 border-dashed border-line text-sm text-soft">not taped</div>
            </div>
            <div class="min-w-0">
              <RouterLink :to="`/dogs/${row.id}`" class="font-display text-xl font-bold break-words no-underline before:absolute before:inset-0">
                {{ row.name }}
              </RouterLink>
              <p class="text-soft">{{ factsOf(row) }}</p>
              <p v-if="onNow(row.id)" class="text-[0.95rem]">
                <span aria-hidden="true" class="mr-1.5 inline-block size-2.5 rounded-full bg-tape ring-1 ring-ink"></span>wears {{ onNow(row.id) }}
              </p>
              <UnsentOf :dog-id="row.id" />
            </div>
            <div class="col-span-2 min-w-0 md:col-span-1">
              <p class="grid grid-cols-[5.6rem_1fr] items-start gap-x-2">
                <VerdictMark class="justify-self-start text-sm" :tone="row.step.tone" :word="marks[row.step.tone]" />
                <span class="pt-0.5" :class="row.step.tone !== 'good' && 'font-semibold'">{{ row.step.says[units.length] }}</span>
              </p>
              <p v-if="row.decided && row.step.tone !== 'good'" class="mt-0.5 pl-[6.1rem] text-soft first-letter:uppercase">
                {{ row.decided.says[units.length] }}, {{ dayWords(row.decided.at, kennel.timeZone) }}
              </p>
            </div>
            <RouterLink
              v-if="row.step.goTo"
              :to="goToStep(row.id, row.step)"
              class="press press-plain relative col-span-2 justify-self-start max-md:ml-[6.1rem] md:col-span-1 md:min-w-24"
            >
              {{ { screen: 'Screen', tape: 'Tape', bench: 'Bench', check: 'Check', edit: 'Weigh' }[row.step.goTo] }}
              <span class="sr-only">{{ row.name }}</span>
            </RouterLink>
          </div>
        </template>
      </LongList>
      <button v-if="data!.counts.away > 0 || showAway" type="button" class="press press-quiet mt-4" @click="showAway = !showAway">
        {{ showAway ? 'Back to the dogs here' : `Put away: ${data!.counts.away}` }}
      </button>
    </div>
  </LoadFrame>
</template>
