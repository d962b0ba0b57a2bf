export { getNoun, NOUNS, VIEWS, type NounPath } from './nouns.ts';
export {
  ChangeFinding,
  ChangeObservation,
  ChangeSpecimenPart,
  ChangeWant,
  CreateFinding,
  CreateObservation,
  CreateWant,
} from './requests/survey.ts';
export { ChangeDecision, ChangeJob, ChangeSpecimen, CreateDecision, CreateJob, SignOff } from './requests/job.ts';
export {
  ActOnTask,
  ChangeLayer,
  CreateLayer,
  LogCoat,
  RejectCoat,
  StartTimer,
  type TaskAction,
} from './requests/work.ts';
export {
  ChangeComingOff,
  ChangeJointWish,
  CreateComingOff,
  CreateFoundJoint,
  CreateJointWish,
} from './requests/opening.ts';
export { ChangePhoto, ChangePhotoMeasure, CreatePhotoMeasure, DescribePhoto } from './requests/photo.ts';
export {
  ChangeFeature,
  ChangeFeatureState,
  ChangeHistory,
  ChangeHouseStyle,
  ChangeMeasurement,
  ChangeSource,
  ChangeVariant,
  CreateFeature,
  CreateFeatureState,
  CreateMeasurement,
  CreateSource,
  CreateVariant,
  RecordStates,
} from './requests/identify.ts';
export {
  BeginPass,
  ChangeBath,
  ChangeHouseChoice,
  ChangeInstrument,
  ChangeTool,
  ChangeVessel,
  CreateBath,
  CreateHouseChoice,
  CreateInstrument,
  CreateTool,
  CreateVessel,
  EndPass,
  TurnDial,
} from './requests/workshop.ts';
export {
  AddPot,
  ChangePot,
  ChangeProduct,
  CreateCapture,
  CreateMix,
  KeepMix,
  LogPatch,
  LogPour,
  LogWet,
  MeasureColour,
  PourOnScales,
  ShelfFile,
  UndoStep,
} from './requests/colour.ts';
export { CatalogueFile } from './requests/catalogueFile.ts';
export { ChangeCasting, CreateCasting } from './requests/catalogue.ts';
export type {
  BenchLane,
  BenchView,
  CastingView,
  CatalogueEntry,
  CatalogueVariant,
  CatalogueView,
  ColourReading,
  ColourView,
  MixView,
  ShelfReport,
  ErrorBody,
  FoundPlace,
  Health,
  HouseView,
  ImportReport,
  HouseChoiceRecord,
  JobView,
  PlanChange,
  ShelfView,
  SpecimenView,
  TimersView,
  WorkshopView,
} from './responses/views.ts';
