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
  <div role="group" :aria-label="`What did it do at ${levelWords(press.level)}?`">
    <p class="text-sm font-semibold">{{ press.mode === 'tone' || press.mode === 'vibration' ? press.mode : levelWords(press.level) }}: what did it do?</p>
    <div class="mt-1 grid grid-cols-4 gap-1.5 sm:gap-2">
      <button
        v-for="response in offered ?? RESPONSES"
        :key="response"
        type="button"
        class="min-h-13 rounded-[0.3rem] border-2 px-1.5 py-1 leading-tight sm:px-3 sm:text-left"
        :class="[looks[response], press.response === response && 'ring-4 ring-focus']"
        :aria-pressed="press.response === response"
        @click="$emit('respond', response)"
      >
        <span class="font-semibold sm:text-lg">{{ RESPONSE_WORDS[response].name }}</span>
        <span class="block text-sm max-sm:sr-only">{{ RESPONSE_WORDS[response].says }}</span>
      </button>
    </div>
  </div>
</template>
