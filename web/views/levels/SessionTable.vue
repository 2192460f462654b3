<script setup lang="ts">
/** The same sessions as a table, and as CSV: exactly what is shown. */
import { settingsOf, type Collar, type Dog, type FieldSession, type Kennel } from '@banter/contract';
import { levelWords } from '@banter/core';
import Papa from 'papaparse';
import { computed, ref } from 'vue';
import { sessionRow, SESSION_HEADINGS } from './session-row.ts';

const props = defineProps<{ sessions: readonly FieldSession[]; all: number; dog: Dog; collars: readonly Collar[]; kennel: Kennel }>();
const open = ref(false);
const names = computed(() => ({
  setting: new Map(settingsOf(props.kennel).map(({ id, name }) => [id, name])),
  collar: new Map(props.collars.map(({ id, name }) => [id, name])),
}));
const rows = computed(() => [...props.sessions].reverse());
const when = computed(
  () => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', timeZone: props.kennel.timeZone }),
);
function take() {
  const lines = props.sessions.flatMap((session) => sessionRow(session, names.value));
  const text = `\uFEFF${Papa.unparse([[...SESSION_HEADINGS], ...lines], { newline: '\r\n' })}\r\n`;
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
  link.download = `${props.dog.name}-sessions.csv`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
const needed = ({ tally }: FieldSession) =>
  tally.needed.map(({ level, setting }) => `${levelWords(level)} (${names.value.setting.get(setting) ?? setting})`).join(', ');
</script>

<template>
  <section aria-labelledby="sessions">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="sessions" class="grow">{{ sessions.length }}{{ sessions.length < all ? ` of ${all}` : '' }} {{ all === 1 ? 'session' : 'sessions' }}</h2>
      <button type="button" class="press press-plain" @click="open = !open">{{ open ? 'Hide the table' : 'As a table' }}</button>
      <button type="button" class="press press-plain" :disabled="sessions.length === 0" @click="take">Take these as CSV</button>
    </div>
    <div v-if="open" class="mt-3 max-h-[28rem] overflow-auto" tabindex="0" role="region" aria-label="Sessions, latest first">
      <table class="w-full min-w-[40rem] text-left">
        <thead class="sticky top-0 bg-felt text-sm">
          <tr>
            <th class="py-1 pr-3">Began</th>
            <th class="pr-3">Handler</th>
            <th class="pr-3">Needed</th>
            <th class="pr-3 text-right">Presses</th>
            <th class="pr-3 text-right">Corrections</th>
            <th class="pr-3 text-right">Rewards</th>
            <th class="text-right">Ended</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="session in rows" :key="session.id" class="border-t border-line">
            <td class="py-1 pr-3 whitespace-nowrap">{{ when.format(new Date(session.begunAt)) }}</td>
            <td class="pr-3">{{ session.handlerName }}</td>
            <td class="pr-3">{{ needed(session) }}<span v-if="session.purpose === 'finding'" class="text-soft"> level finding</span></td>
            <td class="pr-3 text-right">{{ session.tally.presses }}</td>
            <td class="pr-3 text-right">{{ session.tally.corrections }}</td>
            <td class="pr-3 text-right">{{ session.tally.rewards }}</td>
            <td class="text-right whitespace-nowrap">{{ session.endedAt ? when.format(new Date(session.endedAt)) : 'not ended' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
