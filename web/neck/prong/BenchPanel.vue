<script setup lang="ts">
/**
 * The bench for a prong: the sentence of what to do, the cross-section with its links to click, the rule of link stops, the
 * verdict with measure, limit and house rule, and what every school would do. All of it computed in the page.
 */
import {
  asProngCollar,
  type Collar,
  type DrawnCollar,
  type FittingDog,
  ProngChoices,
  prongKind,
  ProngNumbers,
  type ProngPlanOutcome,
  VERDICT_WORDS,
} from '@banter/contract';
import {
  BETWEEN_SCHOOL_WORDS,
  chooseProng,
  countOf,
  evenSplit,
  gaugeName,
  HOUSE_SCHOOL_WORDS,
  PRONG_CHOICE_REASON_WORDS,
  RING_TRAVEL_MM,
  ringClock,
  shiftLinks,
  sizeProng,
  wordReason,
  type House,
  type LinkSplit,
  type ProngFit,
  type ProngQuestion,
} from '@banter/core';
import { computed, ref, watch } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FitRows from '../../parts/FitRows.vue';
import ReasonList from '../../parts/ReasonList.vue';
import { toneOf } from '../../parts/verdict.ts';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useScreenKeys } from '../../stores/keys.ts';
import { useUnits } from '../../stores/units.ts';
import { linkStops } from './link-stops.ts';
import LinkRule from './LinkRule.vue';
import LoadRose from '../shared/LoadRose.vue';
import ProngCrossSection from './ProngCrossSection.vue';
import SchoolsTable from './SchoolsTable.vue';

const props = defineProps<{
  dog: FittingDog;
  name: string;
  stock: Collar[];
  house: House;
  ringAt: number;
  onCollar: (gaugeMm: number, collarId: string) => number | null;
  inBag: (gaugeMm: number) => number;
  begin: { collarId: string; choices: Record<string, unknown> } | null;
  worn: { collarId: string; setting: unknown } | null;
}>();
/** `begin` is what somebody had on the bench before a reload, `worn` what was last found on the dog. Emits what is on it now, and whether that is Banter’s own choice. */
const emit = defineEmits<{
  made: [made: { collarId: string; choices: ProngChoices; outcome: ProngPlanOutcome; drawn: DrawnCollar; line: string; chosen: boolean }];
}>();

const units = useUnits();
const rules = computed(() => props.house.rules);
const collars = computed(() => props.stock.map((collar) => ({ ...collar, numbers: ProngNumbers.parse(collar.numbers) })));
const names = computed(() => Object.fromEntries(props.stock.map((collar) => [collar.id, collar.name])));
const ringAt = computed(() => ringClock(ringPlace.value, props.dog.worksOn));
const girthMm = computed(() => props.dog.skinGirthMm ?? props.dog.tapedGirthMm!);
const neck = computed(() => ({ girthMm: girthMm.value, ...(props.dog.headGirthMm === null ? {} : { headGirthMm: props.dog.headGirthMm }) }));
const question = computed<ProngQuestion>(() => ({
  ...neck.value,
  weightKg: props.dog.weightKg!,
  pull: props.dog.pull,
  gaugeSchool: props.house.schools.gaugeSchool,
  betweenSchool: props.house.schools.betweenSchool,
  stock: collars.value.map(asProngCollar),
}));
const decision = computed(() => chooseProng(question.value, rules.value));

const collarId = ref<string>('');
const split = ref<LinkSplit>({ left: 1, right: 0 });
const ring = ref(props.house.schools.ringSchool);
const ringPlace = ref(props.house.schools.ringPlace);
const startSchool = ref(props.house.schools.startSchool);
const looseLinks = ref<1 | 2>(1);
function take(id: string, left: number, right: number) {
  collarId.value = id;
  split.value = { left, right };
}
/** What Banter would take: the school's choice, or what the dog wears already when that fits as well with no more changes. */
const best = computed<ProngFit | null>(() => {
  const { choice, all } = decision.value;
  const worn = all.find((fit) => fit.stockId === props.worn?.collarId);
  const asGood = choice && worn && worn.verdict === choice.verdict && worn.gaugeMm === choice.gaugeMm && Math.abs(worn.change) <= Math.abs(choice.change);
  return asGood ? worn : (choice ?? all[0] ?? null);
});
/** Back to what Banter chose; with nothing to choose, the collar of the stock that comes nearest. */
function takeChoice() {
  if (best.value) take(best.value.stockId, best.value.left, best.value.right);
}
function takeCollar(id: string) {
  const fit = decision.value.all.find((one) => one.stockId === id)!;
  take(id, fit.left, fit.right);
}
function takeUp() {
  const before = props.begin && ProngChoices.safeParse(props.begin.choices);
  if (before?.success && collars.value.some((one) => one.id === props.begin!.collarId)) {
    const { split: links, start, ring: rings, ringPlace: place } = before.data;
    take(props.begin!.collarId, links.left, links.right);
    ring.value = rings;
    ringPlace.value = place;
    startSchool.value = start ? 'start-loose' : 'start-fitted';
    if (start) looseLinks.value = start.left + start.right - links.left - links.right > 1 ? 2 : 1;
  } else takeChoice();
}
watch(() => props.stock, takeUp, { immediate: true });

