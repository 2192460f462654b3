<script setup lang="ts">
/** What every gauge school and both between-schools would do for this dog from this stock. The house's own is marked. */
import {
  BETWEEN_SCHOOL_WORDS,
  BETWEEN_SCHOOLS,
  chooseProng,
  gaugeName,
  GAUGE_SCHOOL_WORDS,
  GAUGE_SCHOOLS,
  PRONG_CHOICE_REASON_WORDS,
  wordReason,
  type HouseRules,
  type ProngQuestion,
} from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import { toneOf } from '../../parts/verdict.ts';
import VerdictMark from '../../parts/VerdictMark.vue';
import { VERDICT_WORDS } from '@banter/contract';

const props = defineProps<{ question: ProngQuestion; rules: HouseRules; names: Record<string, string> }>();
const emit = defineEmits<{ take: [stockId: string, left: number, right: number] }>();
const units = useUnits();

const rows = computed(() =>
  GAUGE_SCHOOLS.map((gaugeSchool) => ({
    gaugeSchool,
    words: GAUGE_SCHOOL_WORDS[gaugeSchool],
    house: gaugeSchool === props.question.gaugeSchool,
    picks: BETWEEN_SCHOOLS.map((betweenSchool) => {
      const decision = chooseProng({ ...props.question, gaugeSchool, betweenSchool }, props.rules);
      return {
        betweenSchool,
        house: gaugeSchool === props.question.gaugeSchool && betweenSchool === props.question.betweenSchool,
        choice: decision.choice,
        reasons: decision.reasons.map((reason) => wordReason(PRONG_CHOICE_REASON_WORDS, reason, units.speak)),
      };
    }),
  })),
);
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="What the schools would do">
    <table class="w-full border-collapse sm:min-w-[34rem] text-left">
      <thead>
        <tr class="align-bottom text-sm text-soft">
          <th scope="col" class="py-2 pr-4 font-semibold">Gauge school</th>
          <th v-for="school in BETWEEN_SCHOOLS" :key="school" scope="col" class="py-2 pr-4 font-semibold" :title="BETWEEN_SCHOOL_WORDS[school].says">
            between sizes: {{ BETWEEN_SCHOOL_WORDS[school].name }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.gaugeSchool" class="border-t border-line align-top">
          <th scope="row" class="py-2.5 pr-4 font-normal sm:w-2/5">
            <span class="font-semibold first-letter:uppercase">{{ row.words.name }}</span>
            <span v-if="row.house" class="rounded sm:ml-2 bg-tape px-1.5 py-0.5 text-sm font-semibold text-on-tape">house</span>
            <span class="block text-sm text-soft max-sm:hidden">{{ row.words.says }}</span>
          </th>
          <td v-for="pick in row.picks" :key="pick.betweenSchool" class="py-2.5 pr-4">
            <template v-if="pick.choice">
              <button
                type="button"
                class="block text-left font-semibold underline decoration-line underline-offset-4 hover:decoration-ink"
                @click="emit('take', pick.choice.stockId, pick.choice.left, pick.choice.right)"
              >
                {{ gaugeName(pick.choice.gaugeMm) }}, {{ pick.choice.links }} links
              </button>
              <span class="block text-sm text-soft">{{ names[pick.choice.stockId] }} · slack {{ units.gap(pick.choice.slackMm) }}</span>
              <VerdictMark
                v-if="pick.choice.verdict !== 'fits'"
                class="mt-1 text-sm"
                :tone="toneOf(pick.choice.verdict)"
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
</template>
