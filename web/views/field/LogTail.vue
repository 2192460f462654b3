<script setup lang="ts">
/** The last of what was told, the way back, and room for a note. */
import type { NewHappening } from '@banter/contract';
import type { SessionStory } from '@banter/core';
import { computed, ref } from 'vue';
import { eventSentence } from '../../field/event-words.ts';
import { useFieldLog } from '../../stores/field-log.ts';
import { useSession } from '../../stores/session.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ story: SessionStory }>();
const emit = defineEmits<{ note: [text: string] }>();
const SHOWN = 6;
const log = useFieldLog();
const session = useSession();
const all = ref(false);
const lines = computed(() => {
  const told = props.story.events.slice(all.value ? 0 : -SHOWN).reverse();
  const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit', timeZone: session.kennel!.timeZone });
  return told.map(({ at, ...event }) => ({ id: event.id, time: time.format(at), text: eventSentence({ ...event, at: '' } as NewHappening, log.page) }));
});
const { text } = useTyped(`field-note.${props.story.sessionId}`, { text: '' });
function keep() {
  if (text.value.trim() === '') return;
  emit('note', text.value.trim().slice(0, 1000));
  text.value = '';
}
</script>

<template>
  <section aria-label="What was logged">
    <h2>Logged</h2>
    <ol class="mt-1 divide-y divide-line border-y border-line" aria-label="Latest first">
      <li v-for="line in lines" :key="line.id" class="flex gap-3 py-1.5">
        <span class="text-soft">{{ line.time }}</span>
        <span class="min-w-0 break-words">{{ line.text }}</span>
      </li>
    </ol>
    <button v-if="story.events.length > SHOWN" type="button" class="press press-quiet" @click="all = !all">
      {{ all ? 'Only the latest' : `All ${story.events.length}` }}
    </button>
    <form class="mt-2 flex gap-2" @submit.prevent="keep">
      <label class="grow">
        <span class="sr-only">Note</span>
        <input v-model="text" class="field" maxlength="1000" placeholder="A note" />
      </label>
      <button type="submit" class="press press-plain">Save note</button>
    </form>
  </section>
</template>
