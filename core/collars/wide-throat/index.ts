export { WIDE_RING, WIDE_THROAT_TRAITS } from './wide-throat-traits.ts';
export { WIDE_THROAT_CHECK, WIDE_THROAT_PUT_ON } from './check-wide-throat.ts';
