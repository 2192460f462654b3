<script setup lang="ts">
/** One entry that was refused: changed where that is what it takes, and sent again, or dropped. */
import type { NewHappening } from '@banter/contract';
import { computed, ref } from 'vue';
import { happeningsOf, type OutboxEntry } from '../outbox/outbox-entry.ts';
import { useTyped } from '../stores/draft.ts';
import TextField from './TextField.vue';

const props = defineProps<{ entry: OutboxEntry; words: string }>();
const emit = defineEmits<{ drop: []; again: [change: Partial<NewHappening>] }>();
/** What of this sort of entry can be put right by hand. */
const [told = null, ...others] = happeningsOf(props.entry);
const event = others.length === 0 ? told : null;
const field = event?.event === 'press' ? 'level' : event?.event === 'note' ? 'text' : null;
const changing = ref(false);
const { typed } = useTyped(`refused.${props.entry.id}`, { typed: event?.event === 'press' ? String(event.level) : event?.event === 'note' ? event.text : '' });
const level = computed(() => {
  const read = typed.value.trim() === '' ? Number.NaN : Number(typed.value.replace(',', '.'));
  return Number.isFinite(read) ? read : null;
});
const change = computed((): Partial<NewHappening> | null => {
  if (field === 'level') return level.value === null ? null : ({ level: level.value } as Partial<NewHappening>);
  if (field === 'text') return typed.value.trim() === '' ? null : ({ text: typed.value } as Partial<NewHappening>);
  return {};
});
function again() {
  if (changing.value && change.value === null) return;
  emit('again', changing.value ? change.value! : {});
  changing.value = false;
}
</script>

<template>
  <li class="flex flex-wrap items-center gap-3 py-2">
    <p class="grow basis-60">
      <span class="font-semibold">{{ words }}</span>
      <span class="block text-stop">{{ entry.message }}</span>
    </p>
    <form v-if="changing" class="flex basis-full flex-wrap items-end gap-3" @submit.prevent="again">
      <TextField v-model="typed" class="grow" :label="field === 'level' ? 'Level' : 'Note'" :error="change === null ? 'Type what it should say.' : ''" />
      <button type="submit" class="press press-main">Send again</button>
    </form>
    <template v-else>
      <button v-if="field" type="button" class="press press-plain" @click="changing = true">Change</button>
      <button type="button" class="press press-plain" @click="again">Send again</button>
    </template>
    <button type="button" class="press press-quiet" @click="$emit('drop')">Drop</button>
  </li>
</template>
