<script setup lang="ts">
/** A dog's record: what to do next, its neck to scale, and everything that happened, newest first. */
import { collarKind, type CurrentFit, Dog, drawnFits, Ending, fitsSetAside, neckTapeOf, nextStep, wornFitLine } from '@banter/contract';
import { listWords } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import UnrolledNeck from '../neck/UnrolledNeck.vue';
import { DogHeader } from '../shell/dog-header.ts';
import DogKit from '../parts/DogKit.vue';
import DogTimeline from '../parts/DogTimeline.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import ActionBar from '../work/ActionBar.vue';
import WorkLeaves, { type Leaf } from '../work/WorkLeaves.vue';
import WorkScreen from '../work/WorkScreen.vue';
import { send } from '../api/request.ts';
import { failureSentence } from '../api/failure.ts';
import { dayWords, todayIn } from '../parts/age.ts';
import { useBenchDog } from '../stores/bench-dog.ts';
import { dogFacts } from '../parts/dog-facts.ts';
import { goToStep } from '../parts/worn-words.ts';
import { useKeep } from '../stores/keep.ts';
import { markedWears } from '../parts/neck-timeline.ts';
import { useDogRecord } from '../stores/dog-record.ts';
import { useNeck } from '../stores/neck.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';

const route = useRoute();
const session = useSession();
const units = useUnits();
const neck = useNeck(String(route.params.id));
const { page: data, state, sentence, girths } = neck;
const record = useDogRecord(neck.dogId, () => kennel.value.timeZone);
const { part } = record;
const load = () => Promise.all([neck.load(), record.load()]);
const fits = computed(() => neck.dressed.value?.fits ?? []);
const wears = computed(() => (data.value && neck.dressed.value ? markedWears(data.value, neck.dressed.value.wears, units.speak) : []));
const kennel = computed(() => session.kennel!);
const step = computed(() =>
  nextStep(
    {
      dog: data.value!.dog,
      girths: Object.values(girths.value),
      fits: fits.value,
      screenings: data.value!.screenings,
      lifts: data.value!.lifts,
    },
    { kennel: kennel.value, today: todayIn(kennel.value.timeZone) },
    units.speak,
  ),
);
/** What is done next; where all is done, what it wears. */
const decision = computed(() =>
  step.value.tone === 'good' ? `${data.value!.dog.name} is fitted: ${listWords(fits.value.map(({ plan }) => plan.inputs.collar.name))}.` : step.value.sentence,
);
const { dog: benchDog } = useBenchDog(data, girths);
const tape = computed(() => neckTapeOf(girths.value));
const marks = { stop: 'Stop', mind: 'Due', open: 'To do', good: 'Good' };
const PULL_WORDS = { settled: 'walks settled', pulls: 'pulls', drags: 'drags its handler' } as const;
/** On a phone the bar has room for the name alone. */
const factsOf = (dog: Dog) => dogFacts(dog, kennel.value.timeZone, units.weight).join(' · ');
const trouble = ref('');
const UNREADABLE = { plan: 'a fit', fitCheck: 'a fit check', handover: 'a handover' } as const;
const unreadable = computed(() => [...new Map([...data.value!.unreadable, ...record.unreadable.value].map((one) => [one.id, one])).values()]);
const unreadableWords = computed(() => {
  const all = unreadable.value.map(({ kind, at }) => `${UNREADABLE[kind]} of ${dayWords(at, kennel.value.timeZone)}`);
  return `${all.length === 1 ? '1 record' : `${all.length} records`} cannot be read: ${listWords(all)}.`;
});

type LeafId = 'happened' | 'worn' | 'dog' | 'kit';
const leaf = ref<LeafId>('happened');
const leaves = computed((): Leaf<LeafId>[] => [
  { id: 'happened', name: 'What happened' },
  ...(fits.value.length + aside.value.length > 0 ? [{ id: 'worn' as const, name: 'What it wears' }] : []),
  { id: 'dog', name: 'Dog' },
  { id: 'kit', name: 'Kit' },
]);

/** The dog no longer wears this collar; its plan and checks stay in the record. */
const ending = useKeep();
const aside = computed(() => (data.value ? fitsSetAside(data.value) : []));
async function setAside(fit: CurrentFit, ended: boolean) {
  const sent = { dogId: fit.plan.dogId, planId: fit.plan.id, ended, note: '', at: new Date().toISOString() };
  if (await ending.keep(`/api/endings/${uuidv7()}`, Ending, sent)) await load();
}

