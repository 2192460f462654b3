<script setup lang="ts">
/**
 * The bench for every kind that is made up by lengths: the sentence of what to do, the cross-section with what can be changed by
 * hand, each measure with its limit and house rule, the other collars of the locker, and what each school would do. All of it
 * computed in the page.
 */
import {
  type Collar,
  collarKind,
  type CollarKindName,
  type DrawnCollar,
  type FittingDog,
  type PlanOutcome,
  type SchoolSays,
  schoolsSay,
  type StockByKind,
} from '@banter/contract';
import { HOUSE_SCHOOL_WORDS, type House } from '@banter/core';
import { computed, ref, watch } from 'vue';
import FitRows from '../../parts/FitRows.vue';
import KnobRow from '../../parts/KnobRow.vue';
import ReasonList from '../../parts/ReasonList.vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useScreenKeys } from '../../stores/keys.ts';
import { useUnits } from '../../stores/units.ts';
import { benchExtra } from '../drawings.ts';
import { crossSection } from './cross-sections.ts';
import LoadRose from './LoadRose.vue';

const props = defineProps<{
  kind: CollarKindName;
  dog: FittingDog;
  name: string;
  stock: Collar[];
  house: House;
  ringAt: number;
  begin: { collarId: string; choices: Record<string, unknown> } | null;
  worn: { collarId: string; setting: unknown } | null;
}>();
type Choices = { options: Record<string, unknown>; on: Record<string, number> };
const emit = defineEmits<{
  made: [made: { collarId: string; choices: Record<string, unknown>; outcome: PlanOutcome; drawn: DrawnCollar; line: string; chosen: boolean }];
}>();

const units = useUnits();
const kind = computed(() => collarKind(props.kind));
const Section = crossSection(props.kind);
const Extra = benchExtra(props.kind);
const stocked = computed(() => props.stock.map(({ id, name, numbers }) => ({ id, name, numbers: kind.value.numbers.parse(numbers) })));
const byKind = computed<StockByKind>(() => ({ [props.kind]: stocked.value }));
const suggestion = computed(() => kind.value.suggest(props.dog, stocked.value, props.house));
const names = computed(() => Object.fromEntries(props.stock.map(({ id, name }) => [id, name])));

const collarId = ref('');
const choices = ref<Choices>({ options: {}, on: {} });
function take(id: string, now: unknown) {
  collarId.value = id;
  choices.value = structuredClone(now) as Choices;
}
function takeChoice() {
  const best = suggestion.value.choice ?? suggestion.value.all[0];
  if (best) take(best.collarId, best.choices);
}
function takeUp() {
  const before = props.begin && kind.value.choices.safeParse(props.begin.choices);
  if (before?.success && stocked.value.some(({ id }) => id === props.begin!.collarId)) take(props.begin!.collarId, before.data);
  else takeChoice();
}
watch(() => props.stock, takeUp, { immediate: true });

const collar = computed(() => stocked.value.find(({ id }) => id === collarId.value)!);
const outcome = computed(() => kind.value.plan(props.dog, collar.value, stocked.value, choices.value, props.house.rules));
const rows = computed(() => kind.value.rows(props.dog, collar.value, choices.value, outcome.value, props.house.rules));
const sentence = computed(() => kind.value.planSentence(props.name, props.dog, collar.value, choices.value, outcome.value, null, units.speak));
const knobs = computed(() => kind.value.knobs(collar.value.numbers));
const isChoice = computed(() => {
  const best = suggestion.value.choice;
  return best !== null && best.collarId === collarId.value && JSON.stringify(best.choices) === JSON.stringify(choices.value);
});
const says = computed(() => schoolsSay(props.kind, props.name, props.dog, byKind.value, props.house, units.speak));
const wanted = computed(() => (suggestion.value.choice ? null : kind.value.wanted(props.dog, props.house, units.speak)));
const drawn = computed<DrawnCollar>(() => ({
  kind: props.kind,
  collar: { id: collarId.value, name: collar.value.name, numbers: collar.value.numbers as Record<string, unknown> },
  setting: choices.value.on,
  ringAt: props.ringAt,
}));
const schoolWords = (one: SchoolSays) => (HOUSE_SCHOOL_WORDS[one.school].options as Record<string, { name: string; says: string }>)[one.option]!;
const isWorn = computed(() => props.worn?.collarId === collarId.value);

