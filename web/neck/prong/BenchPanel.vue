<script setup lang="ts">
/**
 * The bench for a prong: the sentence of what to do, the cross-section with its links to click, the rule of link stops, the
 * verdict with measure, limit and house rule, and what every school would do. All of it computed in the page.
 */
import {
  asProngCollar,
  prongKind,
  ProngNumbers,
  VERDICT_WORDS,
  type Collar,
  type FittingDog,
  type Kennel,
  ProngChoices,
  type ProngPlanOutcome,
} from '@banter/contract';
import {
  BETWEEN_SCHOOL_WORDS,
  chooseProng,
  evenSplit,
  gaugeName,
  houseRules,
  linkInstruction,
  mostLinksOut,
  PRONG_CHOICE_REASON_WORDS,
  ringClock,
  shiftLinks,
  wordReason,
  type LinkSplit,
  type ProngQuestion,
} from '@banter/core';
import { computed, ref, watch } from 'vue';
import ReasonList from '../../parts/ReasonList.vue';
import { toneOf } from '../../parts/verdict.ts';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useScreenKeys } from '../../stores/keys.ts';
import { useUnits } from '../../stores/units.ts';
import type { DrawnCollar } from '../drawn-collar.ts';
import { linkStops } from './link-stops.ts';
import LinkRule from './LinkRule.vue';
import ProngCrossSection from './ProngCrossSection.vue';
import SchoolsTable from './SchoolsTable.vue';

const props = defineProps<{
  dog: FittingDog;
  name: string;
  stock: Collar[];
  kennel: Kennel;
  begin: { collarId: string; choices: Record<string, unknown> } | null;
  worn: { collarId: string; setting: unknown } | null;
}>();
/** `begin` is what somebody had on the bench before a reload, `worn` what was last found on the dog. Emits what is on it now, and whether that is Banter’s own choice. */
const emit = defineEmits<{
  made: [made: { collarId: string; choices: ProngChoices; outcome: ProngPlanOutcome; drawn: DrawnCollar; line: string; chosen: boolean }];
}>();

const units = useUnits();
const rules = computed(() => houseRules(props.kennel.rules));
const collars = computed(() => props.stock.map((collar) => ({ ...collar, numbers: ProngNumbers.parse(collar.numbers) })));
const names = computed(() => Object.fromEntries(props.stock.map((collar) => [collar.id, collar.name])));
const ringAt = computed(() => ringClock(props.kennel.ringPlace, props.dog.worksOn));
const girthMm = computed(() => props.dog.skinGirthMm ?? props.dog.tapedGirthMm!);
const neck = computed(() => ({ girthMm: girthMm.value, ...(props.dog.headGirthMm === null ? {} : { headGirthMm: props.dog.headGirthMm }) }));
const question = computed<ProngQuestion>(() => ({
  ...neck.value,
  weightKg: props.dog.weightKg!,
  pull: props.dog.pull,
  gaugeSchool: props.kennel.gaugeSchool,
  betweenSchool: props.kennel.betweenSchool,
  stock: collars.value.map(asProngCollar),
}));
const decision = computed(() => chooseProng(question.value, rules.value));

const collarId = ref<string>('');
const split = ref<LinkSplit>({ left: 1, right: 0 });
function take(id: string, left: number, right: number) {
  collarId.value = id;
  split.value = { left, right };
}
/** Back to what Banter chose; with nothing to choose, the collar of the stock that comes nearest. */
function takeChoice() {
  const fit = decision.value.choice ?? decision.value.all[0];
  if (fit) take(fit.stockId, fit.left, fit.right);
}
function takeCollar(id: string) {
  const fit = decision.value.all.find((one) => one.stockId === id)!;
  take(id, fit.left, fit.right);
}
function takeUp() {
  const before = props.begin && ProngChoices.safeParse(props.begin.choices);
  if (before?.success && collars.value.some((one) => one.id === props.begin!.collarId))
    take(props.begin!.collarId, before.data.split.left, before.data.split.right);
  else takeChoice();
}
watch(() => props.stock, takeUp, { immediate: true });

const collar = computed(() => collars.value.find((one) => one.id === collarId.value)!);
/** What the collar is made up as before anything is done: as last found on this dog, else as it hangs in the locker. */
const isWorn = computed(() => props.worn?.collarId === collarId.value);
const now = computed(() => (isWorn.value ? (props.worn!.setting as LinkSplit) : evenSplit(collar.value.numbers.links)));
const outcome = computed(() =>
  prongKind.plan(
    props.dog,
    collar.value,
    collars.value,
    { gaugeSchool: props.kennel.gaugeSchool, betweenSchool: props.kennel.betweenSchool, split: split.value },
    rules.value,
  ),
);
const judgement = computed(() => outcome.value.judgement);
const isChoice = computed(() => {
  const choice = decision.value.choice;
  return choice !== null && choice.stockId === collarId.value && choice.left === split.value.left && choice.right === split.value.right;
});
const sentence = computed(() => {
  if (judgement.value.verdict === 'overhead') return `Do not use it: it would pass over ${props.name}’s head.`;
  if (decision.value.choice === null && judgement.value.verdict === 'wrong-gauge') return 'No prong in the locker fits this neck.';
  return linkInstruction(now.value, split.value);
});
const choiceReasons = computed(() => decision.value.reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, units.speak)));
const reasons = computed(() => prongKind.planReasons(outcome.value, units.speak));
const stops = computed(() => linkStops(asProngCollar(collar.value), split.value, neck.value, rules.value, 2));
const spare = computed(() => Math.max(0, collar.value.numbers.links - split.value.left - split.value.right));
const percent = (ratio: number) => `${(ratio * 100).toFixed(1).replace('-', '−')} %`;

