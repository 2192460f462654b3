<script setup lang="ts">
/** Add a dog, or change one. What is typed is kept on this device until it is saved. */
import { birthDateFault, Dog, DogFacts, PlacesPage, RecordId, z } from '@banter/contract';
import { BREEDS, breedOf, guessedWeightKg, unusualWeight, ACQUAINTANCES, MANNER_WORDS, MANNERS, NOTHING_NOTED } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { send } from '../api/request.ts';
import { ageWords, bornFromAge, todayIn } from '../parts/age.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import SaveBar from '../work/SaveBar.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import OwnHouse from '../parts/OwnHouse.vue';
import TextField from '../parts/TextField.vue';
import WeightField from '../parts/WeightField.vue';
import { useDraft } from '../stores/draft.ts';
import { useKeep } from '../stores/keep.ts';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { withUnit } from '../parts/measure-units.ts';
import { useAtLeast } from '../stores/widths.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const units = useUnits();
const keeping = useKeep();
const editing = route.name === 'edit-dog' ? String(route.params.id) : null;
const zone = session.kennel!.timeZone;
const today = todayIn(zone);

const Form = z.object({
  id: RecordId,
  version: z.number().nullable(),
  name: z.string(),
  breed: z.string(),
  sex: z.enum(['female', 'male', 'unknown']),
  bornBy: z.enum(['date', 'age']),
  bornOn: z.string(),
  age: z.string(),
  weight: z.string(),
  massUnit: z.enum(['lb', 'kg']),
  neckBuild: z.enum(['slender', 'average', 'heavy']),
  pull: z.enum(['settled', 'pulls', 'drags']),
  worksOn: z.enum(['left', 'right']),
  acquaintance: DogFacts.shape.acquaintance,
  manner: DogFacts.shape.manner,
  nickel: DogFacts.shape.nickel,
  saltWater: DogFacts.shape.saltWater,
  heelLine: z.string(),
  toolsWhere: DogFacts.shape.toolsWhere,
  owner: z.string(),
  notes: z.string(),
  placeId: z.string().nullable(),
  house: DogFacts.shape.house,
  archivedAt: z.string().nullable(),
});
type Form = z.infer<typeof Form>;

const empty = (): Form => ({
  id: uuidv7(),
  version: null,
  name: '',
  breed: '',
  sex: 'unknown',
  bornBy: 'date',
  bornOn: '',
  age: '',
  weight: '',
  massUnit: units.mass,
  neckBuild: 'average',
  pull: 'pulls',
  worksOn: 'left',
  ...NOTHING_NOTED,
  heelLine: '',
  toolsWhere: null,
  owner: '',
  notes: '',
  placeId: null,
  house: null,
  archivedAt: null,
});
const { draft, restored, discard, settle } = useDraft(editing ? `dog.${editing}` : 'dog.new', Form, empty);
draft.value.weight = draft.value.massUnit === units.mass ? draft.value.weight : withUnit(draft.value.weight, draft.value.massUnit);
watch(
  () => units.mass,
  (unit) => (draft.value.massUnit = unit),
  { immediate: true },
);

const loaded = editing ? useLoad(() => `/api/dogs/${editing}`, Dog) : null;
function fill(dog: Dog) {
  settle({
    ...dog,
    bornBy: dog.bornGuessed ? 'age' : 'date',
    bornOn: dog.bornGuessed ? '' : (dog.bornOn ?? ''),
    age: dog.bornGuessed && dog.bornOn ? ageWords(dog.bornOn, today) : '',
    weight: dog.weightG === null ? '' : units.weight(dog.weightG),
    massUnit: units.mass,
  });
}
if (loaded) watch(loaded.data, (dog) => dog && !restored.value && fill(dog));

const YES_NO = [
  { value: '', label: 'Not noted' },
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
];
const said = (noted: boolean | null) => (noted === null ? '' : noted ? 'yes' : 'no');
const heard = (now: string | null) => (now === 'yes' ? true : now === 'no' ? false : null);
const BREED_NAMES = BREEDS.map(({ name }) => name);
/** What the breed guide says of what is written, as a marked guess; and doubts about the weight, asked about and never refused. */
const breed = computed(() => breedOf(draft.value.breed));
const guess = computed(() => {
  if (!breed.value) return '';
  const { neckBuild, backOut, skull, throat, source } = breed.value;
  const told = [
    `about ${units.weight(guessedWeightKg(breed.value, draft.value.sex) * 1000)}`,
    `${neckBuild} neck`,
    `${skull} skull`,
    backOut === 'easily' ? 'backs out easily' : '',
    throat === 'toy' ? 'a toy breed’s throat' : throat === 'breathing' ? 'breathing that bears no pressure' : '',
  ];
  return `Usual in the breed, ${source}: ${told.filter(Boolean).join(', ')}. A guess until taped.`;
});
const odd = computed(() => breed.value !== null && weightG.value !== null && unusualWeight(breed.value, draft.value.sex, weightG.value / 1000));
/** A new dog takes its neck from its breed until somebody says otherwise. */
let chosenNeck = editing !== null || restored.value;
watch(breed, (now) => {
  if (now && !chosenNeck) draft.value.neckBuild = now.neckBuild;
});
const places = useLoad(() => '/api/places', PlacesPage);
const placeAnswers = computed(() => [
  { value: '', label: 'Not said' },
  ...(places.data.value?.places ?? []).filter(({ retiredAt }) => retiredAt === null).map(({ id, name }) => ({ value: id, label: name })),
]);

