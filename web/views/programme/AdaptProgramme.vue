<script setup lang="ts">
/** All stages of a dog's programme, changed for this dog alone: put in, taken out, in another order, with other marks. */
import { Programme } from '@banter/contract';
import SaveBar from '../../work/SaveBar.vue';
import { useKeep } from '../../stores/keep.ts';
import { cleanStages, moveStage, stageLike } from '../own-programmes/stage-list.ts';
import StageEditor from '../own-programmes/StageEditor.vue';
import { anObject, useDraft } from '../../stores/draft.ts';

const props = defineProps<{ programme: Programme; here: string }>();
const emit = defineEmits<{ kept: [] }>();
const keeping = useKeep();
// A draft of another version is of a programme that has changed since.
const { draft: stages, discard } = useDraft(
  `adapt.${props.programme.id}.${props.programme.version}`,
  anObject<Programme['stages']>(),
  () => JSON.parse(JSON.stringify(props.programme.stages)) as Programme['stages'],
);
async function keep() {
  const { id, version, ...facts } = props.programme;
  if (await keeping.keep(`/api/programmes/${id}`, Programme, { ...facts, stages: cleanStages(stages.value) }, version)) {
    discard();
    emit('kept');
  }
}
</script>

<template>
  <form class="grid gap-4" novalidate aria-label="Stages of this dog" @submit.prevent="keep">
    <StageEditor
      v-for="(stage, index) in stages"
      :key="stage.id"
      v-model="stages[index]!"
      :index="index"
      :last="index === stages.length - 1"
      :fixed="stage.id === here"
      :error-at="keeping.errorAt"
      @up="moveStage(stages, index, -1)"
      @down="moveStage(stages, index, 1)"
      @out="stages.splice(index, 1)"
    />
    <div>
      <button type="button" class="press press-plain" :disabled="stages.length >= 12" @click="stages.push(stageLike(stages.at(-1)!))">One more stage</button>
    </div>
    <SaveBar :keeping="keeping" label="Save stages" @newer="emit('kept')" />
  </form>
</template>
