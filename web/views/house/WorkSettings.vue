<script setup lang="ts">
/** Where dogs are worked, from easy to hard: the usual four, and the kennel's own. One that has been kept is renamed, not taken out: levels stand under it. */
import type { KennelSettings } from '@banter/contract';
import { WORK_SETTINGS } from '@banter/core';
import { computed } from 'vue';
import TextField from '../../parts/TextField.vue';
import { settingId } from './setting-id.ts';
import { useTyped } from '../../stores/draft.ts';

type Own = KennelSettings['moreSettings'];
const props = defineProps<{ kept: Own; errorAt: (path: string) => string }>();
const own = defineModel<Own>({ required: true });
const { fresh } = useTyped('work-setting', { fresh: '' });
const isKept = (id: string) => props.kept.some((one) => one.id === id);
const taken = computed(() => [...WORK_SETTINGS, ...own.value].some(({ name }) => name.toLowerCase() === fresh.value.trim().toLowerCase()));
function add() {
  const name = fresh.value.trim().slice(0, 40);
  if (name === '' || taken.value) return;
  own.value = [
    ...own.value,
    {
      id: settingId(
        name,
        [...WORK_SETTINGS, ...own.value].map(({ id }) => id),
      ),
      name,
    },
  ];
  fresh.value = '';
}
const rename = (id: string, name: string) => (own.value = own.value.map((one) => (one.id === id ? { ...one, name } : one)));
</script>

<template>
  <section class="sheet" aria-label="Where dogs are worked">
    <h2>Where dogs are worked</h2>
    <p class="text-soft">From easy to hard: {{ WORK_SETTINGS.map(({ name }) => name).join(', ') }}; then this kennel’s own. Levels are logged for each.</p>
    <ul class="mt-3 grid gap-3">
      <li v-for="(one, index) in own" :key="one.id" class="flex items-start gap-3">
        <TextField
          class="grow"
          :model-value="one.name"
          :label="`Own setting ${index + 1}`"
          :error="one.name.trim() === '' ? 'This is empty.' : errorAt(`moreSettings[${index}].name`)"
          @update:model-value="(name) => rename(one.id, name)"
        />
        <button v-if="!isKept(one.id)" type="button" class="press press-quiet mt-7" @click="own = own.filter(({ id }) => id !== one.id)">Take out</button>
      </li>
    </ul>
    <div class="mt-3 flex items-end gap-3">
      <TextField v-model="fresh" class="grow" label="Another setting" :error="taken && fresh.trim() !== '' ? 'There is one of that name.' : ''" />
      <button type="button" class="press press-plain" :disabled="fresh.trim() === '' || taken || own.length >= 12" @click="add">Add it</button>
    </div>
  </section>
</template>
