/** The public surface of the core, by topic: only what something outside uses. Everything here is pure: time and randomness are passed in. */

// The nouns of the work
export { sayCondition } from './words/sayCondition.ts';
export {
  ALTERATION_GROUPS,
  BODY_TYPES,
  JOINT_KINDS,
  SOURCE_CERTAINTIES,
  type AlterationGroup,
  type BodyType,
  type Casting,
  type CastingPart,
  type Feature,
  type FeatureState,
  type History,
  type Joint,
  type JointKind,
  type JointTool,
  type JointWay,
  type Maker,
  type Source,
  type SourceCertainty,
  type MeasuredSize,
  SIZE_UNITS,
  type SizeUnit,
  type StateColour,
  type ToyRange,
  type Variant,
  type VariantState,
  type Versioned,
  LISTED_SHARES,
  type ListedShare,
} from './model/catalogue.ts';
export { PART_ROLES, type PartRole } from './model/partRole.ts';
export {
  PART_SHAPES,
  PART_SIZES,
  ROLE_OF_SHAPE,
  shapeOfRole,
  type PartShape,
  type PartSize,
  type PartSizes,
} from './model/partShape.ts';
export { TOUCH_TESTS, type CoatTouch, type TouchTest } from './model/coatTouch.ts';
export { VIEW_KINDS } from './model/drawing.ts';
export type { Anchor, Drawing, DrawingShape, DrawingView, Surface, ViewKind } from './model/drawing.ts';
export { COAT_ACTS, type CoatAct, type DryingSheet, type SheetSpan } from './model/drying.ts';
export { InvalidInputError } from './model/errors.ts';
export { DEFAULT_LOSS_THRESHOLD, type HouseStyle } from './model/house.ts';
export { MATERIALS, type Material } from './model/material.ts';
export type { ControlPoint, Point } from './model/plane.ts';
export { PROCESSES, type Process, type Verdict } from './model/process.ts';
export type { Refusal } from './model/refusal.ts';
export { ROOM_ORIGINS, type RoomLogEntry, type RoomOrigin } from './model/roomLog.ts';
export { SCHOOL_KEYS, isSchoolOption, type SchoolKey, type SchoolOption } from './model/school.ts';
export { STATIONS, STATION_LABELS, type Station } from './model/stations.ts';
export { SUPPLY_KINDS, SUPPLY_NAMES, type Supply, type Use } from './model/supply.ts';
export { QUALITIES, type OrderLine, type Quality, type StockOrder } from './model/order.ts';
export {
  isSettled,
  type LogAct,
  type LoggedWork,
  type Task,
  type TaskLink,
  type TaskLog,
  MEASURED_OF,
  type TaskMeasure,
  type TaskNeeds,
  type TaskState,
} from './model/task.ts';
export type { TaskAct, TaskSubject } from './model/taskActs.ts';
export type { TaskTag } from './model/taskTags.ts';
export {
  FINISHES,
  JOB_SCOPES,
  JOB_TARGETS,
  TIMER_KINDS,
  type BenchSession,
  type Decision,
  type Finish,
  type Job,
  type JobScope,
  type JobTarget,
  type PaintPot,
  type PaintProduct,
  type Restorer,
  type Timer,
  type TimerKind,
} from './model/work.ts';
export {
  CERTAINTIES,
  FINDING_KINDS,
  FINDING_UNITS,
  JOINT_WISHES,
  LAYER_KINDS,
  MATERIAL_CERTAINTIES,
  nameOfArea,
  ORIGINS,
  PART_STATES,
  PHOTO_MEASURES,
  PHOTO_SIDES,
  PHOTO_STAGES,
  SIZE_NAMES,
  WANT_KINDS,
  COAT_OWNERS,
  SETTLED_BY,
  WANT_STATES,
  WAYS_TO_GET,
  WAYS_TO_GET_BITS,
  type WantBit,
  type WayToGetBit,
  type Area,
  type AreaKind,
  type Certainty,
  type CoatingLayer,
  type ComingOff,
  type Finding,
  type FindingKind,
  type FindingUnit,
  JOINT_CONDITIONS,
  type FoundCondition,
  type FoundJoint,
  type JointCondition,
  type JointWish,
  type LayerKind,
  type LayerRejection,
  type LayerStage,
  type MaterialCertainty,
  type Measurement,
  type Observation,
  type Origin,
  type PartState,
  type Photo,
  type PhotoControl,
  type PhotoMeasure,
  type PhotoMeasureKind,
  type PhotoSide,
  type SizeName,
  type Specimen,
  type SpecimenPart,
  type Want,
  type WantKind,
  type CoatHow,
  type CoatOwner,
  type DecalSize,
  type SettledBy,
  type WantState,
  type WayToGet,
  type WishForJoint,
} from './model/workpiece.ts';
export {
  BATH_KINDS,
  INSTRUMENT_KINDS,
  PASS_RESULTS,
  STRIP_METHODS,
  TOOL_KINDS,
  TOOL_STATES,
  VESSEL_MATERIALS,
  type Bath,
  type BathKind,
  type Instrument,
  type InstrumentKind,
  type PassResult,
  type Reading,
  type StripMethod,
  type StripPass,
  type Tool,
  type ToolKind,
  type ToolState,
  type VesselRecord,
} from './model/workshop.ts';

