import { DEFAULT_HOUSE_SCHOOLS } from '@banter/core';
import { USUAL_HEAD_COLLAR_CHART } from '../collars/head-collar/head-collar-chart.ts';
import type { KennelSettings } from './kennel.ts';

/** What a new kennel holds to. */
export const FIRST_SETTINGS = {
  schools: DEFAULT_HOUSE_SCHOOLS,
  rules: {},
  screen: {},
  headCollarChart: USUAL_HEAD_COLLAR_CHART,
  moreSettings: [],
} satisfies Partial<KennelSettings>;
