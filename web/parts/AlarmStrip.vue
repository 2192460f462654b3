<script setup lang="ts">
/** At the foot of every screen, where it moves nothing when it comes: what is on a dog and must not be, with the way to put it right; and what may have come off and was not told. Nothing while all is well. */
import { momentOn } from '@banter/contract';
import { useCssVar, useElementSize } from '@vueuse/core';
import { computed, onUnmounted, ref, watchEffect } from 'vue';
import { useSession } from '../stores/session.ts';
import { useWearing } from '../stores/wearing.ts';

const wearing = useWearing();
const session = useSession();
const SHOWN = 2;
const shown = computed(() => wearing.alarms.slice(0, SHOWN));
const more = computed(() => wearing.alarms.length - shown.value.length);

/** What else stands at the foot of the screen stands above it. */
const strip = ref<HTMLElement | null>(null);
const { height } = useElementSize(strip);
const room = useCssVar('--strip', document.documentElement);
watchEffect(() => (room.value = `${height.value}px`));
onUnmounted(() => (room.value = '0px'));
</script>

<template>
  <div
    ref="strip"
    role="status"
    aria-live="assertive"
    class="no-print fixed inset-x-0 bottom-0 z-10"
    :class="height > 0 && 'shadow-[0_-4px_14px_rgb(0_0_0/0.1)]'"
  >
    <ul v-if="shown.length > 0" class="bg-stop-wash text-stop">
      <li v-for="alarm in shown" :key="alarm.dogId + alarm.collarId + alarm.code" class="mx-auto flex max-w-[1240px] items-center gap-x-4 px-4 py-1 sm:px-6">
        <span class="flex min-w-0 grow items-center gap-2">
          <svg viewBox="0 0 20 20" class="size-5 shrink-0" fill="none" stroke="currentColor" stroke-width="2.2" aria-hidden="true">
            <rect x="2.2" y="2.2" width="15.6" height="15.6" rx="1.5" />
            <path d="M5.5 10h9" stroke-width="3" />
          </svg>
          <span>
            <strong>{{ alarm.dogName }}, «{{ alarm.collarName }}»:</strong>
            {{ alarm.text }}
          </span>
        </span>
        <RouterLink :to="`/dogs/${alarm.dogId}/neck`" class="flex min-h-11 shrink-0 items-center font-semibold underline">Put it right</RouterLink>
      </li>
      <li v-if="more > 0" class="mx-auto max-w-[1240px] px-4 pb-2 sm:px-6">And {{ more }} more.</li>
    </ul>
    <ul v-if="wearing.asked.length > 0" class="bg-mind-wash text-mind">
      <li v-for="one in wearing.asked.slice(0, SHOWN)" :key="one.collarId" class="mx-auto flex max-w-[1240px] items-center gap-x-4 px-4 sm:px-6">
        <span class="min-w-0 grow py-1">
          Is «{{ one.collarName }}» still on {{ one.dogName }}, since {{ momentOn(Date.parse(one.from), Date.now(), session.kennel!.timeZone) }}?
        </span>
        <RouterLink :to="`/dogs/${one.dogId}/neck/wear`" class="flex min-h-11 shrink-0 items-center font-semibold underline">Say so</RouterLink>
      </li>
    </ul>
  </div>
</template>
