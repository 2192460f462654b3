/** Rigs: what is between the hand and the dog. */
export { DOG as DOG_JOINT, HAND as HAND_JOINT, rigRoutes, type RigPart, type RigRoutes } from './rig-graph.ts';
export {
  bareRig,
  HARNESS_RIG,
  LEASH,
  catalogueFor,
  partsOfRole,
  rigCatalogue,
  rigPart,
  snapTo,
  type FittedRigPart,
  type RigAddition,
  type RigCatalogue,
  type RigJointKind,
  type RigPartKind,
  type RigRole,
  type RigTemplate,
} from './rig-parts.ts';
export { freshId, layIn, rigOfTemplate, rigProposals, rigTemplates, templatesFor, type CollarRig, type RigProposal } from './rig-templates.ts';
export {
  judgeRig,
  RIG_REASON_WORDS,
  rigReasonTone,
  routeReasons,
  type RigAnchor,
  type RigBackup,
  type RigClosing,
  type RigOnDog,
  type RigReason,
} from './rig-rules.ts';
export {
  leashSideOf,
  RING_PLACES,
  ringAndSide,
  ringClock,
  WORKING_SIDES,
  type RingAndSide,
  type RingHow,
  type RingPlace,
  type WorkingSide,
} from './ring-and-side.ts';
