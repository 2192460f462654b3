import type { Calculation } from './calculation.ts';
import { clipOnSlip } from './clip-on-slip.ts';
import { contacts } from './contacts.ts';
import { drift } from './drift.ts';
import { fingerSlack } from './finger-slack.ts';
import { growth } from './growth.ts';
import { headCollar } from './head-collar.ts';
import { load } from './load.ts';
import { martingale } from './martingale.ts';
import { prong } from './prong.ts';
import { rig } from './rig.ts';
import { rotation } from './rotation.ts';
import { slip } from './slip.ts';
import { strap } from './strap.ts';
import { tape } from './tape.ts';
import { tellTale } from './tell-tale.ts';
import { threshold } from './threshold.ts';
import { workingLevel } from './working-level.ts';

/** Every calculation of the contract by the name in its address, `POST /api/calc/NAME`. */
export const CALCULATIONS = {
  tape,
  'finger-slack': fingerSlack,
  prong,
  slip,
  'clip-on-slip': clipOnSlip,
  martingale,
  strap,
  'head-collar': headCollar,
  contacts,
  rotation,
  rig,
  threshold,
  'working-level': workingLevel,
  drift,
  'tell-tale': tellTale,
  growth,
  load,
} as const;

export type CalculationName = keyof typeof CALCULATIONS;

/** The calculation of a name, or null when there is none. */
export function calculationOf(name: string): Calculation | null {
  return Object.hasOwn(CALCULATIONS, name) ? (CALCULATIONS[name as CalculationName] as unknown as Calculation) : null;
}