// Numbers and lists
export { groupBy } from './groupBy.ts';
export { drawNormal } from './numeric/drawNormal.ts';
export { runToEnd } from './numeric/runToEnd.ts';
export { createSeededRandom, pickOne, type RandomSource } from './numeric/seededRandom.ts';

// Catalogue in and out
export { TABLE_NAMES, type CatalogueTables } from './catalogue/catalogueTables.ts';
export { planCatalogueImport, type ImportChange, type ImportPlan } from './catalogue/planCatalogueImport.ts';
export { readCatalogueCsv, type CsvProblem, type CsvReading } from './catalogue/readCatalogueCsv.ts';
export { writeCatalogueCsv } from './catalogue/writeCatalogueCsv.ts';

// Which casting and issue
export { alignObservations } from './identify/alignObservations.ts';
export { assembleCatalogue } from './identify/assembleCatalogue.ts';
export { isSameLook } from './identify/mergeFeatures.ts';
export type {
  Answer,
  DatedStatement,
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyMeasure,
  IdentifyState,
} from './identify/catalogue.ts';
export type { StopCheck } from './identify/checkStop.ts';
export { compareSpecimens, type ComparedPart } from './identify/compareSpecimens.ts';
export { compareVariants } from './identify/compareVariants.ts';
export { QUESTIONS, WORTH_A_LOOK_BITS, type NextLook, type Question } from './identify/computeNextLooks.ts';
export { computeToolOrder } from './identify/computeToolOrder.ts';
export { computeYearChances } from './identify/computeYearChances.ts';
export { createIdentifier, type Identifier } from './identify/createIdentifier.ts';
export { createReport, syncAnswersInPlace, type IdentifyReport } from './identify/createReport.ts';
export { describeRegion, describeVerdict, formatPercent } from './identify/describeVerdict.ts';
export type { Foreseen } from './identify/foreseeLooks.ts';
export { DEFAULT_HISTORIES } from './identify/histories.ts';
export { believeUnlisted, countSettled } from './identify/believeUnlisted.ts';
export { sayLossShare } from './identify/computeExpectedLoss.ts';
export type { MeasuredState } from './identify/weighMeasured.ts';
export { answerAll, identifySpecimen, type Identification } from './identify/identifySpecimen.ts';
export { shareLeftStates, type LeftFeature } from './identify/shareLeftStates.ts';
export {
  createPracticeRound,
  findLookPath,
  isVisiblyAltered,
  scorePractice,
  type PracticeGuess,
  type PracticeRound,
} from './identify/practice.ts';
export { selectAnswers, selectGiven, selectStatements, type GivenOfModel } from './identify/selectAnswers.ts';
export { isOfColours, selectColourFeatures } from './identify/selectColourFeatures.ts';
export { selectCastRelief } from './identify/selectCastRelief.ts';

// Facts of a specimen
export { createFoundJointKey } from './facts/listJoints.ts';
export { convertFindingToState } from './facts/convertFindingToState.ts';
export { createSpecimenFacts, type HouseRows, type SpecimenRows } from './facts/createSpecimenFacts.ts';
export { listAreasOf } from './facts/listAreasOf.ts';
export { NOTHING_DONE, isStanding } from './facts/selectPartDone.ts';
export type { Opening, PlanPart, SpecimenFacts } from './facts/specimenFacts.ts';
export { TELLING_ACTS } from './facts/standingWork.ts';
export { isBefore, selectWrittenEarlier } from './facts/clockBack.ts';

// How to open it
export { usualWayOf } from './assembly/usualWays.ts';
export { chooseOpening, comesApart, type ChosenOpening } from './opening/chooseOpening.ts';
export {
  compareAlternatives,
  explainJoint,
  explainJoints,
  type JointReason,
  type OpeningAlternative,
} from './opening/explainOpening.ts';
export { listInHand } from './opening/listInHand.ts';
export { createOpeningQuestion, type OpeningQuestion } from './opening/openingQuestion.ts';

