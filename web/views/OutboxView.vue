<script setup lang="ts">
/** What this device has done and the kennel has not got yet: on its way, waiting for a connection, or refused. */
import { momentOn } from '@banter/contract';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { entryWords } from '../outbox/entry-words.ts';
import { toSend } from '../outbox/outbox-sender.ts';
import ClockAsk from '../parts/ClockAsk.vue';
import RefusedList from '../parts/RefusedList.vue';
import SendState from '../parts/SendState.vue';
import { useFieldLog } from '../stores/field-log.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';

const outbox = useOutbox();
const log = useFieldLog();
const session = useSession();
const route = useRoute();
const leaving = computed(() => route.query.leaving === '1' && waiting.value.length + outbox.refused.length > 0);
const waiting = computed(() => toSend(outbox.entries));
/** So many are shown; the rest is a number. */
const SHOWN = 100;
</script>

<template>
  <h1>{{ outbox.box !== null && waiting.length + outbox.refused.length + outbox.unread.length === 0 ? 'Everything is saved.' : 'Not saved yet' }}</h1>
  <p v-if="leaving" class="mt-1 rounded bg-mind-wash p-3 text-mind">
    Not everything on this device has been sent. Send it or drop it first; signed out all the same, it stays here until somebody signs in to this kennel.
  </p>
  <SendState class="mt-1" />
  <ClockAsk v-if="outbox.clockAsk" class="mt-4" :off="outbox.clockAsk" @decide="outbox.decideClock" />
  <RefusedList />
  <section v-if="waiting.length > 0" class="mt-6" aria-labelledby="waiting">
    <h2 id="waiting">To be sent ({{ waiting.length }})</h2>
    <ol class="mt-1 divide-y divide-line border-y border-line">
      <li v-for="one in waiting.slice(0, SHOWN)" :key="one.id" class="flex flex-wrap gap-x-3 py-2">
        <span class="text-soft">{{ momentOn(Date.parse(one.at), Date.now(), session.kennel!.timeZone) }}</span>
        <span class="min-w-0 break-words">{{ entryWords(one, log.page) }}</span>
        <template v-if="one.status === 'waits'">
          <span class="text-mind">Waits for another entry.</span>
          <button type="button" class="press press-quiet" @click="outbox.letGo(one.id)">Drop</button>
        </template>
      </li>
    </ol>
    <p v-if="waiting.length > SHOWN" class="mt-1 text-sm text-soft">And {{ waiting.length - SHOWN }} more.</p>
  </section>
</template>
