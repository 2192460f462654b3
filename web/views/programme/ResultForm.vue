<script setup lang="ts">
/** What came of a session: how many tries went well, of how many, and whether there was a setback. Kept on this device until it is kept there. */
import { StageResult, z, type Programme, type ProgrammeStanding } from '@banter/contract';
import { MINUTE_MS } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, watch } from 'vue';
import StepCount from '../../parts/StepCount.vue';
import { useKeep } from '../../stores/keep.ts';
import { useDraft } from '../../stores/draft.ts';
import { useNow } from '../../stores/now.ts';

const props = defineProps<{ programme: Programme; stage: ProgrammeStanding['stage']; results: ProgrammeStanding['results'] }>();
const emit = defineEmits<{ kept: [] }>();
const keeping = useKeep();
// A result is somebody's answer: nothing is filled in before it is given.
const fresh = () => ({ id: uuidv7(), met: null as number | null, of: props.stage.pass.of, setback: false, note: '' });
const unanswered = ref(false);
const { draft, discard } = useDraft(
  `result.${props.programme.id}.${props.stage.id}`,
  z.object({ id: z.string(), met: z.number().nullable(), of: z.number(), setback: z.boolean(), note: z.string() }),
  fresh,
);
watch(
  () => draft.value.of,
  (of) => {
    if (draft.value.met !== null) draft.value.met = Math.min(draft.value.met, of);
  },
);
/** The result that this one would replace: no other session can have been held since. */
const { now } = useNow();
const replaces = computed(() => {
  const last = props.results.at(-1);
  return last && now.value - last.at < props.stage.minutes * MINUTE_MS ? last : null;
});
const single = computed(() => props.stage.pass.of === 1);
async function keep() {
  unanswered.value = draft.value.met === null;
  if (unanswered.value) return;
  const { id, ...told } = draft.value;
  const kept = await keeping.keep(`/api/stage-results/${id}`, StageResult, {
    ...told,
    note: told.note.trim(),
    programmeId: props.programme.id,
    stageId: props.stage.id,
    sessionId: null,
    at: new Date().toISOString(),
  });
  if (!kept) return;
  discard();
  emit('kept');
}
</script>

<template>
  <form class="sheet" aria-labelledby="result" @submit.prevent="keep">
    <h2 id="result">How did the session go?</h2>
    <p class="text-soft first-letter:uppercase">{{ stage.pass.what }}</p>
    <fieldset v-if="single" class="mt-2 flex gap-2">
      <legend class="sr-only">Did it go well?</legend>
      <label v-for="well in [1, 0]" :key="well" class="flex min-h-12 items-center gap-2 rounded-[0.3rem] border-[1.5px] border-line bg-raised px-4">
        <input v-model="draft.met" type="radio" name="met" :value="well" class="size-5" />
        {{ well === 1 ? 'Yes' : 'No' }}
      </label>
    </fieldset>
    <div v-else class="mt-2 grid gap-2">
      <StepCount v-model="draft.met" label="Went well" :least="0" :most="draft.of" />
      <StepCount v-model="draft.of" label="out of how many" :least="1" :most="100" />
    </div>
    <label class="mt-3 flex min-h-12 items-center gap-3">
      <input v-model="draft.setback" type="checkbox" class="size-6" />
      {{ stage.fallBack.setback }}
    </label>
    <label class="mt-2 block">
      <span class="text-sm font-semibold">Note</span>
      <input v-model="draft.note" class="field" maxlength="1000" />
    </label>
    <p v-if="unanswered && draft.met === null" class="mt-2 font-semibold text-stop" role="alert">
      {{ single ? 'Say whether it went well.' : 'Say how many went well; 0 counts.' }}
    </p>
    <p v-if="replaces" class="mt-2 text-soft">It replaces {{ replaces.met }} of {{ replaces.of }}, just saved: a session has one result.</p>
    <p v-if="keeping.sentence.value" class="mt-2 font-semibold" :class="keeping.state.value === 'waiting' ? 'text-mind' : 'text-stop'" role="alert">
      {{ keeping.sentence.value }}
    </p>
    <button type="submit" class="press press-main mt-3" :disabled="keeping.state.value === 'sending'">Save result</button>
  </form>
</template>
