<script setup lang="ts">
/** It needs more than usual: contact, then skin and place, then the battery, then what distracts it. What was found is logged. */
import type { FieldDevice } from '@banter/contract';
import { MORE_CAUSES, MORE_STEPS, type MoreCause } from '@banter/core';
import { computed, ref } from 'vue';

defineProps<{ device: FieldDevice }>();
defineEmits<{ found: [cause: MoreCause | 'nothing']; close: [] }>();
const at = ref(0);
const cause = computed(() => MORE_CAUSES[at.value] ?? null);
</script>

<template>
  <section class="mt-3 rounded border-2 border-deep bg-raised p-3" aria-label="Why it needs more" aria-live="polite">
    <template v-if="cause">
      <p class="text-sm text-soft">{{ at + 1 }} of {{ MORE_CAUSES.length }}</p>
      <h3 class="text-lg">{{ MORE_STEPS[cause].asks }}</h3>
      <p class="mt-1">{{ MORE_STEPS[cause].how }}</p>
      <div class="mt-3 flex flex-wrap gap-2">
        <button type="button" class="press press-main" @click="at += 1">{{ cause === 'distraction' ? 'No more than usual' : 'Yes: next' }}</button>
        <button type="button" class="press press-plain" @click="$emit('found', cause)">{{ MORE_STEPS[cause].found }}</button>
      </div>
    </template>
    <template v-else>
      <h3 class="text-lg">Nothing found.</h3>
      <p class="mt-1">Stay at the level it knows and stop for today, or find its level again in a quiet place. Ask a vet when it goes on.</p>
      <button type="button" class="press press-main mt-3" @click="$emit('found', 'nothing')">Log it</button>
    </template>
    <button type="button" class="press press-quiet mt-1" @click="$emit('close')">Cancel</button>
  </section>
</template>
