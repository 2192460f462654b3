<script setup lang="ts">
/** Where the kennel works: what is allowed there by kind, who looked it up, when, and where it is written. */
import { COLLAR_KIND_NAMES, collarKind, lawAt, Place, PlacesPage, type CollarKindName, type PlaceFacts } from '@banter/contract';
import { houseRules, RESTRICTED_HAZARDS } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed } from 'vue';
import { dayWords, todayIn } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SaveBar from '../../work/SaveBar.vue';
import LoadFrame from '../../parts/LoadFrame.vue';
import TextField from '../../parts/TextField.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useKeep } from '../../stores/keep.ts';
import { useLoad } from '../../stores/load.ts';
import { useSession } from '../../stores/session.ts';
import { anObject, useDraft } from '../../stores/draft.ts';

const session = useSession();
const keeping = useKeep();
const { data, state, sentence, load } = useLoad(() => '/api/places', PlacesPage);
const today = todayIn(session.kennel!.timeZone);
const rules = computed(() => houseRules(session.kennel!.rules));
const restricted = (kind: CollarKindName) => collarKind(kind).hazards.some((hazard) => RESTRICTED_HAZARDS.includes(hazard));

type Form = PlaceFacts & { id: string; version: number | null };
const { draft: form } = useDraft('place-form', anObject<Form>().nullable(), () => null);
const asRecord = (place: Place): Form => JSON.parse(JSON.stringify(place)) as Form;
const begin = (): Form => ({
  id: uuidv7(),
  version: null,
  name: '',
  collars: {},
  checkedBy: session.me!.person.name,
  checkedOn: today,
  source: '',
  retiredAt: null,
});
const nameFault = computed(() => (form.value && form.value.name.trim() === '' ? 'A place needs a name.' : ''));
const words = [
  { value: 'allowed', label: 'Allowed' },
  { value: 'not-allowed', label: 'Not allowed' },
  { value: 'unknown', label: 'Not checked' },
] as const;
function setWord(kind: CollarKindName, word: 'allowed' | 'not-allowed' | 'unknown' | null) {
  const collars = { ...form.value!.collars };
  if (word === 'allowed' || word === 'not-allowed') collars[kind] = word;
  else delete collars[kind];
  form.value = { ...form.value!, collars };
}
async function keep() {
  if (!form.value || nameFault.value) return;
  const { id, version, ...facts } = form.value;
  if (!(await keeping.keep(`/api/places/${id}`, Place, { ...facts, name: facts.name.trim(), checkedOn: facts.checkedOn || null }, version))) return;
  form.value = null;
  await load();
}
/** What each restricted kind comes to at a place. */
const stands = (place: Place) =>
  COLLAR_KIND_NAMES.filter((kind) => restricted(kind) || place.collars[kind]).map((kind) => {
    const result = lawAt(kind, collarKind(kind).hazards, place, today, rules.value.lawCheckDays);
    return {
      kind,
      tone: result.blocked ? ('stop' as const) : ['check-again', 'never-checked'].includes(result.status) ? ('mind' as const) : ('good' as const),
      word: { 'not-allowed': 'not allowed', 'never-checked': 'not checked', 'check-again': 'check again', allowed: 'allowed', 'not-restricted': 'allowed' }[
        result.status
      ],
    };
  });
const shown = computed(() => (data.value?.places ?? []).filter((place) => place.retiredAt === null));
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the places" @again="load">
    <p class="max-w-[46rem]">
      Some places restrict or ban prong or electronic collars. What is not allowed cannot be planned there; what was never checked, or not for
      {{ rules.lawCheckDays }} days, asks for a check. Banter knows no law: somebody has to check.
    </p>
    <form v-if="form" class="sheet mt-4 max-w-3xl space-y-4" novalidate @submit.prevent="keep">
      <TextField
        v-model="form.name"
        label="Place"
        hint="A county, a town, a country: as far as one law goes."
        :error="keeping.errorAt('name') || (form.name ? nameFault : '')"
      />
      <div class="grid gap-4 sm:grid-cols-2">
        <ChoiceRow
          v-for="kind in COLLAR_KIND_NAMES.filter(restricted)"
          :key="kind"
          :model-value="form.collars[kind] ?? 'unknown'"
          :label="collarKind(kind).name"
          :answers="words"
          quiet
          @update:model-value="(word) => setWord(kind, word)"
        />
      </div>
      <details>
        <summary class="font-semibold">Other kinds, where the law names them</summary>
        <div class="mt-2 grid gap-4 sm:grid-cols-2">
          <ChoiceRow
            v-for="kind in COLLAR_KIND_NAMES.filter((one) => !restricted(one))"
            :key="kind"
            :model-value="form.collars[kind] ?? 'unknown'"
            :label="collarKind(kind).name"
            :answers="words"
            quiet
            @update:model-value="(word) => setWord(kind, word)"
          />
        </div>
      </details>
      <div class="grid gap-4 sm:grid-cols-2">
        <TextField v-model="form.checkedBy" label="Checked by" :error="keeping.errorAt('checkedBy')" />
        <TextField
          :model-value="form.checkedOn ?? ''"
          type="date"
          label="On"
          :error="keeping.errorAt('checkedOn')"
          @update:model-value="(day) => (form = { ...form!, checkedOn: day || null })"
        />
      </div>
      <TextField v-model="form.source" label="Where it is written" hint="So that the next person finds it." :error="keeping.errorAt('source')" />
      <SaveBar by="lead" :keeping="keeping" label="Save place" :disabled="nameFault !== ''" @newer="((form = null), load())">
        <button type="button" class="press press-quiet" @click="form = null">Cancel</button>
        <button
          v-if="form.version !== null"
          type="button"
          class="press press-quiet ml-auto"
          @click="((form = { ...form!, retiredAt: new Date().toISOString() }), keep())"
        >
          Put away
        </button>
      </SaveBar>
    </form>
    <template v-else>
      <button type="button" class="press press-main mt-4" @click="form = begin()">Add a place</button>
      <p v-if="shown.length === 0" class="sheet mt-4">No place yet. Without one, prong and electronic collars cannot be planned.</p>
      <ul v-else class="mt-4 divide-y divide-line border-y border-line">
        <li v-for="place in shown" :key="place.id" class="grid gap-x-6 gap-y-2 py-4 md:grid-cols-[14rem_minmax(0,1fr)_auto]">
          <div>
            <p class="font-display text-lg font-semibold">{{ place.name }}</p>
            <p class="text-sm text-soft">
              {{ place.checkedOn ? `${place.checkedBy}, ${dayWords(place.checkedOn, session.kennel!.timeZone)}` : 'Not checked yet' }}
            </p>
            <p v-if="place.source" class="text-sm text-soft">{{ place.source }}</p>
          </div>
          <ul class="flex flex-wrap content-start gap-x-6 gap-y-2">
            <li v-for="one in stands(place)" :key="one.kind" class="flex items-center gap-2">
              {{ collarKind(one.kind).name }}
              <VerdictMark class="text-sm" :tone="one.tone" :word="one.word" />
            </li>
          </ul>
          <button type="button" class="press press-plain self-start" @click="form = asRecord(place)">
            Check again
            <span class="sr-only">for {{ place.name }}</span>
          </button>
        </li>
      </ul>
    </template>
  </LoadFrame>
</template>
