export { FLAT_RING, FLAT_TRAITS } from './flat-traits.ts';
export { FLAT_CHECK, FLAT_PUT_ON } from './check-flat.ts';