const collar = computed(() => collars.value.find((one) => one.id === collarId.value)!);
/** What the collar is made up as before anything is done: as last found on this dog, else as the locker's count has it. */
const isWorn = computed(() => props.worn?.collarId === collarId.value);
const counted = computed(() => props.onCollar(collar.value.numbers.gaugeMm, collarId.value));
const now = computed(() => (isWorn.value ? (props.worn!.setting as LinkSplit) : evenSplit(counted.value || collar.value.numbers.links)));
const nowWords = computed(() => (isWorn.value ? 'worn' : counted.value !== null && counted.value !== collar.value.numbers.links ? 'it hangs' : 'stocked'));
/** A link or two more to start loose with, less what would pass the head; null when it starts fitted. */
const start = computed<LinkSplit | null>(() => {
  if (startSchool.value !== 'start-loose') return null;
  const links = split.value.left + split.value.right;
  const sized = sizeProng(asProngCollar(collar.value), neck.value, looseLinks.value, rules.value);
  const more = sized.links === links ? sized.startLinks - links : looseLinks.value;
  return more > 0 ? shiftLinks(split.value, more) : null;
});
const choices = computed<ProngChoices>(() => ({
  gaugeSchool: props.house.schools.gaugeSchool,
  betweenSchool: props.house.schools.betweenSchool,
  split: split.value,
  start: start.value,
  ring: ring.value,
  ringPlace: ringPlace.value,
}));
const outcome = computed(() => prongKind.plan(props.dog, collar.value, collars.value, choices.value, rules.value));
const judgement = computed(() => outcome.value.judgement);
const isChoice = computed(() => {
  const choice = best.value;
  return (
    decision.value.choice !== null &&
    choice !== null &&
    choice.stockId === collarId.value &&
    choice.left === split.value.left &&
    choice.right === split.value.right &&
    ring.value === props.house.schools.ringSchool &&
    ringPlace.value === props.house.schools.ringPlace &&
    startSchool.value === props.house.schools.startSchool
  );
});
const sentence = computed(() =>
  decision.value.choice === null && judgement.value.verdict === 'wrong-gauge'
    ? 'No prong in the locker fits this neck.'
    : prongKind.planSentence(props.name, props.dog, collar.value, choices.value, outcome.value, now.value, units.speak),
);
/** Links that have to come out of the bag, and how many lie there. */
const short = computed(() => {
  const wanted = (start.value ?? split.value).left + (start.value ?? split.value).right - (counted.value ?? now.value.left + now.value.right);
  const held = props.inBag(collar.value.numbers.gaugeMm);
  return wanted > held ? { wanted, held } : null;
});
const travel = computed(() => RING_TRAVEL_MM[ring.value].map((mm) => units.gap(mm)).join(' to '));
const choiceReasons = computed(() => decision.value.reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, units.speak)));
const reasons = computed(() => prongKind.planReasons(outcome.value, units.speak));
const stops = computed(() => linkStops(asProngCollar(collar.value), split.value, neck.value, rules.value, 2));
const spare = computed(() => Math.max(0, collar.value.numbers.links - split.value.left - split.value.right));
const rows = computed(() => prongKind.rows(props.dog, collar.value, choices.value, outcome.value, rules.value));

const answersOf = (options: Record<string, { name: string }>) => Object.entries(options).map(([value, { name }]) => ({ value, label: name }));
const START_ANSWERS = answersOf(HOUSE_SCHOOL_WORDS.startSchool.options) as { value: 'start-loose' | 'start-fitted'; label: string }[];
const RING_ANSWERS = answersOf(HOUSE_SCHOOL_WORDS.ringSchool.options) as { value: 'live' | 'both'; label: string }[];
const PLACE_ANSWERS = answersOf(HOUSE_SCHOOL_WORDS.ringPlace.options) as { value: 'nape' | 'near-side'; label: string }[];
const startWords = (school: 'start-loose' | 'start-fitted') => HOUSE_SCHOOL_WORDS.startSchool.options[school].says;

