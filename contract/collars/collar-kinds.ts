import { clipOnSlipKind } from './clip-on-slip.ts';
import type { CheckOutcome, CollarKind, PlanOutcome } from './collar-kind.ts';
import { fenceKind, remoteKind } from './electronic.ts';
import { headCollarKind } from './head-collar.ts';
import { martingaleKind } from './martingale.ts';
import { prongKind } from './prong.ts';
import { slipKind } from './slip.ts';
import { flatKind, wideThroatKind } from './strap.ts';

/** The one registry of collar kinds: a row a kind. */
export const COLLAR_KINDS = {
  prong: prongKind,
  slip: slipKind,
  'clip-on-slip': clipOnSlipKind,
  martingale: martingaleKind,
  flat: flatKind,
  'wide-throat': wideThroatKind,
  'head-collar': headCollarKind,
  remote: remoteKind,
  fence: fenceKind,
} as const;

export type CollarKindName = keyof typeof COLLAR_KINDS;
export const COLLAR_KIND_NAMES = Object.keys(COLLAR_KINDS) as [CollarKindName, ...CollarKindName[]];

/** A kind as code that serves all of them sees it; what it takes has been parsed by the kind's own schemas. */
export type AnyCollarKind = CollarKind<unknown, unknown, PlanOutcome, unknown, unknown, CheckOutcome>;

export function collarKind(name: CollarKindName): AnyCollarKind {
  return COLLAR_KINDS[name] as unknown as AnyCollarKind;
}
