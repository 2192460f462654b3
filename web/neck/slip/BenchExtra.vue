<script setup lang="ts">
/** What stands beside a slip at the bench: the letter its loop makes. */
import type { FittingDog } from '@banter/core';
import LetterDrawing from './LetterDrawing.vue';

defineProps<{ dog: FittingDog }>();
</script>

<template>
  <LetterDrawing :works-on="dog.worksOn" />
</template>