// Stripping, mending, baking
export {
  ROUGH_STATES,
  SMOOTH_GOALS,
  createLadder,
  type RoughState,
  type SmoothGoal,
} from './process/abrasiveLadder.ts';
export { BAKES, BAKE_C, OVEN_QUESTIONS, adviseBake } from './process/adviseBake.ts';
export { estimateStrippedDm2, judgeBath } from './process/bathLife.ts';
export { CAUSTIC, adviseCausticBath, type CausticAdvice } from './process/causticBath.ts';
export {
  checkVessel,
  computeMostLiquor,
  computeVesselLitres,
  refuseLiquor,
  type VesselCheck,
} from './process/checkVessel.ts';
export { topUpBath } from './process/topUpBath.ts';
export { MEND_METHODS, type MendMethod } from './model/mend.ts';
export { MEND_HOW } from './process/chooseMend.ts';
export { selectMends } from './compile/rules/mendingRules.ts';
export type { Mend } from './compile/planTypes.ts';
export { describeFinding } from './words/names.ts';
export type { StripAdvice } from './process/chooseStripping.ts';
export { expectPasses, type StrippedBefore } from './process/expectPasses.ts';
export { HAZARD_DEFERRAL, getHazardCard } from './process/hazardCards.ts';
export { judgePart, type PartVerdict } from './process/judgePart.ts';
export { listMaterials } from './process/listMaterials.ts';
export { planStraightening } from './process/planStraightening.ts';
export { STRIP_METHOD_FACTS, asStripMethod, isBathFor } from './process/stripMethods.ts';

