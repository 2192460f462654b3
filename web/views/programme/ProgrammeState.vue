<script setup lang="ts">
/** A programme rests, goes on, is done or is left; nothing of it is forgotten. */
import { Programme, type ProgrammeFacts } from '@banter/contract';
import { ref, watch } from 'vue';
import { useKeep } from '../../stores/keep.ts';

const props = defineProps<{ programme: Programme; finished: boolean }>();
const emit = defineEmits<{ changed: [] }>();
const keeping = useKeep();
/** Until the programme is here as it now is: a second change needs its new version. */
const busy = ref(false);
watch(
  () => props.programme.version,
  () => (busy.value = false),
);
async function put(state: ProgrammeFacts['state']) {
  const { id, version, ...facts } = props.programme;
  busy.value = true;
  if (await keeping.keep(`/api/programmes/${id}`, Programme, { ...facts, state }, version)) emit('changed');
  else busy.value = false;
}
</script>

<template>
  <div class="flex flex-wrap gap-2">
    <button v-if="finished" type="button" :disabled="busy" class="press press-main" @click="put('done')">{{ $spell('The programme is done') }}</button>
    <button v-if="programme.state === 'running'" type="button" :disabled="busy" class="press press-plain" @click="put('paused')">Pause it</button>
    <button v-else type="button" :disabled="busy" class="press press-main" @click="put('running')">Go on with it</button>
    <button v-if="!finished" type="button" :disabled="busy" class="press press-quiet" @click="put('left')">Leave {{ $spell('programme') }}</button>
    <p v-if="keeping.sentence.value" class="w-full font-semibold text-stop" role="alert">{{ keeping.sentence.value }}</p>
  </div>
</template>
