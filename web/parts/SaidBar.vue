<script setup lang="ts">
/** What was just told, with a way to take it back, and what became of it when it could not be sent. */
import type { Telling } from '../stores/tell.ts';

defineProps<{ telling: Telling }>();
</script>

<template>
  <div role="status" aria-live="polite" class="no-print sticky bottom-[calc(var(--strip,0px)+0.5rem)] z-10">
    <p v-if="telling.fault.value" class="mt-3 rounded bg-stop-wash p-3 font-semibold text-stop">Not saved. {{ telling.fault.value }}</p>
    <p v-else-if="telling.said.value" class="mt-3 flex flex-wrap items-center gap-x-4 rounded border border-line bg-raised px-3 py-1 shadow">
      {{ telling.said.value }}
      <template v-if="telling.held.value > 0">
        <span class="text-mind">{{
          telling.held.value === 1 ? 'Safe on this device; it will be sent.' : `${telling.held.value} entries safe on this device; they will be sent.`
        }}</span>
        <button type="button" class="font-semibold underline" @click="telling.tryNow()">Try now</button>
      </template>
      <button v-if="telling.canUndo.value" type="button" class="press press-quiet" @click="telling.undo()">Undo</button>
    </p>
  </div>
</template>
