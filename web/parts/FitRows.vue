<script setup lang="ts">
/** Each part of a verdict: the measure, the limit it is held to, and the house rule that set the limit. */
import { HOUSE_RULES, ruleWords, speakLimit, speakQuantity, type FitRow } from '@banter/core';
import { computed, ref } from 'vue';
import { useUnits } from '../stores/units.ts';
import { useNarrower } from '../stores/widths.ts';

const props = defineProps<{ rows: readonly FitRow[] }>();
/** On a phone the first that decide, and every one that is not as it should be; the others when they are wanted. */
const MOST = 5;
const phone = useNarrower('sm');
const all = ref(false);
const shown = computed(() =>
  phone.value && !all.value ? props.rows.filter(({ tone }, index) => index < MOST || tone === 'stop' || tone === 'mind') : props.rows,
);
const units = useUnits();
const toneWords = { good: 'within', mind: 'to be minded', stop: 'outside', open: 'not known' } as const;
const signs = { good: '✓', mind: '◆', stop: '■', open: '○' } as const;
</script>

<template>
  <table class="w-full border-collapse text-left">
    <thead class="sr-only">
      <tr>
        <th>What</th>
        <th>Measure</th>
        <th>Limit and house rule</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in shown" :key="row.what" class="border-t border-line align-baseline first:border-t-0">
        <th scope="row" class="py-1.5 pr-3 font-normal">{{ row.what }}</th>
        <td class="py-1.5 pr-3 text-right font-semibold whitespace-nowrap" :class="{ 'text-stop': row.tone === 'stop', 'text-mind': row.tone === 'mind' }">
          {{ row.measure ? speakQuantity(row.measure, units.speak) : '' }}
        </td>
        <td class="w-1/2 py-1.5 text-sm leading-tight text-soft">
          <span class="sr-only">{{ toneWords[row.tone] }}:</span>
          <span aria-hidden="true">{{ signs[row.tone] }}&nbsp;</span>
          {{ speakLimit(row, units.speak) }}
          <RouterLink v-if="row.rule !== null && Object.hasOwn(HOUSE_RULES, row.rule)" :to="`/house#rule-${row.rule}`" class="block decoration-line">{{
            ruleWords(row)
          }}</RouterLink>
          <span v-else class="block">{{ ruleWords(row) }}</span>
        </td>
      </tr>
    </tbody>
  </table>
  <button v-if="shown.length < rows.length" type="button" class="press press-quiet" @click="all = true">{{ rows.length - shown.length }} more measures</button>
</template>
