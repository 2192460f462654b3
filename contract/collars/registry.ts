import { clipOnSlipKind } from './clip-on-slip/clip-on-slip-kind.ts';
import { fenceKind } from './fence/fence-kind.ts';
import { flatKind } from './flat/flat-kind.ts';
import { headCollarKind } from './head-collar/head-collar-kind.ts';
import { martingaleKind } from './martingale/martingale-kind.ts';
import { prongKind } from './prong/prong-kind.ts';
import { remoteKind } from './remote/remote-kind.ts';
import { slipKind } from './slip/slip-kind.ts';
import { wideThroatKind } from './wide-throat/wide-throat-kind.ts';

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
