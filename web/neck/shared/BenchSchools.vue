<script setup lang="ts">
/** What each side of each school that bears on this kind would do, from the same collars, gathered by what it comes to. */
import { schoolName, schoolSays } from '@banter/core';
import { group } from 'd3-array';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';
import type { Bench } from './bench.ts';
import SchoolAnswers, { type SchoolAnswer } from './SchoolAnswers.vue';

const props = defineProps<{ bench: Bench }>();
const units = useUnits();
const answers = computed<SchoolAnswer[]>(() => {
  const alike = group(props.bench.says, ({ fit }) => JSON.stringify([fit.collarId, fit.line, fit.wanted]));
  return [...alike].map(([key, sides]) => {
    const { collarId, collarName, choices, line, verdict, wanted } = sides[0]!.fit;
    return {
      key,
      line: line ?? verdict,
      detail: [collarName, wanted && `look for ${wanted}`].filter(Boolean).join(' · '),
      ...(sides[0]!.fit.tone === 'good' ? {} : { mark: { tone: sides[0]!.fit.tone, word: verdict } }),
      holders: sides.map(({ school, option, house }) => ({
        name: schoolName(school, option),
        says: schoolSays(school, option, props.bench.house.rules, units.speak),
        house,
      })),
      ...(collarId === null ? {} : { take: () => props.bench.take(collarId, choices) }),
    };
  });
});
</script>

<template>
  <SchoolAnswers :answers="answers" />
</template>
