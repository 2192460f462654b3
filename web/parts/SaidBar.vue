<script setup lang="ts">
/** What was just told, with a way to take it back, and what became of it when it could not be sent. */
import type { Telling } from '../stores/tell.ts';

defineProps<{ telling: Telling }>();
</script>

<template>
  <div role="status" aria-live="polite" class="no-print sticky bottom-2 z-10">
    <p v-if="telling.keeping.state.value === 'waiting'" class="mt-3 rounded bg-mind-wash p-3 text-mind">
      {{ telling.keeping.sentence.value }} Not kept yet{{ telling.waiting.value.length > 1 ? ` (${telling.waiting.value.length} taps)` : '' }}: it is safe on
      this device, and is sent as soon as it works, with the time of the tap.
      <button type="button" class="font-semibold underline" @click="telling.keeping.tryNow()">Try now</button>
    </p>
    <p v-else-if="telling.keeping.state.value === 'refused'" class="mt-3 rounded bg-stop-wash p-3 font-semibold text-stop">
      Not kept. {{ telling.keeping.errors.value[0]?.message ?? telling.keeping.sentence.value }}
    </p>
    <p v-else-if="telling.said.value" class="mt-3 flex flex-wrap items-center gap-x-4 rounded border border-line bg-raised px-3 py-1 shadow">
      {{ telling.said.value }}
      <button v-if="telling.last.value.length > 0" type="button" class="press press-quiet" @click="telling.undo()">Undo</button>
    </p>
  </div>
</template>
