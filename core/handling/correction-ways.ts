import type { Direction } from '../field-log/field-event.ts';
import type { Happening } from './drill-scene.ts';

/**
 * Which way a correction goes with a collar, by what the dog does: the ways that are right, the best first, and one that is wrong
 * whatever happened. Kinds that are handled alike share one; `id` names it in kept drills. Common practice: handling by collar, see
 * `docs/sources.md`.
 */
export type CorrectionWays = {
  id: string;
  name: string;
  right: Readonly<Record<Happening, readonly Direction[]>>;
  never: Direction | null;
  /** What comes first on the field log's pad, where one way is its own. */
  first: readonly Direction[];
};

/** Ahead back, wide in towards the leg, behind forward: what closes round the neck is handled so. Common practice. */
export const BACK_AND_IN: CorrectionWays = {
  id: 'slip-or-prong',
  name: 'Slip or prong',
  right: { ahead: ['back'], wide: ['in'], drawn: ['in'], lags: ['forward'], steady: [] },
  never: null,
  first: [],
};
