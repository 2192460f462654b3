import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';

/** Whether somebody is finding something, and what was typed before the field was there to take it. */
export const useFinding = defineStore('finding', () => {
  const open = ref(false);
  const isReady = ref(false);
  const typedEarly = ref('');
  watch(open, () => {
    isReady.value = false;
    typedEarly.value = '';
  });
  // Nobody waits for the field: what they type meanwhile is theirs, and no key of a screen.
  useEventListener(
    document,
    'keydown',
    (event: KeyboardEvent) => {
      if (!open.value || isReady.value || event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return;
      typedEarly.value += event.key;
      event.preventDefault();
      event.stopPropagation();
    },
    { capture: true },
  );
  return { open, isReady, typedEarly };
});
