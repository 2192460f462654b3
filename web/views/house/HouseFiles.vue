<script setup lang="ts">
/** The kennel's data, out and back in: open formats, and what would happen said before it happens. */
import { failureSentence } from '../../api/failure.ts';
import { send } from '../../api/request.ts';
import { sendFile } from '../../api/send-file.ts';
import { CSV_TABLES, KENNEL_PART_NAMES, kennelPart, KennelImport, RECORD_KINDS, type CsvTable, type KennelPartName } from '@banter/contract';
import { tryOnScopeDispose } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { momentWords } from '../../parts/age.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { useMay } from '../../stores/may.ts';
import { useSession } from '../../stores/session.ts';

const session = useSession();
const may = useMay();
const zone = session.kennel!.timeZone;
const file = shallowRef<File | null>(null);
/** A table instead of a whole kennel is known by its file’s name; which one it is, somebody says. */
const isTable = computed(() => file.value !== null && /\.(csv|tsv|txt)$/i.test(file.value.name));
const table = ref<CsvTable>('dogs');
const tables = CSV_TABLES.map((value) => ({ value, label: value }));

const sent = ref(0);
const job = shallowRef<KennelImport | null>(null);
const fault = ref('');
const sending = ref(false);
const choice = ref<'ours' | 'file'>('ours');
let stopSending = () => {};
let timer: ReturnType<typeof setTimeout> | undefined;
const LOOK_MS = 400;
tryOnScopeDispose(() => {
  stopSending();
  clearTimeout(timer);
});

const CHOICES = [
  { value: 'ours', label: 'Keep ours' },
  { value: 'file', label: 'Take the file’s' },
] as const;
const busy = computed(() => sending.value || job.value?.state === 'reading' || job.value?.state === 'keeping');
const share = computed(() => (sending.value ? sent.value : job.value && job.value.of > 0 ? Math.min(1, job.value.done / job.value.of) : 0));
const doing = computed(() => (sending.value ? 'Sending it' : job.value?.state === 'reading' ? 'Checking the file' : 'Saving it'));
const rows = computed(() =>
  KENNEL_PART_NAMES.flatMap((name) => {
    const counts = job.value?.counts[name];
    return counts ? [{ name, words: RECORD_KINDS[name].words.many, ...counts }] : [];
  }),
);
const fresh = computed(() => rows.value.reduce((sum, one) => sum + one.fresh, 0));
const sentence = computed(() => {
  const now = job.value;
  if (!now) return '';
  if (now.state === 'kept') return 'Done. All of it was saved.';
  if (now.state === 'failed') return 'It was not saved, and nothing of it was.';
  if (now.state === 'refused')
    return now.faultCount === 1 ? 'One thing in it is not right; nothing was changed.' : `${now.faultCount} things in it are not right; nothing was changed.`;
  if (fresh.value === 0 && now.conflictCount === 0) return 'Everything in it is here already.';
  return `${fresh.value === 1 ? 'One record is' : `${fresh.value} records are`} new here${now.conflictCount > 0 ? `; ${now.conflictCount} differ here` : ''}.`;
});
const placeOf = (part: string) => (part === 'kennel' ? 'house rules' : (RECORD_KINDS[part as KennelPartName]?.words.many ?? part));

