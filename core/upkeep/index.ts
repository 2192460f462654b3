/** Looking after gear. */
export {
  EDGES,
  HARDWARE,
  INSPECT_BED,
  INSPECT_CLOTH,
  INSPECT_LEASH,
  INSPECT_SNAP,
  INSPECTION_OUTCOMES,
  STITCHING,
  type InspectionItem,
  type InspectionOutcome,
  type InspectionPicture,
  type InspectionSpec,
} from './inspection-items.ts';
export {
  GROWING_BUCKLE,
  GROWING_LINKS,
  IF_IT_BREAKS,
  inspect,
  inspectionDue,
  type GrowingLook,
  type Inspected,
  type InspectionAnswers,
  type InspectionDue,
} from './inspect.ts';
