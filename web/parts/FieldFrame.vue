<script setup lang="ts">
/** A label, a hint, the field itself in the slot, and what is wrong with it. The slot gets the ids to point at. */
import { computed, useId } from 'vue';

const props = defineProps<{ label: string; hint?: string; error?: string; hideLabel?: boolean }>();
const id = useId();
const describedBy = computed(() => [props.hint && `${id}-hint`, props.error && `${id}-error`].filter(Boolean).join(' ') || undefined);
</script>

<template>
  <div>
    <label :for="id" class="mb-1 block font-semibold" :class="hideLabel && 'sr-only'">{{ label }}</label>
    <slot :id="id" :described-by="describedBy" :invalid="Boolean(error)" />
    <p v-if="hint" :id="`${id}-hint`" class="mt-1 text-sm text-soft">{{ hint }}</p>
    <p v-if="error" :id="`${id}-error`" class="mt-1 font-semibold text-stop" role="alert">{{ error }}</p>
  </div>
</template>
