<script setup lang="ts">
/** Growth: what a growing dog asks for next, its curve to scale with how sure it is, and every weighing. */
import { collarKind, currentFits, dayOf, dogGrowth, GrowthPage, latestGirths, Weighing } from '@banter/contract';
import { GROWTH_REASON_WORDS, wordReason } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { ageWords, dayWords, todayIn } from '../parts/age.ts';
import { DogHeader } from '../shell/dog-header.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import VerdictMark from '../parts/VerdictMark.vue';
import { useYard } from '../stores/yard.ts';
import { useLaidOver } from '../stores/laid-over.ts';
import { useLoad } from '../stores/load.ts';
import { useNow } from '../stores/now.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { bedWords, endWords, growthSentence, outgrowthLines } from './growth/growth-words.ts';
import GrowthChart from './growth/GrowthChart.vue';
import WeighNow from './growth/WeighNow.vue';

const route = useRoute();
const session = useSession();
const units = useUnits();
const dogId = String(route.params.id);
const { data: loaded, state, sentence, load } = useLoad(() => `/api/dogs/${dogId}/growth`, GrowthPage);
const laid = useLaidOver();
const data = computed(() => laid(loaded.value));
const { now } = useNow(60_000);
const kennel = computed(() => session.kennel!);
const today = computed(() => todayIn(kennel.value.timeZone));
const girths = computed(() => latestGirths(data.value?.tapings ?? []));
const fits = computed(() => currentFits(data.value!));
const growth = computed(() => dogGrowth(data.value!, kennel.value, { now: now.value, today: today.value, speak: units.speak }));
const told = computed(() => (growth.value.missing === null ? growth.value : null));
const odd = computed(() => told.value?.reasons.flatMap((reason) => (reason.code === 'odd-weighing' ? [reason] : [])) ?? []);
const reasons = computed(
  () => told.value?.reasons.filter(({ code }) => code !== 'odd-weighing').map((one) => wordReason(GROWTH_REASON_WORDS, one, units.speak).text) ?? [],
);
const heading = computed(() => growthSentence(growth.value, data.value!.dog.name, data.value!.dog.bornOn, now.value));
const tone = computed(() => (told.value === null || odd.value.length > 0 ? 'mind' : 'good'));
const kg = (value: number) => units.weight(value * 1000);

