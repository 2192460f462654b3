<script setup lang="ts">
/** What the kennel could not take, with the reason; it stays on this phone until it is put right and sent again, or dropped. */
import { momentWords } from '../../parts/age.ts';
import { eventSentence } from '../../field/event-words.ts';
import type { BoxedEvent } from '../../field/field-box.ts';
import { useFieldLog } from '../../stores/field-log.ts';
import { useSession } from '../../stores/session.ts';
import RefusedEntry from './RefusedEntry.vue';

defineProps<{ refused: readonly BoxedEvent[] }>();
defineEmits<{ letGo: [id: string] }>();
const log = useFieldLog();
const session = useSession();
</script>

<template>
  <section class="mt-6" aria-labelledby="refused">
    <h2 id="refused" class="text-stop">Not saved ({{ refused.length + log.unread.length }})</h2>
    <p class="text-sm text-soft">The rest of the log goes on. These stay on this phone until you send them again or drop them.</p>
    <ul class="mt-1 divide-y divide-line border-y border-line">
      <RefusedEntry
        v-for="one in refused"
        :key="one.event.id"
        :entry="one"
        :words="eventSentence(one.event, log.page)"
        @drop="$emit('letGo', one.event.id)"
        @again="(change) => log.putRight(one.event.id, change)"
      />
      <li v-for="one in log.unread" :key="one.id" class="flex flex-wrap items-center gap-3 py-2">
        <p class="grow basis-60">
          <span class="font-semibold">{{ one.what || 'An entry' }}</span>
          <span v-if="one.at && !Number.isNaN(Date.parse(one.at))">, {{ momentWords(one.at, session.kennel!.timeZone) }}</span>
          <span class="block text-stop">This version of Banter cannot read it.</span>
        </p>
        <button type="button" class="press press-plain" @click="$emit('letGo', one.id)">Drop</button>
      </li>
    </ul>
  </section>
</template>
