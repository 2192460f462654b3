export { chartSize } from './chart-size.ts';
export { HEAD_COLLAR_VERDICTS, sizeHeadCollar, type HeadCollarFace, type HeadCollarVerdict } from './size-head-collar.ts';
export { HEAD_COLLAR_REASON_WORDS, type HeadCollarReason } from './head-collar-reasons.ts';
export { headCollarSizer, type HeadCollarNumbers, type HeadCollarOptions } from './fit-head-collar.ts';
export { HEAD_COLLAR_CHECK, HEAD_COLLAR_PUT_ON } from './check-head-collar.ts';
export { HEAD_COLLAR_TRAITS } from './head-collar-traits.ts';
