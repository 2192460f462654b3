<script setup lang="ts">
/** Where the taps are: on this phone, on their way, or kept by the kennel. */
import { computed } from 'vue';
import { useFieldLog } from '../../stores/field-log.ts';

const log = useFieldLog();
const says = computed(() => {
  const taps = `${log.waiting} ${log.waiting === 1 ? 'tap' : 'taps'}`;
  if (log.full === 'nowhere')
    return {
      tone: 'text-stop',
      text: `This phone has no room left: ${taps} live only as long as this page. Free some room, or go where there is a connection.`,
    };
  if (log.full === 'spilled') return { tone: 'text-mind', text: `This phone is nearly full: ${taps} lie in its last reserve. Free some room.` };
  if (log.waiting === 0) return { tone: 'text-soft', text: 'All of it is kept.' };
  if (log.sending === 'signed-out') return { tone: 'text-mind', text: `${taps} on this phone. Sign in again to send them.` };
  if (log.sending === 'failed') return { tone: 'text-mind', text: `${taps} safe on this phone. ${log.sentence}` };
  if (log.sending === 'sending') return { tone: 'text-soft', text: `Sending ${taps} …` };
  return { tone: 'text-mind', text: `${taps} safe on this phone, sent when there is a connection.` };
});
</script>

<template>
  <p role="status" aria-live="polite" class="mt-6 flex flex-wrap items-center gap-x-3 text-sm" :class="says.tone">
    {{ says.text }}
    <RouterLink v-if="log.sending === 'signed-out'" :to="{ path: '/sign-in', query: { to: '/field' } }" class="font-semibold underline">Sign in</RouterLink>
    <button v-else-if="log.waiting > 0 && log.sending !== 'sending'" type="button" class="min-h-11 font-semibold underline" @click="log.trySend()">
      Send now
    </button>
  </p>
</template>
