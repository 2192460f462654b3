import { useDocumentVisibility } from '@vueuse/core';
import { watch } from 'vue';

/** Does something whenever the page is put away, or looked at again. */
export function onLook(work: (isSeen: boolean) => void): void {
  watch(useDocumentVisibility(), (now) => work(now === 'visible'), { flush: 'sync' });
}
