import { tryOnScopeDispose } from '@vueuse/core';
import { shallowRef, watch, type ComputedRef } from 'vue';
import { choose, collarsIn, WORKER_FROM_COLLARS, type Chosen, type ChooseRequest } from '../workers/choose.ts';

/** All kinds sized for a dog: at once for a usual locker, in a worker for a large one. Null until it is there. */
export function useChosen(request: ComputedRef<ChooseRequest | null>) {
  const chosen = shallowRef<Chosen | null>(null);
  let worker: Worker | null = null;
  let latest = 0;
  watch(
    request,
    (now) => {
      if (!now) return;
      if (collarsIn(now.stock) < WORKER_FROM_COLLARS) {
        chosen.value = choose(now);
        return;
      }
      latest += 1;
      worker ??= new Worker(new URL('../workers/choose.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<{ id: number; chosen: Chosen }>) => {
        if (data.id === latest) chosen.value = data.chosen;
      };
      // Without the reactive wrapping, which cannot cross into a worker.
      worker.postMessage({ id: latest, request: JSON.parse(JSON.stringify(now)) as ChooseRequest });
    },
    { immediate: true },
  );
  tryOnScopeDispose(() => worker?.terminate());
  return chosen;
}
