<script setup lang="ts">
/** The stage the dog is in: what for, how, how much, what moves it on and back; adapted here for this dog alone. */
import { Programme, type ProgrammeStanding } from '@banter/contract';
import { percent, capital } from '@banter/core';
import { computed, ref } from 'vue';
import { oftenWords } from '../../parts/often-words.ts';
import { useKeep } from '../../stores/keep.ts';

const props = defineProps<{ programme: Programme; stage: ProgrammeStanding['stage']; results: ProgrammeStanding['results']; timeZone: string }>();
const emit = defineEmits<{ changed: [] }>();
const keeping = useKeep();
const adapting = ref(false);
const numbers = ref({
  minutes: props.stage.minutes,
  sessionsPerDay: props.stage.sessionsPerDay,
  everyDays: props.stage.everyDays,
  needed: props.stage.pass.needed,
  of: props.stage.pass.of,
  inRow: props.stage.pass.inRow,
  leastDays: props.stage.pass.leastDays,
});
const FIELDS = [
  { key: 'minutes', label: 'Minutes a session' },
  { key: 'sessionsPerDay', label: 'Sessions a day' },
  { key: 'everyDays', label: 'Days from one to the next' },
  { key: 'needed', label: 'Tries that go well' },
  { key: 'of', label: 'Out of' },
  { key: 'inRow', label: 'Sessions in a row' },
  { key: 'leastDays', label: 'At least days' },
] as const;
const often = computed(() => oftenWords(props.stage));
const passes = computed(() => {
  const { needed, of, inRow, leastDays, what } = props.stage.pass;
  return `${of === 1 ? capital(what) : `${needed} of ${of}: ${what}`}${inRow > 1 ? `, in ${inRow} sessions in a row` : ''}${leastDays > 0 ? `, after ${leastDays} days at the earliest` : ''}.`;
});
const day = computed(() => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: props.timeZone }));
async function keep() {
  const { needed, of, inRow, leastDays, ...own } = numbers.value;
  const { id, version, ...facts } = props.programme;
  const stages = facts.stages.map((stage) =>
    stage.id === props.stage.id ? { ...stage, ...own, pass: { ...stage.pass, needed, of, inRow, leastDays } } : stage,
  );
  const kept = await keeping.keep(`/api/programmes/${id}`, Programme, { ...facts, stages }, version);
  if (kept) emit('changed');
}
</script>

<template>
  <section class="sheet" aria-labelledby="stage">
    <h2 id="stage">{{ stage.name }}</h2>
    <p class="text-lg">{{ stage.aim }}</p>
    <ol class="mt-2 list-decimal pl-5">
      <li v-for="step in stage.how" :key="step">{{ step }}</li>
    </ol>
    <dl class="mt-3 grid grid-cols-[7rem_minmax(0,1fr)] gap-x-3 gap-y-1">
      <dt class="text-soft">How much</dt>
      <dd>{{ often }}{{ stage.onAround ? '; the collars are on before and after' : '' }}</dd>
      <dt class="text-soft">On when</dt>
      <dd>{{ passes }}</dd>
      <dt class="text-soft">Back when</dt>
      <dd>
        {{ stage.fallBack.setback }}, or less than {{ percent(stage.fallBack.below) }} goes well
        {{ stage.fallBack.inRow === 1 ? 'once' : `in ${stage.fallBack.inRow} sessions in a row` }}.
      </dd>
    </dl>
    <ul v-if="stage.cautions.length > 0" class="mt-3 grid gap-1 text-mind">
      <li v-for="caution in stage.cautions" :key="caution">{{ caution }}</li>
    </ul>
    <ol v-if="results.length > 0" class="mt-4 flex flex-wrap gap-2" aria-label="Sessions in this stage">
      <li
        v-for="result in results"
        :key="result.at"
        class="rounded-[0.3rem] px-2.5 py-1 text-sm font-semibold"
        :class="
          result.setback
            ? 'bg-stop-wash text-stop'
            : result.met / result.of >= stage.pass.needed / stage.pass.of
              ? 'bg-good-wash text-good'
              : 'bg-ground text-soft'
        "
      >
        {{ day.format(new Date(result.at)) }}: {{ result.met }} of {{ result.of }}{{ result.setback ? ', setback' : '' }}
      </li>
    </ol>
    <button type="button" class="press press-quiet mt-3" @click="adapting = !adapting">
      {{ adapting ? 'Cancel' : 'Adapt this stage' }}
    </button>
    <form v-if="adapting" class="mt-1" @submit.prevent="keep">
      <div class="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4">
        <label v-for="field in FIELDS" :key="field.key" class="flex flex-col justify-end">
          <span class="text-sm font-semibold">{{ field.label }}</span>
          <input v-model.number="numbers[field.key]" type="number" min="0" step="1" class="field" required />
        </label>
      </div>
      <p v-if="keeping.sentence.value" class="mt-2 font-semibold text-stop" role="alert">{{ keeping.sentence.value }}</p>
      <button type="submit" class="press press-main mt-3">Save for this dog</button>
    </form>
  </section>
</template>