const weightG = ref<number | null>(null);
const tried = ref(false);
/** An unchanged rough age keeps its birth date, so that opening the form does not move it. */
const bornOn = computed(() => {
  if (draft.value.bornBy === 'date') return draft.value.bornOn || null;
  const before = loaded?.data.value;
  if (before?.bornGuessed && before.bornOn && draft.value.age === ageWords(before.bornOn, today)) return before.bornOn;
  return bornFromAge(draft.value.age, today);
});
const weightKept = computed(() => {
  const before = loaded?.data.value;
  return before?.weightG && draft.value.weight === units.weight(before.weightG) ? before.weightG : weightG.value;
});
const faults = computed<Record<string, string>>(() => {
  const facts = factsOf();
  const parsed = DogFacts.safeParse(facts);
  const found: Record<string, string> = parsed.success ? {} : Object.fromEntries(parsed.error.issues.map((issue) => [issue.path.join('.'), issue.message]));
  if (found.name === 'This is empty.') found.name = 'A dog needs a name.';
  const born = birthDateFault(bornOn.value, today);
  if (born) found.bornOn = born;
  if (draft.value.bornBy === 'age' && draft.value.age.trim() && bornOn.value === null) found.bornOn = 'Write the age as 14 weeks, 8 months or 2 years.';
  if (draft.value.weight.trim() && weightKept.value === null) found.weightG = 'The weight cannot be read yet.';
  return found;
});
const error = (path: string) => (tried.value ? faults.value[path] || keeping.errorAt(path) : keeping.errorAt(path)) || undefined;
const early = (path: string) => (faults.value[path]?.includes('too long') || faults.value[path]?.includes('future') ? faults.value[path] : error(path));

function factsOf(): DogFacts {
  const {
    name,
    breed,
    sex,
    neckBuild,
    pull,
    worksOn,
    acquaintance,
    manner,
    nickel,
    saltWater,
    heelLine,
    toolsWhere,
    owner,
    notes,
    placeId,
    house,
    archivedAt,
  } = draft.value;
  return {
    name: name.trim(),
    breed: breed.trim(),
    sex,
    neckBuild,
    pull,
    worksOn,
    acquaintance,
    manner,
    nickel,
    saltWater,
    heelLine: heelLine.trim(),
    toolsWhere,
    owner: owner.trim(),
    notes,
    placeId,
    house,
    archivedAt,
    bornOn: bornOn.value,
    bornGuessed: draft.value.bornBy === 'age' && bornOn.value !== null,
    weightG: weightKept.value,
  };
}
/** What bears on few dogs is a line until something of it is said. */
const desk = useAtLeast('sm');
const moreIsSaid = computed(() => {
  const { acquaintance, manner, nickel, saltWater, placeId } = draft.value;
  return [acquaintance, manner, nickel, saltWater].some((one) => one !== null) || (placeAnswers.value.length > 2 && placeId !== null);
});
async function keep() {
  tried.value = true;
  if (Object.keys(faults.value).length > 0) return;
  const kept = await keeping.keep(`/api/dogs/${draft.value.id}`, Dog, factsOf(), draft.value.version);
  if (!kept) return;
  discard();
  await router.push(editing ? `/dogs/${kept.id}` : `/dogs/${kept.id}/screen`);
}
async function showTheirs() {
  const theirs = await send('GET', `/api/dogs/${draft.value.id}`, Dog).catch(() => null);
  if (!theirs) return;
  if (loaded) loaded.data.value = theirs;
  fill(theirs);
  keeping.state.value = 'still';
  keeping.conflict.value = null;
}
function startAfresh() {
  discard();
  if (loaded?.data.value) fill(loaded.data.value);
}
</script>