/** Strikes a weighing out, or takes that back. */
const striking = useYard();
const struck = ref<{ id: string; weightG: number; at: string } | null>(null);
async function strike(one: { id: string; weightG: number; at: string }) {
  const id = uuidv7();
  const sent = { dogId, weightG: null, correctsId: one.id, note: 'Not this dog, or typed wrong.', at: new Date().toISOString() };
  if (!(await striking.keep('weighings', id, Weighing, sent, data.value!.dog.name))) return;
  struck.value = one;
  await load();
}
async function putBack() {
  const { weightG, at } = struck.value!;
  if (!(await striking.keep('weighings', uuidv7(), Weighing, { dogId, weightG, correctsId: null, note: '', at }, data.value!.dog.name))) return;
  struck.value = null;
  await load();
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="dog" @again="load">
    <DogHeader :dog="data!.dog" :girths="girths" :fits="fits" :kennel="kennel" />
    <VerdictMark :tone="tone" :word="odd.length > 0 ? 'Check' : told === null ? 'To do' : told.grown ? 'Grown' : 'Grows'" />
    <h1 class="mt-1">{{ heading }}</h1>
    <p v-if="growth.missing === 'born'" class="mt-2 max-w-[70ch]">
      Age turns weighings into a curve.
      <RouterLink :to="`/dogs/${dogId}/edit`" class="underline">Add its birth date</RouterLink>
    </p>
    <p v-else-if="growth.missing === 'weighed'" class="mt-2 max-w-[70ch]">One weighing starts the curve; each one makes it surer. Every 2 weeks is plenty.</p>
    <p v-for="reason in reasons" :key="reason" class="mt-1 max-w-[75ch] text-soft">{{ reason }}</p>
    <ul v-if="told && odd.length > 0" class="mt-3 space-y-2" aria-label="Weights to check">
      <li v-for="one in odd" :key="one.index" class="flex flex-wrap items-center gap-x-4 gap-y-1 rounded bg-mind-wash px-3 py-2 text-mind">
        <span class="min-w-0 grow basis-80">{{ wordReason(GROWTH_REASON_WORDS, one, units.speak).text }}</span>
        <button type="button" class="press press-plain" @click="strike(told.weighIns[one.index]!.weighing)">Delete entry</button>
      </li>
    </ul>
    <p v-if="struck" role="status" class="mt-3 text-soft">
      {{ units.exactWeight(struck.weightG) }} is deleted. It stays in the history.
      <button type="button" class="underline" @click="putBack">Undo</button>
    </p>
    <p v-if="striking.sentence.value" role="alert" class="mt-3 text-stop">{{ striking.sentence.value }}</p>

    <div class="mt-5 grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
      <div class="space-y-6">
        <section v-if="told" class="sheet" aria-label="How it grows">
          <GrowthChart :growth="told" :name="data!.dog.name" :odd="odd.map(({ index }) => index)" />
          <p class="mt-2 text-sm text-soft">
            Top: weight. Bottom: high girth as taped. Band: 95 % interval of the curve. Yellow line: today. Lines across: where a collar is let out, or
            outgrown. Girth goes with the cube root of weight.
          </p>
        </section>
        <section class="sheet" aria-labelledby="weigh">
          <h2 id="weigh">Weigh {{ data!.dog.name }}</h2>
          <WeighNow class="mt-3" :dog-id="dogId" :today="today" :name="data!.dog.name" @kept="load" />
        </section>
      </div>
      <div class="space-y-6 self-start">
        <section v-if="told && told.outgrows.length > 0" class="sheet" aria-labelledby="outgrows">
          <h2 id="outgrows">What it wears</h2>
          <div v-for="one in told.outgrows" :key="one.planId" class="border-t border-line py-3 first-of-type:border-0">
            <h3>{{ collarKind(one.kind).name }} {{ one.collarName }}</h3>
            <p v-if="!one.change && !one.outgrown" class="text-soft">Fits to the end of its growth.</p>
            <dl v-for="line in outgrowthLines(one, data!.dog.bornOn!, now, units.speak)" :key="line.what" class="mt-1">
              <dt class="flex flex-wrap justify-between gap-x-4">
                <span>{{ line.what }}</span>
                <span class="font-semibold">{{ line.when }}</span>
              </dt>
              <dd class="text-sm text-soft">{{ line.says }}</dd>
            </dl>
          </div>
        </section>
        <section v-if="told" class="sheet" aria-labelledby="grown">
          <h2 id="grown">Grown</h2>
          <p class="mt-1">{{ endWords(told, kg) }}</p>
          <p class="text-soft">A bed for then: {{ bedWords(told.bedMm, units.length) }} long.</p>
        </section>
        <section v-if="told" class="sheet" aria-labelledby="weighings">
          <h2 id="weighings">Weighings</h2>
          <table class="mt-2 w-full tabular-nums">
            <thead class="text-left text-sm text-soft">
              <tr>
                <th class="py-1 font-normal">Day</th>
                <th class="py-1 font-normal">Age</th>
                <th class="py-1 text-right font-normal">Weight</th>
                <th class="py-1"><span class="sr-only">Delete</span></th>
              </tr>
            </thead>
            <tbody class="divide-y divide-line">
              <tr v-for="one in [...told.weighIns].reverse()" :key="one.weighing.id">
                <td class="py-1.5">{{ dayWords(one.weighing.at, kennel.timeZone) }}</td>
                <td class="py-1.5 text-soft">{{ ageWords(data!.dog.bornOn!, dayOf(Date.parse(one.weighing.at), kennel.timeZone)) }}</td>
                <td class="py-1.5 text-right">{{ units.exactWeight(one.weighing.weightG) }}</td>
                <td class="py-1.5 pl-3 text-right">
                  <button
                    type="button"
                    class="text-sm text-soft underline"
                    :aria-label="`Delete ${units.exactWeight(one.weighing.weightG)}`"
                    @click="strike(one.weighing)"
                  >
                    delete
                  </button>
                </td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
    </div>
  </LoadFrame>
</template>
