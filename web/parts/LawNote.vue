<script setup lang="ts">
/** What local law says against a collar where it will be worn, in a line, and the way to the place. */
import type { LawResult } from '@banter/core';

defineProps<{ law: LawResult }>();
const emit = defineEmits<{ place: [] }>();
</script>

<template>
  <p v-if="law.blocked" class="rounded bg-stop-wash p-3 text-stop">
    Not allowed where it will be worn.
    <button type="button" class="font-semibold underline" @click="emit('place')">Change the place</button>
  </p>
  <p v-else-if="law.status === 'never-checked' || law.status === 'check-again'" class="text-mind">
    {{ law.status === 'check-again' ? 'Local law: check again.' : 'Local law not checked.' }}
    <button type="button" class="font-semibold underline" @click="emit('place')">Say where it will be worn</button>
  </p>
</template>
