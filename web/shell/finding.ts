import { defaultDocument, useEventListener } from '@vueuse/core';
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
    defaultDocument,
    'keydown',
    (event: KeyboardEvent) => {
      if (!open.value || isReady.value || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === 'Escape') open.value = false;
      else if (event.key.length === 1) typedEarly.value += event.key;
      else if (event.key !== 'Enter') return;
      event.preventDefault();
      event.stopPropagation();
    },
    { capture: true },
  );
  return { open, isReady, typedEarly };
});
