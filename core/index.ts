/** The trade, computed: everything that the contract, the server and the screens may use of the core. */
export { CORE_VERSION } from './version.ts';

export { MM_PER_UNIT, type KennelLengthUnit, type LengthUnit } from './units/length-units.ts';
export { GRAMS_PER_UNIT, type KennelMassUnit, type MassUnit } from './units/mass-units.ts';
export { type AmountProblem } from './units/number-words.ts';
export { readLength, type LengthExpectation, type ReadLength } from './units/read-length.ts';
export { DOG_GRAMS, readMass, type ReadMass } from './units/read-mass.ts';
export { exactLength, speakGap, speakGirth } from './units/speak-length.ts';
export { exactMass, speakMass } from './units/speak-mass.ts';
export { benchSpeaker, contractSpeaker, type Speaker } from './units/speaker.ts';
export { countOf, countWord, listWords } from './units/count-words.ts';
export { speakHours } from './units/speak-hours.ts';
export { percent } from './units/percent.ts';

export { wordReason, type Reason, type ReasonWords } from './reasons/reason.ts';
export {
  contradictingRules,
  DEFAULT_HOUSE_RULES,
  HOUSE_RULES,
  houseRules,
  type HouseRule,
  type HouseRuleName,
  type HouseRuleOverrides,
  type HouseRules,
} from './rules/house-rules.ts';

export { median } from './measure/median.ts';
export { technicalError, type TechnicalError } from './measure/technical-error.ts';
export { skinGirth } from './measure/skin-girth.ts';
export { expectedHighGirth, NECK_BUILDS, type NeckBuild } from './measure/neck-build.ts';
export {
  GIRTH_SITES,
  isGirthSite,
  LENGTH_SITES,
  POSSIBLE_GIRTH_MM,
  POSSIBLE_TAPE_MM,
  SITE_WORDS,
  TAPE_SITE_WORDS,
  TAPE_SITES,
  type GirthSite,
  type LengthSite,
  type TapeSite,
} from './measure/sites.ts';
export { BREEDS, breedOf, guessedWeightKg, unusualWeight, type BackOutClass, type Breed, type CoatClass, type Skull } from './breeds/breed-guide.ts';
export { likelyGirth } from './measure/likely-girth.ts';
export { taping, type Taping, type TapingResult } from './measure/taping.ts';
export { TAPE_CONTRADICTION_WORDS, tapeContradictions, type TapeContradiction } from './measure/contradictions.ts';
export { TAPE_REASON_WORDS, type TapeReason } from './measure/tape-reasons.ts';
export { FLAT_HAND_FINGERS, fingerSlack, type Finger } from './measure/finger-slack.ts';
export { backOut, type BackOut } from './measure/back-out.ts';

export { type CheckQuestion } from './check/check-question.ts';
export { type SlackInterval } from './check/slack-interval.ts';

