import { headCollarKind } from './head-collar-kind.ts';

/** The chart of head collars a kennel starts with, until it has its supplier's. From memory. */
export const USUAL_HEAD_COLLAR_CHART = headCollarKind.usual.map(({ name, numbers: { widthMm: _width, ...ranges } }) => ({
  name: name.replace(' head collar', ''),
  ...ranges,
}));
