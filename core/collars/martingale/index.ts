export {
  judgeMartingale,
  loopHang,
  MARTINGALE_SCHOOLS,
  MARTINGALE_VERDICTS,
  martingaleReasons,
  sizeMartingale,
  strapBySchool,
  type MartingaleFit,
  type MartingaleSchool,
  type MartingaleStrap,
  type MartingaleVerdict,
} from './size-martingale.ts';
export { MARTINGALE_REASON_WORDS, type MartingaleReason } from './martingale-reasons.ts';
export { houseStrap, martingaleSizer, martingaleWidth, type MartingaleNumbers, type MartingaleOptions } from './fit-martingale.ts';
export { MARTINGALE_CHECK, MARTINGALE_PUT_ON } from './check-martingale.ts';
export { BODY_RING, MARTINGALE_TRAITS } from './martingale-traits.ts';
