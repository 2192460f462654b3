<script setup lang="ts">
/** Corrections by the way they go: what the dog’s collar is for comes first. */
import { collarKind } from '@banter/contract';
import type { FieldDog } from '@banter/contract';
import { DIRECTION_WORDS, DIRECTIONS, NOT_YET_WORDS, type Direction } from '@banter/core';
import { computed } from 'vue';

const props = defineProps<{ dog: FieldDog; directions: Record<Direction, number> }>();
defineEmits<{ correct: [direction: Direction] }>();
/** What comes first with the collar that closes on the dog: of several, back and in before a way of its own. Common practice. */
const first = computed((): readonly Direction[] => {
  const ways = props.dog.kinds.flatMap((kind) => collarKind(kind).traits.ways ?? []);
  return ways.some((way) => way.first.length === 0) ? [] : (ways[0]?.first ?? []);
});
const order = computed(() => [...first.value, ...DIRECTIONS.filter((one) => !first.value.includes(one))]);
/** The stage it is in and in which no leash is on yet: said before a correction is logged. */
const leashlessStage = computed(() => props.dog.programmes.find(({ notYet }) => notYet.includes('leash'))?.stageName ?? null);
/** From the dog’s own view, its nose at the top. */
const turns: Partial<Record<Direction, number>> = { forward: 0, back: 180 };
const inTurn = computed(() => (props.dog.worksOn === 'left' ? 90 : -90));
const turnOf = (direction: Direction) => (direction === 'in' ? inTurn.value : direction === 'across' ? inTurn.value : (turns[direction] ?? null));
</script>

<template>
  <section aria-label="Corrections">
    <h2>Correction</h2>
    <p v-if="leashlessStage" class="mt-1.5 rounded bg-mind-wash px-3 py-2 text-mind">{{ NOT_YET_WORDS.leash(leashlessStage) }}</p>
    <div class="mt-1.5 grid grid-cols-3 gap-2">
      <button
        v-for="direction in order"
        :key="direction"
        type="button"
        class="press press-plain min-h-16 flex-col gap-0! px-2!"
        :aria-label="`Corrected ${direction}: ${DIRECTION_WORDS[direction].answers}`"
        @click="$emit('correct', direction)"
      >
        <span class="flex items-center gap-1.5">
          <svg
            v-if="turnOf(direction) !== null"
            viewBox="0 0 20 20"
            class="size-5"
            fill="none"
            stroke="currentColor"
            stroke-width="2.4"
            aria-hidden="true"
            :style="{ transform: `rotate(${turnOf(direction)}deg)` }"
          >
            <path d="M10 17V4M4.5 9.5 10 4l5.5 5.5" />
          </svg>
          <svg v-else viewBox="0 0 20 20" class="size-5" fill="none" stroke="currentColor" stroke-width="2.4" aria-hidden="true">
            <path v-if="direction === 'up'" d="M3 17h14M10 13V3M6 7l4-4 4 4" />
            <path v-else d="M3 17h14M10 3v10M6 9l4 4 4-4" />
          </svg>
          {{ DIRECTION_WORDS[direction].name }}
        </span>
        <span v-if="directions[direction] > 0" class="text-sm text-soft tabular-nums">{{ directions[direction] }}</span>
      </button>
    </div>
    <p class="mt-1 text-sm text-soft">Short, within a second, and let go at once.</p>
  </section>
</template>