async function take() {
  if (!file.value) return;
  fault.value = '';
  job.value = null;
  sending.value = true;
  sent.value = 0;
  const going = sendFile(isTable.value ? `/api/imports?table=${table.value}` : '/api/imports', file.value, KennelImport, (now) => (sent.value = now));
  stopSending = going.stop;
  try {
    job.value = await going.done;
    follow();
  } catch (failure) {
    fault.value = failureSentence(failure);
  } finally {
    sending.value = false;
    stopSending = () => {};
  }
}
function follow() {
  clearTimeout(timer);
  timer = setTimeout(async () => {
    try {
      job.value = await send('GET', `/api/imports/${job.value!.id}`, KennelImport);
      fault.value = '';
      if (job.value.state === 'kept') await session.look().catch(() => {});
    } catch (failure) {
      fault.value = failureSentence(failure);
    }
    if (job.value?.state === 'reading' || job.value?.state === 'keeping') follow();
  }, LOOK_MS);
}
async function keep() {
  fault.value = '';
  try {
    job.value = await send('POST', `/api/imports/${job.value!.id}/keep`, KennelImport, { conflicts: choice.value });
    follow();
  } catch (failure) {
    fault.value = failureSentence(failure);
  }
}
async function letGo() {
  const id = job.value?.id;
  stopSending();
  clearTimeout(timer);
  job.value = null;
  file.value = null;
  if (id) await send('POST', `/api/imports/${id}/drop`, null, {}).catch(() => {});
}
function dropped(event: DragEvent) {
  file.value = event.dataTransfer?.files[0] ?? file.value;
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
    <section class="sheet" aria-labelledby="files-out">
      <h2 id="files-out">Out</h2>
      <template v-if="may.lead.value">
        <p class="mt-1">
          Everything that {{ session.kennel!.name }} has, as one open file: dogs, collars, links, fits, checks, sessions, photos and house rules.
        </p>
        <a href="/api/kennel.json" download class="press press-main mt-3">Take the whole kennel (JSON)</a>
        <p class="mt-2 text-sm text-soft">
          Without e-mails, passwords and private keys. Its format is described in its
          <a href="/api/kennel-file.schema.json" class="underline">schema</a>.
        </p>
      </template>
      <p v-else class="mt-1 text-soft">Only a lead takes the whole kennel.</p>
      <h3 class="mt-5 font-semibold">As tables (CSV)</h3>
      <ul class="mt-1 flex flex-wrap gap-2">
        <li v-for="one in CSV_TABLES" :key="one">
          <a :href="`/api/csv/${one}.csv`" download class="press press-plain capitalize">{{ one }}</a>
        </li>
      </ul>
      <h3 class="mt-5 font-semibold">Elsewhere</h3>
      <ul class="mt-1 list-disc space-y-1 pl-5">
        <li><a href="/api/events.ndjson" download class="underline">Collars on and off, and what devices told</a>, a line each (NDJSON)</li>
        <li><RouterLink to="/house?show=calendars" class="underline">The calendar</RouterLink>, as an address or a file (iCalendar)</li>
        <li>Every drawing and chart as SVG and PNG: «Drawings of this screen» in the menu, or the key x</li>
        <li><RouterLink to="/many" class="underline">A table of dogs</RouterLink> in, a table of fits out</li>
      </ul>
    </section>
    <section class="sheet" aria-labelledby="files-in">
      <h2 id="files-in">In</h2>
      <p v-if="!may.lead.value" class="mt-1 text-soft">Only a lead brings in a file.</p>
      <template v-else>
        <form v-if="!job || job.state === 'kept'" class="mt-1" @submit.prevent="take">
          <label class="block rounded border-2 border-dashed border-line p-5 text-center" @dragover.prevent @drop.prevent="dropped">
            <span class="font-semibold">{{ file ? file.name : 'A kennel’s file, or a table' }}</span>
            <span class="block text-sm text-soft">{{
              file ? `${(file.size / 1_000_000).toFixed(1)} MB` : 'Drop it here, or choose it. It is checked first; that changes nothing.'
            }}</span>
            <input
              type="file"
              accept=".json,.csv,application/json,text/csv"
              class="mt-2 max-w-full"
              aria-label="A kennel’s file, or a table"
              @change="file = ($event.target as HTMLInputElement).files?.[0] ?? null"
            />
          </label>
          <ChoiceRow
            v-if="isTable"
            v-model="table"
            class="mt-3"
            label="Which table is it?"
            hint="Ours come back whole; other tables as far as they can."
            :answers="tables"
            quiet
          />
          <button type="submit" class="press press-main mt-3" :disabled="!file || sending">Check the file</button>
        </form>
        <div v-if="busy" class="mt-3" role="status">
          <p>{{ doing }} …</p>
          <progress class="mt-1 h-3 w-full" max="1" :value="share" :aria-label="doing"></progress>
        </div>
        <div v-if="job && !busy" class="mt-3">
          <h3 class="text-lg font-semibold" role="status">{{ sentence }}</h3>
          <p v-if="job.kennelName" class="text-soft">
            {{ job.kennelName }}<template v-if="job.exportedAt">, as of {{ momentWords(job.exportedAt, zone) }}</template>
          </p>
          <p v-if="job.leftOut.length > 0" class="mt-1 text-soft">Nothing is taken from: {{ job.leftOut.join(', ') }}.</p>
          <ul
            v-if="job.faults.length > 0"
            class="mt-2 max-h-80 space-y-1.5 overflow-auto rounded bg-stop-wash p-3 text-stop"
            tabindex="0"
            aria-label="What is wrong"
          >
            <li v-for="(one, index) in job.faults" :key="index">
              <strong v-if="one.where !== 'file'" class="font-mono text-sm">{{ one.where }}</strong> {{ one.message }}
            </li>
          </ul>
          <div v-if="job.state === 'ready' && job.conflicts.length > 0" class="mt-3 rounded bg-mind-wash p-3 text-mind">
            <p class="font-semibold">Here already, but different:</p>
            <ul class="mt-1 max-h-60 space-y-1 overflow-auto" tabindex="0" aria-label="What differs here">
              <li v-for="one in job.conflicts" :key="`${one.part} ${one.id}`">
                {{ placeOf(one.part) }}<template v-if="one.label">: {{ one.label }}</template>
                <span class="text-sm">
                  ({{ one.fields.join(', ') }}{{ one.versioned ? '' : '; stays ours whatever is chosen, as what happened is never rewritten' }})</span
                >
              </li>
            </ul>
            <p v-if="job.conflictCount > job.conflicts.length" class="mt-1 text-sm">and {{ job.conflictCount - job.conflicts.length }} more</p>
          </div>
          <ChoiceRow v-if="job.state === 'ready' && job.conflictCount > 0" v-model="choice" class="mt-3" label="Where both have it" :answers="CHOICES" quiet />
          <table v-if="rows.length > 0 && job.state === 'ready'" class="mt-3 w-full text-left">
            <thead>
              <tr class="border-b border-line text-sm text-soft">
                <th class="py-1 font-normal">What</th>
                <th class="px-2 text-right font-normal">new</th>
                <th class="px-2 text-right font-normal">the same</th>
                <th class="pl-2 text-right font-normal">otherwise</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in rows" :key="row.name" class="border-b border-line" :title="kennelPart(row.name).about">
                <th class="py-1 font-normal first-letter:uppercase">{{ row.words }}</th>
                <td class="px-2 text-right tabular-nums" :class="row.fresh > 0 && 'font-semibold'">{{ row.fresh }}</td>
                <td class="px-2 text-right text-soft tabular-nums">{{ row.same }}</td>
                <td class="pl-2 text-right tabular-nums">{{ row.other }}</td>
              </tr>
            </tbody>
          </table>
          <div v-if="job.state !== 'kept'" class="mt-4 flex flex-wrap gap-3">
            <button v-if="job.state === 'ready'" type="button" class="press press-main" :disabled="fresh === 0 && job.conflictCount === 0" @click="keep">
              Bring it in
            </button>
            <button type="button" class="press press-plain" @click="letGo">{{ job.state === 'ready' ? 'Cancel' : 'Another file' }}</button>
          </div>
        </div>
        <p v-if="fault" role="alert" class="mt-3 rounded bg-stop-wash p-3 text-stop">{{ fault }}</p>
      </template>
    </section>
  </div>
</template>