export { gaugeName, mostLinksOut, TYPICAL_PITCH_MM, TYPICAL_PRONGS, type ProngCollar } from './collars/prong/prong-collar.ts';
export { prongGirths, type ProngGirths } from './collars/prong/prong-girths.ts';
export { evenness, evenSplit, linkMove, shiftLinks, type LinkMove, type LinkSplit } from './collars/prong/link-split.ts';
export { linkInstruction } from './collars/prong/link-instruction.ts';
export { PRONG_VERDICTS, sizeProng, type ProngFit, type ProngNeck, type ProngVerdict } from './collars/prong/size-prong.ts';
export { judgeLinks, type LinksJudgement, type LinksVerdict } from './collars/prong/judge-links.ts';
export { chooseProng, type ProngDecision, type ProngQuestion, type SchoolChoice } from './collars/prong/choose-prong.ts';
export { BETWEEN_SCHOOLS, GAUGE_SCHOOLS, PULLS, type BetweenSchool, type GaugeSchool, type Pull } from './collars/prong/gauge-schools.ts';
export { BETWEEN_SCHOOL_WORDS, GAUGE_SCHOOL_WORDS } from './collars/prong/school-words.ts';
export { PRONG_CHOICE_REASON_WORDS, PRONG_REASON_WORDS, type ProngChoiceReason, type ProngReason } from './collars/prong/prong-reasons.ts';
export {
  prongPieces,
  prongWidthMm,
  RING_PLACES,
  ringClock,
  WORKING_SIDES,
  type ProngPiece,
  type RingPlace,
  type WorkingSide,
} from './collars/prong/prong-hardware.ts';
export { prongRows } from './collars/prong/prong-rows.ts';
export { COLLAR_DOUBT_WORDS, collarDoubts, type CollarDoubt } from './collars/prong/measure-collar.ts';
export { PRONG_CHECK_QUESTIONS, PRONG_GATHER_TEST, PRONG_PUT_ON, type ProngCheckAnswers, type ProngQuestionId } from './collars/prong/fit-check-questions.ts';
export { PRONG_CHECK_REASON_WORDS, type ProngCheckReason } from './collars/prong/fit-check-reasons.ts';
export { CHECK_STEPS, checkProngFit, type CheckStep, type EarlierProngCheck, type ProngCheck, type ProngCheckResult } from './collars/prong/fit-check.ts';
export { checkStepSentence } from './collars/prong/check-step-words.ts';

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
} from './collars/slip/size-slip.ts';
export { SLIP_REASON_WORDS, type SlipReason } from './collars/slip/slip-reasons.ts';
export {
  BACKUP_EXTRA_MM,
  CLIP_ON_REASON_WORDS,
  CLIP_ON_USES,
  sizeClipOnSlip,
  type ClipOnReason,
  type ClipOnUse,
} from './collars/clip-on-slip/size-clip-on-slip.ts';
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
} from './collars/martingale/size-martingale.ts';
export { MARTINGALE_REASON_WORDS, type MartingaleReason } from './collars/martingale/martingale-reasons.ts';
export { mostCentralSize, sizeStrap, STRAP_FINGERS, STRAP_KINDS, STRAP_VERDICTS, type StrapKind, type StrapVerdict } from './collars/strap/size-strap.ts';
export { STRAP_REASON_WORDS, type StrapReason } from './collars/strap/strap-reasons.ts';
export { chartSize } from './collars/head-collar/chart-size.ts';
export { HEAD_COLLAR_VERDICTS, sizeHeadCollar, type HeadCollarFace, type HeadCollarVerdict } from './collars/head-collar/size-head-collar.ts';
export { HEAD_COLLAR_REASON_WORDS, type HeadCollarReason } from './collars/head-collar/head-collar-reasons.ts';
export { CONTACT_REASON_WORDS, CONTACT_VERDICTS, contactPosts, type ContactReason, type ContactVerdict } from './collars/electronic/contact-posts.ts';

export { balances, linksAt, movesToMakeUp, overdrawn, type LinkAccount, type LinkCountAt, type LinkMoved } from './locker/link-ledger.ts';
export { girthsThroughCoat, USUAL_FINGER, type FittingDog } from './fit/fitting-dog.ts';
export { factor, gap, girth, holdRow, share, speakLimit, speakQuantity, worstTone, type FitRow, type FitTone, type Quantity } from './fit/fit-row.ts';
export { fitStock, type HeadCollarSize, type House, type Judged, type Setting, type Sizer, type StockFit } from './fit/sizer.ts';
export {
  DEFAULT_HOUSE_SCHOOLS,
  HOUSE_SCHOOL_NAMES,
  HOUSE_SCHOOL_OPTIONS,
  HOUSE_SCHOOL_WORDS,
  houseSchools,
  type HouseSchoolName,
  type HouseSchools,
} from './rules/house-schools.ts';

export {
  checkBySpec,
  specReasonWords,
  type CheckAnswers,
  type CheckContext,
  type CheckFault,
  type CheckSpec,
  type SpecReason,
  type SpecResult,
} from './check/check-spec.ts';
export { slackOfFingersUnder } from './check/fingers-under.ts';

export { chooseByGeometry, GEOMETRY_WORDS, STRONG_DOG_KG, type GeometryDecision } from './choose/choose-by-geometry.ts';
export { bedLength, kitFor, pieceWillDo, type KitPiece } from './kit/kit.ts';
export { HAZARD_WORDS, HAZARDS, RESTRICTED_HAZARDS, SCREENED_HAZARDS, type Hazard } from './screen/hazards.ts';
export {
  levelOf,
  SCREEN_ITEM_IDS,
  SCREEN_ITEMS,
  SCREEN_LEVEL_WORDS,
  SCREEN_LEVELS,
  type HouseScreen,
  type ScreenItem,
  type ScreenItemId,
  type ScreenLevel,
} from './screen/screen-items.ts';
export { answersOfRecord, screenCollar, type ScreenAnswer, type ScreenFinding, type Screening, type ScreenResult } from './screen/screen-collar.ts';
export { lawOf, type LawResult, type LawWord, type Place } from './screen/local-law.ts';

