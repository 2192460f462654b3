<script setup lang="ts">
/** Programmes of the kennel's own: made from those of the trade, changed as it learns; a dog that is in one keeps its copy. */
import { TemplatesPage } from '@banter/contract';
import { PROGRAMME_TEMPLATES } from '@banter/core';
import { computed, ref } from 'vue';
import LoadFrame from '../parts/LoadFrame.vue';
import { useLoad } from '../stores/load.ts';
import TemplateEditor from './own-programmes/TemplateEditor.vue';

const { data, state, sentence, load } = useLoad(() => '/api/kennel-templates', TemplatesPage);
const open = ref<{ id: string | null; basedOn: string | null } | null>(null);
const template = computed(() => data.value?.templates.find(({ id }) => id === open.value?.id) ?? null);
const heading = computed(() => {
  if (open.value) return template.value ? `Change ${template.value.name}` : 'A programme of our own';
  return data.value!.templates.length === 0 ? 'No programme of our own yet.' : 'Our own programmes';
});
async function kept() {
  open.value = null;
  await load();
}
</script>

<template>
  <LoadFrame :state="state" :sentence="sentence" thing="the programmes" @again="load">
    <p class="no-print"><RouterLink to="/programme" class="underline">To the calendar</RouterLink></p>
    <h1>{{ $spell(heading) }}</h1>
    <TemplateEditor
      v-if="open"
      :key="`${open.id} ${open.basedOn} ${template?.version}`"
      class="mt-4"
      :template="template"
      :based-on="open.basedOn"
      :running="open.id ? (data!.running[open.id] ?? 0) : 0"
      @kept="kept"
      @close="open = null"
      @newer="load"
    />
    <template v-else>
      <ul v-if="data!.templates.length > 0" class="mt-4 divide-y divide-line border-y border-line">
        <li v-for="one in data!.templates" :key="one.id" class="flex flex-wrap items-center gap-x-5 gap-y-1 py-3">
          <div class="min-w-60 grow">
            <p class="font-semibold">{{ one.name }}<span v-if="one.retired" class="font-normal text-soft">, no longer offered</span></p>
            <p class="text-soft">{{ one.stages.map(({ name }) => name).join(' → ') }}</p>
            <p v-if="data!.running[one.id]" class="text-sm">{{ data!.running[one.id] }} {{ data!.running[one.id] === 1 ? 'dog is' : 'dogs are' }} in it.</p>
          </div>
          <button type="button" class="press press-plain" @click="open = { id: one.id, basedOn: null }">
            Change<span class="sr-only"> {{ one.name }}</span>
          </button>
        </li>
      </ul>
      <h2 class="mt-6">Make one from the trade’s</h2>
      <ul class="mt-2 divide-y divide-line border-y border-line">
        <li v-for="one in PROGRAMME_TEMPLATES" :key="one.id" class="flex flex-wrap items-center gap-x-5 gap-y-1 py-3">
          <div class="min-w-60 grow">
            <p class="font-semibold">{{ one.name }}</p>
            <p class="text-soft">{{ one.about }}</p>
          </div>
          <button type="button" class="press press-plain" @click="open = { id: null, basedOn: one.id }">
            Make our own<span class="sr-only"> of {{ one.name }}</span>
          </button>
        </li>
      </ul>
    </template>
  </LoadFrame>
</template>
