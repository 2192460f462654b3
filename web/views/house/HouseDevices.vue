<script setup lang="ts">
/** Bridges: programs that may tell what this kennel’s devices do. A key is made here, shown once, and taken back at any time. */
import { defaultWindow } from '@vueuse/core';
import { Bridge, BridgesPage, type BridgeFacts } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref } from 'vue';
import { dayWords, momentWords } from '../../parts/age.ts';
import SaveBar from '../../work/SaveBar.vue';
import LoadFrame from '../../parts/LoadFrame.vue';
import { makePrivateKey } from '../../parts/private-key.ts';
import ShownOnce from '../../parts/ShownOnce.vue';
import TextField from '../../parts/TextField.vue';
import { useKeep } from '../../stores/keep.ts';
import { useLoad } from '../../stores/load.ts';
import { useSession } from '../../stores/session.ts';
import { useTyped } from '../../stores/draft.ts';

const session = useSession();
const keeping = useKeep();
const { data, state, sentence, load } = useLoad(() => '/api/bridges', BridgesPage);
const { name } = useTyped('bridge', { name: '' });
const key = ref('');
const here = computed(() => (data.value?.bridges ?? []).filter(({ revokedAt }) => revokedAt === null));
const gone = computed(() => (data.value?.bridges ?? []).filter(({ revokedAt }) => revokedAt !== null));

async function make() {
  if (name.value.trim() === '') return;
  const { key: fresh, keyHash } = await makePrivateKey();
  const facts: BridgeFacts = { name: name.value.trim(), keyHash, revokedAt: null };
  if (!(await keeping.keep(`/api/bridges/${uuidv7()}`, Bridge, facts))) return;
  key.value = fresh;
  name.value = '';
  await load();
}
async function takeBack(bridge: Bridge) {
  const { id, version, lastSeenAt: _seen, ...facts } = bridge;
  if (await keeping.keep(`/api/bridges/${id}`, Bridge, { ...facts, revokedAt: new Date().toISOString() }, version)) await load();
}
const origin = defaultWindow?.location.origin ?? '';
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the devices" @again="load">
    <div class="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
      <form class="sheet space-y-3 self-start" novalidate @submit.prevent="make">
        <h2>A bridge to your devices</h2>
        <p>
          A program of yours that hears a real transmitter or receiver can send its events to Banter: charged, paired, tried, put on, moved, taken off. One
          event a line, in an open format; late or twice does no harm.
        </p>
        <TextField v-model="name" label="What it is called" hint="Such as: gateway in the shed." :error="keeping.errorAt('name')" />
        <SaveBar by="lead" :keeping="keeping" label="Make a key" :disabled="name.trim() === ''" />
        <ShownOnce v-if="key" :text="key" title="Its key, shown this once:" @done="key = ''" />
        <pre class="overflow-x-auto rounded bg-ground p-3 text-sm" tabindex="0">
POST {{ origin }}/api/events
Authorization: Bearer KEY
Content-Type: application/x-ndjson

{"event":"charged","id":"…","at":"…","collarId":"…","percent":88}</pre>
        <p class="text-sm text-soft">The whole format stands in docs/device-events.md, and in the interface’s own description at /api/openapi.json.</p>
      </form>
      <section class="sheet self-start" aria-label="Bridges">
        <h2>Bridges</h2>
        <p v-if="here.length === 0" class="mt-1 text-soft">None. Until then, the stand-in device under Contacts does the same on the screen.</p>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="bridge in here" :key="bridge.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
            <span class="min-w-0 grow">
              <span class="block font-semibold">{{ bridge.name }}</span>
              <span class="text-sm text-soft">
                {{ bridge.lastSeenAt ? `heard of ${momentWords(bridge.lastSeenAt, session.kennel!.timeZone)}` : 'not heard of yet' }}
              </span>
            </span>
            <button type="button" class="press press-quiet" @click="takeBack(bridge)">
              Withdraw key<span class="sr-only">: {{ bridge.name }}</span>
            </button>
          </li>
        </ul>
        <details v-if="gone.length > 0" class="mt-2 text-sm text-soft">
          <summary>Withdrawn ({{ gone.length }})</summary>
          <p v-for="bridge in gone" :key="bridge.id">{{ bridge.name }}, {{ dayWords(bridge.revokedAt!, session.kennel!.timeZone) }}</p>
        </details>
      </section>
    </div>
  </LoadFrame>
</template>
