<script setup lang="ts">
/** What came of a session for the stage its dog is in: told like everything else here, with or without a connection, and taken back with a tap. */
import type { FieldDog } from '@banter/contract';
import type { SessionStory } from '@banter/core';
import { computed } from 'vue';
import StepCount from '../../parts/StepCount.vue';
import type { FieldEventToLog } from '../../stores/field-log.ts';
import { useTyped } from '../../stores/draft.ts';

const props = defineProps<{ programme: FieldDog['programmes'][number]; story: SessionStory; tell: (told: FieldEventToLog) => string }>();
const told = computed(() => {
  const found = props.story.events.findLast((event) => event.event === 'result' && event.programmeId === props.programme.id);
  return found?.event === 'result' ? found : null;
});
/** So many numbers fit under a thumb; nothing is counted before somebody says it, so that no mark is met by a tap too many. */
const MOST_NUMBERS = 12;
const NOT_SAID = -1;
const { count, of, setback } = useTyped(`field-result.${props.story.sessionId}.${props.programme.id}`, {
  count: NOT_SAID,
  of: props.programme.of,
  setback: false,
});
const met = computed({
  get: () => (count.value === NOT_SAID ? null : Math.min(count.value, of.value)),
  set: (now: number | null) => (count.value = now ?? NOT_SAID),
});
const single = computed(() => props.programme.of === 1);
const keep = (went: number) =>
  props.tell({ event: 'result', programmeId: props.programme.id, stageId: props.programme.stageId, met: went, of: of.value, setback: setback.value });
</script>

<template>
  <section class="border-t border-line pt-3" :aria-label="programme.name">
    <h3>{{ programme.name }}: {{ programme.stageName }}</h3>
    <p v-if="told" class="flex flex-wrap items-center gap-x-3">
      <span>{{ told.met }} of {{ told.of }} went well{{ told.setback ? `, and: ${programme.setback.toLowerCase()}` : '' }}.</span>
      <button type="button" class="press press-quiet" @click="tell({ event: 'void', eventId: told.id })">Undo</button>
    </p>
    <template v-else>
      <p class="text-soft first-letter:uppercase">{{ programme.what }}</p>
      <label class="flex min-h-12 items-center gap-3"><input v-model="setback" type="checkbox" class="size-6" /> {{ programme.setback }}</label>
      <div v-if="single" class="flex gap-2">
        <button type="button" class="press press-main min-h-14 flex-1" @click="keep(1)">It went well</button>
        <button type="button" class="press press-plain min-h-14 flex-1" @click="keep(0)">Not yet</button>
      </div>
      <div v-else class="grid gap-2">
        <StepCount v-model="of" label="out of how many" :least="1" :most="100" />
        <div v-if="of <= MOST_NUMBERS" role="group" aria-label="How many went well?">
          <p class="font-semibold">How many went well?</p>
          <div class="mt-1 grid grid-cols-[repeat(auto-fill,minmax(3.25rem,1fr))] gap-2">
            <button
              v-for="step in of + 1"
              :key="step"
              type="button"
              class="press press-plain min-h-13 px-0! tabular-nums"
              :aria-label="`${step - 1} of ${of} went well`"
              @click="keep(step - 1)"
            >
              {{ step - 1 }}
            </button>
          </div>
        </div>
        <template v-else>
          <StepCount v-model="met" label="Went well" :least="0" :most="of" />
          <button type="button" class="press press-main min-h-14" :disabled="met === null" @click="met !== null && keep(met)">
            {{ met === null ? 'Say how many went well' : `Log ${met} of ${of}` }}
          </button>
        </template>
      </div>
    </template>
  </section>
</template>
