export {
  judgeSlip,
  recommendedSlip,
  shortestPassing,
  SLIP_SCHOOLS,
  SLIP_STEP_MM,
  SLIP_VERDICTS,
  sizeSlip,
  type SlipFit,
  type SlipNeck,
  type SlipSchool,
  type SlipVerdict,
} from './size-slip.ts';
export { SLIP_REASON_WORDS, type SlipReason } from './slip-reasons.ts';
export { slipSizer, type SlipNumbers, type SlipOptions } from './fit-slip.ts';
export { loopLetter, SLIP_MATERIALS, slipStrength, slipWidthMm, type SlipMaterial } from './slip-strength.ts';
export { SLIP_CHECK, SLIP_PUT_ON } from './check-slip.ts';
export { SLIP_TRAITS } from './slip-traits.ts';
export { INSPECT_SLIP } from './inspect-slip.ts';
