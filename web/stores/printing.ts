import { defaultWindow, useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';

/** Whether the page is being put on paper: for what a screen shows a part of and paper shows whole. */
export function usePrinting(): Ref<boolean> {
  const printing = ref(false);
  useEventListener(defaultWindow, 'beforeprint', () => (printing.value = true));
  useEventListener(defaultWindow, 'afterprint', () => (printing.value = false));
  return printing;
}
