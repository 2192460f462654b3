import { DEFAULT_HOUSE_SCHOOLS } from '@banter/core';
import { COLLAR_KINDS } from '../collars/collar-kinds.ts';
import type { KennelSettings } from './kennel.ts';

/** The chart of head collars a kennel starts with, until it has its supplier's. From memory. */
export const USUAL_HEAD_COLLAR_CHART = COLLAR_KINDS['head-collar'].usual.map(({ name, numbers: { widthMm: _width, ...ranges } }) => ({
  name: name.replace(' head collar', ''),
  ...ranges,
}));

/** What a new kennel holds to. */
export const FIRST_SETTINGS = {
  schools: DEFAULT_HOUSE_SCHOOLS,
  rules: {},
  screen: {},
  headCollarChart: USUAL_HEAD_COLLAR_CHART,
  moreSettings: [],
} satisfies Partial<KennelSettings>;
