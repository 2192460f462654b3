<script setup lang="ts">
/** The programmes for what this dog wears: its house's school first, the other school's with its school said. Begun from a date. */
import { houseOf, Programme, type Dog, type Kennel, type KennelTemplate, collarKind, COLLAR_KIND_NAMES, type CollarKindName } from '@banter/contract';
import { schoolName, schoolSays, programmesFor, PROGRAMME_TEMPLATES, type ProgrammeTemplate, listWords, type ProgrammeId } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { todayIn } from '../../parts/age.ts';
import { useKeep } from '../../stores/keep.ts';
import { useTyped } from '../../stores/draft.ts';
import { useUnits } from '../../stores/units.ts';

const props = defineProps<{ dog: Dog; kinds: readonly CollarKindName[]; kennel: Kennel; running: readonly string[]; own: readonly KennelTemplate[] }>();
const emit = defineEmits<{ started: [] }>();
const keeping = useKeep();
const units = useUnits();
const house = computed(() => houseOf(props.kennel, props.dog));
const all = ref(false);
const offered = computed(() => {
  const fits = programmesFor(
    props.kinds.flatMap((kind) => collarKind(kind).traits.programmes),
    house.value.schools,
  );
  return (all.value || fits.length === 0 ? [...fits, ...PROGRAMME_TEMPLATES.filter((one) => !fits.includes(one))] : fits).map((template) => ({
    template,
    school: template.school && {
      name: schoolName(template.school.name, template.school.side),
      says: schoolSays(template.school.name, template.school.side, house.value.rules, units.speak),
    },
    other: template.school !== null && house.value.schools[template.school.name] !== template.school.side,
    fits: fits.includes(template),
    runs: props.running.includes(template.id),
  }));
});
const { startsOn } = useTyped(`programme-begins.${props.dog.id}`, { startsOn: todayIn(props.kennel.timeZone) });
const id = uuidv7();
/** The kennel's own come first: whoever wrote them wants them. */
const own = computed(() =>
  props.own.filter((one) => !one.retired && (all.value || props.kinds.length === 0 || one.kinds.some((kind) => props.kinds.includes(kind)))),
);
/** Those that come first; the others when they are wanted. */
const listed = ref(6);
/** The kinds of collar that a programme is worked with, in words. */
const kindsFor = (id: ProgrammeId) =>
  listWords(
    COLLAR_KIND_NAMES.filter((kind) => collarKind(kind).traits.programmes.includes(id)).map((kind) => collarKind(kind).traits.noun),
    'or',
  );
async function start({ id: templateId, name, stages }: Pick<ProgrammeTemplate, 'name' | 'stages'> & { id: string }) {
  const kept = await keeping.keep(`/api/programmes/${id}`, Programme, {
    dogId: props.dog.id,
    templateId,
    name,
    stages,
    startsOn: startsOn.value,
    state: 'running',
    note: '',
  });
  if (kept) emit('started');
}
/** What is asked for is there whole. */
const shown = computed(() => (all.value ? offered.value : offered.value.slice(0, listed.value)));
</script>

<template>
  <div>
    <label class="block max-w-60">
      <span class="font-semibold">From</span>
      <input v-model="startsOn" type="date" class="field" required />
    </label>
    <p v-if="keeping.sentence.value" class="mt-2 font-semibold text-stop" role="alert">{{ keeping.sentence.value }}</p>
    <p v-if="kinds.length === 0" class="mt-3 text-mind">No collar is fitted yet; what a {{ $spell('programme') }} needs is fitted at the bench.</p>
    <ul v-if="own.length > 0" class="mt-4 divide-y divide-line border-t border-line" aria-label="The kennel’s own">
      <li v-for="one in own" :key="one.id" class="grid gap-x-6 gap-y-2 py-4 sm:grid-cols-[minmax(0,1fr)_auto]">
        <div>
          <h2>{{ one.name }}</h2>
          <p>{{ one.about }}</p>
          <p class="mt-1 text-sm text-soft">{{ one.stages.map(({ name }) => name).join(' → ') }}</p>
          <p class="mt-1 text-sm text-soft">The kennel’s own.</p>
        </div>
        <button
          type="button"
          class="press press-main self-center"
          :disabled="running.includes(one.id) || startsOn === '' || keeping.state.value === 'sending'"
          @click="start(one)"
        >
          {{ running.includes(one.id) ? 'Runs already' : 'Begin' }}<span class="sr-only">: {{ one.name }}</span>
        </button>
      </li>
    </ul>
    <ul class="divide-y divide-line border-y border-line" :class="own.length === 0 && 'mt-4'">
      <li v-for="{ template, school, other, fits, runs } in shown" :key="template.id" class="grid gap-x-6 gap-y-2 py-4 sm:grid-cols-[minmax(0,1fr)_auto]">
        <div>
          <h2>{{ template.name }}</h2>
          <p>{{ template.about }}</p>
          <p class="mt-1 text-sm text-soft max-sm:hidden">{{ template.stages.map(({ name }) => name).join(' → ') }}</p>
          <p v-if="school" class="mt-1 text-sm" :class="other ? 'text-mind' : 'text-soft'">
            School «{{ school.name }}»{{ other ? ', which is not this house’s' : '' }}: {{ school.says }}
          </p>
          <p v-if="!fits" class="mt-1 text-sm text-mind">This dog has no {{ kindsFor(template.id) }} fitted.</p>
        </div>
        <button
          type="button"
          class="press self-center max-sm:justify-self-start"
          :class="fits && !other ? 'press-main' : 'press-plain'"
          :disabled="runs || startsOn === '' || keeping.state.value === 'sending'"
          @click="start(template)"
        >
          {{ runs ? 'Runs already' : 'Begin' }}<span class="sr-only">: {{ template.name }}</span>
        </button>
      </li>
    </ul>
    <button v-if="offered.length > shown.length" type="button" class="press press-quiet mt-2" @click="listed = offered.length">
      {{ offered.length - shown.length }} more
    </button>
    <RouterLink to="/programme/own" class="press press-quiet mt-2">{{ $spell('Programmes of our own') }}</RouterLink>
    <button v-if="kinds.length > 0" type="button" class="press press-quiet mt-2" @click="all = !all">
      {{ all ? 'Only those for what it wears' : $spell('All programmes') }}
    </button>
  </div>
</template>
