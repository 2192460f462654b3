<script setup lang="ts">
/** Anything against a press, before it is logged: the gravest first, with contact one tap away. */
import { PRESS_GUARD_TONES, PRESS_GUARD_WORDS, wordReason, type PressGuard } from '@banter/core';
import { computed } from 'vue';
import { useUnits } from '../../stores/units.ts';

const props = defineProps<{ guards: readonly PressGuard[] }>();
const units = useUnits();
defineEmits<{ contact: [made: boolean]; more: [] }>();
const lines = computed(() =>
  props.guards.map((guard) => ({ code: guard.code, tone: PRESS_GUARD_TONES[guard.code], text: wordReason(PRESS_GUARD_WORDS, guard, units.speak).text })),
);
</script>

<template>
  <ul v-if="lines.length > 0" class="mt-3 grid gap-1.5" aria-label="Before the press" aria-live="polite">
    <li
      v-for="line in lines"
      :key="line.code"
      class="rounded px-3 py-2"
      :class="line.tone === 'stop' ? 'bg-stop-wash font-semibold text-stop' : 'bg-mind-wash text-mind'"
    >
      {{ line.text }}
      <span v-if="line.code === 'contact-unknown' || line.code === 'contact-lost'" class="mt-1.5 flex flex-wrap gap-2">
        <button type="button" class="press press-plain" @click="$emit('contact', true)">Contact good</button>
        <button v-if="line.code === 'contact-unknown'" type="button" class="press press-plain" @click="$emit('contact', false)">No contact</button>
      </span>
      <span v-if="line.code === 'more-than-usual'" class="mt-1.5 block">
        <button type="button" class="press press-plain" @click="$emit('more')">Check why it needs more</button>
      </span>
    </li>
  </ul>
</template>
