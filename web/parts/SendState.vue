<script setup lang="ts">
/** Where what was logged is: on this device, on its way, or kept by the kennel. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useOutbox } from '../stores/outbox.ts';

const outbox = useOutbox();
const route = useRoute();
const says = computed(() => {
  const entries = `${outbox.waiting} ${outbox.waiting === 1 ? 'entry' : 'entries'}`;
  if (outbox.full === 'nowhere')
    return {
      tone: 'text-stop',
      text: `This device has no room left: ${entries} live only as long as this page. Free some room, or go where there is a connection.`,
    };
  if (outbox.full === 'spilled') return { tone: 'text-mind', text: `This device is nearly full: ${entries} lie in its last reserve. Free some room.` };
  if (outbox.box === null) return { tone: 'text-soft', text: 'Looking for entries on this device …' };
  if (outbox.waiting === 0) return { tone: 'text-soft', text: outbox.refused.length > 0 ? 'Everything else is saved.' : 'All of it is saved.' };
  if (outbox.sending === 'signed-out') return { tone: 'text-mind', text: `${entries} on this device. Sign in again to send them.` };
  if (outbox.sending === 'failed') return { tone: 'text-mind', text: `${entries} safe on this device. ${outbox.sentence}` };
  if (outbox.sending === 'sending') return { tone: 'text-soft', text: `Sending ${entries} …` };
  return { tone: 'text-mind', text: `${entries} safe on this device, sent when there is a connection.` };
});
</script>

<template>
  <p role="status" aria-live="polite" class="flex flex-wrap items-center gap-x-3 text-sm" :class="says.tone">
    {{ says.text }}
    <RouterLink v-if="outbox.sending === 'signed-out'" :to="{ path: '/sign-in', query: { to: route.fullPath } }" class="font-semibold underline"
      >Sign in</RouterLink
    >
    <button v-else-if="outbox.waiting > 0 && outbox.sending !== 'sending'" type="button" class="min-h-11 font-semibold underline" @click="outbox.trySend()">
      Send now
    </button>
  </p>
</template>
