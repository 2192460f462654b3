<script setup lang="ts">
/** The chart of head collars as the kennel's supplier sells them: ranges of neck and nose by size. */
import { USUAL_HEAD_COLLAR_CHART } from '@banter/contract';
import { computed, ref } from 'vue';
import SaveBar from '../../work/SaveBar.vue';
import MeasureField from '../../parts/MeasureField.vue';
import TextField from '../../parts/TextField.vue';
import { useKennelForm } from '../../stores/kennel-form.ts';
import { useUnits } from '../../stores/units.ts';

const units = useUnits();
const { form, saved, changed, restored, discard, keeping, keep, showTheirs } = useKennelForm('charts');
type Row = (typeof form.value.headCollarChart)[number];
const fields = [
  { id: 'neckMinMm', label: 'Neck from', likelyMm: [150, 700] },
  { id: 'neckMaxMm', label: 'Neck to', likelyMm: [180, 800] },
  { id: 'noseMinMm', label: 'Nose from', likelyMm: [80, 350] },
  { id: 'noseMaxMm', label: 'Nose to', likelyMm: [90, 420] },
] as const;
const said = (mm: number) => units.typed(mm);
const typedOf = (row: Row) => ({ name: row.name, ...Object.fromEntries(fields.map(({ id }) => [id, said(row[id])])) }) as Record<string, string>;
const typed = ref(form.value.headCollarChart.map(typedOf));
const unread = ref(new Set<string>());
function read(index: number, id: (typeof fields)[number]['id'], mm: number | null) {
  const key = `${index}.${id}`;
  if (mm === null) unread.value.add(key);
  else {
    unread.value.delete(key);
    if (form.value.headCollarChart[index]?.[id] !== mm && said(form.value.headCollarChart[index]![id]) !== said(mm)) {
      form.value = { ...form.value, headCollarChart: form.value.headCollarChart.map((row, at) => (at === index ? { ...row, [id]: mm } : row)) };
    }
  }
}
function rename(index: number, name: string) {
  typed.value[index]!.name = name;
  form.value = { ...form.value, headCollarChart: form.value.headCollarChart.map((row, at) => (at === index ? { ...row, name } : row)) };
}
function put(chart: Row[]) {
  form.value = { ...form.value, headCollarChart: chart };
  typed.value = chart.map(typedOf);
  unread.value.clear();
}
const reversed = computed(() => form.value.headCollarChart.find((row) => row.neckMinMm > row.neckMaxMm || row.noseMinMm > row.noseMaxMm));
const nameless = computed(() => form.value.headCollarChart.some((row) => row.name.trim() === ''));
</script>

<template>
  <form novalidate @submit.prevent="keep">
    <p class="max-w-[46rem]">
      Head collars are sold by ranges of neck and nose. Put in your supplier’s chart, and what to buy names its size. A starting chart, from memory, stands here
      until then.
    </p>
    <div v-for="(row, index) in typed" :key="index" class="sheet mt-4 grid items-start gap-3 sm:grid-cols-[9rem_repeat(4,minmax(0,1fr))_auto]">
      <TextField
        :model-value="row.name!"
        label="Size"
        :error="keeping.errorAt(`headCollarChart[${index}].name`) || undefined"
        @update:model-value="(name) => rename(index, name)"
      />
      <MeasureField
        v-for="field in fields"
        :key="field.id"
        v-model="row[field.id]!"
        :label="field.label"
        :expected="{ possibleMm: [30, 1500], likelyMm: [...field.likelyMm] }"
        :error="keeping.errorAt(`headCollarChart[${index}].${field.id}`) || undefined"
        @read="(mm) => read(index, field.id, mm)"
      />
      <button type="button" class="press press-quiet sm:mt-7" @click="put(form.headCollarChart.filter((_row, at) => at !== index))">
        Take out
        <span class="sr-only">size {{ row.name }}</span>
      </button>
    </div>
    <div class="mt-4 flex flex-wrap gap-3">
      <button
        type="button"
        class="press press-plain"
        @click="
          put([...form.headCollarChart, { name: `Size ${form.headCollarChart.length + 1}`, neckMinMm: 300, neckMaxMm: 400, noseMinMm: 180, noseMaxMm: 250 }])
        "
      >
        Add a size
      </button>
      <button type="button" class="press press-quiet" @click="put([...USUAL_HEAD_COLLAR_CHART])">Back to the starting chart</button>
    </div>
    <p v-if="reversed" class="mt-3 font-semibold text-stop" role="alert">
      Size {{ reversed.name }} runs backwards: {{ units.exact(reversed.neckMinMm) }} to {{ units.exact(reversed.neckMaxMm) }} at the neck,
      {{ units.exact(reversed.noseMinMm) }} to {{ units.exact(reversed.noseMaxMm) }} at the nose.
    </p>
    <p v-if="restored && changed" role="status" class="text-sm text-soft">
      Your unsaved changes are back. <button type="button" class="underline" @click="discard">Start over</button>
    </p>
    <SaveBar
      by="lead"
      class="mt-4"
      :keeping="keeping"
      label="Save chart"
      :disabled="!changed || unread.size > 0 || nameless || reversed !== undefined"
      @newer="showTheirs"
    >
      <span v-if="saved && !changed" class="text-good" role="status">✓ Saved</span>
    </SaveBar>
  </form>
</template>
