/** The public surface of the core. Everything here is pure: time and randomness are passed in. */
export { InvalidInputError } from './model/errors.ts';
export { MATERIALS, isMetal, traitsOf } from './model/material.ts';
export { BODY_TYPES, JOINT_KINDS, PART_ROLES } from './model/catalogue.ts';
export { STATIONS, STATION_LABELS } from './model/stations.ts';
export { JOB_SCOPES, TIMER_KINDS } from './model/work.ts';
export { isSettled, LOG_ACTS, TASK_STATES } from './model/task.ts';
export { isSchoolOption, SCHOOL_KEYS } from './model/school.ts';
export {
  AREA_KINDS,
  CERTAINTIES,
  FINDING_KINDS,
  FINDING_UNITS,
  JOINT_WISHES,
  LAYER_KINDS,
  LAYER_STAGES,
  MATERIAL_CERTAINTIES,
  ORIGINS,
  PART_STATES,
  PHOTO_MEASURES,
  PHOTO_SIDES,
  PHOTO_STAGES,
  SIZE_NAMES,
  WANT_KINDS,
  WANT_STATES,
} from './model/workpiece.ts';
export { ALTERATION_GROUPS, SOURCE_CERTAINTIES } from './model/catalogue.ts';
export { DEFAULT_LOSS_THRESHOLD } from './model/house.ts';
export { groupBy } from './groupBy.ts';
export { drawNormal } from './numeric/drawNormal.ts';
export { createSeededRandom, pickOne } from './numeric/seededRandom.ts';
export { DEFAULT_SETTINGS, NOMINAL_READING } from './identify/catalogue.ts';
export { assembleCatalogue } from './identify/assembleCatalogue.ts';
export { DEFAULT_HISTORIES } from './identify/histories.ts';
export { createIdentifier } from './identify/createIdentifier.ts';
export { answerAll, describePosterior, identifySpecimen } from './identify/identifySpecimen.ts';
export { hullOf } from './identify/computeDateSpan.ts';
export { selectAnswers, selectStatements } from './identify/selectAnswers.ts';
export { computeExpectedLoss } from './identify/computeExpectedLoss.ts';
export { foreseeLooks, selectMindChangers } from './identify/foreseeLooks.ts';
export { createReport, syncAnswersInPlace } from './identify/createReport.ts';
export { checkStop } from './identify/checkStop.ts';
export { compareVariants } from './identify/compareVariants.ts';
export { compareSpecimens } from './identify/compareSpecimens.ts';
export { selectCastRelief } from './identify/selectCastRelief.ts';
export { computeToolOrder } from './identify/computeToolOrder.ts';
export { createPracticeRound, findLookPath, isVisiblyAltered, scorePractice } from './identify/practice.ts';
export { computeNextLooks, QUESTIONS, rankLooks, WORTH_A_LOOK_BITS } from './identify/computeNextLooks.ts';
export {
  describeInterval,
  describeRegion,
  describeVerdict,
  formatPercent,
  selectAltered,
} from './identify/describeVerdict.ts';
export { CSV_COLUMNS } from './catalogue/csvLayout.ts';
export { TABLE_NAMES } from './catalogue/catalogueTables.ts';
export { readCatalogueCsv } from './catalogue/readCatalogueCsv.ts';
export { planCatalogueImport } from './catalogue/planCatalogueImport.ts';
export { writeCatalogueCsv } from './catalogue/writeCatalogueCsv.ts';
export { planOpening } from './assembly/planOpening.ts';
export { USUAL_WAYS } from './assembly/usualWays.ts';
export { RISK_WEIGHT_MIN } from './assembly/openingModel.ts';
export { adviseCausticBath, CAUSTIC } from './process/causticBath.ts';
export { createLadder, ROUGH_STATES, SMOOTH_GOALS } from './process/abrasiveLadder.ts';
export { adviseBake, BAKE_C, BAKES, OVEN_QUESTIONS } from './process/adviseBake.ts';
export { estimateStrippedDm2, judgeBath } from './process/bathLife.ts';
export { checkVessel } from './process/checkVessel.ts';
export { chooseMend, DAMAGES, MEND_HOW } from './process/chooseMend.ts';
export { chooseStripping } from './process/chooseStripping.ts';
export { asStripMethod, isBathFor, STRIP_METHOD_FACTS } from './process/stripMethods.ts';
export { expectPasses } from './process/expectPasses.ts';
export { listMaterials } from './process/listMaterials.ts';
export { planStraightening } from './process/planStraightening.ts';
export { judgePart } from './process/judgePart.ts';
export { judgeMaterial } from './process/processTable.ts';
export { ADDED_MATERIALS, PROCESSES, TREATED_MATERIALS } from './model/process.ts';
export { HAZARD_DEFERRAL, getHazardCard } from './process/hazardCards.ts';
export { compilePlan } from './compile/compilePlan.ts';
export { needsStopCheck } from './gates/needsStopCheck.ts';
export { ORDER_RULES } from './compile/orderRules.ts';
export { checkPrimingGate } from './gates/checkPrimingGate.ts';
export { PLAN_RULES } from './compile/rules/planRules.ts';
export { listSupplies } from './supply/listSupplies.ts';
export { chooseOption, getSchool, SCHOOLS } from './schools/schools.ts';
export { checkBenchHours } from './gates/checkBenchHours.ts';
export { checkTools } from './gates/checkTools.ts';
export { explainChange } from './compile/explainChange.ts';
export { mergeDecisions } from './schools/mergeDecisions.ts';
export { computeBathC } from './instruments/simulatedBath.ts';
export { COLD_OVEN, runOven } from './instruments/simulatedOven.ts';
export {
  BATH_KINDS,
  INSTRUMENT_KINDS,
  PASS_RESULTS,
  STRIP_METHODS,
  TOOL_KINDS,
  TOOL_STATES,
  VESSEL_MATERIALS,
} from './model/workshop.ts';
export { AIRING_MIN, checkRoom, checkStart } from './gates/checkStart.ts';
export { selectOpenLinks } from './gates/openLinks.ts';
export type { OpenLink } from './gates/openLinks.ts';
export { checkDone, listCoatsOf, listMissingCoats } from './gates/checkDone.ts';
export { findCoatTask } from './gates/findCoatTask.ts';
export { isTimeZone } from './calendar/localTime.ts';
export { createPlanContext } from './compile/planContext.ts';
export { createOpeningQuestion } from './opening/openingQuestion.ts';
export { selectStandingWork, TELLING_ACTS } from './facts/standingWork.ts';
export { convertFindingToState } from './facts/convertFindingToState.ts';
export { listAreasOf } from './facts/listAreasOf.ts';
export { isStanding, NOTHING_DONE } from './facts/selectPartDone.ts';
export { createLoggedWork } from './record/createLoggedWork.ts';
export { convertProductKind, convertProductToLayer } from './film/convertProductToLayer.ts';
export { chooseOpening } from './opening/chooseOpening.ts';
export { compareAlternatives, explainJoint, explainJoints } from './opening/explainOpening.ts';
export { createSpecimenFacts } from './facts/createSpecimenFacts.ts';
export { describePieces } from './facts/describePieces.ts';
export { listInHand } from './opening/listInHand.ts';
export { createFoundJointKey } from './facts/listJoints.ts';
export { findDisagreements, reconcilePlan } from './compile/reconcilePlan.ts';
export { FINEST_RELIEF_UM, computeBand, computeStack } from './film/computeStack.ts';
export { computePaint } from './film/computePaint.ts';
export { checkCoat } from './film/checkCoat.ts';
export { describeTonight, findNextSession } from './schedule/describeTonight.ts';
export { computeStationState } from './schedule/computeStationState.ts';
export { correctForDepth, measureAngle, measureDiameter, measureLength, measureTwist } from './photo/measureOnPhoto.ts';
export { BENCH_CARD, CARD_DOTS, drawBenchCard, drawCardFace } from './photo/benchCard.ts';
export { findCard, refineDot } from './photo/findCard.ts';
export { refineEdge } from './photo/refineEdge.ts';
export { bendPoint, computeMisfit, createLens, solveLens, straightenPoint } from './photo/lens.ts';
export { findRegion, rectifyPicture } from './photo/rectifyPicture.ts';
export { computePhotoMeasure, countPointsNeeded, POINTING_PX, preparePlane } from './photo/computePhotoMeasure.ts';
export { invertHomography, mapPoint, solveHomography } from './photo/solveHomography.ts';
export { findMissingSides } from './photo/findMissingSides.ts';
export { chooseClock } from './schedule/chooseClock.ts';
export { selectNextTask } from './schedule/selectNextTask.ts';
export { checkSignOff } from './gates/checkSignOff.ts';
export { createRecord } from './record/createRecord.ts';
export { createView } from './drawing/createView.ts';
export { createBodyTypeDrawing } from './drawing/createBodyTypeDrawing.ts';
export { createBaseView, createEndView } from './drawing/plainViews.ts';
export { outlineCircle, outlinePolygon, outlineRectangle, outlineWithArches } from './drawing/paths.ts';
export { fillShape } from './drawing/fillShape.ts';
export { isDrawing } from './drawing/isDrawing.ts';
export { computePartMap } from './drawing/computePartMap.ts';

