<script setup lang="ts">
/** What stands beside a slip at the bench: the letter its loop makes. */
import type { Bench } from '../shared/bench.ts';
import LetterDrawing from './LetterDrawing.vue';

defineProps<{ bench: Bench }>();
</script>

<template>
  <LetterDrawing :works-on="bench.dog.worksOn" />
</template>