watch(
  [outcome, collarId, choices],
  () => {
    emit('made', {
      collarId: collarId.value,
      choices: choices.value,
      outcome: outcome.value,
      drawn: drawn.value,
      line: kind.value.describePlan(collar.value, choices.value, outcome.value, units.speak),
      chosen: isChoice.value,
    });
  },
  { immediate: true, deep: true },
);
useScreenKeys('Bench', [{ key: '0', does: 'Back to Banter’s choice', run: takeChoice }]);
</script>

<template>
  <div>
    <div aria-live="polite">
      <h1 class="text-[clamp(1.6rem,3.4vw,2.3rem)]">{{ sentence }}</h1>
    </div>
    <div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <VerdictMark :tone="kind.planTone(outcome)" :word="kind.planVerdict(outcome)" />
      <span>«{{ collar.name }}», {{ kind.describeNumbers(collar.numbers, units.speak) }}</span>
      <span v-if="isWorn" class="text-soft">as worn</span>
      <button v-if="!isChoice && suggestion.choice" type="button" class="press press-quiet" @click="takeChoice">Back to Banter’s choice</button>
    </div>
    <p v-if="wanted" class="mt-2 rounded bg-mind-wash p-3 text-mind">Nothing in the locker fits as it is. What to look for: {{ wanted }}.</p>
    <div class="mt-4 grid gap-5 lg:grid-cols-[minmax(0,27rem)_minmax(0,1fr)]">
      <div class="space-y-5">
        <section class="sheet" aria-label="Cross-section">
          <component :is="Section" :drawn="drawn" :dog="dog" />
          <div v-if="knobs.length > 0" class="mt-3 space-y-3 border-t border-line pt-3">
            <KnobRow
              v-for="knob in knobs"
              :key="knob.id"
              :knob="knob"
              :model-value="choices.on[knob.id]!"
              @update:model-value="(now) => (choices = { ...choices, on: { ...choices.on, [knob.id]: now } })"
            />
          </div>
          <div v-if="Extra" class="mt-3 border-t border-line pt-3"><component :is="Extra" :dog="dog" /></div>
        </section>
        <section class="sheet" aria-label="Other collars in the locker">
          <h2>From the locker</h2>
          <ul class="mt-2 divide-y divide-line">
            <li v-for="fit in suggestion.all" :key="fit.collarId">
              <button
                type="button"
                class="flex min-h-12 w-full flex-wrap items-center gap-x-3 gap-y-1 py-1.5 text-left"
                :aria-pressed="fit.collarId === collarId"
                @click="take(fit.collarId, fit.choices)"
              >
                <span aria-hidden="true" class="w-4">{{ fit.collarId === collarId ? '▸' : '' }}</span>
                <span class="grow" :class="fit.collarId === collarId && 'font-semibold'">«{{ names[fit.collarId] }}»</span>
                <VerdictMark class="text-sm" :tone="fit.tone" :word="fit.verdict" />
              </button>
            </li>
          </ul>
        </section>
      </div>
      <div class="space-y-5">
        <section class="sheet" aria-label="Measures and limits">
          <FitRows :rows="rows" />
        </section>
        <section class="sheet" aria-label="Why">
          <h2>Why</h2>
          <ReasonList class="mt-2" :reasons="kind.planReasons(outcome, units.speak)" />
        </section>
        <LoadRose :kind="props.kind" :dog="dog" :numbers="collar.numbers" :choices="choices" />
        <section v-if="says.length > 0" class="sheet" aria-label="Schools">
          <h2>What the schools would do</h2>
          <ul class="mt-1 divide-y divide-line">
            <li v-for="one in says" :key="one.school + one.option" class="grid gap-x-4 py-2.5 sm:grid-cols-2">
              <div>
                <span class="font-semibold first-letter:uppercase">{{ schoolWords(one).name }}</span>
                <span v-if="one.house" class="ml-2 rounded bg-tape px-1.5 py-0.5 text-sm font-semibold text-on-tape">house</span>
                <span class="block text-sm text-soft">{{ schoolWords(one).says }}</span>
              </div>
              <div>
                <button
                  v-if="one.fit.collarId"
                  type="button"
                  class="text-left font-semibold underline decoration-line underline-offset-4 hover:decoration-ink"
                  @click="take(one.fit.collarId, one.fit.choices)"
                >
                  {{ one.fit.line }}
                </button>
                <span v-if="one.fit.collarName" class="block text-sm text-soft">«{{ one.fit.collarName }}» · {{ one.fit.verdict }}</span>
                <span v-if="one.fit.wanted" class="block text-sm text-soft">Look for {{ one.fit.wanted }}.</span>
              </div>
            </li>
          </ul>
        </section>
      </div>
    </div>
  </div>
</template>
