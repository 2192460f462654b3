import type { KitCase, KitUp } from '@banter/core';
import { tryOnScopeDispose } from '@vueuse/core';
import { ref, shallowRef } from 'vue';

/** Kits classes up in a worker; a newer question takes the place of an older one. */
export function useKitUp() {
  const found = shallowRef<KitUp | null>(null);
  const state = ref<'still' | 'working' | 'failed'>('still');
  let worker: Worker | null = null;
  let latest = 0;
  function ask(asked: KitCase) {
    latest += 1;
    state.value = 'working';
    if (!worker) {
      worker = new Worker(new URL('../workers/kit-up.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<{ id: number; found: KitUp | null }>) => {
        if (data.id !== latest) return;
        found.value = data.found;
        state.value = data.found ? 'still' : 'failed';
      };
      worker.onerror = () => (state.value = 'failed');
    }
    worker.postMessage({ id: latest, asked: structuredClone(asked) });
  }
  tryOnScopeDispose(() => worker?.terminate());
  return { found, state, ask };
}
