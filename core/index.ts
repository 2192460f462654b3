/** The trade, computed: everything that the contract, the server and the screens may use of the core. */
export { CORE_VERSION } from './version.ts';

export * from './units/index.ts';

export { unknownReason, wordReason, type Reason, type ReasonWords } from './reasons/reason.ts';
export * from './rules/index.ts';

export * from './measure/index.ts';
export {
  BREEDS,
  breedOf,
  guessedWeightKg,
  unusualWeight,
  type BackOutClass,
  type Breed,
  type CoatClass,
  type EarSet,
  type Skull,
} from './breeds/breed-guide.ts';

export * from './check/index.ts';

export { balances, linksAt, movesToMakeUp, overdrawn, type LinkAccount, type LinkCountAt, type LinkMoved } from './locker/link-ledger.ts';
export { byHandsIn, inCollar } from './fit/neck-in-collar.ts';
export { girthsThroughCoat, USUAL_FINGER, type ByHands, type FittingDog } from './fit/fitting-dog.ts';
export {
  factor,
  gap,
  girth,
  holdRow,
  ruleWords,
  share,
  speakLimit,
  speakQuantity,
  worstTone,
  type FitRow,
  type FitTone,
  type Quantity,
} from './fit/fit-row.ts';
export { fitStock, type HeadCollarSize, type House, type Judged, type Setting, type Sizer, type StockFit } from './fit/sizer.ts';

export { adviceRank, type Advice, type AdviceAsked } from './choose/advice.ts';
export { ACQUAINTANCES, isReactive, MANNER_WORDS, MANNERS, NOTHING_NOTED, type Acquaintance, type DogManner, type Manner } from './choose/dog-manner.ts';
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
export { risksOfBreed } from './screen/risks-of-breed.ts';
export { lawOf, type LawResult, type LawWord, type Place } from './screen/local-law.ts';

export { clearOfWindpipe, hoursApart, PLACEMENT_SCHOOLS, placeInSchool, placesOverlap, type PlacementSchool } from './neck/contact-place.ts';

export { acrossAtClock, angleAtClock, pointAtClock } from './neck/clock.ts';
export { spelled } from './units/spelling.ts';
export { girthAt, girthProfile, type NeckLevel, type NeckTape } from './neck/girth-profile.ts';
export { placeOnNeck, spansOnNeck, unrollNeck, type NeckPoint, type OutlineEdge, type UnrolledNeck } from './neck/unrolled-neck.ts';
export { scaleBar } from './neck/scale-bar.ts';

export { CONTACT_PLACES, distinctPlaces, hoursWorn, rotateContacts, type Rotation } from './contacts/rotation.ts';
export type { ContactWear, PlaceBar, RotationCase, RotationFound, RotationPlace } from './contacts/rotation-case.ts';
export { clockWords, ROTATION_REASON_WORDS, type RotationReason } from './contacts/rotation-reasons.ts';
export { skinWarmth, WARMTH_STEPS } from './contacts/skin-warmth.ts';
export * from './rig/index.ts';
export {
  leaveOff,
  rightOrder,
  STACK_LAYERS,
  STACK_REASON_TONES,
  isWrongOrder,
  lengthDecides,
  STACK_REASON_WORDS,
  stackHeight,
  stackOnNeck,
  type StackedItem,
  type StackItem,
  type StackLayer,
  type StackReason,
} from './stack/stack.ts';
export { askWhetherOff, WEAR_MARK_TONES, WEAR_MARK_WORDS, wearMarks, type WearContext, type WearMark } from './wear/wear-marks.ts';
export { askOffAfterHours, mayBeOn, type WearRule, type WornWhere } from './wear/wear-rule.ts';
export { WEAR_STATE_WORDS, WEAR_STATES, type WearState } from './wear/wear-states.ts';
export { DEVICE_EVENT_NAMES, type DeviceEvent } from './device/device-event.ts';
export { deviceAt, deviceLater, DRAIN_PERCENT_PER_HOUR, lowBatteryFrom, UNKNOWN_DEVICE, type DeviceState } from './device/device-state.ts';
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
export * from './levels/index.ts';
export * from './ask/index.ts';
export * from './standing/index.ts';
export { mutualInformation, type Counts, type MutualInformation } from './tell-tale/mutual-information.ts';
export { TELL_TALE_REASON_WORDS, tellTaleReasons, type TellTaleReason } from './tell-tale/tell-tale-reasons.ts';
export * from './field-log/index.ts';
export * from './programme/index.ts';
export { putOnCounts, wornOccasions, type AwakeSpan, type WornOccasion, type WornSpan } from './tell-tale/tell-tale-happened.ts';
export { tellTaleTimes, type TellTaleTime } from './tell-tale/tell-tale-times.ts';
export { combinations, tellTaleAdvice, tellTaleCounts, tellTalePlan, type TellTaleSlot } from './tell-tale/tell-tale-plan.ts';
export { DRILL_PACES, drillScenes, HAPPENING_WORDS, HAPPENINGS, type DrillPace, type DrillScene, type Happening } from './handling/drill-scene.ts';
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
export { girthAtWeight, girthFactor, weightAtGirth, type AgedGirth } from './growth/grown-girth.ts';
export { collarLoad, LOAD_KINDS, STRAP_FRICTION, tipAreaMm2, type CollarLoad, type LoadCase, type LoadKind } from './load/collar-load.ts';
export { LOAD_REASON_WORDS, loadReasons, type LoadReason } from './load/load-reasons.ts';
export * from './upkeep/index.ts';
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
export type { CollarTraits } from './collars/collar-traits.ts';
export { BACK_AND_IN, type CorrectionWays } from './handling/correction-ways.ts';
export { BUCKLE_OPENS, CATCH_BY_LEASH, rubsWords, type OwnerWords } from './owner/owner-words.ts';