export { BANDS } from './colour/cieTables.ts';
export { computeLab } from './colour/colorimetry.ts';
export { computeDropMl } from './colour/computeDropMl.ts';
export { computeDe00 } from './colour/difference.ts';
export { describeDifference, describeFade, EYE_WAYS } from './colour/describeDifference.ts';
export { convertHexToLab, convertLabToHex, convertLabToRgb, decodeSrgb } from './colour/display.ts';
export { readCgats, writeCgats } from './colour/exchange/cgats.ts';
export { createOpticsFromSamples } from './colour/exchange/createOpticsFromSamples.ts';
export { readShelfCsv, writeShelfCsv } from './colour/exchange/shelfCsv.ts';
export { fitPaint } from './colour/fitPaint.ts';
export { estimateGloss } from './colour/glossOfMix.ts';
export { adviseRound, firstMl } from './colour/guide/adviseRound.ts';
export { estimateStrengths } from './colour/guide/estimateStrengths.ts';
export { measureByEye, STEPS } from './colour/guide/judgeByEye.ts';
export { replayMix } from './colour/guide/replayMix.ts';
export { computeContrastRatio } from './colour/hiding.ts';
export { computeQ, mixOptics, predictMix, removeSurface, USUAL_SURFACE } from './colour/kubelkaMunk.ts';
export { chooseDoses } from './colour/match/chooseDoses.ts';
export { buildComboTable } from './colour/match/comboTable.ts';
export { findMatch } from './colour/match/findMatch.ts';
export { scoreMix } from './colour/match/polish.ts';
export { createShelf } from './colour/match/shelfOptics.ts';
export {
  computePaintLab,
  createMixedOptics,
  createShelfPaints,
  isOutsideModel,
  mayBeMixed,
  selectOptics,
  surfaceOf,
} from './colour/paintOptics.ts';
export { coverGrounds } from './colour/coverGrounds.ts';
export { proposeRecipes } from './colour/match/proposeRecipes.ts';
export { sumLeft } from './colour/sumLeft.ts';
export { rankPots } from './colour/rankPots.ts';
export { reconstructFromLab } from './colour/smoothReflectance.ts';
export { createTrainerRound, lookAtMix, scoreRound, solveRound } from './colour/trainer/matchThePot.ts';
export { learnDryingShift, predictDry } from './colour/wetToDry.ts';
export { EMPTY_SCALES, pourOn, showGrams } from './instruments/simulatedScales.ts';
export { CALIBRATION_HOLDS_MIN, readSpectrum } from './instruments/simulatedSpectrophotometer.ts';
export { CAPTURE_METHODS, CAPTURE_PLACES, DOSINGS, GEOMETRIES, MIX_WAYS, POUR_SOURCES } from './model/colour.ts';
export { FINISHES } from './model/work.ts';
export { drawColourCardFace } from './colour/photo/colourCard.ts';
export { readCardValues } from './colour/photo/cardValues.ts';
export { fitCamera } from './colour/photo/fitCamera.ts';
export { locateCard } from './colour/photo/locateCard.ts';
export { sampleColour } from './colour/photo/sampleColour.ts';
export type { Material } from './model/material.ts';
export type * from './model/catalogue.ts';
export type * from './model/drawing.ts';
export type { HouseStyle } from './model/house.ts';
export type { Station } from './model/stations.ts';
export type * from './model/work.ts';
export type * from './model/task.ts';
export type { TaskAct, TaskSubject } from './model/taskActs.ts';
export type { TaskTag } from './model/taskTags.ts';
export type { Refusal } from './model/refusal.ts';
export type { Decisions, SchoolKey, SchoolOption } from './model/school.ts';
export type { Use } from './model/supply.ts';
export type * from './model/workpiece.ts';
export type { RandomSource } from './numeric/seededRandom.ts';
export type {
  Answer,
  DatedStatement,
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyHistory,
  IdentifyMeasure,
  IdentifySettings,
  IdentifyState,
  IdentifyVariant,
  MeasuredAnswer,
  StateAnswer,
} from './identify/catalogue.ts';
export type { CatalogueRows } from './identify/assembleCatalogue.ts';
export type { Identifier, Posterior } from './identify/createIdentifier.ts';
export type { Identification, RankedCasting, RankedHistory, RankedVariant } from './identify/identifySpecimen.ts';
export type { EvidenceWeight } from './identify/computeEvidence.ts';
export type { DateSpan, YearInterval } from './identify/computeDateSpan.ts';
export type { Bound, HardBounds } from './identify/computeHardBounds.ts';
export type { ExpectedLoss, LossShare } from './identify/computeExpectedLoss.ts';
export type { IdentifyReport } from './identify/createReport.ts';
export type { Foreseen } from './identify/foreseeLooks.ts';
export type { SettlingLook, StopCheck } from './identify/checkStop.ts';
export type { VariantDifference } from './identify/compareVariants.ts';
export type { ComparedPart, ComparedSpecimen } from './identify/compareSpecimens.ts';
export type { CastRelief } from './identify/selectCastRelief.ts';
export type { ToolOrder, ToolOrderReason } from './identify/computeToolOrder.ts';
export type { LookPath, PracticeGuess, PracticeRound, PracticeScore } from './identify/practice.ts';
export type { DrawnFeature, DrawnSpecimen } from './identify/drawSpecimen.ts';
export type { NextLook, Question } from './identify/computeNextLooks.ts';
export type { CatalogueTables, TableName } from './catalogue/catalogueTables.ts';
export type { CsvColumn, CsvKind } from './catalogue/csvLayout.ts';
export type { CsvProblem, CsvReading } from './catalogue/readCatalogueCsv.ts';
export type { ImportPlan } from './catalogue/planCatalogueImport.ts';
export type {
  ModelJoint,
  ModelPart,
  ModelWay,
  OpeningModel,
  OpeningPlan,
  PlannedOpening,
} from './assembly/openingModel.ts';
export type { ChosenOpening } from './opening/chooseOpening.ts';
export type { JointReason, OpeningAlternative } from './opening/explainOpening.ts';
export type { Lab } from './colour/colorimetry.ts';
export type { Path, PlannedPour, RoundAdvice, RoundQuestion } from './colour/guide/roundAdvice.ts';
export type { AdditionLimits } from './colour/guide/planAddition.ts';
export type { EyeWord, Step } from './colour/guide/judgeByEye.ts';
export type { MixState } from './colour/guide/replayMix.ts';
export type { PaintOptics } from './colour/kubelkaMunk.ts';
export type { ComboTable } from './colour/match/comboTable.ts';
export type { MatchTarget } from './colour/match/polish.ts';
export type { Shelf, ShelfPaint } from './colour/match/shelfOptics.ts';
export type { CardValues } from './colour/photo/cardValues.ts';
export type { CameraFit } from './colour/photo/fitCamera.ts';
export type { ColourSample } from './colour/photo/sampleColour.ts';
export type { Proposal, ProposalKind, ProposalLimits } from './colour/match/proposeRecipes.ts';
export type { RankedPot } from './colour/rankPots.ts';
export type { TrainerRound, TrainerScore, TrainerStep } from './colour/trainer/matchThePot.ts';
export type { WetDryPair } from './colour/wetToDry.ts';
export type { ScalesState } from './instruments/simulatedScales.ts';
export type {
  CaptureMethod,
  CapturePlace,
  ColourCapture,
  Dosing,
  Geometry,
  LabColour,
  Mix,
  MixStep,
  MixStepBody,
  MixWay,
  OpticsRecord,
  Pour,
  RecipeLine,
} from './model/colour.ts';
export type { Finish } from './model/work.ts';
export type { HouseRows, JobRows, SpecimenRows } from './facts/createSpecimenFacts.ts';
export type { Pieces } from './facts/describePieces.ts';
export type { OvenState } from './instruments/simulatedOven.ts';
export type { Versioned } from './model/catalogue.ts';
export type {
  Bath,
  BathKind,
  Instrument,
  InstrumentKind,
  PassResult,
  Reading,
  StripMethod,
  StripPass,
  Tool,
  ToolKind,
  ToolState,
  VesselRecord,
} from './model/workshop.ts';
export type { HouseChoice } from './schools/mergeDecisions.ts';
export type { RoughState, SmoothGoal } from './process/abrasiveLadder.ts';
export type { Bake } from './process/adviseBake.ts';
export type { Dipped, Vessel } from './process/checkVessel.ts';
export type { Damage, MendAdvice } from './process/chooseMend.ts';
export type { StripAdvice } from './process/chooseStripping.ts';
export type { ExpectedPasses, StrippedBefore } from './process/expectPasses.ts';
export type { GateLine } from './gates/checkPrimingGate.ts';
export type { SupplyLine } from './supply/listSupplies.ts';
export type { CausticAdvice, CausticBath } from './process/causticBath.ts';
export type { PartVerdict } from './process/judgePart.ts';
export type { AddedMaterial, Process, ProcessCell, TreatedMaterial, Verdict } from './model/process.ts';
export type { HazardCard } from './process/hazardCards.ts';
export type { CompiledPlan, PlanInput, PlannedTask, PlanNotice } from './compile/planTypes.ts';
export type { PlanContext } from './compile/planContext.ts';
export type { KnownJoint, Opening, PlanJoint, PlanPart, SpecimenFacts } from './facts/specimenFacts.ts';
export type { OpeningQuestion } from './opening/openingQuestion.ts';
export type { Evidence } from './gates/checkDone.ts';
export type { School } from './schools/schools.ts';
export type { BandSlice, Stack } from './film/computeStack.ts';
export type { NextSession, Tonight, TonightJob } from './schedule/describeTonight.ts';
export type { Measured, PointingError } from './photo/measureOnPhoto.ts';
export type { ControlPoint, Point } from './model/plane.ts';
export type { Lens, PictureSize } from './photo/lens.ts';
export type { Picture } from './photo/picture.ts';
export type { Progress, Region } from './photo/rectifyPicture.ts';
export type { Homography } from './photo/solveHomography.ts';
export type { StationState } from './schedule/computeStationState.ts';
export type { TaskClock } from './schedule/chooseClock.ts';
export type { NextTask } from './schedule/selectNextTask.ts';
export type {
  JobRecord,
  RecordColour,
  RecordInput,
  RecordMix,
  RecordPart,
  RecordSpecimen,
} from './record/createRecord.ts';
export type { PartMap, PlacedPart } from './drawing/computePartMap.ts';
export type { PaintOfParts, ShapeFill } from './drawing/fillShape.ts';
export type { Corner, Outline } from './drawing/paths.ts';
export type { PlainViewSize } from './drawing/plainViews.ts';
