export { FENCE_TRAITS } from './fence-traits.ts';
