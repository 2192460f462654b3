<script setup lang="ts">
/** One quiet count of what has to be seen to; it opens to each with the way to it. */
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { momentOn } from '@banter/contract';
import { computed } from 'vue';
import { useConnection } from '../stores/connection.ts';
import { useOffline } from '../stores/offline.ts';
import { useSession } from '../stores/session.ts';
import { useAlerts } from './alerts.ts';

const alerts = useAlerts();
const connection = useConnection();
const offline = useOffline();
const session = useSession();
/** Of when a screen is that shows what this device last knew. */
const asOf = computed(() => (offline.asOf === null ? '' : momentOn(offline.asOf, Date.now(), session.kennel!.timeZone)));
const stops = computed(() => alerts.value.filter(({ tone }) => tone === 'stop'));
/** Said aloud once, when it comes; the count stands for it on the screen. */
const aloud = computed(() => stops.value[0]?.text ?? '');
const words = computed(
  () => `${alerts.value.length} ${alerts.value.length === 1 ? 'alert' : 'alerts'}${connection.lost ? `, offline${asOf.value && `, as of ${asOf.value}`}` : ''}`,
);
</script>

<template>
  <p class="sr-only" role="status" aria-live="assertive">{{ aloud }}</p>
  <Popover v-if="alerts.length > 0" class="relative">
    <PopoverButton class="press min-w-12 gap-1.5 px-2!" :aria-label="words">
      <svg viewBox="0 0 20 20" class="size-5 shrink-0" :class="stops.length > 0 ? 'text-stop' : 'text-mind'" aria-hidden="true">
        <rect v-if="stops.length > 0" x="2.2" y="2.2" width="15.6" height="15.6" rx="1.5" fill="currentColor" />
        <path v-else d="M10 1.5 18.5 10 10 18.5 1.5 10Z" fill="currentColor" />
      </svg>
      <span class="font-semibold tabular-nums" aria-hidden="true">{{ alerts.length }}</span>
      <span v-if="connection.lost" class="text-sm whitespace-nowrap" aria-hidden="true">Offline{{ asOf && `, ${asOf}` }}</span>
    </PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="fixed inset-x-2 top-14 z-30 max-h-[70vh] overflow-y-auto rounded-md border border-line bg-raised p-1 shadow-lg sm:absolute sm:inset-x-auto sm:top-full sm:right-0 sm:w-[27rem]"
    >
      <ul class="divide-y divide-line">
        <li v-for="one in alerts" :key="one.id" class="flex items-center gap-3 px-3 py-1">
          <span aria-hidden="true" class="size-2.5 shrink-0" :class="one.tone === 'stop' ? 'bg-stop' : 'rotate-45 bg-mind'"></span>
          <span class="min-w-0 grow py-1.5">
            <span class="sr-only">{{ one.tone === 'stop' ? 'Stop: ' : '' }}</span>{{ one.text }}
          </span>
          <RouterLink v-if="one.to" :to="one.to" class="flex min-h-11 shrink-0 items-center font-semibold underline" @click="close()">{{
            one.does
          }}</RouterLink>
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
