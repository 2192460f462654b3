<script setup lang="ts">
/** Many dogs at once: a table of dogs in, a table of fits from the locker out, computed in a worker with progress and a way to stop. */
import { CollarsPage, houseOf, stockByKind } from '@banter/contract';
import { NOTHING_NOTED, USUAL_FINGER } from '@banter/core';
import { tryOnScopeDispose } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import type { LeftOut } from '../import/fit-table.ts';
import LoadFrame from '../parts/LoadFrame.vue';
import TextField from '../parts/TextField.vue';
import { useLoad } from '../stores/load.ts';
import { useSession } from '../stores/session.ts';
import { useUnits } from '../stores/units.ts';
import { MOST_ROWS, type FitManyNews, type FitManyRequest } from '../workers/fit-many.ts';
import { useTyped } from '../stores/draft.ts';

const session = useSession();
const units = useUnits();
const { data, state, sentence, load } = useLoad(() => '/api/collars', CollarsPage);
const { pasted } = useTyped('table-to-fit', { pasted: '' });
const file = shallowRef<File | null>(null);
const busy = ref(false);
const bytes = ref(0);
const dogs = ref(0);
const result = shallowRef<{ url: string; dogs: number; leftOut: LeftOut[]; cutOff: boolean } | null>(null);
const fault = ref('');
let worker: Worker | null = null;

const total = computed(() => file.value?.size ?? pasted.value.length);
const share = computed(() => (total.value === 0 ? 0 : Math.min(1, bytes.value / total.value)));
const sizeWords = computed(() => (file.value ? `${file.value.name}, ${(file.value.size / 1_000_000).toFixed(1)} MB` : ''));
const SHOWN_ROWS = 100;

