<script setup lang="ts">
/** One picture of what hands do: on the dog's side, on its neck from behind, or by itself. */
import type { EarSet } from '@banter/core';
import DogProfile from './DogProfile.vue';
import type { HandPicture, PictureTone } from './picture-lines.ts';

defineProps<{ picture: HandPicture; ears?: EarSet }>();
const COLOURS: Record<PictureTone, string> = {
  tape: 'var(--tape)',
  steel: 'var(--steel)',
  cloth: 'var(--deep)',
  hand: 'var(--hand)',
  stop: 'var(--stop)',
  soft: 'var(--soft)',
};
</script>

<template>
  <svg viewBox="0 0 222 172" role="img" :aria-label="picture.says" class="block h-auto w-full" stroke-linecap="round" stroke-linejoin="round">
    <DogProfile v-if="picture.on === 'side'" v-bind="ears ? { ears } : {}" />
    <template v-else-if="picture.on === 'behind'">
      <circle cx="110" cy="88" r="58" fill="var(--hide)" />
      <circle cx="110" cy="124" r="9" fill="none" stroke="var(--hide-deep)" stroke-width="5" />
    </template>
    <template v-for="one in picture.lines" :key="one.d">
      <path v-if="one.fill" :d="one.d" :fill="COLOURS[one.tone]" />
      <template v-else>
        <path v-if="one.tone === 'tape'" :d="one.d" fill="none" stroke="var(--on-tape)" :stroke-width="one.width! + 2" />
        <path :d="one.d" fill="none" :stroke="COLOURS[one.tone]" :stroke-width="one.width" :stroke-dasharray="one.dash ? '5 6' : undefined" />
      </template>
    </template>
  </svg>
</template>