// The plan
export { comesOn } from './calendar/comesOn.ts';
export { isTimeZone } from './calendar/localTime.ts';
export { compilePlan } from './compile/compilePlan.ts';
export { explainChange } from './compile/explainChange.ts';
export { createPlanContext, type PlanContext } from './compile/planContext.ts';
export type { CompiledPlan, PlannedTask } from './compile/planTypes.ts';
export { findDisagreements, reconcilePlan } from './compile/reconcilePlan.ts';
export { chooseAct, type ActAtBench, type StepNow } from './schedule/benchMode/chooseAct.ts';
export { choosePress, type Press } from './schedule/benchMode/choosePress.ts';
export { explainLate, type LateMeaning } from './schedule/benchMode/explainLate.ts';
export { HOUR_KINDS, sumHours, type HourKind, type Hours } from './record/sumHours.ts';
export { sayLate } from './words/sayLate.ts';
export { sayMinutes } from './words/sayMinutes.ts';
export { chooseClock, type TaskClock } from './schedule/chooseClock.ts';
export {
  USUAL_ROOM,
  type EveningsInput,
  type EveningTask,
  type LeftOutBecause,
  type PlannedStart,
} from './schedule/evenings/eveningsInput.ts';
export { compareEvenings, type EveningsDifference, type JobShift } from './schedule/evenings/compareEvenings.ts';
export { planSupposed, type SupposedPlans } from './schedule/evenings/planSupposed.ts';
export { listSupposed, type Supposition } from './schedule/evenings/suppose.ts';
export { findDeciding, type DecidingEvening } from './schedule/evenings/findDeciding.ts';
export { listAirOfClocks } from './schedule/evenings/listAirOfClocks.ts';
export { listEveningTasks, type ArrivalOf } from './schedule/evenings/listEveningTasks.ts';
export { findFirstMinute, moveTask, type MovedTask } from './schedule/evenings/moveTask.ts';
export { listLoads, type EveningLoad, type Load } from './schedule/evenings/listLoads.ts';
export { listRuns, type EveningRun, type RunStep } from './schedule/evenings/listRuns.ts';
export {
  findPlannable,
  planEvenings,
  type EveningsPlan,
  type PlannableWorkshop,
} from './schedule/evenings/planEvenings.ts';
export {
  reportEvenings,
  type DayOutlook,
  type EveningsReport,
  type JobOutlook,
} from './schedule/evenings/reportEvenings.ts';
export {
  explainMoves,
  MOVE_REASONS,
  replanEvenings,
  type MoveReason,
  type PlanMove,
} from './schedule/evenings/replanEvenings.ts';
export { findDayStart } from './calendar/listEvenings.ts';
export { WORK_KINDS, type DayWeather, type SessionException, type WorkKind } from './model/evenings.ts';
export { computeStationState } from './schedule/computeStationState.ts';
export { findNextSession } from './schedule/findNextSession.ts';
export { selectNextOfJob, selectNextTask } from './schedule/selectNextTask.ts';
export { describeFeature, offerFeatures } from './construction/offerFeatures.ts';
export { fillRight, pasteTable, writeAt } from './catalogue/editSheet.ts';
export {
  createIssueColumn,
  planSheet,
  SHEET_FIELDS,
  writeSheet,
  type IssueSheet,
  type SheetField,
  type SheetIssue,
  type SheetPlan,
} from './catalogue/issueSheet.ts';
export { sayYears } from './catalogue/years.ts';
export { createKey } from './construction/createKey.ts';
export { findOverpaint, type CoatedSpecimen } from './identify/findOverpaint.ts';
export { learnRates, type LearnedRates, type SettledCase } from './identify/learnRates.ts';
export { findReasonNotAsked } from './schools/findReasonNotAsked.ts';
export { sayDecision } from './words/sayDecision.ts';
export type { HouseChoice } from './schools/mergeDecisions.ts';
export { SCHOOLS, getSchool, type School } from './schools/schools.ts';
export { USUAL_LINE, USUAL_THINGS, type UsualThings } from './supply/usualThings.ts';
export { planShelfImport, type ShelfImport } from './supply/planShelfImport.ts';
export { writeOrdersCsv } from './stock/ordersCsv.ts';
export { callThing, callThingWhere, callWhere } from './stock/callThing.ts';
export { LABEL_SHEET, layLabels, type Label } from './stock/layLabels.ts';
export { matchDonors, type DonorMatch, type DonorPart, type PartWish } from './stock/matchDonors.ts';
export { toDay, toIsoDay } from './stock/days.ts';
export { expectArrival } from './stock/expectArrival.ts';
export { priceLines } from './stock/priceLines.ts';
export { COST_GROUPS, gatherCost, type CostLine, type JobCost, type ThingLog } from './stock/gatherCost.ts';
export { writeCostCsv } from './stock/costCsv.ts';
export { checkDrawnStays, checkNothingDrawn } from './gates/checkDrawn.ts';
export { beginBits, callWant, isDrawn, listBits } from './model/wantBits.ts';
export { gatherOrders, type GatheredLine, type SupplierOrder } from './stock/gatherOrders.ts';
export { learnDelay, predictDays, type Delay } from './stock/learnDelay.ts';
export { learnQuality, type QualityLearned } from './stock/learnQuality.ts';
export { listLacking, type MarkedThing, type OrderedFrom } from './stock/listLacking.ts';
export type { AxleShare } from './fit/axleShare.ts';
export { planAllAxles, type AxleTask } from './fit/planAllAxles.ts';
export { readLastMeasures } from './fit/readLastMeasures.ts';
export { checkAxle, countAxles, type AxleCheck, type AxleOffer, type AxleQuestion } from './fit/checkAxle.ts';
export type { Thread } from './model/thread.ts';
export type { WideOption } from './fit/overDrilled.ts';
export { BLANK_SHAPES, cutBlank, type BlankMeasure, type BlankShape } from './fit/cutBlank.ts';
export { checkWheels, type WheelCheck } from './fit/checkWheels.ts';
export type { PilotOption, PilotWay } from './fit/pilot.ts';
export { checkPost, type PostCheck } from './fit/checkPost.ts';
export {
  countFor,
  countHeld,
  coverSupplies,
  type Household,
  type HouseholdThing,
  type InHandLine,
} from './supply/coverSupplies.ts';
export { listSupplies, PART_LEAD_DAYS } from './supply/listSupplies.ts';

// What may start, end, be signed
export { checkBenchHours } from './gates/checkBenchHours.ts';
export { checkWeather } from './gates/checkWeather.ts';
export { checkDone, refuseSoaking, type Evidence } from './gates/checkDone.ts';
export { checkPrimingGate } from './gates/checkPrimingGate.ts';
export { checkSignOff } from './gates/checkSignOff.ts';
export { AIRING_MIN, checkLinks, checkRoom, checkStart } from './gates/checkStart.ts';
export { checkTools, findUsable } from './gates/checkTools.ts';
export { listCoatsOf, listCoatsOn, listMissingCoats } from './gates/coatsOfTask.ts';
export { findCoatTask } from './gates/findCoatTask.ts';
export { isGraveStep } from './gates/isGraveStep.ts';
export { needsStopCheck } from './gates/needsStopCheck.ts';
export { selectOpenLinks, type OpenLink } from './gates/openLinks.ts';

