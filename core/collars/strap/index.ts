export { mostCentralSize, sizeStrap, STRAP_FINGERS, STRAP_KINDS, STRAP_VERDICTS, type StrapKind, type StrapVerdict } from './size-strap.ts';
export { STRAP_REASON_WORDS, type StrapReason } from './strap-reasons.ts';
export {
  BUCKLES,
  holesAround,
  STRAP_ROLES,
  strapSizer,
  type OwnStrapSizing,
  type StrapRole,
  type BetweenHoles,
  type Buckle,
  type StrapNumbers,
  type StrapOptions,
} from './fit-strap.ts';
export { strapCheck, type OwnStrapCheck } from './check-strap.ts';