export { slipSizer, type SlipNumbers, type SlipOptions } from './collars/slip/fit-slip.ts';
export { loopLetter, SLIP_MATERIALS, slipStrength, slipWidthMm, type SlipMaterial } from './collars/slip/slip-strength.ts';
export { SLIP_CHECK, SLIP_PUT_ON } from './collars/slip/check-slip.ts';
export { clipOnSlipSizer, type ClipOnNumbers, type ClipOnOptions } from './collars/clip-on-slip/fit-clip-on-slip.ts';
export { CLIP_ON_CHECK, CLIP_ON_PUT_ON } from './collars/clip-on-slip/check-clip-on-slip.ts';
export { houseStrap, martingaleSizer, martingaleWidth, type MartingaleNumbers, type MartingaleOptions } from './collars/martingale/fit-martingale.ts';
export { MARTINGALE_CHECK, MARTINGALE_PUT_ON } from './collars/martingale/check-martingale.ts';
export {
  BUCKLES,
  holesAround,
  strapSizer,
  usualFingers,
  type BetweenHoles,
  type Buckle,
  type StrapNumbers,
  type StrapOptions,
} from './collars/strap/fit-strap.ts';
export { STRAP_PUT_ON, strapCheck } from './collars/strap/check-strap.ts';
export { headCollarSizer, type HeadCollarNumbers, type HeadCollarOptions } from './collars/head-collar/fit-head-collar.ts';
export { HEAD_COLLAR_CHECK, HEAD_COLLAR_PUT_ON } from './collars/head-collar/check-head-collar.ts';
export {
  ELECTRONIC_REASON_WORDS,
  electronicSizer,
  RECEIVER_STRAP_MM,
  RECEIVER_WIDTH_MM,
  STIMULATION_MODES,
  type ElectronicNumbers,
  type ElectronicOptions,
  type ElectronicReason,
  type StimulationMode,
} from './collars/electronic/fit-electronic.ts';
export { electronicCheck, FENCE_PUT_ON, REMOTE_PUT_ON } from './collars/electronic/check-electronic.ts';
export { clearOfWindpipe, hoursApart, PLACEMENT_SCHOOLS, placeInSchool, type PlacementSchool } from './neck/contact-place.ts';

export { acrossAtClock, angleAtClock, pointAtClock } from './neck/clock.ts';
export { girthAt, girthProfile, type NeckLevel, type NeckTape } from './neck/girth-profile.ts';
export { placeOnNeck, spansOnNeck, unrollNeck, type NeckPoint, type OutlineEdge, type UnrolledNeck } from './neck/unrolled-neck.ts';
export { scaleBar } from './neck/scale-bar.ts';

