<script setup lang="ts">
/** What a session came to, once it is over. */
import type { FieldDog } from '@banter/contract';
import type { SessionStory } from '@banter/core';
import { correctionsPerTenMinutes, levelWords, rewardsPerCorrection, percent, tensionShare, type SessionTally } from '@banter/core';

import { computed } from 'vue';
import { spanWords } from '../../field/span-words.ts';
import { useFieldLog, type FieldEventToLog } from '../../stores/field-log.ts';
import StageTold from './StageTold.vue';

const props = defineProps<{ tally: SessionTally; dog: FieldDog; story: SessionStory; tell: (told: FieldEventToLog) => string }>();
defineEmits<{ again: []; undo: [] }>();
const log = useFieldLog();
const rows = computed(() => {
  const { tally } = props;
  const per = correctionsPerTenMinutes(tally);
  const each = rewardsPerCorrection(tally);
  const share = tensionShare(tally);
  const settingName = (id: string) => log.page?.settings.find((one) => one.id === id)?.name ?? id;
  return [
    ...tally.needed.map(({ setting, level, presses }) => ({
      what: `Level needed, ${settingName(setting)}`,
      says: `${levelWords(level)} (${presses} ${presses === 1 ? 'press' : 'presses'})`,
    })),
    ...tally.tooMuch.map(({ level }) => ({ what: 'Too much', says: `at ${levelWords(level)}` })),
    ...(tally.latencyMs === null ? [] : [{ what: 'From press to response', says: `${(tally.latencyMs / 1000).toFixed(1)} s` }]),
    { what: 'Corrections', says: per === null ? String(tally.corrections) : `${tally.corrections}, ${per.toFixed(1)} in ten minutes` },
    { what: 'Rewards', says: each === null ? String(tally.rewards) : `${tally.rewards}, ${each.toFixed(1)} for each correction` },
    { what: 'Leash tight', says: share === null ? spanWords(tally.heldMs) : `${spanWords(tally.heldMs)}, ${percent(share)} of the time` },
    ...(tally.pushedUp > 1 ? [{ what: 'Collar pushed up', says: `${tally.pushedUp} times: a finer gauge or a link less?` }] : []),
  ];
});
</script>

<template>
  <section class="sheet mt-3" aria-label="The session in numbers">
    <h2>Over after {{ spanWords(tally.lastedMs) }}.</h2>
    <dl class="mt-2 divide-y divide-line">
      <div v-for="row in rows" :key="row.what" class="flex justify-between gap-4 py-1.5">
        <dt>{{ row.what }}</dt>
        <dd class="text-right font-semibold">{{ row.says }}</dd>
      </div>
    </dl>
    <StageTold v-for="programme in dog.programmes" :key="programme.id" class="mt-3" :programme="programme" :story="story" :tell="tell" />
    <!-- What comes after a first session is a programme: from there on the calendar plans. -->
    <p v-if="dog.programmes.length === 0" class="mt-3">
      {{ $spell('No programme runs for') }} {{ dog.name }}.
      <RouterLink :to="`/dogs/${dog.id}/programme`" class="font-semibold underline">Begin one</RouterLink>
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="press press-main" @click="$emit('again')">Next dog</button>
      <RouterLink v-if="dog.devices.length > 0" :to="`/dogs/${dog.id}/levels`" class="press press-plain">Levels</RouterLink>
      <button type="button" class="press press-quiet" @click="$emit('undo')">It goes on</button>
    </div>
  </section>
</template>
