<script setup lang="ts">
/** A good one and a bad one side by side, each with what it is below; a tick and a cross say which is which. */
defineProps<{ good: string; bad: string }>();
</script>

<template>
  <div class="flex gap-3">
    <figure v-for="side in ['good', 'bad'] as const" :key="side" class="m-0 w-24">
      <slot :name="side" />
      <figcaption class="mt-1 flex items-baseline gap-1 text-sm leading-tight text-soft">
        <span aria-hidden="true" :class="side === 'good' ? 'text-good' : 'text-stop'">{{ side === 'good' ? '✓' : '✕' }}</span>
        {{ side === 'good' ? good : bad }}
      </figcaption>
    </figure>
  </div>
</template>
