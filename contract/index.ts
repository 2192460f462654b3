/** What server and web share: requests, answers, records and problems. */
export { z } from './plain-words.ts';
export { fieldErrors, Problem, PROBLEMS, type FieldError, type ProblemCode } from './problem.ts';
export { RuleOverrides } from './rules.ts';
export { CALCULATIONS, calculationOf, type CalculationName } from './calc/calculations.ts';
export { computeFits, FitDog, FitsAnswer, FitsRequest, fittingDogOf, MOST_DOGS, MOST_PAIRS } from './calc/fits.ts';
export {
  CAME_ALONG_ID,
  DEVICE_COOKIE,
  DeviceLook,
  DRAWN_BY,
  FIRST_PICTURE_ID,
  themeOf,
  type FirstPictureAsked,
  type FirstPictureDrawn,
} from './first-picture.ts';
export { asksAt, sentAheadAt, SentAheadFile, type SentAhead } from './sent-ahead.ts';
export { ENDPOINTS } from './endpoints/endpoints.ts';
export type { Endpoint } from './endpoints/endpoint.ts';

export {
  COLLAR_KINDS,
  COLLAR_KIND_NAMES,
  collarKind,
  CORRECTION_WAYS,
  correctionWays,
  deviceOf,
  isDevice,
  linksOf,
  RIG_CATALOGUE,
  type AnyCollarKind,
  type CollarKindName,
} from './collars/collar-kinds.ts';
export {
  PURPOSES,
  type CheckOutcome,
  type CollarKind,
  type EarlierCheck,
  type FittedStock,
  type FittingDog,
  type Knob,
  type Missing,
  type NumberField,
  type PlanOutcome,
  type Purpose,
  type StockedCollar,
  type Suggestion,
} from './collars/collar-kind.ts';
export {
  decidingRow,
  fitAll,
  fitKind,
  type AgainstCollar,
  benchStock,
  isHere,
  isProposed,
  isSound,
  isWorn,
  stockForEach,
  schoolsSay,
  stockByKind,
  suggestFor,
  wornByKind,
  type WornByKind,
  type BenchCollar,
  type KindFit,
  type SchoolSays,
  type StockByKind,
} from './collars/fit-all.ts';
export type { SettableChoices, SettableOutcome } from './collars/settable-kind.ts';
export { MartingaleNumbersShape } from './collars/martingale/martingale-kind.ts';
export { ElectronicNumbersShape } from './collars/electronic/electronic-kind.ts';
export { HeadCollarNumbersShape } from './collars/head-collar/head-collar-kind.ts';
export { SlipNumbersShape } from './collars/slip/slip-kind.ts';
export { StrapNumbersShape } from './collars/strap/strap-kind.ts';
export {
  asProngCollar,
  ProngAnswers,
  ProngChoices,
  prongKind,
  VERDICT_WORDS,
  PRONG_TONES,
  type ProngCheckOutcome,
  type ProngPlanOutcome,
} from './collars/prong/prong-kind.ts';
export { ProngNumbers } from './collars/prong/prong-numbers.ts';

