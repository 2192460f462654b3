<script setup lang="ts">
/** What happened, newest first, folded by day and sifted by what one looks for; each entry opens to its reasons, the rules it used and the core that computed it. */
import { RECORD_PARTS, type Kennel, type RecordPart, type Taping } from '@banter/contract';
import { HOUSE_RULES, type HouseRuleName } from '@banter/core';
import { computed, ref, watch } from 'vue';
import type { DogRecordSource } from '../stores/dog-record.ts';
import { useUnits } from '../stores/units.ts';
import { dayWords, momentWords } from './age.ts';
import LoadFrame from './LoadFrame.vue';
import PathSteps from './PathSteps.vue';
import { sayRule } from './rule-words.ts';
import ReasonList from './ReasonList.vue';
import { daysOf } from './timeline-days.ts';
import { inTimeOrder, type TimelineEntry } from './timeline.ts';
import VerdictMark from './VerdictMark.vue';

const props = defineProps<{ dogId: string; kennel: Kennel; record: DogRecordSource; wears: readonly TimelineEntry[] }>();
const units = useUnits();
const PART_WORDS: Record<RecordPart, string> = { fits: 'Fits', tape: 'Tape', skin: 'Skin', training: 'Training', screening: 'Screening' };
const looksFor = [{ value: 'all' as const, label: 'All' }, ...RECORD_PARTS.map((value) => ({ value, label: PART_WORDS[value] }))];
const part = defineModel<RecordPart | 'all'>('part', { required: true });
const goesOn = computed(() => props.record.goesOn.value);
/** What was worn stands among the rest as far back as that is here. */
const entries = computed(() => {
  const told = props.record.entries.value;
  const since = goesOn.value ? (told.at(-1)?.at ?? '') : '';
  return part.value === 'all' ? inTimeOrder([...told, ...props.wears.filter(({ at }) => at >= since)]) : told;
});
const days = computed(() => daysOf(entries.value, (at) => dayWords(at, props.kennel.timeZone)));
/** So many days stand open at first, and so many are listed until more are wanted. */
const OPEN = 1;
/** Rules that were not the defaults when the verdict was given. */
const ownRules = (entry: TimelineEntry) =>
  Object.entries(entry.rules ?? {}).filter(([name, value]) => name in HOUSE_RULES && HOUSE_RULES[name as HouseRuleName].default !== value);
function tapeLine({ spreadMm, temMm, temPercent, plusMinusMm }: Taping['result']): string {
  if (temMm === null || temPercent === null) return `One reading, right to about ${units.gap(plusMinusMm)}.`;
  return `Right to about ${units.gap(plusMinusMm)}: spread ${units.gap(spreadMm)}, technical error ${units.speak.fine(temMm)} (${temPercent.toFixed(1)} %).`;
}
const time = (at: string) => momentWords(at, props.kennel.timeZone).split(', ')[1];
const LISTED = 10;
const listed = ref(LISTED);
function older() {
  listed.value += LISTED;
  if (goesOn.value && days.value.length < listed.value) void props.record.more();
}
watch(part, () => (listed.value = LISTED));
</script>

<template>
  <section aria-label="What happened">
    <label class="flex items-center gap-2">
      Show
      <select v-model="part" class="field w-auto!">
        <option v-for="one in looksFor" :key="one.value" :value="one.value">{{ one.label }}</option>
      </select>
    </label>
    <LoadFrame :state="record.state.value" :sentence="record.sentence.value" thing="record" @again="record.load">
      <div v-if="entries.length === 0 && part === 'all'" class="sheet mt-3">
        <PathSteps
          class="md:grid-cols-1!"
          :steps="[
            { label: 'Screen', says: 'Anything against a collar?', done: false, to: `/dogs/${dogId}/screen` },
            { label: 'Tape', says: 'High girth first: behind the ears and the jaw.', done: false, to: `/dogs/${dogId}/tape` },
            { label: 'Bench', says: 'Which collar, and how it is set.', done: false },
            { label: 'Check', says: 'With hands and eyes on the dog.', done: false },
          ]"
        />
      </div>
      <p v-else-if="entries.length === 0" class="mt-3 text-soft">No entry yet.</p>
      <details v-for="(day, index) in days.slice(0, listed)" :key="day.day" :open="index < OPEN" class="group/day mt-1">
        <summary class="sticky top-0 z-10 flex min-h-11 flex-wrap items-baseline gap-x-3 bg-felt py-2">
          <span aria-hidden="true" class="w-3 text-soft group-open/day:rotate-90">▸</span>
          <span class="font-semibold">{{ day.day }}</span>
          <span class="min-w-0 grow text-sm text-soft">{{ day.words }}</span>
        </summary>
        <ol class="border-l-2 border-line">
          <li v-for="entry in day.entries" :key="entry.id" class="relative py-1.5 pl-4">
            <details>
              <summary class="list-none rounded py-1 hover:bg-felt">
                <VerdictMark class="text-sm" :tone="entry.tone" :word="$spell(entry.word)" />
                <span class="mt-0.5 block" :class="entry.corrected && 'line-through decoration-2'">{{ entry.title }}</span>
                <span class="text-sm text-soft">
                  {{ [time(entry.at), entry.by].filter(Boolean).join(' · ') }}
                  <template v-if="entry.corrected">· corrected later</template>
                  <template v-if="entry.note">· {{ entry.note }}</template>
                </span>
              </summary>
              <div class="pb-2 text-[0.95rem]">
                <ReasonList :reasons="entry.reasons" />
                <p v-if="entry.taping" class="mt-1 text-soft">
                  {{ tapeLine(entry.taping.result) }}
                  <RouterLink v-if="!entry.corrected" :to="`/dogs/${dogId}/tape?corrects=${entry.id}`" class="underline">Correct this taping</RouterLink>
                </p>
                <p v-if="entry.rules" class="mt-1 text-sm text-soft">
                  House rules:
                  {{
                    ownRules(entry).length === 0
                      ? 'the defaults'
                      : ownRules(entry)
                          .map(
                            ([name, value]) =>
                              `${HOUSE_RULES[name as HouseRuleName].title.toLowerCase()} ${sayRule(HOUSE_RULES[name as HouseRuleName], value, units.speak)}`,
                          )
                          .join(', ')
                  }}
                  · core {{ entry.coreVersion }}
                </p>
              </div>
            </details>
          </li>
        </ol>
      </details>
      <p v-if="record.moreFailed.value" role="alert" class="mt-3 text-stop">{{ record.moreFailed.value }}</p>
      <p v-if="goesOn || days.length > listed" class="mt-3">
        <button type="button" class="press press-plain" :disabled="record.fetching.value" @click="older">
          {{ record.fetching.value ? 'Loading …' : 'Show older' }}
        </button>
      </p>
    </LoadFrame>
  </section>
</template>
