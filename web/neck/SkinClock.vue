<script setup lang="ts">
/** The neck from behind the dog with what the skin last looked like at each place; a place is chosen to say how it looks now. */
import { pointAtClock, type SkinLook } from '@banter/core';
import { computed } from 'vue';
import SkinMark from './SkinMark.vue';

const props = defineProps<{ looks: readonly SkinLook[]; name: string }>();
const chosen = defineModel<number | null>({ required: true });
const R = 60;
const at = (clock: number, radius: number) => pointAtClock(clock, radius);
/** Whole hours, and in between the half ones that have been looked at. */
const halves = computed(() => props.looks.filter(({ clock }) => clock % 1 !== 0));
const stateOf = (clock: number) => props.looks.find((look) => look.clock % 12 === clock % 12) ?? null;
const words = (clock: number) => {
  const state = stateOf(clock);
  return `${clock} o’clock${state ? `, grade ${state.grade} last` : ', not checked'}`;
};
</script>

<template>
  <svg viewBox="-100 -100 200 200" class="block h-auto w-full" role="radiogroup" :aria-label="`Places round ${name}’s neck, from behind the dog`">
    <circle :r="R" fill="var(--hide)" stroke="var(--hide-deep)" stroke-width="2" />
    <circle :cy="R * 0.46" :r="R * 0.12" fill="none" stroke="var(--hide-deep)" stroke-width="4.5" opacity="0.8" />
    <text y="14" font-size="9" text-anchor="middle" fill="var(--hide-ink)">windpipe</text>
    <text y="-34" font-size="9" text-anchor="middle" fill="var(--hide-ink)">nape</text>
    <template v-for="look in looks" :key="look.clock">
      <SkinMark v-if="look.grade > 0" :x="at(look.clock, R - 1).x" :y="at(look.clock, R - 1).y" :size="9" :grade="look.grade" />
      <circle v-else :cx="at(look.clock, R - 1).x" :cy="at(look.clock, R - 1).y" r="3" fill="var(--good)" />
    </template>
    <g
      v-for="clock in 12"
      :key="clock"
      role="radio"
      tabindex="0"
      class="cursor-pointer"
      :aria-checked="chosen !== null && Math.floor(chosen) % 12 === clock % 12"
      :aria-label="words(clock)"
      @click="chosen = clock"
      @keydown.enter.prevent="chosen = clock"
      @keydown.space.prevent="chosen = clock"
    >
      <circle
        :cx="at(clock, 84).x"
        :cy="at(clock, 84).y"
        r="13"
        :fill="chosen !== null && Math.floor(chosen) % 12 === clock % 12 ? 'var(--deep)' : 'var(--raised)'"
        stroke="var(--line)"
        stroke-width="1.4"
      />
      <text
        :x="at(clock, 84).x"
        :y="at(clock, 84).y + 4.2"
        font-size="12"
        font-weight="600"
        text-anchor="middle"
        :fill="chosen !== null && Math.floor(chosen) % 12 === clock % 12 ? 'var(--on-deep)' : 'var(--ink)'"
      >
        {{ clock }}
      </text>
    </g>
    <g v-for="look in halves" :key="`half${look.clock}`" fill="var(--soft)">
      <circle :cx="at(look.clock, 84).x" :cy="at(look.clock, 84).y" r="2.4" />
    </g>
    <text x="-98" y="-88" font-size="9" fill="var(--soft)">left</text>
    <text x="98" y="-88" font-size="9" text-anchor="end" fill="var(--soft)">right</text>
  </svg>
</template>
