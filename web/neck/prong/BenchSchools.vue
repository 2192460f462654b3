<script setup lang="ts">
/** What every gauge school and both between-schools would do for this dog from these collars. The house's own is marked. */
import { asProngCollar, PRONG_TONES, VERDICT_WORDS, type ProngNumbers, type StockedCollar } from '@banter/contract';
import { schoolName, schoolSays, wordReason, type HouseSchoolName } from '@banter/core';
import {
  BETWEEN_SCHOOLS,
  chooseProng,
  gaugeName,
  GAUGE_SCHOOLS,
  PRONG_CHOICE_REASON_WORDS,
  type ProngFit,
  type ProngQuestion,
} from '@banter/core/collars/prong';
import { computed } from 'vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useUnits } from '../../stores/units.ts';
import type { Bench } from '../shared/bench.ts';
import { useBenchProng } from './bench-prong.ts';

const props = defineProps<{ bench: Bench }>();
const units = useUnits();
const { tapedNeck, makeUp, outcome } = useBenchProng(props.bench);
const says = (school: HouseSchoolName, side: string) => schoolSays(school, side, props.bench.house.rules, units.speak);
const names = computed(() => Object.fromEntries(props.bench.collars.map(({ id, name }) => [id, name])));

const question = computed<Omit<ProngQuestion, 'gaugeSchool' | 'betweenSchool'>>(() => ({
  ...tapedNeck.value,
  weightKg: props.bench.taped.weightKg!,
  pull: props.bench.taped.pull,
  byHands: props.bench.taped.byHands,
  stock: props.bench.collars.map((collar) => asProngCollar(collar as StockedCollar<ProngNumbers>)),
}));
const rows = computed(() =>
  GAUGE_SCHOOLS.map((gaugeSchool) => {
    const { schools, rules } = props.bench.house;
    const picks = BETWEEN_SCHOOLS.map((betweenSchool) => {
      const { choice, reasons } = chooseProng({ ...question.value, gaugeSchool, betweenSchool }, rules);
      return { betweenSchool, choice, reasons: reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, units.speak)) };
    });
    return { gaugeSchool, house: gaugeSchool === schools.gaugeSchool, picks };
  }),
);
const sitsBetween = computed(() => outcome.value.judgement.verdict === 'between' || props.bench.reasons.some(({ code }) => code === 'finer-for-between'));
/** Onto the bench as that school has it, all else as it was. */
function take({ stockId, left, right }: ProngFit) {
  props.bench.take(stockId, props.bench.choices);
  makeUp({ left, right });
}
</script>

<template>
  <div>
    <h2>What the schools would do</h2>
    <p class="text-sm text-soft">With {{ bench.name }}’s numbers and your locker. Take any of them onto the bench.</p>
    <p v-if="sitsBetween" class="mt-2 rounded bg-mind-wash p-3 text-mind">
      Between two sizes. School «snug»: {{ says('betweenSchool', 'snug') }} School «finer»: {{ says('betweenSchool', 'finer') }}
    </p>
    <div class="mt-2 overflow-x-auto" tabindex="0" role="region" aria-label="What the schools would do">
      <table class="w-full border-collapse text-left sm:min-w-[34rem]">
        <thead>
          <tr class="align-bottom text-sm text-soft">
            <th scope="col" class="py-2 pr-4 font-semibold">Gauge school</th>
            <th v-for="school in BETWEEN_SCHOOLS" :key="school" scope="col" class="py-2 pr-4 font-semibold" :title="says('betweenSchool', school)">
              between sizes: {{ schoolName('betweenSchool', school) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.gaugeSchool" class="border-t border-line align-top">
            <th scope="row" class="py-2.5 pr-4 font-normal sm:w-2/5">
              <span class="font-semibold first-letter:uppercase">{{ schoolName('gaugeSchool', row.gaugeSchool) }}</span>
              <span v-if="row.house" class="rounded bg-tape px-1.5 py-0.5 text-sm font-semibold text-on-tape sm:ml-2">house</span>
              <span class="block text-sm text-soft max-sm:hidden">{{ says('gaugeSchool', row.gaugeSchool) }}</span>
            </th>
            <td v-for="pick in row.picks" :key="pick.betweenSchool" class="py-2.5 pr-4">
              <template v-if="pick.choice">
                <button
                  type="button"
                  class="block text-left font-semibold underline decoration-line underline-offset-4 hover:decoration-ink"
                  @click="take(pick.choice)"
                >
                  {{ gaugeName(pick.choice.gaugeMm) }}, {{ pick.choice.links }} links
                </button>
                <span class="block text-sm text-soft">{{ names[pick.choice.stockId] }} · slack {{ units.gap(pick.choice.slackMm) }}</span>
                <VerdictMark
                  v-if="pick.choice.verdict !== 'fits'"
                  class="mt-1 text-sm"
                  :tone="PRONG_TONES[pick.choice.verdict]"
                  :word="VERDICT_WORDS[pick.choice.verdict]"
                />
              </template>
              <VerdictMark v-else tone="stop" word="Nothing fits" />
              <details v-if="pick.reasons.length > 1 || pick.reasons[0]?.code !== 'school-gauge'" class="mt-1 text-sm">
                <summary class="text-soft">why</summary>
                <p v-for="reason in pick.reasons" :key="reason.code">{{ reason.text }}</p>
              </details>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
