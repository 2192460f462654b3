<script setup lang="ts">
/** What the kennel could not take, with the reason; it stays on this phone until somebody has read it. */
import { eventSentence } from '../../field/event-words.ts';
import type { BoxedEvent } from '../../field/field-box.ts';
import { useFieldLog } from '../../stores/field-log.ts';

defineProps<{ refused: readonly BoxedEvent[] }>();
defineEmits<{ letGo: [id: string] }>();
const log = useFieldLog();
</script>

<template>
  <section class="mt-6" aria-labelledby="refused">
    <h2 id="refused" class="text-stop">Not taken</h2>
    <ul class="mt-1 divide-y divide-line border-y border-line">
      <li v-for="one in refused" :key="one.event.id" class="flex items-center gap-3 py-2">
        <p class="grow">
          <span class="font-semibold">{{ eventSentence(one.event, log.page) }}</span>
          <span class="block text-stop">{{ one.message }}</span>
        </p>
        <button type="button" class="press press-plain" @click="$emit('letGo', one.event.id)">Let it go</button>
      </li>
    </ul>
  </section>
</template>
