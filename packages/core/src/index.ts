/** The public surface of the core. Everything here is pure: time and randomness are passed in. */
export { InvalidInputError } from './model/errors.ts';
export { MATERIALS, isMetal } from './model/material.ts';
export { BODY_TYPES, JOINT_KINDS, PART_ROLES } from './model/catalogue.ts';
export { STATIONS, STATION_LABELS } from './model/stations.ts';
export { JOB_SCOPES, TIMER_KINDS } from './model/work.ts';
export {
  AREA_KINDS,
  CERTAINTIES,
  FINDING_KINDS,
  LAYER_KINDS,
  LAYER_STAGES,
  ORIGINS,
  PART_STATES,
  PHOTO_SIDES,
  PHOTO_STAGES,
  WANT_STATES,
} from './model/workpiece.ts';
export { createSeededRandom, pickOne } from './numeric/seededRandom.ts';
export { identifySpecimen } from './identify/identifySpecimen.ts';
export { selectAnswers } from './identify/selectAnswers.ts';
export { computeNextLooks } from './identify/computeNextLook.ts';
export { describeInterval, describeVerdict, formatPercent } from './identify/describeVerdict.ts';
export { computeOpeningOrder } from './assembly/computeOpeningOrder.ts';
export { HAZARD_DEFERRAL, getHazardCard } from './process/hazardCards.ts';
export { compilePlan } from './plan/compilePlan.ts';
export { SCHOOLS } from './plan/schools.ts';
export { checkRoom, checkStart, selectOpenLinks } from './plan/checkStart.ts';
export { selectJointsToOpen } from './plan/selectJointsToOpen.ts';
export { reconcilePlan } from './plan/reconcilePlan.ts';
export { FINEST_RELIEF_UM, computeBand, computeStack } from './film/computeStack.ts';
export { computePaint } from './film/computePaint.ts';
export { checkCoat } from './film/checkCoat.ts';
export { describeTonight, findNextSession } from './schedule/describeTonight.ts';
export { computeStationState } from './schedule/computeStationState.ts';
export { findMissingSides } from './photo/findMissingSides.ts';
export { chooseClock } from './schedule/chooseClock.ts';
export { selectNextTask } from './schedule/selectNextTask.ts';
export { checkSignOff } from './record/checkSignOff.ts';
export { createRecord } from './record/createRecord.ts';
export { createView } from './drawing/createView.ts';
export { createBodyTypeDrawing } from './drawing/createBodyTypeDrawing.ts';
export { createBaseView, createEndView } from './drawing/plainViews.ts';
export { outlineCircle, outlinePolygon, outlineRectangle, outlineWithArches } from './drawing/paths.ts';
export { fillShape } from './drawing/fillShape.ts';
export { computePartMap } from './drawing/computePartMap.ts';

export type { Material } from './model/material.ts';
export type * from './model/catalogue.ts';
export type * from './model/drawing.ts';
export type { Station } from './model/stations.ts';
export type * from './model/work.ts';
export type * from './model/workpiece.ts';
export type { RandomSource } from './numeric/seededRandom.ts';
export type {
  Answer,
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyState,
  IdentifyVariant,
} from './identify/catalogue.ts';
export type { EvidenceWeight, Identification, RankedVariant } from './identify/identifySpecimen.ts';
export type { Bound, HardBounds } from './identify/computeHardBounds.ts';
export type { NextLook } from './identify/computeNextLook.ts';
export type { OpeningJoint, OpeningOrder, OpeningStep } from './assembly/computeOpeningOrder.ts';
export type { HazardCard } from './process/hazardCards.ts';
export type { CompiledPlan, PlanInput, PlanJoint, PlanPart, PlannedTask } from './plan/planTypes.ts';
export type { Refusal } from './plan/checkStart.ts';
export type { School } from './plan/schools.ts';
export type { BandSlice, Stack } from './film/computeStack.ts';
export type { CoatRefusal } from './film/checkCoat.ts';
export type { NextSession, Tonight, TonightJob } from './schedule/describeTonight.ts';
export type { StationState } from './schedule/computeStationState.ts';
export type { TaskClock } from './schedule/chooseClock.ts';
export type { NextTask } from './schedule/selectNextTask.ts';
export type { SignOffRefusal } from './record/checkSignOff.ts';
export type { JobRecord, RecordInput, RecordPart, RecordSpecimen } from './record/createRecord.ts';
export type { PartMap, PlacedPart } from './drawing/computePartMap.ts';
export type { PaintOfParts, ShapeFill } from './drawing/fillShape.ts';
export type { Corner, Outline } from './drawing/paths.ts';
export type { PlainViewSize } from './drawing/plainViews.ts';
