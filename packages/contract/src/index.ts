export { getNoun, NOUNS, VIEWS, type NounPath } from './nouns.ts';
export {
  ChangeFinding,
  ChangeObservation,
  ChangeSpecimenPart,
  ChangeWant,
  CreateFinding,
  CreateObservation,
  CreateWant,
  SetBitHere,
  PutBackWant,
  TakeWant,
} from './requests/survey.ts';
export {
  AddSpecimen,
  ChangeDecision,
  ChangeJob,
  ChangeSpecimen,
  CreateDecision,
  CreateJob,
  ReopenJob,
  SignOff,
  TakePart,
} from './requests/job.ts';
export {
  ChangeDayWeather,
  ChangeRestorer,
  CreateDayWeather,
  CreateRestorer,
  KeepEveningsPlan,
} from './requests/evenings.ts';
export type { DayWeatherView, EveningsView, ForecastView, HoursView, KeptPlan } from './responses/evenings.ts';
export {
  ActOnTask,
  ChangeArea,
  ChangeLayer,
  CreateArea,
  CreateLayer,
  CreateTouch,
  KeyCoat,
  LogCoat,
  ReadRoom,
  RejectCoat,
  StartTimer,
  type TaskAction,
} from './requests/work.ts';
export {
  ChangeComingOff,
  ChangeJointCondition,
  ChangeJointWish,
  CreateComingOff,
  CreateFoundJoint,
  CreateJointCondition,
  CreateJointWish,
} from './requests/opening.ts';
export { BeginPicture, EnterByPhone, OpenPhoneDoor, ShowToPhone, TickByPhone } from './requests/phone.ts';
export type { ShelfView, MixView, ColourView, ColourReading, ShelfReport } from './responses/colour.ts';
export type { PhoneDevice, PhoneDoorView, PhoneView } from './responses/phone.ts';
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
  WriteIssueDown,
  WriteSheet,
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
  TakeUsualThings,
  CreateVessel,
  EndPass,
  TurnDial,
  isOnThisMachine,
} from './requests/workshop.ts';
export { ChangeOrder, PlaceOrder, ReceiveLine, TakeFromDonor } from './requests/orders.ts';
export type { DonorOffer, DonorsView, OrderLineView, OrdersView, OrderView, SupplierView } from './responses/orders.ts';
export { ChangeSupplier, ChangeThing, CreateSupplier, CreateThing, MoveStock, StockFile } from './requests/stock.ts';
export {
  ChangeArtwork,
  ChangeDecalOrder,
  ChangeDecalPlan,
  CreateDecalPlan,
  LogDecal,
  MeasureRules,
  OrderDecal,
  PictureOfArtwork,
  PrintSheet,
  SizeArtwork,
  SpoilSheet,
  TraceArtwork,
} from './requests/decals.ts';
export type { DecalOrderView, DecalSheetView, DecalState, DecalsView, PlannedDecalView } from './responses/decals.ts';
export { ChangePrint, LogPrint } from './requests/prints.ts';
export type { PrintableWant, PrintsView, PrintView } from './responses/prints.ts';
export type { PotLog, StockView, ThingLog, ThingView } from './responses/stock.ts';
export {
  AddPot,
  ChangePot,
  MovePot,
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
export { WriteTrace } from './requests/trace.ts';
export { CatalogueFile } from './requests/catalogueFile.ts';
export { ChangeBuild, ChangeCasting, CreateCasting } from './requests/catalogue.ts';
export type {
  BenchCasting,
  ArchiveReport,
  BenchLane,
  BuildChanged,
  OpenWant,
  BenchView,
  CastingPhoto,
  CastingView,
  UsualThingsTaken,
  CatalogueEntry,
  CatalogueVariant,
  CatalogueView,
  ErrorBody,
  Reason,
  FoundPlace,
  GunPlace,
  GunView,
  DiskTrouble,
  EarlierJob,
  KeptCopy,
  Health,
  HouseView,
  ImportReport,
  HouseChoiceRecord,
  JobView,
  PlanChange,
  SizeElsewhere,
  SpecimenView,
  TimersView,
  WorkshopView,
} from './responses/views.ts';
