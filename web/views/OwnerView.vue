<script setup lang="ts">
/** What the owner of a dog sees by their private link: today’s check to tick, and the pages. Nothing else of the kennel. */
import { OWNER_SAYS, OWNER_SAYS_WORDS, OwnerPage, type OwnerSaying } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { tryOnScopeDispose, useEventListener } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { failureSentence, RequestFailure } from '../api/failure.ts';
import { send } from '../api/request.ts';
import { dayWords } from '../parts/age.ts';
import { readStored, writeStored } from '../stores/stored.ts';
import { OwnerTicks, type OwnerWaiting } from './handover/owner-ticks.ts';
import SheetDrawing from '../paper/SheetDrawing.vue';
import HandoverLook from './handover/HandoverLook.vue';
import HandoverPaper from './handover/HandoverPaper.vue';

const key = useRoute().hash.slice(1);
const page = ref<OwnerPage | null>(null);
const fault = ref('');
const away = ref(false);
/** Ticks that have not arrived yet: kept on this device by the end of the key, sent in order as soon as it works. */
const boxName = `banter.owner-ticks.${key.slice(-8)}`;
const waiting = ref<OwnerWaiting[]>(readStored(boxName, OwnerTicks) ?? []);
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;
const RETRY_MS = 4000;

function failed(failure: unknown): void {
  if (failure instanceof RequestFailure && failure.mayPass) {
    away.value = true;
    clearTimeout(timer);
    timer = setTimeout(() => void (page.value ? sendTicks() : look()), RETRY_MS);
    return;
  }
  fault.value =
    failure instanceof RequestFailure && failure.problem?.status === 422
      ? 'This link is not whole. Copy all of it, and open it again.'
      : failureSentence(failure);
}
async function look() {
  try {
    page.value = await send('POST', '/api/owner', OwnerPage, { key });
    away.value = false;
    await sendTicks();
  } catch (failure) {
    failed(failure);
  }
}
async function sendTicks() {
  if (sending) return;
  sending = true;
  try {
    for (let next = waiting.value[0]; next; next = waiting.value[0]) {
      page.value = await send('POST', 'says' in next ? '/api/owner/says' : '/api/owner/ticks', OwnerPage, { key, ...next });
      waiting.value = waiting.value.slice(1);
      writeStored(boxName, waiting.value);
    }
    away.value = false;
  } catch (failure) {
    failed(failure);
  } finally {
    sending = false;
  }
}
void look();
const online = () => void (page.value ? sendTicks() : look());
useEventListener('online', online);
tryOnScopeDispose(() => clearTimeout(timer));

const sheet = computed(() => page.value?.handover?.sheet ?? null);
const done = computed(() => {
  const items = new Set(page.value?.ticks.find(({ day }) => day === page.value!.today)?.items ?? []);
  for (const one of waiting.value) if ('item' in one) items[one.done ? 'add' : 'delete'](one.item);
  return items;
});
/** What the owner has said of today, as far as it was not taken back. */
const said = computed(() => {
  const all = new Set<OwnerSaying>(page.value?.said ?? []);
  for (const one of waiting.value) if ('says' in one) all[one.done ? 'add' : 'delete'](one.says);
  return all;
});
const left = computed(() => (sheet.value?.daily ?? []).filter((line) => !done.value.has(line.key)).length);
function put(one: OwnerWaiting) {
  waiting.value = [...waiting.value, one];
  writeStored(boxName, waiting.value);
  void sendTicks();
}
const tick = (item: string) => put({ id: uuidv7(), item, done: !done.value.has(item) });
/** One press says it of each line that is not ticked yet. */
const tickAll = () => sheet.value!.daily.filter(({ key: item }) => !done.value.has(item)).forEach(({ key: item }) => tick(item));
const say = (says: OwnerSaying) => put({ id: uuidv7(), says, done: !said.value.has(says) });
const days = computed(() => (page.value?.ticks ?? []).filter(({ day, items }) => day !== page.value!.today && items.length > 0));

const taking = ref(false);
const notTaken = ref('');
async function takePages() {
  taking.value = true;
  notTaken.value = '';
  try {
    const answer = await fetch('/api/owner/pages.pdf', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ key }) });
    if (!answer.ok) throw new RequestFailure(null);
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await answer.blob());
    link.download = `${sheet.value!.dogName} handover.pdf`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
  } catch {
    notTaken.value = 'The pages did not come. Try again in a moment.';
  } finally {
    taking.value = false;
  }
}
</script>