// How castings are built
export { CONSTRUCTIONS, type Construction, type PlannedJoint, type PlannedPart } from './construction/constructions.ts';
export { checkBuild, completeBuild, type Build } from './construction/completeBuild.ts';
export {
  addJoint,
  addPart,
  changeJoint,
  changePart,
  joinParts,
  removeJoint,
  removePart,
  splitPart,
  type BuildDraft,
  type NewPart,
} from './construction/editBuild.ts';
export { drawCasting } from './construction/drawCasting.ts';
export { redrawCasting } from './construction/redrawCasting.ts';
export { workOutBehind } from './construction/workOutBehind.ts';

// Paint films
export { answerArea, type AreaAnswer, type FilmSpans, type StandingCoat } from './film/answerArea.ts';
export { layersUnder } from './film/layersUnder.ts';
export { meetCoats } from './film/meetCoats.ts';
export { isEarlyField } from './film/isEarlyField.ts';
export { priceSchools } from './film/orderOfColours.ts';
export { checkCoat } from './film/checkCoat.ts';
export { checkKeying } from './film/checkKeying.ts';
export { completeProduct } from './film/completeProduct.ts';
export { computePaint, computePlannedPaint } from './film/computePaint.ts';
export { drawFields } from './film/drawFields.ts';
export { closeField, snapToPart } from './film/closeField.ts';
export { measureMaskEdges } from './film/measureMaskEdges.ts';
export { type ColourOrder, type ColourEdge } from './film/orderColours.ts';
export { FINEST_RELIEF_UM, computeBand, computeStack } from './film/computeStack.ts';
export { convertProductKind, convertProductToLayer } from './film/convertProductToLayer.ts';
export { judgeSpans, type SpanVerdict } from './film/judgeSpans.ts';
export { isMadeFor, judgeOver } from './film/judgeOver.ts';
export { selectPlannedOf } from './gates/selectPlannedOf.ts';
export { completeSheet } from './film/dryingSheet.ts';
export { isDryingSheet } from './film/isDryingSheet.ts';
export { dryTasks } from './film/dryTasks.ts';
export { sayCoats } from './words/sayCoats.ts';
export { listNextCoats, type NextCoat } from './film/listNextCoats.ts';
export { listStandingOf } from './film/spansOfTask.ts';
export { describeStandingCoats, type DryingRows, type LaidCoat } from './film/standingCoats.ts';
export { movePlanned, placeNewCoat, refusePlace, sortPlanned } from './film/placeCoat.ts';

// Colour
export { BANDS } from './colour/cieTables.ts';
export { computeLab, type Lab } from './colour/colorimetry.ts';
export { computeDropMl } from './colour/computeDropMl.ts';
export { computeKeptMix } from './colour/computeKeptMix.ts';
export { coverGrounds } from './colour/coverGrounds.ts';
export { EYE_WAYS, describeDifference, describeFade } from './colour/describeDifference.ts';
export { computeDe00 } from './colour/difference.ts';
export { convertHexToLab, convertLabToHex, convertLabToRgb, decodeSrgb } from './colour/display.ts';
export { readCgats, writeCgats } from './colour/exchange/cgats.ts';
export { createOpticsFromSamples } from './colour/exchange/createOpticsFromSamples.ts';
export { readShelfCsv, writeShelfCsv } from './colour/exchange/shelfCsv.ts';
export { fitPaint } from './colour/fitPaint.ts';
export { estimateGloss } from './colour/glossOfMix.ts';
export { adviseRound, firstMl } from './colour/guide/adviseRound.ts';
export { STEPS, measureByEye, type Eye, type EyeWord, type Step } from './colour/guide/judgeByEye.ts';
export { learnEyes } from './colour/guide/learnEyes.ts';
export { computeMixDistance, eyeOf, type Eyes } from './colour/guide/listReadings.ts';
export type { AdditionLimits } from './colour/guide/planAddition.ts';
export { listPatchPath, type PathPoint } from './colour/guide/listPatchPath.ts';
export { mainPaintOf, replayMix, type MixState } from './colour/guide/replayMix.ts';
export type { Path, PlannedPour, RoundAdvice, RoundQuestion } from './colour/guide/roundAdvice.ts';
export { computeContrastRatio } from './colour/hiding.ts';
export { computeQ, mixOptics, predictMix, removeSurface, type PaintOptics } from './colour/kubelkaMunk.ts';
export { buildComboTable, type ComboTable } from './colour/match/comboTable.ts';
export { findShortage, type Shortage } from './colour/match/findShortage.ts';
export type { MatchTarget } from './colour/match/polish.ts';
export {
  proposeRecipes,
  type Proposal,
  type ProposalKind,
  type ProposalLimits,
} from './colour/match/proposeRecipes.ts';
export { createShelf, type ShelfPaint } from './colour/match/shelfOptics.ts';
export {
  computePaintLab,
  createShelfPaints,
  isOutsideModel,
  mayBeMixed,
  selectOptics,
  surfaceOf,
} from './colour/paintOptics.ts';
export { convertLabToPolar, convertPolarToLab, type PolarLab } from './colour/polar.ts';
export { refusePour } from './colour/refusePour.ts';
export { readCardValues, type CardValues } from './colour/photo/cardValues.ts';
export { drawColourCardFace } from './colour/photo/colourCard.ts';
export { fitCamera, type CameraFit } from './colour/photo/fitCamera.ts';
export { sampleColour, type ColourSample } from './colour/photo/sampleColour.ts';
export { rankPots, type RankedPot } from './colour/rankPots.ts';
export { selectDrying } from './colour/selectDrying.ts';
export { selectLettingDownWhite } from './colour/selectLettingDownWhite.ts';
export { reconstructFromLab } from './colour/smoothReflectance.ts';
export { sumLeft } from './colour/sumLeft.ts';
export {
  createTrainerRound,
  lookAtMix,
  scoreRound,
  solveRound,
  type TrainerRound,
  type TrainerScore,
  type TrainerStep,
} from './colour/trainer/matchThePot.ts';
export { learnDryingShift, predictDry, type WetDryPair } from './colour/wetToDry.ts';
export {
  CAPTURE_METHODS,
  DOSINGS,
  MIX_WAYS,
  POUR_SOURCES,
  type CaptureMethod,
  type ColourCapture,
  type Dosing,
  type Mix,
  type MixStep,
  type MixStepBody,
  type MixWay,
  type OpticsRecord,
  type Pour,
  type RecipeLine,
} from './model/colour.ts';
export { CAPTURE_PLACES, GEOMETRIES, type CapturePlace, type Geometry, type LabColour } from './model/reading.ts';

