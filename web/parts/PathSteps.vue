<script setup lang="ts">
/** The path tape → bench → check, with what is done and what is next. Stands where an empty table would. */
defineProps<{ steps: readonly { label: string; says: string; done: boolean; to?: string | undefined }[] }>();
</script>

<template>
  <ol class="grid gap-5 md:grid-cols-3">
    <li v-for="(step, index) in steps" :key="step.label" class="tape-edge flex flex-col pb-5">
      <h3 class="flex items-baseline gap-2 text-lg">
        <span class="text-soft">{{ index + 1 }}</span>
        {{ step.label }}
        <span v-if="step.done" class="text-sm font-normal text-good">✓ done</span>
      </h3>
      <p class="mt-1 grow">{{ step.says }}</p>
      <RouterLink v-if="step.to" :to="step.to" class="press press-main mt-3 self-start">{{ step.label }}</RouterLink>
    </li>
  </ol>
</template>