function stop() {
  worker?.terminate();
  worker = null;
  busy.value = false;
}
tryOnScopeDispose(() => {
  stop();
  if (result.value) URL.revokeObjectURL(result.value.url);
});
function start() {
  stop();
  if (result.value) URL.revokeObjectURL(result.value.url);
  result.value = null;
  fault.value = '';
  bytes.value = 0;
  dogs.value = 0;
  busy.value = true;
  worker = new Worker(new URL('../workers/fit-many.worker.ts', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data: news }: MessageEvent<FitManyNews>) => {
    if (news.kind === 'progress') {
      bytes.value = news.bytes;
      dogs.value = news.dogs;
      return;
    }
    if (news.kind === 'done') result.value = { ...news, url: URL.createObjectURL(news.csv) };
    else fault.value = news.reason;
    stop();
  };
  worker.onerror = () => {
    fault.value = 'The file could not be read to its end.';
    stop();
  };
  const request: FitManyRequest = {
    file: file.value ?? pasted.value,
    stock: stockByKind(data.value!.collars, NOTHING_NOTED) as FitManyRequest['stock'],
    house: houseOf(session.kennel!) as unknown as FitManyRequest['house'],
    units: { length: units.length, mass: units.mass, finger: session.me?.person.finger ?? USUAL_FINGER },
  };
  // Without the reactive wrapping, which cannot cross into a worker; the file itself can.
  worker.postMessage({ ...(JSON.parse(JSON.stringify({ ...request, file: null })) as object), file: request.file });
}
function pick(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null;
}
const example = computed(() =>
  units.length === 'in'
    ? 'name,high,head,weight,coat\nBracken,15 3/8,18 1/2,62 lb,\nSedge,16.25 in,19,28 kg,8 mm'
    : 'name,high,head,weight,coat\nBracken,39.1,47,28,\nSedge,16 1/4 in,48.3,62 lb,8 mm',
);
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the locker" @again="load">
    <h1>Size a group.</h1>
    <p class="mt-1 max-w-[46rem] text-soft">
      Paste a table of dogs, or choose a CSV file, with a heading row. Each dog is sized for every kind of collar in your locker, on this device. Nothing is
      saved or sent.
    </p>
    <div class="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
      <form class="sheet space-y-4" novalidate @submit.prevent="start">
        <div>
          <label for="dogs-file" class="mb-1 block font-semibold">CSV file</label>
          <input id="dogs-file" type="file" accept=".csv,.txt,text/csv" class="field py-2" @change="pick" />
          <p v-if="file" class="mt-1 text-sm text-soft">{{ sizeWords }}</p>
        </div>
        <TextField v-if="!file" v-model="pasted" label="Or paste the table" :rows="6" :hint="`Bare numbers are in ${units.length} and ${units.mass}.`" />
        <div class="flex flex-wrap items-center gap-3">
          <button type="submit" class="press press-main" :disabled="busy || (!file && pasted.trim() === '')">Size them</button>
          <button v-if="busy" type="button" class="press press-plain" @click="stop">Stop</button>
          <button v-if="!file && pasted === ''" type="button" class="press press-quiet" @click="pasted = example">Show me an example</button>
        </div>
        <div v-if="busy" role="status">
          <div
            class="h-3 w-full overflow-hidden rounded bg-line"
            role="progressbar"
            :aria-valuenow="Math.round(share * 100)"
            aria-valuemin="0"
            aria-valuemax="100"
            aria-label="Sized so far"
          >
            <div class="h-full bg-tape" :style="{ width: `${share * 100}%` }" />
          </div>
          <p class="mt-1 text-soft">{{ dogs }} dogs so far, {{ Math.round(share * 100) }} % of the file.</p>
        </div>
        <p v-if="fault" role="alert" class="rounded bg-stop-wash p-3 font-semibold text-stop">{{ fault }}</p>
        <div v-if="result" role="status" class="rounded bg-good-wash p-3">
          <p class="font-semibold text-good">
            {{ result.dogs }} {{ result.dogs === 1 ? 'dog' : 'dogs' }} sized{{ result.leftOut.length > 0 ? `, ${result.leftOut.length} rows left out` : '' }}.
          </p>
          <p v-if="result.cutOff" class="text-mind">The file has more than {{ MOST_ROWS }} rows; the rest was not read.</p>
          <a :href="result.url" download="fits.csv" class="press press-main mt-2">Take the fits as CSV</a>
        </div>
        <section v-if="result && result.leftOut.length > 0" aria-label="Rows left out">
          <h2>Rows left out</h2>
          <ul class="mt-1 divide-y divide-line">
            <li v-for="one in result.leftOut.slice(0, SHOWN_ROWS)" :key="one.row" class="py-1.5">
              <strong>Row {{ one.row }}:</strong>
              {{ one.reason }}
            </li>
          </ul>
          <p v-if="result.leftOut.length > SHOWN_ROWS" class="mt-1 text-soft">And {{ result.leftOut.length - SHOWN_ROWS }} more.</p>
        </section>
      </form>
      <aside class="sheet self-start">
        <h2>How the table looks</h2>
        <p class="mt-1">The first row names the columns. Others are ignored.</p>
        <dl class="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          <dt class="font-semibold">name</dt>
          <dd>as you call it</dd>
          <dt class="font-semibold">high</dt>
          <dd>high girth; needed</dd>
          <dt class="font-semibold">head, mid</dt>
          <dd>girths</dd>
          <dt class="font-semibold">muzzle, stop, muzzle length</dt>
          <dd>for head collars</dd>
          <dt class="font-semibold">coat</dt>
          <dd>depth, flattened; «over coat» says yes if taped over it</dd>
          <dt class="font-semibold">weight</dt>
          <dd>for prongs and receivers</dd>
          <dt class="font-semibold">pull</dt>
          <dd>settled, pulls or drags</dd>
          <dt class="font-semibold">side, build</dt>
          <dd>left or right; slender, average or heavy</dd>
        </dl>
        <p class="mt-3 text-soft">Put units after the number, in the heading («high (in)») or in a row below it. Commas, semicolons and tabs all work.</p>
      </aside>
    </div>
  </LoadFrame>
</template>
