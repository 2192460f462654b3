import { z } from '@banter/contract';
import { defaultDocument, tryOnMounted, tryOnScopeDispose, useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { stored } from './stored.ts';

export type Key = { key: string; does: string; run: () => void };

/** The single-key shortcuts of what is on the screen. They can be switched off, and never fire while somebody types. */
export const useKeys = defineStore('keys', () => {
  const on = stored('banter.keys', z.boolean(), true);
  const groups = ref<{ title: string; keys: Key[] }[]>([]);
  const listed = ref(false);

  useEventListener(defaultDocument, 'keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    const typing = target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
    if (typing || event.ctrlKey || event.metaKey || event.altKey || listed.value) return;
    if (event.key === '?') {
      listed.value = true;
      event.preventDefault();
      return;
    }
    if (!on.value) return;
    // What is on the screen goes before what is everywhere.
    const found = groups.value.flatMap((group) => group.keys).findLast(({ key }) => key === event.key);
    if (!found) return;
    event.preventDefault();
    found.run();
  });

  return { on, groups, listed };
});

/** Gives the screen its keys for as long as it is shown. */
export function useScreenKeys(title: string, keys: Key[]): void {
  const store = useKeys();
  const group = { title, keys };
  tryOnMounted(() => store.groups.push(group));
  tryOnScopeDispose(() => {
    store.groups = store.groups.filter((one) => one.title !== title);
  });
}
