import { DogPage, latestGirths } from '@banter/contract';
import { computed } from 'vue';
import { useLoad } from './load.ts';

/** A dog with its record, and what of it counts now: the latest girths, the latest decision and its latest check. */
export function useDogPage(id: string) {
  const loaded = useLoad(() => `/api/dogs/${id}/page`, DogPage);
  const girths = computed(() => latestGirths(loaded.data.value?.tapings ?? []));
  const plan = computed(() => loaded.data.value?.plans.at(-1) ?? null);
  const checks = computed(() => (loaded.data.value?.checks ?? []).filter((check) => check.planId === plan.value?.id));
  const check = computed(() => checks.value.at(-1) ?? null);
  return { ...loaded, girths, plan, checks, check };
}
