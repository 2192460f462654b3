<script setup lang="ts">
/** All dogs: the ones that need a hand first, each with its neck in small, what was decided, and the next step. */
import { type DogCard, DogsPage, drawnFits, latestGirths, momentOn, neckTapeOf, nextStep } from '@banter/contract';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { ageWords, dayWords, todayIn } from '../parts/age.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import PathSteps from '../parts/PathSteps.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { goToStep, wornFitLine } from '../parts/worn-words.ts';
import { useScreenKeys } from '../stores/keys.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { useWearing } from '../stores/wearing.ts';

const session = useSession();
const units = useUnits();
const router = useRouter();
const wearing = useWearing();
const onNow = (dogId: string) =>
  wearing
    .on(dogId)
    .map((one) => `«${one.collarName}» since ${momentOn(Date.parse(one.from), Date.now(), session.kennel!.timeZone)}`)
    .join(', ');
const { data, state, sentence, load } = useLoad(() => '/api/dogs', DogsPage);
const kennel = computed(() => session.kennel!);
const search = ref('');
const searchField = ref<HTMLInputElement | null>(null);
const showArchived = ref(false);

const rows = computed(() => {
  const today = todayIn(kennel.value.timeZone);
  const wanted = search.value.trim().toLowerCase();
  return (data.value?.dogs ?? [])
    .filter(({ dog }) => showArchived.value === (dog.archivedAt !== null))
    .filter(({ dog }) => !wanted || `${dog.name} ${dog.breed} ${dog.owner}`.toLowerCase().includes(wanted))
    .map((card) => ({
      card,
      dog: card.dog,
      tape: neckTapeOf(latestGirths(card.girths)),
      step: nextStep(card, { kennel: kennel.value, today }, units.speak),
      facts: [card.dog.breed, card.dog.bornOn && ageWords(card.dog.bornOn, today), card.dog.weightG && units.weight(card.dog.weightG)]
        .filter(Boolean)
        .join(' · '),
      decided: decidedOf(card),
    }));
});
const groups = computed(() => [
  { title: 'Next', rows: rows.value.filter((row) => row.step.tone !== 'good').sort((a, b) => urgency[a.step.tone] - urgency[b.step.tone]) },
  { title: 'Fitted', rows: rows.value.filter((row) => row.step.tone === 'good') },
]);
const urgency = { stop: 0, mind: 1, open: 2, good: 3 };
const marks = { stop: 'Stop', mind: 'Look', open: 'To do', good: 'Good' };
const archived = computed(() => (data.value?.dogs ?? []).filter(({ dog }) => dog.archivedAt !== null).length);

function decidedOf({ fits }: DogCard) {
  const [latest] = fits;
  return latest
    ? { line: fits.map((fit) => wornFitLine(fit, units.speak)).join('; '), on: dayWords((latest.check ?? latest.plan).at, kennel.value.timeZone) }
    : null;
}
useScreenKeys('Dogs', [
  { key: 'n', does: 'Add a dog', run: () => void router.push('/dogs/new') },
  { key: '/', does: 'Search', run: () => searchField.value?.focus() },
]);
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the dogs" @again="load">
    <div v-if="data!.dogs.length === 0">
      <h1>Add your first dog.</h1>
      <p class="mt-2 mb-6 max-w-[40rem] text-lg">Then it is three steps to a collar that fits, and Banter keeps all of them.</p>
      <PathSteps
        :steps="[
          { label: 'Add a dog', says: 'Name, weight and how it pulls; the rest can wait.', done: false, to: '/dogs/new' },
          { label: 'Tape and bench', says: 'Measure the neck high, behind the ears. The bench says which collar, and how many links come out.', done: false },
          { label: 'Check', says: 'Answer with hands and eyes on the dog, until it is good.', done: false },
        ]"
      />
    </div>
    <div v-else>
      <div class="flex flex-wrap items-end gap-3">
        <h1 class="mr-auto">Dogs</h1>
        <label class="w-full sm:w-64">
          <span class="sr-only">Search by name, breed or owner</span>
          <input ref="searchField" v-model="search" type="search" class="field" placeholder="Name, breed or owner" />
        </label>
        <RouterLink to="/many" class="press press-plain">Many at once</RouterLink>
        <RouterLink to="/dogs/new" class="press press-main">Add a dog</RouterLink>
      </div>
      <p v-if="rows.length === 0" class="sheet mt-5">
        {{ showArchived ? 'No dog is put away.' : `No dog here is called «${search}».` }}
        <button v-if="search" type="button" class="underline" @click="search = ''">Show all</button>
      </p>
      <section v-for="group in groups.filter((one) => one.rows.length > 0)" :key="group.title" class="mt-6">
        <h2 class="text-soft">{{ group.title }}</h2>
        <ul class="mt-2 divide-y divide-line border-y border-line">
          <li
            v-for="row in group.rows"
            :key="row.dog.id"
            class="relative grid grid-cols-[5.5rem_1fr] items-center gap-x-4 gap-y-1 py-3 hover:bg-felt md:grid-cols-[8.5rem_minmax(0,1.1fr)_minmax(0,1.6fr)_auto] md:gap-x-6"
          >
            <div class="self-center">
              <UnrolledNeck v-if="row.tape" :tape="row.tape" :name="row.dog.name" v-bind="drawnFits(row.card.fits, row.dog, kennel)" size="small" />
              <div v-else class="flex h-14 items-center justify-center rounded border-2 border-dashed border-line text-sm text-soft">not taped</div>
            </div>
            <div class="min-w-0">
              <RouterLink :to="`/dogs/${row.dog.id}`" class="font-display text-xl font-bold break-words no-underline before:absolute before:inset-0">
                {{ row.dog.name }}
              </RouterLink>
              <p class="text-soft">{{ row.facts }}</p>
              <p v-if="onNow(row.dog.id)" class="text-[0.95rem]">
                <span aria-hidden="true" class="mr-1.5 inline-block size-2.5 rounded-full bg-tape ring-1 ring-ink"></span>wears {{ onNow(row.dog.id) }}
              </p>
            </div>
            <div class="col-span-2 min-w-0 md:col-span-1">
              <p class="grid grid-cols-[5.6rem_1fr] items-start gap-x-2">
                <VerdictMark class="justify-self-start text-sm" :tone="row.step.tone" :word="marks[row.step.tone]" />
                <span class="pt-0.5" :class="row.step.tone !== 'good' && 'font-semibold'">{{ row.step.sentence }}</span>
              </p>
              <p v-if="row.decided && row.step.tone !== 'good'" class="mt-0.5 pl-[6.1rem] text-soft first-letter:uppercase">
                {{ row.decided.line }}, {{ row.decided.on }}
              </p>
            </div>
            <RouterLink
              v-if="row.step.goTo"
              :to="goToStep(row.dog.id, row.step)"
              class="press press-plain relative col-span-2 justify-self-start max-md:ml-[6.1rem] md:col-span-1 md:min-w-24"
            >
              {{ { screen: 'Screen', tape: 'Tape', bench: 'Bench', check: 'Check', edit: 'Weigh' }[row.step.goTo] }}
              <span class="sr-only">{{ row.dog.name }}</span>
            </RouterLink>
          </li>
        </ul>
      </section>
      <button v-if="archived > 0 || showArchived" type="button" class="press press-quiet mt-4" @click="showArchived = !showArchived">
        {{ showArchived ? 'Back to the dogs here' : `Put away: ${archived}` }}
      </button>
    </div>
  </LoadFrame>
</template>