export { asCsvText, fromCsvText } from './csv-text.ts';
export { Instant, RecordId, SettingId } from './records/common.ts';
export {
  Doorstep,
  HeldKey,
  Me,
  MeasuredFinger,
  PeoplePage,
  PersonFacts,
  PersonStanding,
  SignIn,
  SignUp,
  EndSessions,
  MySession,
  MySessionsPage,
  NewPassword,
} from './records/account.ts';
export { FIRST_SETTINGS } from './records/first-settings.ts';
export { USUAL_HEAD_COLLAR_CHART } from './collars/head-collar/head-collar-chart.ts';
export { houseOf, Kennel, KennelSettings } from './records/kennel.ts';
export { Lift, NewLift, NewScreening, Screening, screeningOf, screenKind } from './records/screening.ts';
export { lawAt, Place, PlaceFacts, placeOf } from './records/place.ts';
export { GEAR, Gear, GearFacts, gearFactsOf, Want, WantFacts, type GearName } from './records/gear.ts';
export { LinkBalance, LinkMove, MOVE_REASONS, NewLinkMove } from './records/link-move.ts';
export { birthDateFault, Dog, DogFacts, WHERE, type Where } from './records/dog.ts';
export { broughtUp } from './records/brought-up.ts';
export type { RecordStep } from './records/record-step.ts';
export { takenCheck } from './records/taken-check.ts';
export { latestGirths, takenTaping, NewTaping, tapeRequest, Taping } from './records/taping.ts';
export { GEAR_INSPECTIONS, Inspection, inspectionFaults, inspectionOf, NewInspection } from './records/inspection.ts';
export { UPKEEP_LISTS, UpkeepAsked, UpkeepPage, type UpkeepList } from './records/upkeep-page.ts';
export {
  collarPiece,
  DUE_BY_TIME_RANK,
  gearPiece,
  pieceDue,
  pieceInspection,
  pieceLinkGaugeMm,
  pieceOrder,
  pieceWord,
  SCRAPPED_RANK,
  UpkeepPiece,
  type PieceAlone,
} from './upkeep/pieces.ts';
export {
  TODAY_CODES,
  TODAY_PART_NAMES,
  TodayItem,
  TodayItems,
  TodayItemsAsked,
  TodayChange,
  todayChange,
  todayChanged,
  todayPart,
  TodayPage,
  type TodayCode,
  type TodayPart,
} from './records/today-page.ts';
export { Cursor } from './records/list-page.ts';
export { DOG_LISTS, DogLine, dogLine, DogLines, DogsAsked, type DogList } from './records/dog-line.ts';
export type { DogDueFacts, TodayFacts, TodayFound } from './today/today-facts.ts';
export { dogDues, dogDuesUntil } from './today/kept-up-due.ts';
export { missedTogether, MISSED_NAMED, MISSED_SHOWN } from './today/sessions-due.ts';
export { inTodayOrder, todayItem, todayItems, todayPlace } from './today/today-items.ts';
export { contactsOfFit, type ContactsOfFit } from './neck/contact-places.ts';
export { wearDues, wearingAt, wornThen, type BatteryThen, type WornThen } from './standing/wear-day.ts';
export { ClassPage } from './kit-up/class-page.ts';
export { classCase, pickList, type ClassCase, type ClassDog, type ClassMissing, type PickLine } from './kit-up/kit-up-case.ts';
export { atLeast, needsRoleWords, Role, ROLE_WORDS, ROLES } from './people/roles.ts';
export { neededRole, notInTheDemo } from './people/needed-role.ts';
export { ADDRESSED_KINDS, referencesOf } from './records/addressed-kinds.ts';
export { RECORD_KINDS, type RecordKindName } from './records/registry.ts';
export { DEED_KINDS, DEED_WORDS, deedWords, type DeedKind } from './people/deed-words.ts';
export { ACTS, Deed, DeedsAsked, DeedsPage } from './records/deed.ts';
export { Invitation, InvitationAsked, Invite, INVITE_DAYS, InviteFacts, InvitesPage, Join } from './records/invite.ts';
export { CalendarFeed, CalendarFeedFacts, CalendarFeedsPage } from './records/calendar-feed.ts';
export { feedEntries, type FeedEntry, type FeedFacts } from './calendar-feed/feed-entries.ts';
export { NewWeighing, standingWeighings, Weighing } from './records/weighing.ts';
export { dogGrowth, type DogGrowth, type GrowthTold } from './growth/dog-growth.ts';
export { grownDog, outgrows, outgrowthTitle, whenWeighs, type Outgrowth, type When } from './growth/outgrows.ts';
export { Collar, CollarFacts, METALS } from './records/collar.ts';
export { fittingDog, NewPlan, Plan, PlanInputs } from './records/plan.ts';
export { currentFits, Ending, fitsSetAside, NewEnding, type CurrentFit } from './records/ending.ts';
export { FitCheck, NewFitCheck } from './records/fit-check.ts';
export { nextStep, wornFitLine, type NextStep, type NextStepToday } from './records/next-step.ts';
export {
  CollarsPage,
  DogCard,
  DogCards,
  DogCardsAsked,
  DogPage,
  KennelBench,
  GrowthPage,
  LOCKER_SHELVES,
  LockerAsked,
  LockerPage,
  NeckPage,
  PlacesPage,
  ProgrammesPage,
  UnreadableRecord,
  WearingNow,
  WearingPage,
} from './records/pages.ts';
export { FindAsked, Found } from './records/found.ts';
export { DogRecord, DogRecordAsked, RECORD_PARTS, type RecordPart } from './records/dog-record.ts';
export { Dressing, DressingFacts, RigPartShape, STACK_EXTRAS, StackEntry } from './records/dressing.ts';
export {
  broughtUpHappening,
  DEVICE_HAPPENINGS,
  fieldEventOf,
  Happening,
  HAPPENING_NAMES,
  HAPPENING_SOURCES,
  isOfSession,
  NewHappening,
  OPEN_HAPPENINGS,
  SESSION_HAPPENINGS,
  WEAR_AND_DEVICE_HAPPENINGS,
  WEAR_HAPPENINGS,
  whatHappened,
  type HappeningName,
  type HappeningSource,
  type SessionHappening,
} from './happenings/happening.ts';
export { CLOCK_OFF_MS, ClockOff, HappeningBatch, HappeningBatchSent, HappeningResult, HappeningsKept, LinesKept, MOST_HAPPENINGS } from './happenings/batch.ts';
export { happeningColumns, toldInColumns, type HappeningColumns } from './happenings/columns.ts';
export { fromEarlierPart, isEarlierPart, oneHappening } from './kennel-file/earlier-parts.ts';
export { NewSkinLook, Photo, PHOTO_EDGE_PX, SKIN_UNDER, SkinLook } from './records/skin-look.ts';
export { Bridge, BridgeFacts, BridgesPage } from './records/bridge.ts';
export { FieldSession, FieldSessionPage, LevelCap, SessionAsked, NewLevelCap } from './records/field-log.ts';
export { FieldAsked, FieldDevice, FieldDog, FieldDogsFound, FieldPage } from './records/field-page.ts';
export { pressFacts, usualHere, type UsualLevel } from './field/press-facts.ts';
export { deviceStanding, type DeviceStanding } from './levels/device-standing.ts';
export { dogLevels, settingsOf, type DeviceLevels, type LevelRecordsOfDog, type SettingLevels } from './levels/dog-levels.ts';
export {
  isUnderWay,
  MOST_IN_ROW,
  NewStageMove,
  NewStageResult,
  Programme,
  PROGRAMME_STATES,
  ProgrammeFacts,
  StageMove,
  StageResult,
  StageShape,
  TellTaleShape,
  UNDER_WAY,
  type TellTaleTime,
} from './records/programme.ts';
export { CalendarChange, CalendarChanged, Hours, HoursFacts, PLANNED_STATES, PlannedSession, PlannedSessionFacts } from './records/calendar.ts';
export { KennelTemplate, KennelTemplateFacts, TemplatesPage } from './records/kennel-template.ts';
export { Drill, DrillsPage, NewDrill } from './records/drill.ts';
export { CALENDAR_OFFERS, CalendarAsked, CalendarPage, HANDS_AT_ONCE, type CalendarProgramme } from './records/calendar-page.ts';
export {
  calendarCase,
  isDealt,
  placedSession,
  plannedFacts,
  scheduleDays,
  stagesPlanned,
  stageWish,
  wishIdOf,
  type CalendarCase,
  type StagePlanned,
} from './programme/kennel-calendar.ts';
export { dealTellTale, type DealtPlan } from './programme/deal-tell-tale.ts';
export { tellTaleStory, type TellTaleStory } from './programme/tell-tale-story.ts';
export { programmeStanding, stageAt, type ProgrammeStanding } from './standing/programme-standing.ts';
export { skinLooksOf } from './standing/skin.ts';
export { laidOver, type Made, type MadePath } from './standing/laid-over.ts';
export { wornHere, type NamedWear } from './standing/worn-here.ts';
export { levelRoseTitle } from './levels/level-rose.ts';
export { answersDue, type OnItsWay } from './today/on-its-way.ts';
export { skinTold, type SkinUnder, type ToldSkin } from './standing/told-skin.ts';
export { LevelsPage, OnePress, PressBin, PressesAsked, PressesPage } from './records/levels-page.ts';
export { dressedDog, fitName, stackItems, type DressedDog } from './neck/dressed-dog.ts';
export type { Dressed, DressedContacts, DressedItem } from './neck/dressed.ts';
export { dressedWears, footprintOf, hasContacts, type DressedWear } from './neck/dressed-wears.ts';
export { dayOf, dayStart, dayStartOf, timeOn, momentOn, nightSpans } from './neck/kennel-days.ts';
export { wearAndDeviceEvents } from './happenings/wear-and-device.ts';
export { drawnCollar, drawnFits, drawnItems, ringAtFor, type DrawnCollar, type PlainBand, type SectionProps } from './neck/drawn-collar.ts';
export { neckTapeOf } from './neck/neck-tape.ts';
export { pieceOf, piecesFor, rigPieces, rigWithPieces } from './neck/rig-gear.ts';
export {
  Handover,
  HandoverSheet,
  HandoversPage,
  NewHandover,
  OWNER_LINK_DAYS,
  OWNER_SAYS,
  OWNER_VISITS,
  OwnerAsked,
  OwnerLink,
  OwnerLinkFacts,
  OwnerPage,
  OwnerSays,
  OwnerTick,
  type OwnerSaying,
  OwnerVisit,
  type PaperDrawings,
  type SheetLine,
} from './records/handover.ts';
export { OWNER_SAYS_WORDS, WHERE_WORDS } from './handover/owner-words.ts';
export { whereOften, whereWords } from './handover/owner-lines.ts';
export { handoverMissing, handoverSheet } from './handover/handover-sheet.ts';
export { handoverChanges, type HandoverChange } from './handover/handover-changes.ts';
export {
  CSV_TABLES,
  FileKennel,
  ImportAsked,
  KeepImport,
  type CsvTable,
  KENNEL_FILE_FORMAT,
  KENNEL_FILE_VERSION,
  READABLE_KENNEL_FILES,
  KennelFile,
  kennelFileSchema,
  KennelImport,
} from './kennel-file/kennel-file.ts';
export { fitCheckFault, planFault } from './kennel-file/part-faults.ts';
export { KENNEL_PART_NAMES, kennelPart, type KennelPart, type KennelPartName, type KennelRefs } from './kennel-file/kennel-parts.ts';
export { isGrowing } from './growth/is-growing.ts';
export { MadeUp, madeUpElsewhere, madeUpWords, SetFor } from './standing/made-up.ts';
export { readAgain, tapeAsked, type ReadAgain, type TapeAsk } from './ask/tape-asked.ts';
export { asSureAsItIs, fitSureness, sureNeck, type AskedMeasure, type FitSureness, type Settling, type SureNeck } from './ask/fit-sureness.ts';
export { byHandsOn, byHandsReason, isGoodByHands, neckFelt, NeckFelt, standingOfFit, type CheckedThen } from './standing/neck-felt.ts';
export { linksShort } from './upkeep/links-short.ts';