function shift(side: 'left' | 'right', by: 1 | -1) {
  const next = { ...split.value, [side]: split.value[side] + by };
  if (next[side] >= 0 && next.left + next.right >= 1 && next[side] <= 60) split.value = next;
}
useScreenKeys('Bench', [
  {
    key: '-',
    does: 'Take out a link, from the longer side',
    run: () => split.value.left + split.value.right > 1 && (split.value = shiftLinks(split.value, -1)),
  },
  { key: '+', does: 'Put in a link, on the shorter side', run: () => (split.value = shiftLinks(split.value, 1)) },
  { key: '0', does: 'Back to what Banter chose', run: takeChoice },
]);

watch(
  [outcome, collarId, choices, () => units.speak],
  () => {
    emit('made', {
      collarId: collarId.value,
      choices: choices.value,
      outcome: outcome.value,
      drawn: { kind: 'prong', collar: collar.value, setting: start.value ?? split.value, ringAt: ringAt.value },
      chosen: isChoice.value,
      line: prongKind.describePlan(collar.value, choices.value, outcome.value, units.speak),
    });
  },
  { immediate: true },
);
</script>

<template>
  <div>
    <div aria-live="polite">
      <h1 class="text-[clamp(1.7rem,3.6vw,2.5rem)]">{{ sentence }}</h1>
      <p class="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1">
        <VerdictMark :tone="toneOf(judgement.verdict)" :word="VERDICT_WORDS[judgement.verdict]" />
        <span>
          «{{ collar.name }}», {{ gaugeName(collar.numbers.gaugeMm) }}: {{ now.left + now.right }} links as {{ nowWords }} →
          <strong>{{ judgement.links }}</strong>
          ({{ split.left }} left, {{ split.right }} right)
        </span>
        <button v-if="!isChoice && decision.choice" type="button" class="press press-quiet min-h-9" @click="takeChoice">Back to Banter’s choice</button>
      </p>
    </div>

    <p v-if="short" class="mt-3 rounded bg-mind-wash p-3 text-mind">
      It takes {{ countOf(short.wanted, 'link') }} of {{ gaugeName(collar.numbers.gaugeMm) }} from the bag, and
      {{ short.held === 0 ? 'there is none' : `there ${short.held === 1 ? 'is' : 'are'} ${countOf(short.held, 'link')}` }}.
      <RouterLink to="/locker?show=links" class="font-semibold underline">To the bag</RouterLink>
    </p>
    <div class="mt-4 grid gap-5 lg:grid-cols-[minmax(0,31rem)_minmax(0,1fr)]">
      <div class="self-start max-lg:contents lg:space-y-5">
        <section class="sheet order-1" aria-label="Cross-section">
          <ProngCrossSection :collar="asProngCollar(collar)" :split="split" :girth-mm="girthMm" :ring-at="ringAt" live @take-out="(side) => shift(side, -1)" />
          <div class="mt-1 grid grid-cols-2 gap-3">
            <div v-for="side in ['left', 'right'] as const" :key="side" class="flex items-center gap-1" :class="side === 'right' && 'justify-end'">
              <button
                type="button"
                class="press press-plain size-12 shrink-0 p-0 text-xl"
                :aria-label="`Take out a link on the dog’s ${side}`"
                :disabled="split[side] === 0 || judgement.links === 1"
                @click="shift(side, -1)"
              >
                −
              </button>
              <span class="min-w-10 text-center leading-tight">
                <strong class="text-lg">{{ split[side] }}</strong>
                <span class="block text-sm text-soft">{{ side }}</span>
              </span>
              <button
                type="button"
                class="press press-plain size-12 shrink-0 p-0 text-xl"
                :aria-label="`Put in a link on the dog’s ${side}`"
                @click="shift(side, 1)"
              >
                +
              </button>
            </div>
          </div>
          <div v-if="spare > 0" class="mt-3 flex flex-wrap items-center gap-2 border-t border-line pt-3">
            <span class="text-sm text-soft">Taken out; keep them, labelled:</span>
            <button
              v-for="n in spare"
              :key="n"
              type="button"
              class="press press-plain size-12 shrink-0 p-0"
              :aria-label="`Put link ${n} back in`"
              @click="split = shiftLinks(split, 1)"
            >
              <svg viewBox="0 0 24 24" class="size-6" fill="none" stroke="var(--steel)" stroke-width="2.4" stroke-linecap="round" aria-hidden="true">
                <path d="M6 20C6 1 18 1 18 20" />
                <path d="M13 7 22 11" />
              </svg>
            </button>
          </div>
          <p v-else class="mt-3 border-t border-line pt-3 text-sm text-soft">Click a link to take it out; it can be put back from here.</p>
        </section>
        <section class="sheet order-4" aria-label="Other collars in the locker">
          <h2>From the locker</h2>
          <ul class="mt-2 divide-y divide-line">
            <li v-for="fit in decision.all" :key="fit.stockId">
              <button
                type="button"
                class="flex min-h-12 w-full flex-wrap items-center gap-x-3 gap-y-1 py-1.5 text-left"
                :aria-pressed="fit.stockId === collarId"
                @click="takeCollar(fit.stockId)"
              >
                <span aria-hidden="true" class="w-4">{{ fit.stockId === collarId ? '▸' : '' }}</span>
                <span class="min-w-36" :class="fit.stockId === collarId && 'font-semibold'">«{{ names[fit.stockId] }}», {{ gaugeName(fit.gaugeMm) }}</span>
                <span class="text-soft">
                  {{ fit.links }} links{{ fit.change === 0 ? '' : fit.change > 0 ? ` (${fit.change} in)` : ` (${-fit.change} out)` }}, slack
                  {{ units.gap(fit.slackMm) }}
                </span>
                <VerdictMark class="ml-auto text-sm" :tone="toneOf(fit.verdict)" :word="VERDICT_WORDS[fit.verdict]" />
              </button>
            </li>
          </ul>
        </section>
      </div>

      <div class="max-lg:contents lg:space-y-5">
        <section class="sheet order-2" aria-label="Links and slack">
          <LinkRule
            :stops="stops"
            :now="judgement.links"
            :rules="rules"
            :head-room-mm="dog.headGirthMm === null ? null : dog.headGirthMm - girthMm"
            @choose="(to) => (split = to)"
          />
          <FitRows class="mt-4" :rows="rows" />
        </section>

        <section class="sheet order-3 space-y-4" aria-label="Start and ring">
          <ChoiceRow v-model="startSchool" label="First time in a prong" :hint="startWords(startSchool)" :answers="START_ANSWERS" quiet />
          <ChoiceRow
            v-if="startSchool === 'start-loose'"
            :model-value="String(looseLinks)"
            label="How much longer at first"
            :hint="start ? `It goes on with ${countOf(start.left + start.right, 'link')}.` : 'Longer, it would pass over the head.'"
            :answers="[
              { value: '1', label: 'One link' },
              { value: '2', label: 'Two links' },
            ]"
            quiet
            @update:model-value="(now) => (looseLinks = now === '2' ? 2 : 1)"
          />
          <div class="flex flex-wrap gap-x-8 gap-y-4">
            <ChoiceRow v-model="ring" label="Leash on" :hint="`The hand moves ${travel} before it closes.`" :answers="RING_ANSWERS" quiet />
            <ChoiceRow v-model="ringPlace" label="The ring sits" :hint="`At ${ringAt}, as it works on the ${dog.worksOn}.`" :answers="PLACE_ANSWERS" quiet />
          </div>
        </section>
        <LoadRose class="order-4" kind="prong" :dog="dog" :numbers="collar.numbers" :choices="null" />
        <section class="sheet order-3" aria-label="Why">
          <h2>Why</h2>
          <ReasonList class="mt-2" :reasons="[...reasons, ...(isChoice ? choiceReasons : [])]" />
          <p
            v-if="judgement.verdict === 'between' || decision.reasons.some((one) => one.code === 'finer-for-between')"
            class="mt-3 rounded bg-mind-wash p-3 text-mind"
          >
            Between two sizes. School «snug»: {{ BETWEEN_SCHOOL_WORDS.snug.says.toLowerCase() }} School «finer»:
            {{ BETWEEN_SCHOOL_WORDS.finer.says.toLowerCase() }} Both are worked out below.
          </p>
        </section>
      </div>
    </div>

    <section class="sheet mt-5" aria-label="Schools">
      <h2>What the schools would do</h2>
      <p class="text-sm text-soft">With {{ name }}’s numbers and your locker. Take any of them onto the bench.</p>
      <SchoolsTable class="mt-2" :question="question" :rules="rules" :names="names" @take="take" />
    </section>
  </div>
</template>
