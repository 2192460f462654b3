<script setup lang="ts">
/** A phone whose clock is off: asked once, both times are kept. */
import type { ClockOff } from '@banter/contract';
import { speakHours, HOUR_MS, MINUTE_MS } from '@banter/core';
import { computed } from 'vue';
import { useSession } from '../stores/session.ts';

const props = defineProps<{ off: ClockOff }>();
defineEmits<{ decide: [phoneIsWrong: boolean] }>();
const session = useSession();
const time = (at: string) =>
  new Intl.DateTimeFormat('en-GB', {
    timeStyle: 'short',
    dateStyle: Math.abs(props.off.aheadMs) > 20 * HOUR_MS ? 'medium' : undefined,
    timeZone: session.kennel!.timeZone,
  }).format(new Date(at));
const by = computed(() => `${speakHours(Math.round(Math.abs(props.off.aheadMs) / MINUTE_MS) / 60)} ${props.off.aheadMs > 0 ? 'ahead of' : 'behind'}`);
</script>

<template>
  <section class="sheet mb-5 border-l-8 border-tape" aria-labelledby="clock-ask">
    <h2 id="clock-ask">Which clock is right?</h2>
    <p class="mt-1">
      This phone says {{ time(off.phoneAt) }}, Banter says {{ time(off.serverAt) }}: the phone is {{ by }} it. Nothing has been sent yet; both times stay.
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="press press-main" @click="$emit('decide', true)">Banter’s: correct the phone’s times</button>
      <button type="button" class="press press-plain" @click="$emit('decide', false)">The phone’s: keep its times</button>
    </div>
  </section>
</template>
