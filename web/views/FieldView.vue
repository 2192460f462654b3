<script setup lang="ts">
/** The field log: a session as it happens. Phone first, one tap a thing, kept on the phone at once, with or without a connection. */
import { computed, onMounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import LoadFrame from '../parts/LoadFrame.vue';
import { useMay } from '../stores/may.ts';
import { useFieldLog } from '../stores/field-log.ts';
import BeginSession from './field/BeginSession.vue';
import ClockAsk from './field/ClockAsk.vue';
import RefusedList from './field/RefusedList.vue';
import SendState from './field/SendState.vue';
import SessionPad from './field/SessionPad.vue';

const log = useFieldLog();
const may = useMay();
const route = useRoute();
const router = useRouter();
onMounted(() => void log.open());

const open = computed(() => log.sessions.find(({ sessionId }) => sessionId === log.rootOf(String(route.query.session ?? ''))) ?? null);
const enter = (sessionId: string | null) => void router.replace({ path: '/field', query: sessionId ? { session: sessionId } : {} });
</script>

<template>
  <LoadFrame :state="log.state" :sentence="log.sentence" thing="the field log" @again="log.open()">
    <ClockAsk v-if="log.clockAsk" :off="log.clockAsk" @decide="log.decideClock" />
    <SessionPad v-if="open && log.dogOf(open.dogId)" :key="open.sessionId" :story="open" :dog="log.dogOf(open.dogId)!" @leave="enter(null)" />
    <p v-else-if="!may.write.value" class="sheet mx-auto max-w-xl">
      <strong class="block text-lg">You read in this kennel</strong>
      What is logged in the field is a lead’s or an assistant’s to log. Each dog’s record tells what was.
    </p>
    <BeginSession v-else @enter="enter" />
    <RefusedList v-if="log.refused.length + log.unread.length > 0" :refused="log.refused" @let-go="log.letGo" />
    <SendState />
  </LoadFrame>
</template>
