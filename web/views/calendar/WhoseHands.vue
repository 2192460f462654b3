<script setup lang="ts">
/** Whose calendar is shown, where a kennel has more hands than one looks at together. */
import { HANDS_AT_ONCE } from '@banter/contract';
import { computed, ref } from 'vue';

/** So many are seen at a glance. */
const FEW = 12;
const props = defineProps<{ people: readonly { id: string; name: string }[]; hands: readonly string[] }>();
const emit = defineEmits<{ hands: [ids: string[]]; done: [] }>();
const chosen = ref(new Set(props.hands));
const part = ref('');
const listed = computed(() => props.people.filter(({ name }) => name.toLowerCase().includes(part.value.trim().toLowerCase())));
const isFull = computed(() => chosen.value.size >= HANDS_AT_ONCE);
function toggle(id: string) {
  const now = new Set(chosen.value);
  if (!now.delete(id)) now.add(id);
  chosen.value = now;
}
</script>

<template>
  <form class="sheet" aria-labelledby="whose-hands" @submit.prevent="emit('hands', [...chosen])">
    <h2 id="whose-hands">Whose sessions</h2>
    <p class="text-sm text-soft">Up to {{ HANDS_AT_ONCE }} together. What others plan with the same dogs still counts.</p>
    <label v-if="people.length > FEW" class="mt-2 block max-w-xs">
      <span class="text-sm font-semibold">Name</span>
      <input v-model="part" class="field" type="search" autocomplete="off" />
    </label>
    <fieldset class="mt-2 grid max-h-72 grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-x-4 overflow-y-auto">
      <legend class="sr-only">Whose sessions</legend>
      <label v-for="person in listed" :key="person.id" class="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          class="size-5 shrink-0"
          :checked="chosen.has(person.id)"
          :disabled="isFull && !chosen.has(person.id)"
          @change="toggle(person.id)"
        />
        <span class="truncate">{{ person.name }}</span>
      </label>
    </fieldset>
    <div class="mt-3 flex gap-2">
      <button type="submit" class="press press-main" :disabled="chosen.size === 0">Show</button>
      <button type="button" class="press press-quiet" @click="emit('done')">Close</button>
    </div>
  </form>
</template>