// Photographs
export { BENCH_CARD, CARD_DOTS, drawBenchCard, drawCardFace } from './photo/benchCard.ts';
export { computePhotoMeasure, countPointsNeeded, preparePlane } from './photo/computePhotoMeasure.ts';
export { findCard } from './photo/findCard.ts';
export { findMissingSides } from './photo/findMissingSides.ts';
export { stageOfStation } from './photo/stageOfStation.ts';
export { bendPoint, computeMisfit, createLens, straightenPoint, type Lens, type PictureSize } from './photo/lens.ts';
export type { Measured } from './photo/measureOnPhoto.ts';
export type { Picture } from './photo/picture.ts';
export { findRegion, rectifyPicture, type Region } from './photo/rectifyPicture.ts';
export { refineEdge } from './photo/refineEdge.ts';
export { invertHomography, mapPoint, solveHomography } from './photo/solveHomography.ts';

// Drawings
export type { PartMap } from './drawing/computePartMap.ts';
export { fitPartMap } from './drawing/fitPartMap.ts';
export { createBodyTypeDrawing } from './drawing/createBodyTypeDrawing.ts';
export { createView } from './drawing/createView.ts';
export { fillShape, type PaintOfParts } from './drawing/fillShape.ts';
export { isDrawing, isDrawingShape } from './drawing/isDrawing.ts';
export { outlineCircle, outlinePolygon, outlineRectangle, outlineWithArches, type Corner } from './drawing/paths.ts';
export { createBaseView, createEndView, type PlainViewSize } from './drawing/plainViews.ts';

// Simulated instruments
export { DRY_BELOW_PERCENT, readForecast, type ForecastDay } from './instruments/simulatedForecast.ts';
export { readRoom } from './instruments/simulatedThermometer.ts';
export { computeBathC } from './instruments/simulatedBath.ts';
export { COLD_OVEN, runOven, type OvenState } from './instruments/simulatedOven.ts';
export { beginPour, EMPTY_SCALES, pourOn, showGrams, type ScalesState } from './instruments/simulatedScales.ts';
export { CALIBRATION_HOLDS_MIN, readSpectrum } from './instruments/simulatedSpectrophotometer.ts';

