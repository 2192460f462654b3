<script setup lang="ts">
/** What was worn, and what followed, counted out of what really happened: how much a dog could learn of it, and what to change. */
import type { TellTaleStory } from '@banter/contract';
import { TELL_TALE_REASON_WORDS, wordReason } from '@banter/core';
import { computed } from 'vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import { useUnits } from '../../stores/units.ts';

const props = defineProps<{ story: TellTaleStory; collars: readonly { id: string; name: string }[] }>();
const units = useUnits();
const nameOf = (id: string) => props.collars.find((collar) => collar.id === id)?.name ?? 'a collar';
const rowWords = (worn: readonly string[]) => (worn.length === 0 ? 'Nothing on' : worn.map(nameOf).join(' and '));
const times = (count: number) => (count === 1 ? 'once more' : `${count} more times`);
const says = (reasons: TellTaleStory['worn']['reasons']) => reasons.map((reason) => wordReason(TELL_TALE_REASON_WORDS, reason, units.speak).text);
const wornAdvice = computed(() => {
  const { advice, rows } = props.story.worn;
  if (!advice) return '';
  const what = rows[advice.row]!;
  const how = what.length === 0 ? 'Leave it bare' : `Put ${rowWords(what)} on`;
  return `${how} ${times(advice.times)} ${advice.wear === 'with-nothing' ? 'with nothing following' : 'with work following'}.`;
});
const putOnAdvice = computed(() => {
  const { advice, withinMinutes } = props.story.putOn;
  if (!advice) return '';
  const just = (advice.row === 0) === (advice.wear === 'with-nothing');
  return just
    ? `Put something on ${times(advice.times)} with nothing following within ${withinMinutes} minutes, or have it on for longer before work.`
    : `Begin work ${times(advice.times)} shortly after something went on.`;
});
const verdict = computed(() => (story: TellTaleStory['worn']['reasons']) => {
  const code = story[0]?.code;
  return code === 'tells'
    ? { tone: 'mind' as const, word: 'It can tell' }
    : code === 'tells-little'
      ? { tone: 'good' as const, word: 'No tell-tale' }
      : { tone: 'open' as const, word: 'Open' };
});
const tables = computed(() => [
  {
    id: 'worn',
    title: 'By what is on',
    ...props.story.worn,
    names: props.story.worn.rows.map(rowWords),
    change: wornAdvice.value,
  },
  {
    id: 'put-on',
    title: 'By putting it on',
    ...props.story.putOn,
    names: [`Went on within ${props.story.putOn.withinMinutes} minutes before`, `Nothing went on within ${props.story.putOn.withinMinutes} minutes`],
    change: putOnAdvice.value,
  },
]);
</script>

<template>
  <section class="sheet" aria-labelledby="told">
    <h2 id="told">What it gave away so far</h2>
    <p class="text-sm text-soft">Counted from what went on and off and the sessions logged, in open hours since the first day.</p>
    <div class="mt-3 grid gap-6 lg:grid-cols-2">
      <div v-for="table in tables" :key="table.id">
        <VerdictMark :tone="verdict(table.reasons).tone" :word="verdict(table.reasons).word" />
        <h3 class="mt-1">{{ table.title }}</h3>
        <p v-if="table.change" class="text-lg font-semibold">{{ table.change }}</p>
        <ul>
          <li v-for="line in says(table.reasons)" :key="line">{{ line }}</li>
        </ul>
        <table class="mt-2 w-full text-left">
          <thead>
            <tr class="border-b border-line text-sm text-soft">
              <th scope="col" class="py-1 font-normal">On</th>
              <th scope="col" class="w-16 py-1 text-right font-normal">work</th>
              <th scope="col" class="w-16 py-1 text-right font-normal">nothing</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(name, row) in table.names" :key="name" class="border-b border-line">
              <th scope="row" class="py-1 pr-2 font-normal">{{ name }}</th>
              <td class="text-right">{{ table.counts[row]?.[0] ?? 0 }}</td>
              <td class="text-right">{{ table.counts[row]?.[1] ?? 0 }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  </section>
</template>
