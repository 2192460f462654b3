<script setup lang="ts">
/** Leads, lines, clips, beds and the rest, with their sizes and condition. */
import { GEAR, Gear, type GearFacts, type GearName, type LockerPage } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { PIECE_WORDS, type Condition } from '@banter/core';
import { CONDITION_ANSWERS } from '../../parts/condition-words.ts';
import { loadRatedOf, RATED_ANSWERS, ratedOf } from '../../parts/load-rating-words.ts';
import SaveBar from '../../work/SaveBar.vue';
import MeasureField from '../../parts/MeasureField.vue';
import TextField from '../../parts/TextField.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useKeep } from '../../stores/keep.ts';
import { useUnits } from '../../stores/units.ts';
import { longWords } from '../../parts/long-words.ts';
import { anObject, useDraft } from '../../stores/draft.ts';

const props = defineProps<{ locker: LockerPage }>();
const emit = defineEmits<{ changed: [] }>();
const units = useUnits();
const keeping = useKeep();

type Form = {
  id: string;
  version: number | null;
  what: GearName;
  name: string;
  length: string;
  width: string;
  colour: string;
  material: string;
  condition: Condition;
  massG: number | null;
  loadRated: boolean | null;
  note: string;
  retiredAt: string | null;
};
const { draft: form } = useDraft('gear', anObject<Form>().nullable(), () => null);
const mm = ref<{ length: number | null; width: number | null }>({ length: null, width: null });
const begin = (): Form => ({
  id: uuidv7(),
  version: null,
  what: 'leash',
  name: '',
  length: '',
  width: '',
  colour: '',
  material: '',
  condition: 'sound',
  massG: null,
  loadRated: null,
  note: '',
  retiredAt: null,
});
const said = (length: number | null) => (length === null ? '' : units.typed(length));
const edit = ({ lengthMm, widthMm, ...gear }: Gear) => (form.value = { ...gear, length: said(lengthMm), width: said(widthMm) });
const rated = computed({
  get: () => ratedOf(form.value?.loadRated ?? null),
  set: (said) => form.value && (form.value.loadRated = loadRatedOf(said)),
});
const nameFault = computed(() => (form.value?.name.trim() === '' ? 'Give it a name, so that it can be told from the others.' : ''));
const unread = computed(
  () => form.value !== null && ((form.value.length.trim() !== '' && mm.value.length === null) || (form.value.width.trim() !== '' && mm.value.width === null)),
);
async function keep(retire = false) {
  if (!form.value || nameFault.value || unread.value) return;
  const { id, version, length, width, ...rest } = form.value;
  const facts: GearFacts = {
    ...rest,
    name: rest.name.trim(),
    lengthMm: length.trim() ? mm.value.length : null,
    widthMm: width.trim() ? mm.value.width : null,
    retiredAt: retire ? new Date().toISOString() : rest.retiredAt,
  };
  if (!(await keeping.keep(`/api/gear/${id}`, Gear, facts, version))) return;
  form.value = null;
  emit('changed');
}
const here = computed(() =>
  GEAR.map((what) => ({ what, pieces: props.locker.gear.filter((one) => one.what === what && one.retiredAt === null) })).filter(
    ({ pieces }) => pieces.length > 0,
  ),
);
const sizeOf = (one: Gear) =>
  [
    one.lengthMm && longWords(one.lengthMm, units.length),
    one.widthMm && `${units.gap(one.widthMm)} wide`,
    one.colour,
    one.material,
    one.loadRated === null ? '' : one.loadRated ? 'rated for load' : 'not rated for load',
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <div>
    <form v-if="form" class="sheet max-w-3xl space-y-4" novalidate @submit.prevent="keep()">
      <ChoiceRow v-model="form.what" label="What it is" :answers="GEAR.map((value) => ({ value, label: value }))" quiet />
      <div class="grid gap-4 sm:grid-cols-2">
        <TextField v-model="form.name" label="Name" :error="keeping.errorAt('name') || (form.name ? nameFault : '')" />
        <TextField v-model="form.colour" :label="$spell('Colour')" hint="Orange is hard for dogs to see, blue and yellow easy." />
        <MeasureField
          v-model="form.length"
          label="Length"
          hint="4 ft, 30 ft, 1.2 m"
          :expected="{ possibleMm: [1, 40000] }"
          @read="(value) => (mm = { ...mm, length: value })"
        />
        <MeasureField v-model="form.width" label="Width" :expected="{ possibleMm: [1, 3000] }" @read="(value) => (mm = { ...mm, width: value })" />
        <TextField v-model="form.material" label="Material" />
        <ChoiceRow v-model="form.condition" label="Condition" :answers="CONDITION_ANSWERS" quiet />
        <ChoiceRow v-if="form.what === 'carabiner'" v-model="rated" label="Is it rated for load?" :answers="RATED_ANSWERS" quiet />
      </div>
      <TextField v-model="form.note" label="Note" :rows="2" />
      <SaveBar :keeping="keeping" label="Save" :disabled="nameFault !== '' || unread" @newer="((form = null), emit('changed'))">
        <button type="button" class="press press-quiet" @click="form = null">Cancel</button>
        <button v-if="form.version !== null" type="button" class="press press-quiet ml-auto" @click="keep(true)">Scrap it</button>
      </SaveBar>
    </form>
    <button v-else type="button" class="press press-main" @click="form = begin()">Add a piece</button>
    <p v-if="here.length === 0" class="sheet mt-4">Leads, long lines, clips, beds and pouches stand here, for the kit of each dog.</p>
    <section v-for="group in here" :key="group.what" class="mt-5" :aria-label="group.what">
      <h2 class="text-soft first-letter:uppercase">{{ group.what }}</h2>
      <ul class="mt-1 divide-y divide-line border-y border-line">
        <li v-for="one in group.pieces" :key="one.id" class="flex flex-wrap items-center gap-x-6 gap-y-1 py-2.5">
          <span class="w-48 font-semibold">{{ one.name }}</span>
          <span class="grow text-soft">{{ sizeOf(one) }}{{ one.note ? `. ${one.note}` : '' }}</span>
          <VerdictMark v-if="one.condition !== 'sound'" class="text-sm" tone="mind" :word="PIECE_WORDS[one.condition].word" />
          <button type="button" class="press press-plain" @click="edit(one)">
            Change
            <span class="sr-only">{{ one.name }}</span>
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>
