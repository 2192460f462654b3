<script setup lang="ts">
/** The field log: a session as it happens. Phone first, one tap a thing, kept on the phone at once, with or without a connection. */
import { computed, onMounted, onServerPrefetch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ClockAsk from '../parts/ClockAsk.vue';
import LoadFrame from '../parts/LoadFrame.vue';
import RefusedList from '../parts/RefusedList.vue';
import SendState from '../parts/SendState.vue';
import { useMay } from '../stores/may.ts';
import { useFieldLog } from '../stores/field-log.ts';
import { useOutbox } from '../stores/outbox.ts';
import BeginSession from './field/BeginSession.vue';
import SessionPad from './field/SessionPad.vue';

const log = useFieldLog();
const outbox = useOutbox();
const may = useMay();
const route = useRoute();
const router = useRouter();
onMounted(() => void log.open());
onServerPrefetch(log.open);

const open = computed(() => log.sessions.find(({ sessionId }) => sessionId === log.rootOf(String(route.query.session ?? ''))) ?? null);
const enter = (sessionId: string | null) => void router.replace({ path: '/field', query: sessionId ? { session: sessionId } : {} });
</script>

<template>
  <LoadFrame :state="log.state" :sentence="log.sentence" thing="the field log" @again="log.open()">
    <ClockAsk v-if="outbox.clockAsk" :off="outbox.clockAsk" @decide="outbox.decideClock" />
    <SessionPad v-if="open && log.dogOf(open.dogId)" :key="open.sessionId" :story="open" :dog="log.dogOf(open.dogId)!" @leave="enter(null)" />
    <p v-else-if="!may.write.value" class="sheet mx-auto max-w-xl">
      <strong class="block text-lg">You can only read here</strong>
      A lead or an assistant logs sessions. What was done stands in each dog’s record.
    </p>
    <BeginSession v-else @enter="enter" />
    <RefusedList />
    <SendState class="mt-6" />
  </LoadFrame>
</template>
