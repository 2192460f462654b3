<script setup lang="ts">
/** What the kennel could not take, with the reason; it stays on this device until it is put right and sent again, or dropped. */
import { momentWords } from './age.ts';
import { entryWords } from '../outbox/entry-words.ts';
import { useFieldLog } from '../stores/field-log.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import RefusedEntry from './RefusedEntry.vue';

const log = useFieldLog();
const outbox = useOutbox();
const session = useSession();
</script>

<template>
  <section v-if="outbox.refused.length + outbox.unread.length > 0" class="mt-6" aria-labelledby="refused">
    <h2 id="refused" class="text-stop">Not saved ({{ outbox.refused.length + outbox.unread.length }})</h2>
    <p class="text-sm text-soft">Everything else goes on. These stay on this device until you send them again or drop them.</p>
    <ul class="mt-1 divide-y divide-line border-y border-line">
      <RefusedEntry
        v-for="one in outbox.refused"
        :key="one.id"
        :entry="one"
        :words="entryWords(one, log.page)"
        @drop="outbox.letGo(one.id)"
        @again="(change) => outbox.putRight(one.id, change)"
      />
      <li v-for="one in outbox.unread" :key="one.id" class="flex flex-wrap items-center gap-3 py-2">
        <p class="grow basis-60">
          <span class="font-semibold">{{ one.what || 'An entry' }}</span>
          <span v-if="one.at && !Number.isNaN(Date.parse(one.at))">, {{ momentWords(one.at, session.kennel!.timeZone) }}</span>
          <span class="block text-stop">This version of Banter cannot read it.</span>
        </p>
        <button type="button" class="press press-plain" @click="outbox.letGo(one.id)">Drop</button>
      </li>
    </ul>
  </section>
</template>
