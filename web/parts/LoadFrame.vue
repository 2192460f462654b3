<script setup lang="ts">
/** What stands in for a screen while it loads, when it is not there, and when it could not be had. */
defineProps<{ state: 'loading' | 'ready' | 'missing' | 'failed'; sentence: string; thing: string }>();
const emit = defineEmits<{ again: [] }>();
</script>

<template>
  <div v-if="state === 'loading'" role="status" class="sheet animate-pulse text-soft">Loading {{ thing }} …</div>
  <div v-else-if="state === 'missing'" class="sheet">
    <h1>Not here</h1>
    <p class="mt-2">
      There is no such {{ thing }} in this kennel.
      <RouterLink to="/dogs" class="underline">To the dogs</RouterLink>
    </p>
  </div>
  <div v-else-if="state === 'failed'" class="sheet" role="alert">
    <h1>Could not load {{ thing }}</h1>
    <p class="mt-2">{{ sentence }}</p>
    <button type="button" class="press press-plain mt-3" @click="emit('again')">Try again</button>
  </div>
  <slot v-else />
</template>
