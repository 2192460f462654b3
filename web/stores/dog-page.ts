import { currentFits, DogPage, latestGirths, type CollarKindName } from '@banter/contract';
import { computed } from 'vue';
import { useLaidOver } from './laid-over.ts';
import { useLoad } from './load.ts';

/**
 * A dog with its record, and what of it counts now: the latest measures, and its fits as they stand. `fit` is the one of a kind,
 * where one is asked for, else the one decided last. `locker` `all` brings all that the kennel owns, for whoever chooses out of it.
 */
export function useDogPage(id: string, { kind = () => null, locker = 'own' }: { kind?: () => CollarKindName | null; locker?: 'own' | 'all' } = {}) {
  const loaded = useLoad(() => `/api/dogs/${id}/${locker === 'all' ? 'bench' : 'page'}`, DogPage, { orElse: () => `/api/dogs/${id}/page` });
  const laid = useLaidOver();
  const data = computed(() => laid(loaded.data.value));
  const girths = computed(() => latestGirths(data.value?.tapings ?? []));
  const fits = computed(() => {
    const page = data.value;
    return page ? currentFits(page) : [];
  });
  const fit = computed(() => fits.value.find(({ plan }) => plan.kind === kind()) ?? (kind() ? null : (fits.value[0] ?? null)));
  return {
    ...loaded,
    data,
    girths,
    fits,
    plan: computed(() => fit.value?.plan ?? null),
    checks: computed(() => fit.value?.checks ?? []),
    check: computed(() => fit.value?.check ?? null),
  };
}
