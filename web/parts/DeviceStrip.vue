<script setup lang="ts">
/** Says on any screen that there is no connection, of when the screen is then, and what of this device is not saved: waiting, refused, or the clock. */
import { momentOn } from '@banter/contract';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useConnection } from '../stores/connection.ts';
import { useOffline } from '../stores/offline.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';

const session = useSession();
const connection = useConnection();
const offline = useOffline();
const outbox = useOutbox();
const route = useRoute();
const refused = computed(() => outbox.refused.length + outbox.unread.length);
const entries = (count: number) => `${count} ${count === 1 ? 'entry' : 'entries'}`;
/** What goes through at once is not worth a word; the field log says it itself. */
const waits = computed(() => outbox.waiting > 0 && (connection.lost || outbox.sending === 'failed' || outbox.sending === 'signed-out'));
const says = computed(() => {
  if (route.name === 'field' || route.name === 'outbox') return '';
  const parts = [
    outbox.clockAsk ? 'This device’s clock is off.' : '',
    refused.value > 0 ? `${entries(refused.value)} not saved.` : '',
    waits.value ? `${entries(outbox.waiting)} to be sent.` : '',
  ];
  return parts.filter(Boolean).join(' ');
});
</script>

<template>
  <div class="no-print">
    <p v-if="connection.lost" class="bg-mind-wash px-4 py-2 text-center text-mind">
      No connection. What you type stays on this device and is sent when it is back.
      <template v-if="offline.asOf !== null">This screen is as of {{ momentOn(offline.asOf, Date.now(), session.kennel!.timeZone) }}.</template>
    </p>
    <p v-if="says" class="px-4 py-2 text-center" :class="refused > 0 || outbox.clockAsk ? 'bg-stop-wash text-stop' : 'bg-mind-wash text-mind'">
      {{ says }}
      <RouterLink to="/outbox" class="ml-2 font-semibold underline">Look</RouterLink>
    </p>
  </div>
</template>
