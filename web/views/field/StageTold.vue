<script setup lang="ts">
/** What came of a session for the stage its dog is in: told like everything else here, with or without a connection, and taken back with a tap. */
import type { FieldDog } from '@banter/contract';
import type { SessionStory } from '@banter/core';
import { computed, ref, watch } from 'vue';
import StepCount from '../../parts/StepCount.vue';
import type { FieldTold } from '../../stores/field-log.ts';

const props = defineProps<{ programme: FieldDog['programmes'][number]; story: SessionStory; tell: (told: FieldTold) => string }>();
const told = computed(() => {
  const found = props.story.events.findLast((event) => event.event === 'result' && event.programmeId === props.programme.id);
  return found?.event === 'result' ? found : null;
});
const met = ref(props.programme.needed);
const of = ref(props.programme.of);
const setback = ref(false);
watch(of, (now) => (met.value = Math.min(met.value, now)));
const single = computed(() => props.programme.of === 1);
const keep = (went: number) =>
  props.tell({ event: 'result', programmeId: props.programme.id, stageId: props.programme.stageId, met: went, of: of.value, setback: setback.value });
</script>

<template>
  <section class="border-t border-line pt-3" :aria-label="programme.name">
    <h3>{{ programme.name }}: {{ programme.stageName }}</h3>
    <p v-if="told" class="flex flex-wrap items-center gap-x-3">
      <span>{{ told.met }} of {{ told.of }} went well{{ told.setback ? `, and: ${programme.setback.toLowerCase()}` : '' }}.</span>
      <button type="button" class="press press-quiet" @click="tell({ event: 'void', eventId: told.id })">Take it back</button>
    </p>
    <template v-else>
      <p class="text-soft first-letter:uppercase">{{ programme.what }}</p>
      <label class="flex min-h-12 items-center gap-3"><input v-model="setback" type="checkbox" class="size-6" /> {{ programme.setback }}</label>
      <div v-if="single" class="flex gap-2">
        <button type="button" class="press press-main min-h-14 flex-1" @click="keep(1)">It went well</button>
        <button type="button" class="press press-plain min-h-14 flex-1" @click="keep(0)">Not yet</button>
      </div>
      <div v-else class="grid gap-2">
        <StepCount v-model="met" label="Went well" :least="0" :most="of" />
        <StepCount v-model="of" label="of so many tries" :least="1" :most="100" />
        <button type="button" class="press press-main min-h-14" @click="keep(met)">Tell it: {{ met }} of {{ of }}</button>
      </div>
    </template>
  </section>
</template>