// The record
export { createLoggedWork } from './record/createLoggedWork.ts';
export { createRecord } from './record/createRecord.ts';
export { describeEarlier, type EarlierWork } from './record/describeEarlier.ts';
export { listLacks } from './record/listLacks.ts';
export type {
  PaperBlock,
  PaperDates,
  PaperPair,
  PaperPicture,
  PaperTable,
  WrittenPaper,
} from './record/paper/paper.ts';
export { createPaperDates } from './record/paper/paperDates.ts';
export { pairPhotos } from './record/paper/photoSections.ts';
export { writeBeforeAfter } from './record/paper/writeBeforeAfter.ts';
export { writeCard } from './record/paper/writeCard.ts';
export { writeHandOn } from './record/paper/writeHandOn.ts';
export { writePaperText } from './record/paper/writeText.ts';
export { writeRecord } from './record/paper/writeRecord.ts';
export type { JobRecord } from './record/jobRecord.ts';
export type { Lack, Signing } from './model/signing.ts';
export type { RecordSpecimen } from './record/recordInput.ts';
// Traced drawings
export {
  BENDS,
  TRACE_LINES,
  TRACED_SURFACES,
  type Bend,
  type PhotoFit,
  type Trace,
  type TracedShape,
  type TracedSurface,
  type TraceLine,
  type TraceNode,
  type Traces,
} from './model/trace.ts';
export { COAT_FAILURES, type CoatFailureKind } from './model/workpiece.ts';
export { AREA_KINDS, AREA_WAYS, type AreaOutline, type AreaSize, type AreaWay } from './model/workpiece.ts';
export { planGround } from './film/planGround.ts';
export { planArea, type AreaPlan, type PlannedLayer } from './film/planArea.ts';
export { readStl } from './mesh/readStl.ts';
export { drawMesh, type MeshView } from './mesh/drawMesh.ts';
export { measureMesh } from './mesh/measureMesh.ts';
export type { MeshSize } from './model/mesh.ts';
export { scaleMesh } from './mesh/scaleMesh.ts';
export { writeStl } from './mesh/writeStl.ts';
export { learnShrink, listMeasured, type Shrink } from './fit/learnShrink.ts';
export { planPrint, type PrintPlan, type PrintTrouble } from './fit/planPrint.ts';
export {
  MESH_AXES,
  type MeshAxis,
  type Print,
  type PrintMeasure,
  type PrintRun,
  type WantedSize,
} from './model/print.ts';
export { planGunRuns, RINSE_MIN, type GunRun } from './film/planGunRuns.ts';
export { listSprayable, type SprayablePlace } from './film/listSprayable.ts';
export { isTaped } from './film/isTaped.ts';
export { isTold, usualHow } from './film/usualHow.ts';
export { sayHow } from './words/sayHow.ts';
export { COATING_WAY_OF } from './film/pourFor.ts';
export { takeForCoat } from './film/takeForCoat.ts';
export { sizeOfArea } from './film/computeDrawnArea.ts';
export { listColourNeeds } from './film/listColourNeeds.ts';
export { needOfColour, type ColourNeed, type NeededPaint } from './film/needOfColour.ts';
export {
  computeBoxArea,
  computeMeshArea,
  computeTypedArea,
  takeOneFace,
  takeOverArea,
  computeWeighedArea,
} from './film/computeArea.ts';
export { densityOf } from './film/densityOf.ts';
export { listFailures, recallFailures, type PastFailure } from './film/recallFailures.ts';
export { chooseOption } from './schools/schools.ts';
export { readArtwork, writeArtwork, type Artwork, type SvgElement } from './trace/artwork.ts';
export { drawTraced } from './trace/drawTraced.ts';
export { insertNode } from './trace/insertNode.ts';
export { fitTrace } from './trace/fitTrace.ts';
export { layPhoto, mapToDrawing, mapToPhoto } from './trace/layPhoto.ts';
export { lightnessOfPhoto } from './trace/lightnessOfPhoto.ts';
export { closeMirrored, LEAST_NODES, outlineTrace } from './trace/outlineTrace.ts';
export { snapTrace, type SnappedTrace } from './trace/snapTrace.ts';
export {
  MOVES,
  POT_MOVES,
  type LogLine,
  type PotMovement,
  type StockUnit,
  STOCK_KIND_NAMES,
  STOCK_KINDS,
  STOCK_SIZES,
  STOCK_TRAITS,
  listTraitOptions,
  SERVING_KINDS,
  type Move,
  type Movement,
  serviceOf,
  WHOLE_UNITS,
  type StockKind,
  type StockSizes,
  type StockThing,
  type StockTraits,
  type Supplier,
} from './model/stock.ts';
export {
  appendMovement,
  checkLock,
  checkMovement,
  EMPTY_STOCK,
  foldMovements,
  sumStock,
  type StockState,
  type StockSum,
} from './stock/ledger.ts';
export { drawThing } from './stock/drawThing.ts';
export { layDrawer, type LaidThing } from './stock/layDrawer.ts';
export { listFaults } from './stock/listFaults.ts';
export { nameThing, readStockCsv, writeStockCsv, type StockLine } from './stock/stockCsv.ts';
export { watchStock, type StockNotice } from './stock/watchStock.ts';
export {
  createDecalArtwork,
  createDrawnArtwork,
  createPictureArtwork,
  resizeArtwork,
  type WorkedOutArtwork,
} from './decal/artwork/createDecalArtwork.ts';
export { drawDecal, drawElement, scaleDrawn } from './decal/artwork/drawDecal.ts';
export { writeDecalSvg } from './decal/artwork/writeDecalSvg.ts';
export { judgeIssue, type IssueAnswer } from './decal/judgeIssue.ts';
export { describeDecal, findFilm, type DescribedDecal } from './decal/describeDecal.ts';
export type { DecalOrder } from './decal/decalOrder.ts';
export {
  gatherSheets,
  RATED,
  rateSuppliers,
  type FollowedOrder,
  type Rated,
  type RatedSupplier,
} from './decal/orderedDecals.ts';
export { nameOrderFile, writeDecalOrder } from './decal/writeDecalOrder.ts';
export type { DecalSheet, PrintedArtwork, SheetPiece } from './decal/decalSheet.ts';
export { drawSheet, type SheetDrawing } from './decal/print/drawSheet.ts';
export { findRoom, PAPERS, placeRules, type Paper } from './decal/print/paper.ts';
export { computePrinterScale, TRUE_SCALE, type MeasuredRules, type PrinterScale } from './decal/print/printerScale.ts';
export { writeSheetSvg } from './decal/print/writeSheetSvg.ts';
export { DECAL_TROUBLES, selectStandingActs, type DecalAct, type DecalTrouble } from './decal/placing/decalAct.ts';
export { estimateFold } from './decal/placing/foldRisk.ts';
export { estimateSoak } from './decal/placing/estimateSoak.ts';
export { listPlacingSteps } from './decal/placing/listPlacingSteps.ts';
export { snapPlace, tryPlace, type TriedPlace } from './decal/placing/tryPlace.ts';
export type { Crossed } from './decal/placing/listCrossed.ts';
export { orderDecals, type OrderReason } from './decal/placing/orderDecals.ts';
export { PLACING_WORDS, RESCUES } from './words/decalPlacingWords.ts';
export { FAULT_WORDS, PRACTICE_RESCUES, WRONG_ACT_WORDS } from './words/practiceWords.ts';
export {
  actInPractice,
  beginPractice,
  rescueInPractice,
  WRONG_ACTS,
  type PracticeAct,
  type PracticeState,
  type PracticeTask,
} from './decal/practice/practisePlacing.ts';
export { measurePanel } from './decal/panel/measurePanel.ts';
export { findHeight, type FoundPanel } from './decal/panel/findPanel.ts';
export { fillsPanel, USUAL_PLACING, type Margins, type PanelFit } from './decal/panel/fitPanel.ts';
export { QUARTERS, type CutPiece, type Placement, type Quarter } from './decal/sheet/cutPiece.ts';
export { cutFor } from './decal/sheet/cutFor.ts';
export { listGone } from './decal/sheet/listGone.ts';
export { findOverlap } from './decal/sheet/findOverlap.ts';
export { listPieces, type PiecesOfFilm, type WantedPiece } from './decal/sheet/listPieces.ts';
export type { Nest, NestQuestion } from './decal/sheet/nestQuestion.ts';
export { nestSheets, USUAL_ROUNDS, type NestStep } from './decal/sheet/nestSheets.ts';
export { boundSheets, type SheetBound } from './decal/sheet/sheetBound.ts';
export { FILMS, type Film, type JudgedArtwork, type JudgedFilm } from './decal/white/judgeFilms.ts';
export { findBody } from './decal/white/findBody.ts';
export { reflectBody } from './decal/white/reflectBody.ts';
export {
  ARTWORK_SIZES,
  type Artwork as InkArtwork,
  type ArtworkSize,
  type DecalArtwork,
  type DecalPlace,
  type DecalPlan,
  type DecalRating,
  type DrawnDecal,
  type DrawnElement,
  type DrawnPoint,
  type InkShape,
  type MeasuredPanel,
  type InkShare,
} from './model/decal.ts';
export { flattenLines } from './drawing/flattenLines.ts';
export { flattenPath } from './drawing/flattenPath.ts';
