import type { NextStep } from '@banter/contract';

/** Where a next step is done. */
export function goToStep(dogId: string, { goTo, kind }: Pick<NextStep, 'goTo' | 'kind'>): string {
  return `/dogs/${dogId}/${goTo}${goTo === 'check' && kind ? `?kind=${kind}` : ''}`;
}
