<script setup lang="ts">
/** What every gauge school and both between-schools would do for this dog from these collars, gathered by what it comes to. */
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
import { group } from 'd3-array';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import type { Bench } from '../shared/bench.ts';
import SchoolAnswers, { type SchoolAnswer } from '../shared/SchoolAnswers.vue';
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
  stock: props.bench.proposed.map((collar) => asProngCollar(collar as StockedCollar<ProngNumbers>)),
}));
/** Onto the bench as that school has it, all else as it was. */
function take({ stockId, left, right }: ProngFit) {
  props.bench.take(stockId, props.bench.choices);
  makeUp({ left, right });
}
const answers = computed<SchoolAnswer[]>(() => {
  const { schools, rules } = props.bench.house;
  const picks = GAUGE_SCHOOLS.flatMap((gaugeSchool) =>
    BETWEEN_SCHOOLS.map((betweenSchool) => {
      const { choice, reasons } = chooseProng({ ...question.value, gaugeSchool, betweenSchool }, rules);
      return { gaugeSchool, betweenSchool, choice, why: reasons.filter(({ code }) => code !== 'school-gauge') };
    }),
  );
  const answerOf = ({ choice }: (typeof picks)[number]) => (choice ? `${choice.stockId} ${choice.left} ${choice.right}` : '');
  return [...group(picks, answerOf)].map(([key, given]) => {
    const { choice } = given[0]!;
    const holders = GAUGE_SCHOOLS.flatMap((gaugeSchool) => {
      const sides = given.filter((one) => one.gaugeSchool === gaugeSchool);
      const held = says('gaugeSchool', gaugeSchool);
      const house = gaugeSchool === schools.gaugeSchool;
      // Whichever way it takes between two sizes, it comes to the same.
      if (sides.length === BETWEEN_SCHOOLS.length) return [{ name: schoolName('gaugeSchool', gaugeSchool), says: held, house }];
      return sides.map(({ betweenSchool }) => ({
        name: `${schoolName('gaugeSchool', gaugeSchool)}, ${schoolName('betweenSchool', betweenSchool)} between sizes`,
        says: `${held} ${says('betweenSchool', betweenSchool)}`,
        house: house && betweenSchool === schools.betweenSchool,
      }));
    });
    const why = [...new Set(given.flatMap((one) => one.why).map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, units.speak).text))];
    if (!choice) return { key, line: 'Nothing fits', detail: '', mark: { tone: 'stop', word: 'Nothing fits' }, holders, why };
    return {
      key,
      line: `${gaugeName(choice.gaugeMm)}, ${choice.links} links`,
      detail: `${names.value[choice.stockId]} · slack ${units.gap(choice.slackMm)}`,
      ...(choice.verdict === 'fits' ? {} : { mark: { tone: PRONG_TONES[choice.verdict], word: VERDICT_WORDS[choice.verdict] } }),
      holders,
      why,
      take: () => take(choice),
    };
  });
});
const sitsBetween = computed(() => outcome.value.judgement.verdict === 'between' || props.bench.reasons.some(({ code }) => code === 'finer-for-between'));
</script>

<template>
  <p v-if="sitsBetween" class="mb-2 rounded bg-mind-wash p-3 text-mind">
    Between two sizes. School «snug»: {{ says('betweenSchool', 'snug') }} School «finer»: {{ says('betweenSchool', 'finer') }}
  </p>
  <SchoolAnswers :answers="answers" />
</template>
