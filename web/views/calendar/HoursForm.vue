<script setup lang="ts">
/** When the kennel is open and its people are there: a week, and the days on which it does not hold. */
import { Hours, type HoursFacts, type Kennel } from '@banter/contract';
import { timeOfDay, USUAL_HOURS } from '@banter/core';
import { computed, ref, watch } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SaveBar from '../../work/SaveBar.vue';
import { anObject, useDraft } from '../../stores/draft.ts';
import { useKeep } from '../../stores/keep.ts';

const props = defineProps<{ hours: readonly Hours[]; people: readonly { id: string; name: string }[]; kennel: Kennel; today: string }>();
const emit = defineEmits<{ changed: []; done: [] }>();
const keeping = useKeep();
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
type Row = { there: boolean; from: string; to: string };
type Draft = { whose: string; rows: Row[]; away: HoursFacts['away']; version: number | null };
const minutes = (time: string) => {
  const [hour, minute] = time.split(':').map(Number) as [number, number];
  return hour * 60 + minute;
};
const ofKennel = computed(() => props.hours.find(({ id }) => id === props.kennel.id) ?? USUAL_HOURS);
const keptOf = (id: string) => props.hours.find((one) => one.id === id) ?? null;
/** The week of somebody as it is kept, or as the kennel's until they have one of their own. */
function begin(id: string): Draft {
  const there = keptOf(id);
  const rows = (there ?? ofKennel.value).week.map((span) => ({ there: span !== null, from: timeOfDay(span?.[0] ?? 540), to: timeOfDay(span?.[1] ?? 1020) }));
  return { whose: id, rows, away: (there?.away ?? []).map((one) => ({ ...one })), version: there?.version ?? null };
}
const { draft, settle } = useDraft('hours', anObject<Draft>(), () => begin(props.kennel.id));
const part = <Name extends 'rows' | 'away'>(name: Name) =>
  computed({ get: () => draft.value[name], set: (now) => (draft.value = { ...draft.value, [name]: now }) });
const [rows, away] = [part('rows'), part('away')];
const whose = computed({ get: () => draft.value.whose, set: (id) => settle(begin(id)) });
const kept = computed(() => keptOf(whose.value));
const said = ref('');
watch(whose, () => (said.value = ''));
watch(
  () => [whose.value, kept.value?.version] as const,
  ([who, version], [before, old]) => {
    if (who !== before || version === old) return;
    settle(begin(who));
    said.value = `Saved: ${whose.value === props.kennel.id ? 'the kennel' : (props.people.find(({ id }) => id === whose.value)?.name ?? '')}.`;
  },
);
const fault = computed(() => {
  const day = rows.value.findIndex((row) => row.there && (row.from === '' || row.to === '' || minutes(row.from) >= minutes(row.to)));
  if (day >= 0) return `${DAYS[day]} ends before it begins.`;
  return away.value.some(({ from, to }) => from === '' || to === '' || from > to) ? 'Days away end before they begin.' : '';
});
async function keep() {
  const facts = {
    personId: whose.value === props.kennel.id ? null : whose.value,
    week: rows.value.map((row) => (row.there ? [minutes(row.from), minutes(row.to)] : null)),
    away: away.value,
  };
  if (await keeping.keep(`/api/hours/${whose.value}`, Hours, facts, draft.value.version)) emit('changed');
}
</script>

<template>
  <form class="sheet" aria-labelledby="hours" @submit.prevent="fault === '' && keep()">
    <h2 id="hours">Hours</h2>
    <ChoiceRow
      v-model="whose"
      class="mt-2"
      label="Whose"
      quiet
      :answers="[{ value: kennel.id, label: 'The kennel' }, ...people.map(({ id, name }) => ({ value: id, label: name }))]"
    />
    <p v-if="!kept" class="mt-2 text-sm text-soft">
      {{ whose === kennel.id ? 'No hours saved yet: 8 to 6, every day.' : 'No hours saved yet: there whenever the kennel is open.' }}
    </p>
    <div class="mt-3 grid gap-x-8 gap-y-5 lg:grid-cols-2">
      <fieldset class="grid content-start gap-1">
        <legend class="text-sm font-semibold">{{ whose === kennel.id ? 'Open' : 'There' }}</legend>
        <div v-for="(row, index) in rows" :key="DAYS[index]" class="flex min-h-12 items-center gap-3">
          <label class="flex w-32 items-center gap-2"><input v-model="row.there" type="checkbox" class="size-5" /> {{ DAYS[index] }}</label>
          <template v-if="row.there">
            <input v-model="row.from" type="time" step="900" class="field w-32!" :aria-label="`${DAYS[index]} from`" required />
            <span aria-hidden="true">to</span>
            <input v-model="row.to" type="time" step="900" class="field w-32!" :aria-label="`${DAYS[index]} to`" required />
          </template>
          <span v-else class="text-soft">{{ whose === kennel.id ? 'closed' : 'not there' }}</span>
        </div>
      </fieldset>
      <fieldset class="grid content-start gap-2">
        <legend class="text-sm font-semibold">{{ whose === kennel.id ? 'Closed on' : 'Away on' }}</legend>
        <div v-for="(one, index) in away" :key="index" class="grid grid-cols-[1fr_1fr_1fr_auto] items-center gap-2">
          <input v-model="one.from" type="date" class="field" aria-label="First day" required />
          <input v-model="one.to" type="date" class="field" aria-label="Last day" required />
          <input v-model="one.note" class="field" maxlength="80" placeholder="why" aria-label="Why" />
          <button type="button" class="press press-quiet" @click="away.splice(index, 1)">Take out</button>
        </div>
        <button type="button" class="press press-plain justify-self-start" @click="away.push({ from: today, to: today, note: '' })">Add days</button>
      </fieldset>
    </div>
    <p v-if="fault" class="mt-2 font-semibold text-stop" role="alert">{{ fault }}</p>
    <SaveBar class="mt-3" :keeping="keeping" label="Save hours" :disabled="fault !== ''" @newer="emit('changed')">
      <button type="button" class="press press-quiet" @click="emit('done')">Close</button>
      <span v-if="said" role="status" class="font-semibold text-good">{{ said }}</span>
    </SaveBar>
  </form>
</template>
