export { BACKUP_EXTRA_MM, CLIP_ON_REASON_WORDS, CLIP_ON_USES, sizeClipOnSlip, type ClipOnReason, type ClipOnUse } from './size-clip-on-slip.ts';
export { clipOnSlipSizer, type ClipOnNumbers, type ClipOnOptions } from './fit-clip-on-slip.ts';
export { CLIP_ON_CHECK, CLIP_ON_PUT_ON } from './check-clip-on-slip.ts';
export { CLIP_ON_PART, CLIP_ON_SLIP_TRAITS } from './clip-on-slip-traits.ts';