/** Measure, limit and house rule of each part of the verdict. */
const rows = computed(() => {
  const { slackMm, biteMm, biteRatio, relaxedGirthMm, change } = judgement.value;
  const mostOut = mostLinksOut(collar.value.numbers.gaugeMm, rules.value.maxRemove);
  const head = props.dog.headGirthMm;
  const inWindow = slackMm >= rules.value.slackMinMm && slackMm <= rules.value.slackMaxMm;
  const snug = !inWindow && slackMm < rules.value.slackMinMm && slackMm >= -rules.value.pressMaxMm;
  return [
    {
      what: 'Slack at rest',
      measure: units.gap(slackMm),
      limit: `${units.gap(rules.value.slackMinMm)} to ${units.gap(rules.value.slackMaxMm)}, aim ${units.gap(rules.value.slackAimMm)}`,
      rule: 'slack of a prong at rest',
      tone: inWindow ? 'good' : snug ? 'mind' : 'stop',
    },
    {
      what: 'Bite when pulled',
      measure: `${units.gap(biteMm)}, ${percent(biteRatio)}`,
      limit: `above 0, up to ${percent(rules.value.biteMaxRatio)}`,
      rule: 'most bite, as a share of the girth',
      tone: biteMm > 0 && biteRatio <= rules.value.biteMaxRatio ? 'good' : 'stop',
    },
    {
      what: change >= 0 ? 'Links put in' : 'Links taken out',
      measure: String(Math.abs(change)),
      limit: change >= 0 ? `at most ${rules.value.maxAdd}` : `at most ${mostOut}`,
      rule: change >= 0 ? 'most links to add' : `most links out of ${gaugeName(collar.value.numbers.gaugeMm)}`,
      tone: change > rules.value.maxAdd || -change > mostOut ? 'stop' : 'good',
    },
    {
      what: 'Over the head',
      measure: units.exact(relaxedGirthMm),
      limit: head === null ? 'head not taped' : `below ${units.exact(head)}`,
      rule: 'never over the head',
      tone: head === null ? 'open' : relaxedGirthMm < head ? 'good' : 'stop',
    },
  ] as { what: string; measure: string; limit: string; rule: string; tone: 'good' | 'mind' | 'stop' | 'open' }[];
});
const toneWords = { good: 'within', mind: 'accepted by school snug', stop: 'outside', open: 'not known' } as const;

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
  [outcome, collarId, split, () => units.speak],
  () => {
    const choices: ProngChoices = { gaugeSchool: props.kennel.gaugeSchool, betweenSchool: props.kennel.betweenSchool, split: split.value };
    emit('made', {
      collarId: collarId.value,
      choices,
      outcome: outcome.value,
      drawn: { kind: 'prong', collar: collar.value, setting: split.value, ringAt: ringAt.value },
      chosen: isChoice.value,
      line: prongKind.describePlan(collar.value, choices, outcome.value, units.speak),
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
          «{{ collar.name }}», {{ gaugeName(collar.numbers.gaugeMm) }}: {{ now.left + now.right }} links as {{ isWorn ? 'worn' : 'stocked' }} →
          <strong>{{ judgement.links }}</strong>
          ({{ split.left }} left, {{ split.right }} right)
        </span>
        <button v-if="!isChoice && decision.choice" type="button" class="press press-quiet min-h-9" @click="takeChoice">Back to Banter’s choice</button>
      </p>
    </div>

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
                  {{ fit.links }} links, {{ fit.change > 0 ? `+${fit.change}` : String(fit.change).replace('-', '−') }}, slack {{ units.gap(fit.slackMm) }}
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
          <table class="mt-4 w-full border-collapse text-left">
            <thead class="sr-only">
              <tr>
                <th>What</th>
                <th>Measure</th>
                <th>Limit and house rule</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in rows" :key="row.what" class="border-t border-line align-baseline">
                <th scope="row" class="py-2 pr-3 font-normal">{{ row.what }}</th>
                <td
                  class="py-2 pr-3 text-right font-semibold whitespace-nowrap"
                  :class="{ 'text-stop': row.tone === 'stop', 'text-mind': row.tone === 'mind' }"
                >
                  {{ row.measure }}
                </td>
                <td class="py-2 text-sm text-soft">
                  <span class="sr-only">{{ toneWords[row.tone] }}:</span>
                  <span aria-hidden="true">{{ { good: '✓ ', mind: '◆ ', stop: '■ ', open: '○ ' }[row.tone] }}</span>
                  {{ row.limit }}
                  <span class="block">house rule: {{ row.rule }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </section>

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
