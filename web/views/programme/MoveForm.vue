<script setup lang="ts">
/** On or back as the marks say, with one tap; or otherwise, with a note. Both stay in the record. */
import { StageMove, type Programme, type ProgrammeStanding } from '@banter/contract';
import { v7 as uuidv7 } from 'uuid';
import { computed } from 'vue';
import { useKeep } from '../../stores/keep.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ programme: Programme; standing: ProgrammeStanding }>();
const emit = defineEmits<{ kept: [] }>();
const keeping = useKeep();
const id = uuidv7();
const { otherwise, to, note } = useTyped(`stage-move.${props.programme.id}.${props.standing.stage.id}`, { otherwise: false, to: '', note: '' });
const others = computed(() => props.programme.stages.filter((stage) => stage.id !== props.standing.stage.id && stage.id !== props.standing.leadsTo));
const nameOf = (stageId: string | null) => props.programme.stages.find((stage) => stage.id === stageId)?.name ?? '';
async function move(toStage: string, why: string) {
  const kept = await keeping.keep(`/api/stage-moves/${id}`, StageMove, { programmeId: props.programme.id, toStage, note: why, at: new Date().toISOString() });
  if (!kept) return;
  [otherwise.value, to.value, note.value] = [false, '', ''];
  emit('kept');
}
</script>

<template>
  <section class="sheet" aria-label="Move to another stage">
    <button
      v-if="standing.leadsTo"
      type="button"
      class="press press-main w-full"
      :disabled="keeping.state.value === 'sending'"
      @click="move(standing.leadsTo, '')"
    >
      {{ standing.judgement.verdict === 'on' ? 'On to' : 'Back to' }} {{ nameOf(standing.leadsTo) }}
    </button>
    <button type="button" class="press press-quiet" :class="standing.leadsTo && 'mt-2'" @click="otherwise = !otherwise">
      {{ otherwise ? 'Stay with the marks' : 'Decide otherwise' }}
    </button>
    <form v-if="otherwise" class="mt-2 grid gap-2" @submit.prevent="to && note.trim() && move(to, note.trim())">
      <label>
        <span class="text-sm font-semibold">To</span>
        <select v-model="to" class="field" required>
          <option value="" disabled>Choose a stage</option>
          <option v-for="stage in others" :key="stage.id" :value="stage.id">{{ stage.name }}</option>
        </select>
      </label>
      <label>
        <span class="text-sm font-semibold">Why</span>
        <input v-model="note" class="field" maxlength="1000" required />
      </label>
      <button type="submit" class="press press-plain" :disabled="to === '' || note.trim() === ''">Move it</button>
    </form>
    <p v-if="keeping.sentence.value" class="mt-2 font-semibold text-stop" role="alert">{{ keeping.sentence.value }}</p>
  </section>
</template>
