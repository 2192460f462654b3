<script setup lang="ts">
/** Where a collar will be worn, with what the law of each place says of its kind. A kennel’s only place is not asked; another can be added on the spot. */
import { collarKind, Place, type CollarKindName, type PlaceFacts } from '@banter/contract';
import { RESTRICTED_HAZARDS, type LawResult } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { useKeep } from '../stores/keep.ts';
import { useSession } from '../stores/session.ts';
import { dayWords, todayIn } from './age.ts';
import ChoiceRow from './ChoiceRow.vue';
import TextField from './TextField.vue';
import { useTyped } from '../stores/draft.ts';

const props = defineProps<{
  kind: CollarKindName;
  places: readonly Place[];
  law: (kind: CollarKindName, placeId: string | null) => LawResult;
  error?: string;
}>();
const chosen = defineModel<string | null>({ required: true });
const emit = defineEmits<{ added: [] }>();

const session = useSession();
const keeping = useKeep();
const here = computed(() => props.places.filter((place) => place.retiredAt === null));
const restricted = computed(() => collarKind(props.kind).hazards.some((hazard) => RESTRICTED_HAZARDS.includes(hazard)));
const result = computed(() => props.law(props.kind, chosen.value));
const place = computed(() => here.value.find(({ id }) => id === chosen.value) ?? null);
const kindName = computed(() => collarKind(props.kind).name.toLowerCase());
const dayOf = ({ checkedOn }: Place) => (checkedOn ? dayWords(checkedOn, session.kennel!.timeZone) : '');
const words = computed(() => {
  switch (result.value.status) {
    case 'not-allowed':
      return { tone: 'stop', text: `Not allowed at ${place.value!.name}: it cannot be planned there.` };
    case 'never-checked':
      return place.value
        ? { tone: 'mind', text: `Local law at ${place.value.name} not checked for a ${kindName.value} collar.` }
        : { tone: 'mind', text: 'Some places restrict or ban it. Check, then say where it will be worn.' };
    case 'check-again':
      return { tone: 'mind', text: `Allowed when ${place.value!.checkedBy} checked on ${dayOf(place.value!)}: check again.` };
    case 'allowed':
      return { tone: 'good', text: `Allowed at ${place.value!.name}, as ${place.value!.checkedBy} found on ${dayOf(place.value!)}.` };
    default:
      return null;
  }
});
const tones = { stop: 'bg-stop-wash text-stop', mind: 'bg-mind-wash text-mind', good: 'text-good' } as const;
const answers = computed(() => here.value.map(({ id, name }) => ({ value: id, label: name })));

const adding = ref(false);
const { name } = useTyped('place', { name: '' });
async function keepPlace(facts: PlaceFacts, id: string, version: number | null) {
  const kept = await keeping.keep(`/api/places/${id}`, Place, facts, version);
  if (!kept) return;
  chosen.value = id;
  adding.value = false;
  name.value = '';
  emit('added');
}
const checkedNow = () => ({ checkedBy: session.me!.person.name, checkedOn: todayIn(session.kennel!.timeZone) });
function add() {
  void keepPlace({ name: name.value.trim(), collars: { [props.kind]: 'allowed' }, ...checkedNow(), source: '', retiredAt: null }, uuidv7(), null);
}
function looked(word: 'allowed' | 'not-allowed') {
  const { id, version, ...facts } = place.value!;
  void keepPlace({ ...facts, collars: { ...facts.collars, [props.kind]: word }, ...checkedNow() }, id, version);
}
</script>

<template>
  <div>
    <ChoiceRow
      v-if="answers.length > 1"
      :model-value="chosen"
      label="Where it will be worn"
      :answers="answers"
      quiet
      @update:model-value="(id) => (chosen = id)"
    />
    <p v-else-if="restricted && answers.length === 0" class="font-semibold">Where will it be worn?</p>
    <p v-if="words && (restricted || words.tone === 'stop')" class="mt-2 rounded p-2" :class="tones[words.tone as 'stop']" role="status">
      {{ words.text }}
      <span v-if="place && result.status !== 'not-allowed' && result.status !== 'allowed'" class="mt-1 flex flex-wrap gap-2">
        <button type="button" class="press press-plain" @click="looked('allowed')">I checked: it is allowed</button>
        <button type="button" class="press press-plain" @click="looked('not-allowed')">It is not</button>
      </span>
    </p>
    <div v-if="restricted || adding" class="mt-2">
      <button v-if="!adding" type="button" class="press press-quiet min-h-9" @click="adding = true">Add a place</button>
      <div v-else class="flex flex-wrap items-end gap-3">
        <TextField v-model="name" label="Place" hint="Only once you have checked that it is allowed there." :error="keeping.errorAt('name')" />
        <button type="button" class="press press-plain" :disabled="name.trim() === ''" @click="add">Allowed there: add it</button>
        <button type="button" class="press press-quiet" @click="adding = false">Cancel</button>
      </div>
    </div>
    <p v-if="error || keeping.sentence.value" class="mt-1 font-semibold text-stop" role="alert">{{ error || keeping.sentence.value }}</p>
  </div>
</template>
