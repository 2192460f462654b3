import { useOnline } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';

/** Whether Banter can be reached: what the browser knows, and what the last request found. */
export const useConnection = defineStore('connection', () => {
  const online = useOnline();
  const lastFailed = ref(false);
  return {
    lost: computed(() => !online.value || lastFailed.value),
    reached: () => (lastFailed.value = false),
    missed: () => (lastFailed.value = true),
  };
});