<template>
  <LoadFrame :state="loaded ? loaded.state.value : 'ready'" :sentence="loaded?.sentence.value ?? ''" thing="this dog" @again="loaded?.load()">
    <form class="mx-auto max-w-3xl" novalidate @submit.prevent="keep">
      <h1>{{ editing ? `Change ${draft.name || 'this dog'}` : 'Add a dog' }}</h1>
      <p v-if="restored" class="mt-2 text-soft">
        Picked up where you left off.
        <button type="button" class="underline" @click="startAfresh">Start over</button>
      </p>
      <div class="sheet mt-4 grid gap-x-6 gap-y-5 sm:grid-cols-2">
        <TextField v-model="draft.name" label="Name" :error="early('name')" required />
        <TextField
          v-model="draft.breed"
          label="Breed or cross"
          :hint="guess || 'Any words; suggestions as you type.'"
          :options="BREED_NAMES"
          :error="early('breed')"
        />
        <ChoiceRow
          v-model="draft.sex"
          label="Sex"
          :answers="[
            { value: 'female', label: 'Bitch' },
            { value: 'male', label: 'Dog' },
            { value: 'unknown', label: 'Not noted' },
          ]"
        />
        <div>
          <ChoiceRow
            v-model="draft.bornBy"
            label="Born"
            :answers="[
              { value: 'date', label: 'Birth date' },
              { value: 'age', label: 'Rough age' },
            ]"
          />
          <TextField v-if="draft.bornBy === 'date'" v-model="draft.bornOn" class="mt-3" label="Birth date" type="date" :error="early('bornOn')" />
          <TextField v-else v-model="draft.age" class="mt-3" label="Age" hint="14 weeks, 8 months, 2 years" :error="early('bornOn')" />
        </div>
        <WeightField
          v-model="draft.weight"
          label="Weight"
          hint="The schools choose the gauge by it. 28.5, 28.5 kg, 62 lb."
          :error="error('weightG') || (odd ? `Unusual for ${breed!.name}. Is it right? It is saved as written.` : undefined)"
          @read="(grams) => (weightG = grams)"
        />
        <ChoiceRow
          :model-value="draft.neckBuild"
          label="Neck"
          hint="For a first guess of the girth."
          :answers="[
            { value: 'slender', label: 'Slender' },
            { value: 'average', label: 'Average' },
            { value: 'heavy', label: 'Heavy' },
          ]"
          @update:model-value="(neck) => ((chosenNeck = true), (draft.neckBuild = neck!))"
        />
        <ChoiceRow
          v-model="draft.pull"
          label="On the leash"
          :answers="[
            { value: 'settled', label: 'Walks settled' },
            { value: 'pulls', label: 'Pulls' },
            { value: 'drags', label: 'Drags its handler' },
          ]"
        />
        <ChoiceRow
          v-model="draft.worksOn"
          label="Works on the handler’s"
          :answers="[
            { value: 'left', label: 'Left' },
            { value: 'right', label: 'Right' },
          ]"
        />
        <TextField v-model="draft.owner" label="Owner" :error="early('owner')" />
        <TextField v-model="draft.notes" label="Notes" :rows="3" :error="early('notes')" />
      </div>
      <details class="sheet mt-4 py-1!" :open="desk && moreIsSaid">
        <summary class="flex min-h-12 cursor-pointer items-center font-display text-lg font-semibold">Manner, metal, place</summary>
        <div class="grid gap-x-6 gap-y-5 pb-3 sm:grid-cols-2">
          <ChoiceRow
            :model-value="draft.acquaintance ?? ''"
            label="New to us, or known"
            :answers="[
              { value: '', label: 'Not noted' },
              { value: 'new', label: 'New' },
              { value: 'known', label: 'Known' },
            ]"
            @update:model-value="(now) => (draft.acquaintance = ACQUAINTANCES.find((one) => one === now) ?? null)"
          />
          <ChoiceRow
            :model-value="draft.manner ?? ''"
            label="With other dogs and people"
            hint="Steers which collar comes first."
            :answers="[{ value: '', label: 'Not noted' }, ...MANNERS.map((value) => ({ value, label: MANNER_WORDS[value] }))]"
            @update:model-value="(now) => (draft.manner = MANNERS.find((one) => one === now) ?? null)"
          />
          <ChoiceRow
            :model-value="said(draft.nickel)"
            label="Reacts to nickel"
            hint="Then no plated collar is proposed."
            :answers="YES_NO"
            @update:model-value="(now) => (draft.nickel = heard(now))"
          />
          <ChoiceRow
            :model-value="said(draft.saltWater)"
            label="Works in salt water"
            hint="Then stainless comes first."
            :answers="YES_NO"
            @update:model-value="(now) => (draft.saltWater = heard(now))"
          />
          <ChoiceRow
            v-if="placeAnswers.length > 1"
            :model-value="draft.placeId ?? ''"
            label="Works at"
            hint="For the local law."
            :answers="placeAnswers"
            class="sm:col-span-2"
            @update:model-value="(id) => (draft.placeId = id || null)"
          />
        </div>
      </details>
      <OwnHouse v-model="draft.house" :error="(path) => error(path)" class="mt-4" />
      <SaveBar class="mt-4" :keeping="keeping" :label="editing ? 'Save change' : 'Save and screen'" @newer="showTheirs">
        <RouterLink :to="editing ? `/dogs/${editing}` : '/dogs'" class="press press-quiet">Cancel</RouterLink>
        <button
          v-if="editing"
          type="button"
          class="press press-quiet ml-auto"
          @click="((draft.archivedAt = draft.archivedAt ? null : new Date().toISOString()), keep())"
        >
          {{ draft.archivedAt ? 'Bring back' : 'Put away' }}
        </button>
      </SaveBar>
      <p v-if="tried && Object.keys(faults).length > 0" role="alert" class="mt-2 font-semibold text-stop">Not saved yet: something above needs another look.</p>
    </form>
  </LoadFrame>
</template>
