<script setup lang="ts">
/** In a day's log: the morning routine of each device that was worn that day, with what was skipped. */
import { dayOf, hasContacts, wearAndDeviceEvents } from '@banter/contract';
import { morningRoutine, ROUTINE_STEPS } from '@banter/core';
import { computed } from 'vue';
import VerdictMark from '../../parts/VerdictMark.vue';
import type { NeckOnScreen } from '../../stores/neck.ts';
import { useSession } from '../../stores/session.ts';

const props = defineProps<{ neck: NeckOnScreen; day: string }>();
const session = useSession();
const zone = computed(() => session.kennel!.timeZone);
const routines = computed(() => {
  const { device } = wearAndDeviceEvents(props.neck.page.events);
  const worn = props.neck.dressed.wears.filter(({ wear, collar }) => hasContacts(collar) && dayOf(wear.from, zone.value) === props.day);
  return [...new Map(worn.map((one) => [one.wear.collarId, one])).keys()].map((collarId) => {
    const own = worn.filter(({ wear }) => wear.collarId === collarId).map(({ wear }) => wear);
    const told = device.filter((event) => event.collarId === collarId && dayOf(event.at, zone.value) === props.day);
    const steps = morningRoutine(told, { from: own[0]!.from, to: own.at(-1)!.to }, props.neck.dressed.house.rules);
    const wrong = steps.filter(({ state }) => state !== 'done' && state !== 'open');
    return {
      collarId,
      name: worn.find(({ wear }) => wear.collarId === collarId)!.collar!.name,
      tone: wrong.some(({ state }) => state === 'failed') ? ('stop' as const) : wrong.length > 0 ? ('mind' as const) : ('good' as const),
      words: wrong.map((step) => `${ROUTINE_STEPS.find(({ id }) => id === step.id)!.name.toLowerCase()} ${step.state}`).join(', '),
      open: steps.filter(({ state }) => state === 'open').length,
    };
  });
});
</script>

<template>
  <p v-for="one in routines" :key="one.collarId" class="border-t border-line pt-2 text-[0.95rem]">
    <VerdictMark class="text-sm" :tone="one.tone === 'good' && one.open > 0 ? 'open' : one.tone" :word="`Routine of ${one.name}`" />
    {{ one.words || (one.open > 0 ? `${one.open} to do.` : 'all 6 steps done.') }}
  </p>
</template>
