<script setup lang="ts">
/** Heel line and which tool where of a dog, in its trainer's words: what is left empty is worked out from its fits. */
import { Dog, WHERE, WHERE_WORDS, type Where } from '@banter/contract';
import { computed } from 'vue';
import SaveBar from '../../work/SaveBar.vue';
import TextField from '../../parts/TextField.vue';
import { useDraft, anObject } from '../../stores/draft.ts';
import { useKeep } from '../../stores/keep.ts';

const props = defineProps<{ dog: Dog; workedOut: Record<Where, string>; often: Partial<Record<Where, readonly string[]>> }>();
const emit = defineEmits<{ changed: [] }>();
const keeping = useKeep();
type Form = { heelLine: string; where: Record<Where, string> };
const known = (): Form => ({
  heelLine: props.dog.heelLine,
  where: Object.fromEntries(WHERE.map((where) => [where, props.dog.toolsWhere?.[where] ?? ''])) as Form['where'],
});
const { draft: form, settle } = useDraft(`tools-where.${props.dog.id}`, anObject<Form>(), known);
const isChanged = computed(() => JSON.stringify(form.value) !== JSON.stringify(known()));
async function keep() {
  const { id, version, ...facts } = props.dog;
  const said = Object.fromEntries(WHERE.flatMap((where) => (form.value.where[where].trim() === '' ? [] : [[where, form.value.where[where].trim()]])));
  const toolsWhere = Object.keys(said).length === 0 ? null : said;
  if (!(await keeping.keep(`/api/dogs/${id}`, Dog, { ...facts, heelLine: form.value.heelLine.trim(), toolsWhere }, version))) return;
  emit('changed');
}
const say = (where: Where, text: string) => (form.value = { ...form.value, where: { ...form.value.where, [where]: text } });
const reset = () => settle(known());
</script>

<template>
  <section aria-label="Heel line, and which tool where">
    <form class="mt-3 space-y-4" novalidate @submit.prevent="keep">
      <TextField
        v-model="form.heelLine"
        label="Heel line"
        hint="Dog’s point beside the leg’s: «shoulder at the trouser seam»."
        :error="keeping.errorAt('heelLine')"
      />
      <div v-for="where in WHERE" :key="where">
        <TextField
          :model-value="form.where[where]"
          :label="WHERE_WORDS[where]"
          :rows="2"
          :hint="form.where[where] ? '' : `Worked out: ${workedOut[where]}`"
          :error="keeping.errorAt(`toolsWhere.${where}`)"
          @update:model-value="(text) => say(where, String(text))"
        />
        <div v-if="often[where] && !form.where[where]" class="mt-1 flex flex-wrap gap-1.5">
          <button v-for="text in often[where]" :key="text" type="button" class="press press-quiet text-left" @click="say(where, text)">{{ text }}</button>
        </div>
      </div>
      <SaveBar :keeping="keeping" label="Save tools" :disabled="!isChanged" @newer="emit('changed')">
        <button v-if="isChanged" type="button" class="press press-quiet" @click="reset">Cancel</button>
      </SaveBar>
    </form>
  </section>
</template>
