<script setup lang="ts">
/** What happened, newest first, by day; each entry opens to its reasons, the rules it used and the core that computed it. */
import type { DogPage, Kennel, Taping } from '@banter/contract';
import { HOUSE_RULES, TAPE_SITE_WORDS, type HouseRuleName } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../stores/units.ts';
import { dayWords, momentWords } from './age.ts';
import PathSteps from './PathSteps.vue';
import { sayRule } from './rule-words.ts';
import ReasonList from './ReasonList.vue';
import { inTimeOrder, timelineOf, type TimelineEntry } from './timeline.ts';
import VerdictMark from './VerdictMark.vue';

const props = defineProps<{ page: DogPage; kennel: Kennel; more?: readonly TimelineEntry[] }>();
const units = useUnits();
const entries = computed(() => inTimeOrder([...timelineOf(props.page, units.speak, units.exact, (site) => TAPE_SITE_WORDS[site].name), ...(props.more ?? [])]));
const days = computed(() => {
  const byDay: { day: string; entries: TimelineEntry[] }[] = [];
  for (const entry of entries.value) {
    const day = dayWords(entry.at, props.kennel.timeZone);
    if (byDay.at(-1)?.day === day) byDay.at(-1)!.entries.push(entry);
    else byDay.push({ day, entries: [entry] });
  }
  return byDay;
});
/** Rules that were not the defaults when the verdict was given. */
const ownRules = (entry: TimelineEntry) =>
  Object.entries(entry.rules ?? {}).filter(([name, value]) => name in HOUSE_RULES && HOUSE_RULES[name as HouseRuleName].default !== value);
function tapeLine({ spreadMm, temMm, temPercent, plusMinusMm }: Taping['result']): string {
  if (temMm === null || temPercent === null) return `One reading, right to about ${units.gap(plusMinusMm)}.`;
  return `Right to about ${units.gap(plusMinusMm)}: spread ${units.gap(spreadMm)}, technical error ${units.speak.fine(temMm)} (${temPercent.toFixed(1)} %).`;
}
const time = (at: string) => momentWords(at, props.kennel.timeZone).split(', ')[1];
</script>

<template>
  <section aria-label="What happened">
    <h2>What happened</h2>
    <div v-if="entries.length === 0" class="sheet mt-3">
      <PathSteps
        class="md:grid-cols-1!"
        :steps="[
          { label: 'Screen', says: 'What speaks against a collar?', done: false, to: `/dogs/${page.dog.id}/screen` },
          { label: 'Tape', says: 'High girth first: behind the ears and the jaw.', done: false, to: `/dogs/${page.dog.id}/tape` },
          { label: 'Bench', says: 'Which collar, and how it is made up.', done: false },
          { label: 'Check', says: 'With hands and eyes on the dog.', done: false },
        ]"
      />
    </div>
    <div v-for="day in days" :key="day.day" class="mt-3">
      <h3 class="sticky top-0 bg-ground py-1 text-soft">{{ day.day }}</h3>
      <ol class="border-l-2 border-line">
        <li v-for="entry in day.entries" :key="entry.id" class="relative py-1.5 pl-4">
          <details>
            <summary class="list-none rounded py-1 hover:bg-felt">
              <VerdictMark class="text-sm" :tone="entry.tone" :word="entry.word" />
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
                <RouterLink v-if="!entry.corrected" :to="`/dogs/${page.dog.id}/tape?corrects=${entry.id}`" class="underline">Correct this taping</RouterLink>
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
    </div>
  </section>
</template>
