<script setup lang="ts">
/** What stands open beside the work at a desk, and is a line under it on a phone until it is wanted. */
import { useAtLeast } from '../stores/widths.ts';

defineProps<{ name: string }>();
const desk = useAtLeast('lg');
</script>

<template>
  <section v-if="desk" class="sheet" :aria-label="name">
    <h2>{{ name }}</h2>
    <slot />
  </section>
  <details v-else class="sheet py-1!">
    <summary class="flex min-h-12 cursor-pointer items-center font-display text-lg font-semibold">{{ name }}</summary>
    <section :aria-label="name" class="pb-3"><slot /></section>
  </details>
</template>
