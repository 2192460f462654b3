<script setup lang="ts">
/** What the dog did, with one tap, timed from the press. */
import { levelWords, RESPONSES, RESPONSE_WORDS, type DogResponse, type SessionPress } from '@banter/core';

defineProps<{ press: SessionPress; offered?: readonly DogResponse[] }>();
defineEmits<{ respond: [response: DogResponse] }>();
const looks: Record<DogResponse, string> = {
  none: 'border-line bg-raised',
  small: 'border-deep bg-raised',
  did: 'border-good bg-good-wash',
  'too-much': 'border-stop bg-stop-wash text-stop',
};
</script>

<template>
  <div class="mt-3" role="group" :aria-label="`What did it do at ${levelWords(press.level)}?`">
    <p class="font-semibold">{{ press.mode === 'tone' || press.mode === 'vibration' ? press.mode : levelWords(press.level) }}: what did it do?</p>
    <div class="mt-1.5 grid grid-cols-2 gap-2">
      <button
        v-for="response in offered ?? RESPONSES"
        :key="response"
        type="button"
        class="min-h-16 rounded-[0.3rem] border-2 px-3 py-1 text-left leading-tight"
        :class="[looks[response], press.response === response && 'ring-4 ring-focus']"
        :aria-pressed="press.response === response"
        @click="$emit('respond', response)"
      >
        <span class="text-lg font-semibold">{{ RESPONSE_WORDS[response].name }}</span>
        <span class="block text-sm">{{ RESPONSE_WORDS[response].says }}</span>
      </button>
    </div>
  </div>
</template>
