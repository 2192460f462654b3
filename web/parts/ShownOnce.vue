<script setup lang="ts">
/** A private address that is shown once: to be copied, and then gone from the screen. */
import { ref, watch } from 'vue';

const props = defineProps<{ text: string; title: string }>();
const emit = defineEmits<{ done: [] }>();
const copied = ref(false);
watch(
  () => props.text,
  () => (copied.value = false),
);
async function copy() {
  copied.value = await navigator.clipboard.writeText(props.text).then(
    () => true,
    () => false,
  );
}
</script>

<template>
  <div class="rounded bg-good-wash p-3 text-good" role="status">
    <p class="font-semibold">{{ title }}</p>
    <p class="mt-1 font-mono break-all select-all">{{ text }}</p>
    <div class="mt-2 flex gap-2">
      <button type="button" class="press press-plain" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</button>
      <button type="button" class="press press-quiet" @click="emit('done')">I have it</button>
    </div>
  </div>
</template>
