import type { Calculation } from './calculation.ts';
import { fingerSlack } from './finger-slack.ts';
import { prong } from './prong.ts';
import { tape } from './tape.ts';

/** Every calculation of the contract by the name in its address, `POST /api/calc/NAME`. */
export const CALCULATIONS = {
  tape,
  'finger-slack': fingerSlack,
  prong,
} as const;

export type CalculationName = keyof typeof CALCULATIONS;

/** The calculation of a name, or null when there is none. */
export function calculationOf(name: string): Calculation | null {
  return Object.hasOwn(CALCULATIONS, name) ? (CALCULATIONS[name as CalculationName] as unknown as Calculation) : null;
}