<template>
  <div class="mx-auto max-w-4xl">
    <p v-if="fault" role="alert" class="sheet"><strong class="block text-lg">This link does not work</strong>{{ fault }}</p>
    <p v-else-if="!page" role="status" class="text-soft">{{ away ? 'No connection. Trying again.' : 'Opening …' }}</p>
    <p v-else-if="!page.handover" class="sheet">
      <strong class="block text-lg">Nothing has been handed over yet</strong>Your trainer will tell you when it is here. The link stays the same.
    </p>
    <template v-else>
      <section class="no-print sheet" aria-labelledby="daily">
        <h1 id="daily">{{ left === 0 ? `All checked today` : `${sheet!.dogName}: ${left} to check today` }}</h1>
        <button v-if="left > 1 && said.size === 0" type="button" class="press press-main mt-2 min-h-12 w-full sm:w-auto" @click="tickAll">All good</button>
        <ul class="mt-1 divide-y divide-line">
          <li v-for="line in sheet!.daily" :key="line.key">
            <label class="flex min-h-12 cursor-pointer items-center gap-4 py-1 leading-snug">
              <input type="checkbox" class="size-7 shrink-0" :checked="done.has(line.key)" @change="tick(line.key)" />
              <span :class="done.has(line.key) && 'text-soft'">{{ line.text }}</span>
            </label>
          </li>
        </ul>
        <fieldset class="mt-3 border-t border-line pt-3">
          <legend class="font-semibold">Not right? Tell your trainer.</legend>
          <div class="mt-1.5 grid grid-cols-3 gap-1.5 sm:flex sm:flex-wrap">
            <button
              v-for="one in OWNER_SAYS"
              :key="one"
              type="button"
              class="press min-h-12 px-1.5! leading-tight max-sm:text-sm sm:px-4!"
              :class="said.has(one) ? 'border-mind! bg-mind-wash text-mind' : 'press-plain'"
              :aria-pressed="said.has(one)"
              @click="say(one)"
            >
              {{ OWNER_SAYS_WORDS[one].button }}
            </button>
          </div>
          <p v-if="said.size > 0 && waiting.length === 0" role="status" class="mt-2 text-mind">
            Sent to your trainer. Take it off when it is pink, loose or opened. Press again to undo.
          </p>
        </fieldset>
        <p v-if="waiting.length > 0 && away" role="status" class="mt-2 rounded bg-mind-wash p-3 text-mind">
          No connection. Your ticks are safe on this device and are sent as soon as it works.
        </p>
        <p v-if="days.length > 0" class="mt-2 text-sm text-soft">
          Before:
          <template v-for="(one, index) in days" :key="one.day"
            >{{ index > 0 ? '; ' : '' }}{{ dayWords(one.day, page.timeZone) }} {{ one.items.length }} of {{ sheet!.daily.length }}</template
          >
        </p>
      </section>
      <section class="no-print sheet mt-4" aria-label="What to do">
        <SheetDrawing v-if="sheet!.drawings.neck" class="mx-auto max-w-64 sm:max-w-xl" :sheet="sheet!" which="neck" />
        <p class="mt-2 font-semibold">{{ sheet!.lead }}</p>
        <p v-if="page.handover.callWhom" class="mt-1">Call {{ page.handover.callWhom }}</p>
        <HandoverLook class="mt-2" :sheet="sheet!" :note="page.handover.note" first="if" fold-others />
        <div class="mt-3 flex items-center gap-3">
          <button type="button" class="press press-plain shrink-0" :disabled="taking" @click="takePages">{{ taking ? 'Making …' : 'Get the PDF' }}</button>
          <span class="text-sm text-soft">Yours alone, until {{ dayWords(page.expiresAt, page.timeZone) }}.</span>
        </div>
        <p v-if="notTaken" role="alert" class="mt-2 text-stop">{{ notTaken }}</p>
      </section>
      <HandoverPaper
        class="hidden print:block"
        :sheet="sheet!"
        :to-whom="page.handover.toWhom"
        :call-whom="page.handover.callWhom"
        :note="page.handover.note"
        :day="dayWords(page.handover.at, page.timeZone)"
      />
    </template>
  </div>
</template>