async function putAway(away: boolean) {
  const { id, version, ...facts } = data.value!.dog;
  trouble.value = '';
  await send('PUT', `/api/dogs/${id}`, Dog, { ...facts, archivedAt: away ? new Date().toISOString() : null }, version).catch(
    (failure: unknown) => (trouble.value = failureSentence(failure)),
  );
  await load();
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" :dressing="data!.dressing" />
    <p v-if="data!.dog.archivedAt" class="mb-4 rounded bg-mind-wash p-3 text-mind">
      Put away.
      <button type="button" class="font-semibold underline" @click="putAway(false)">Bring {{ data!.dog.name }} back</button>
    </p>
    <p v-if="unreadable.length > 0" role="status" class="mb-4 rounded bg-mind-wash p-3 text-mind">
      {{ unreadableWords }} It is left out everywhere; the kennel’s file still has it.
    </p>
    <p v-if="trouble" role="alert" class="mb-4 rounded bg-stop-wash p-3 text-stop">{{ trouble }}</p>
    <WorkScreen drawing="The neck" style="--beside-drawing: 34rem; --drawing-column: 33rem">
      <template #decision>
        <VerdictMark :tone="step.tone" :word="marks[step.tone]" />
        <h1 class="mt-1">{{ decision }}</h1>
      </template>
      <template #drawing>
        <UnrolledNeck
          v-if="tape"
          :tape="tape"
          :name="data!.dog.name"
          :breed="data!.dog.breed"
          v-bind="drawnFits(fits, data!.dog, kennel, data!.dressing)"
          size="large"
        />
        <p v-else class="py-10 text-center text-soft">The neck is drawn here, to scale, once the high girth is taped.</p>
      </template>
      <WorkLeaves v-model="leaf" :leaves="leaves" label="The record">
        <template #happened>
          <DogTimeline v-model:part="part" :dog-id="neck.dogId" :kennel="kennel" :record="record" :wears="wears" />
        </template>
        <template #worn>
          <section aria-label="Fits">
            <ul class="mt-1 divide-y divide-line">
              <li v-for="fit in fits" :key="fit.plan.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
                <span class="block min-w-0 grow basis-60 first-letter:uppercase">{{ wornFitLine(fit, units.speak) }}, {{ fit.plan.inputs.collar.name }}</span>
                <span class="flex gap-4">
                  <RouterLink :to="{ path: `/dogs/${data!.dog.id}/check`, query: { kind: fit.plan.kind } }" class="underline">Check</RouterLink>
                  <button type="button" class="text-soft underline" @click="setAside(fit, true)">
                    Set aside
                    <span class="sr-only">the {{ collarKind(fit.plan.kind).name.toLowerCase() }}</span>
                  </button>
                </span>
              </li>
            </ul>
            <p v-for="fit in aside" :key="fit.plan.id" role="status" class="mt-2 text-soft">
              Set aside: {{ wornFitLine(fit, units.speak) }}, {{ fit.plan.inputs.collar.name }}.
              <button type="button" class="underline" @click="setAside(fit, false)">Wear it again</button>
            </p>
            <p v-if="ending.sentence.value" role="alert" class="text-stop">{{ ending.sentence.value }}</p>
          </section>
        </template>
        <template #dog>
          <dl class="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
            <dt class="text-soft sm:hidden">Dog</dt>
            <dd class="sm:hidden">{{ factsOf(data!.dog) }}</dd>
            <dt class="text-soft">Build</dt>
            <dd>{{ data!.dog.neckBuild }} neck, {{ PULL_WORDS[data!.dog.pull] }}, works on the {{ data!.dog.worksOn }}</dd>
            <template v-if="data!.dog.owner">
              <dt class="text-soft">Owner</dt>
              <dd class="break-words">{{ data!.dog.owner }}</dd>
            </template>
            <template v-if="data!.dog.notes">
              <dt class="text-soft">Notes</dt>
              <dd class="break-words whitespace-pre-line">{{ data!.dog.notes }}</dd>
            </template>
            <template v-if="girths.head">
              <dt class="text-soft">Head</dt>
              <dd>{{ units.exact(girths.head.tapedMm) }}</dd>
            </template>
          </dl>
          <div class="mt-3 flex flex-wrap gap-2">
            <RouterLink :to="`/dogs/${data!.dog.id}/edit`" class="press press-plain">Change</RouterLink>
            <button v-if="!data!.dog.archivedAt" type="button" class="press press-quiet" @click="putAway(true)">Put away</button>
          </div>
        </template>
        <template #kit><DogKit :page="data!" :dog="benchDog" /></template>
      </WorkLeaves>
      <template #action>
        <ActionBar v-if="step.goTo">
          <RouterLink :to="goToStep(data!.dog.id, step)" class="press press-main">
            {{ { screen: 'Screen', tape: 'Tape', bench: 'To the bench', check: 'Check the fit', edit: 'Weigh' }[step.goTo] }}
          </RouterLink>
        </ActionBar>
      </template>
    </WorkScreen>
  </LoadFrame>
</template>