export { CONTACT_PLACES, distinctPlaces, hoursWorn, rotateContacts, type Rotation } from './contacts/rotation.ts';
export type { ContactWear, PlaceBar, RotationCase, RotationFound, RotationPlace } from './contacts/rotation-case.ts';
export { clockWords, ROTATION_REASON_WORDS, type RotationReason } from './contacts/rotation-reasons.ts';
export { latestLooks, placesOverlap, SKIN_GRADE_WORDS, SKIN_GRADES, skinFlags, type SkinFlag, type SkinGrade, type SkinLook } from './contacts/skin-flags.ts';
export { skinWarmth, WARMTH_STEPS } from './contacts/skin-warmth.ts';
export { DOG as DOG_JOINT, HAND as HAND_JOINT, rigRoutes, type RigPart, type RigRoutes } from './rig/rig-graph.ts';
export {
  collarParts,
  LEASH_JOINT,
  RIG_COLLARS,
  RIG_JOINT_NAMES,
  RIG_JOINTS,
  RIG_PART_KIND_NAMES,
  RIG_PART_KINDS,
  rigPart,
  type FittedRigPart,
  type RigCollar,
  type RigJoint,
  type RigPartKindName,
} from './rig/rig-parts.ts';
export { freshId, RIG_TEMPLATES, rigOfTemplate, rigProposals, templatesFor, type RigProposal, type RigTemplate } from './rig/rig-templates.ts';
export { judgeRig, RIG_REASON_WORDS, rigReasonTone, routeReasons, type RigOnDog, type RigReason } from './rig/rig-rules.ts';
export { RING_TRAVEL_MM, ringAndSide, type RingAndSide } from './rig/ring-and-side.ts';
export {
  leaveOff,
  rightOrder,
  STACK_LAYERS,
  STACK_REASON_TONES,
  STACK_REASON_WORDS,
  stackHeight,
  stackOnNeck,
  type StackedItem,
  type StackItem,
  type StackLayer,
  type StackReason,
} from './stack/stack.ts';
export { wearsOf, type Span, type Wear, type WearEvent, type WearOddity } from './wear/wear-ledger.ts';
export { askWhetherOff, WEAR_MARK_TONES, WEAR_MARK_WORDS, wearMarks, type WearContext, type WearMark } from './wear/wear-marks.ts';
export { WEAR_STATE_WORDS, WEAR_STATES, WORN_AS, type WearState, type WornAs } from './wear/wear-states.ts';
export { DEVICE_EVENT_NAMES, type DeviceEvent } from './device/device-event.ts';
export { deviceAt, deviceLater, DRAIN_PERCENT_PER_HOUR, UNKNOWN_DEVICE, type DeviceState } from './device/device-state.ts';
export {
  contactQuality,
  LOCK_OUT_SECONDS,
  LONG_PRESS_SECONDS,
  STAND_IN_COMMANDS,
  STAND_IN_REFUSALS,
  standIn,
  type ContactQuality,
  type StandInCommand,
  type StandInProfile,
  type StandInRefusal,
} from './device/stand-in.ts';
export { morningRoutine, ROUTINE_STEPS, type RoutineStep, type RoutineStepId } from './device/morning-routine.ts';
export { SORE_STEPS, SORE_WORDS, soreStep, type SoreCase, type SoreStep } from './skin/rub-or-metal.ts';
export { DOOR_LINES, DOOR_NAMES, doorCheck, type DoorFacts, type DoorLine, type DoorLineName, type DoorVerdict } from './door/door-check.ts';
export { chanceOfNoticing, fitLogistic, levelAtChance, trialsShape, type LogisticCurve, type Trial, type TrialsShape } from './levels/logistic-threshold.ts';
export { findThreshold, THRESHOLD_REASON_WORDS, type Threshold, type ThresholdReason } from './levels/threshold.ts';
export { levelWords } from './levels/level-words.ts';
export { DRIFT_REASON_WORDS, driftCharts, driftReasons, type DriftAlarm, type DriftCase, type DriftCharts, type DriftReason } from './levels/drift.ts';
export {
  ENOUGH_REVERSALS,
  STAIRCASE_RULE_WORDS,
  STAIRCASE_RULES,
  staircase,
  type LevelScale,
  type StaircaseRule,
  type StaircaseState,
} from './levels/staircase.ts';
export { trialsWanted, type TrialsWanted } from './levels/trials-wanted.ts';
export { mutualInformation, type Counts, type MutualInformation } from './tell-tale/mutual-information.ts';
export { TELL_TALE_REASON_WORDS, tellTaleReasons, type TellTaleReason } from './tell-tale/tell-tale-reasons.ts';
export {
  DIRECTION_WORDS,
  DIRECTIONS,
  MORE_CAUSES,
  noticedBy,
  RESPONSE_WORDS,
  RESPONSES,
  SESSION_PURPOSES,
  WORK_SETTINGS,
  type Direction,
  type DogResponse,
  type FieldEvent,
  type FieldEventName,
  type MoreCause,
  type SessionPurpose,
} from './field-log/field-event.ts';
export { askWhetherEnded, joinedSessions, overlapping, sessionStory, standingEvents, type SessionPress, type SessionStory } from './field-log/session-story.ts';
export { correctionsPerTenMinutes, rewardsPerCorrection, sessionTally, tensionShare, type SessionTally } from './field-log/session-tally.ts';
export { MORE_STEPS, PRESS_GUARD_TONES, PRESS_GUARD_WORDS, pressGuards, type PressFacts, type PressGuard } from './field-log/press-guards.ts';
export { ceilingOf, ladderRung, WORKING_LEVEL_REASON_WORDS, type FindingTrial, type LadderRung, type WorkingLevelReason } from './levels/level-ladder.ts';
export { NEEDED_REASON_WORDS, neededDrift, type NeededAlarm, type NeededDrift, type NeededLevel, type NeededReason } from './levels/needed-drift.ts';
export {
  judgeStage,
  STAGE_REASON_WORDS,
  type ProgrammeStage,
  type StageJudgement,
  type StageReason,
  type StageResult,
  type StageVerdict,
} from './programme/stage.ts';
export { PROGRAMME_TEMPLATES, programmesFor, type ProgrammeKind, type ProgrammeTemplate } from './programme/programme-templates.ts';
export {
  GRID_MINUTES,
  moveSession,
  NO_ROOM_WORDS,
  placeSessions,
  sessionClash,
  slotOn,
  somebodyThere,
  type DaySpan,
  type NoRoom,
  type NoRoomReason,
  type PlacedSession,
  type ScheduleCase,
  type ScheduleDay,
  type ScheduleHand,
  type SessionClash,
  type SessionWish,
} from './programme/schedule.ts';
export { timeOfDay } from './units/time-of-day.ts';
export { heldSessions } from './programme/held-sessions.ts';
export { isHardFault, SESSION_FAULT_WORDS, sessionFaults, type SessionFault } from './programme/session-faults.ts';
export { hoursOn, USUAL_HOURS, type Away, type Week, type WorkHours } from './programme/work-hours.ts';
export { putOnCounts, wornOccasions, type AwakeSpan, type WornOccasion, type WornSpan } from './tell-tale/tell-tale-happened.ts';
export { tellTaleTimes, type TellTaleTime } from './tell-tale/tell-tale-times.ts';
export { combinations, tellTaleAdvice, tellTaleCounts, tellTalePlan, type TellTaleSlot } from './tell-tale/tell-tale-plan.ts';
export {
  DRILL_COLLARS,
  DRILL_PACES,
  drillScenes,
  HAPPENING_WORDS,
  HAPPENINGS,
  neverDirection,
  rightDirections,
  type DrillCollar,
  type DrillPace,
  type DrillScene,
  type Happening,
} from './handling/drill-scene.ts';
export { drillDog, sceneEnds, type DrillDog } from './handling/drill-dog.ts';
export {
  drillScore,
  drillWords,
  judgeScene,
  SCENE_REASON_WORDS,
  WORK_ON_WORDS,
  yieldsAt,
  type DrillAnswer,
  type DrillScore,
  type Pressure,
  type SceneJudgement,
  type SceneReason,
} from './handling/judge-drill.ts';
export { gompertzAge, gompertzKg, type GompertzCurve } from './growth/gompertz.ts';
export { classCurve, SIZE_CLASSES, sizeClassOf, type SizeClass } from './growth/growth-prior.ts';
export { FEWEST_AGES, fitByPrior, fitByWeighings, fitGrowth, grownAt, type GrowthFit, type WeighIn } from './growth/fit-growth.ts';
export { oddWeighings, type OddWeighing } from './growth/odd-weighings.ts';
export { GROWTH_REASON_WORDS, growthReasons, type GrowthReason } from './growth/growth-reasons.ts';
export { girthFactor, type AgedGirth } from './growth/grown-girth.ts';
export { collarLoad, LOAD_KINDS, STRAP_FRICTION, tipAreaMm2, type CollarLoad, type LoadCase, type LoadKind } from './load/collar-load.ts';
export { LOAD_REASON_WORDS, loadReasons, type LoadReason } from './load/load-reasons.ts';
export {
  INSPECTION_GROUPS,
  INSPECTION_ITEMS,
  INSPECTION_OUTCOMES,
  STORING,
  type InspectionGroup,
  type InspectionItem,
  type InspectionOutcome,
  type InspectionPicture,
} from './upkeep/inspection-items.ts';
export { GROWING_LOOK_DAYS, IF_IT_BREAKS, inspect, inspectionDue, type Inspected, type InspectionAnswers, type InspectionDue } from './upkeep/inspect.ts';
export {
  kitUpCost,
  solveKitUp,
  type KitBuy,
  type KitCase,
  type KitDog,
  type KitGiven,
  type KitOption,
  type KitUp,
  type Solved,
} from './kit-up/kit-up-model.ts';
