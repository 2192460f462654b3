<script setup lang="ts">
/** Tension on the leash: on while it is held, with its seconds; held pressure is what a dog learns to bear. */
import type { SessionStory } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ story: SessionStory; now: number; heldSeconds: number }>();
defineEmits<{ hold: []; 'let-go': [] }>();
const since = computed(() => {
  const last = props.story.events.findLast(({ event }) => event === 'hold' || event === 'let-go');
  return last?.event === 'hold' ? last.at : null;
});
const seconds = computed(() => (since.value === null ? 0 : Math.max(0, Math.round((props.now - since.value) / 1000))));
</script>

<template>
  <button v-if="since === null" type="button" class="press press-plain min-h-14 w-full" @click="$emit('hold')">Leash goes tight</button>
  <button
    v-else
    type="button"
    class="press min-h-14 w-full"
    :class="seconds > heldSeconds ? 'bg-stop-wash text-stop' : 'bg-mind-wash text-mind'"
    @click="$emit('let-go')"
  >
    Tight for {{ seconds }} s: let go
  </button>
</template>
