import type {
  AreaSize,
  Bath,
  Casting,
  CastingPart,
  CoatingLayer,
  CsvProblem,
  ImportChange,
  Decision,
  DrawingView,
  EarlierWork,
  Feature,
  FeatureState,
  FilmSpans,
  GunRun,
  History,
  HouseChoice,
  HouseStyle,
  LateMeaning,
  LearnedRates,
  Instrument,
  InHandLine,
  Job,
  Joint,
  Maker,
  PaintOfParts,
  Photo,
  PhotoMeasure,
  RecordSpecimen,
  Restorer,
  Source,
  SpecimenPart,
  SprayablePlace,
  Station,
  PastFailure,
  RoomLogEntry,
  Signing,
  StandingCoat,
  StripMethod,
  StrippedBefore,
  StripPass,
  Task,
  TaskLog,
  Timer,
  Tool,
  ToyRange,
  Variant,
  VariantState,
  Refusal,
  Versioned,
  VesselRecord,
  Want,
  Opening,
  SpecimenFacts,
} from '@sardonyx/core';

/** What the server says of itself. */
export interface Health {
  readonly ok: true;
  readonly now: string;
  readonly benchName: string;
  readonly isDemo: boolean;
  /** Why the last write did not reach the disk; null since one did. */
  readonly trouble: DiskTrouble | null;
  /** The hour of the last entry of the log, where the clock stands before it; null where it does not. */
  readonly clockBehind: string | null;
}

/** What the disk of the bench's folder did not do. */
export interface DiskTrouble {
  readonly kind: 'full' | 'read-only' | 'locked' | 'damaged' | 'failing';
  readonly message: string;
  /** UTC. */
  readonly since: string;
}

/** A copy of the bench's database that the program made by itself. */
export interface KeptCopy {
  readonly name: string;
  readonly reason: 'a day' | 'before an upgrade';
  /** UTC. */
  readonly madeAt: string;
  readonly bytes: number;
}

/** What a model still lacks. */
export interface OpenWant extends Pick<
  Want,
  'id' | 'what' | 'bits' | 'kind' | 'state' | 'solution' | 'dueOn' | 'specimenPartId'
> {
  readonly partName: string;
  /** As its plan gets it; null where the plan does without. */
  readonly getBy: Want['getBy'];
}

/** A job with a model of the same casting. */
export interface EarlierJob extends EarlierWork {
  readonly jobId: string;
}

/** What is in an archive of jobs, and what becomes of it here. */
export interface ArchiveReport {
  /** false: it was only looked at. */
  readonly isTaken: boolean;
  readonly jobs: readonly {
    readonly id: string;
    readonly number: string;
    readonly title: string;
    /** Its number here; the same, unless another job has that. */
    readonly numberHere: string;
    /** It is here already, row by row the same. */
    readonly isHere: boolean;
  }[];
  /** The bench's own stand: the archive says something else of them. */
  readonly kept: readonly {
    readonly table: string;
    readonly name: string;
    /** What differs; empty where the archive has rows of it that are not here. */
    readonly fields: readonly string[];
  }[];
  /** Rows that are new here. */
  readonly rows: number;
  /** Pots and things of the other bench's drawers that come along, with what it had left of them. */
  readonly stock: readonly string[];
  /** Pictures whose files were gone when it was packed. */
  readonly missingPictures: number;
}

/** A casting after its parts and joints were changed. */
export interface BuildChanged {
  readonly casting: Casting;
  /** Parts that are no longer on the casting, and stay on a model because something is written down of them. */
  readonly keptOn: readonly { readonly part: string; readonly model: string }[];
}

export interface BenchLane {
  readonly job: Job;
  /** The casting of its first model; null while nobody knows it. */
  readonly castingId: string | null;
  readonly parts: readonly Pick<SpecimenPart, 'key' | 'material' | 'state'>[];
  readonly paint: PaintOfParts;
  /** Layers of the main part's outside as found (or applied, once there are any), for the band. */
  readonly band: readonly CoatingLayer[];
  readonly bandMaterial: string;
  readonly next: {
    readonly taskId: string;
    readonly title: string;
    readonly station: Station;
    readonly handsOnMin: number;
    readonly underWay: boolean;
  } | null;
  readonly blockedBy: { readonly title: string; readonly from: string | null } | null;
  /** Why the next act may not share the room with what is in it now; null when it may. */
  readonly roomRefusal: string | null;
  readonly openWants: readonly OpenWant[];
  /** Share of tasks done per station; null where the station has none. */
  readonly progress: Readonly<Record<Station, number | null>>;
  readonly handsOnLeftMin: number;
}

/** A casting as the bench shows it, sent once for all the lanes that stand on it. */
export interface BenchCasting {
  readonly id: string;
  readonly name: string;
  /** The side view; null while it has none. */
  readonly side: DrawingView | null;
}

export interface BenchView {
  readonly now: string;
  readonly castings: readonly BenchCasting[];
  readonly lanes: readonly BenchLane[];
  readonly restorers: readonly Restorer[];
  /** Time zone of the bench. */
  readonly zone: string;
}

/** How many of each were new to the bench. */
export interface UsualThingsTaken {
  readonly tools: number;
  readonly vessels: number;
  readonly paints: number;
}

export interface CastingView {
  readonly casting: Casting;
  readonly range: ToyRange;
  readonly maker: Maker;
  readonly parts: readonly CastingPart[];
  readonly joints: readonly Joint[];
  readonly features: readonly Feature[];
  readonly states: readonly FeatureState[];
  readonly variants: readonly Variant[];
  readonly variantStates: readonly VariantState[];
  readonly sources: readonly Source[];
  /** Chance that a model of it is of an issue that is not listed; null while none is listed. */
  readonly unlistedChance: number | null;
  /** Models of it on the shelf: on the bench, in the drawer, signed off. */
  readonly specimens: readonly { readonly id: string; readonly jobId: string | null; readonly name: string }[];
}

/** A photograph of a model of a casting. */
export interface CastingPhoto {
  readonly photo: Photo;
  readonly model: string;
}

export interface CatalogueEntry {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly rangeName: string;
  readonly makerName: string;
  readonly bodyType: string;
  readonly lengthMm: number;
  readonly wheelbaseMm: number;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  readonly variantCount: number;
  readonly onShelf: number;
  /** Its first view: the list shows no more. */
  readonly side: DrawingView;
  /** Variants with what is known of them, for finding: name, colours and rarity. */
  readonly variants: readonly CatalogueVariant[];
}

export interface CatalogueVariant {
  readonly id: string;
  readonly name: string;
  readonly rarity: number;
  readonly fromYear: number;
  readonly toYear: number;
  /** Models on the shelf that are most probably this one; their ids. */
  readonly onShelf: readonly string[];
}

export interface CatalogueView {
  readonly castings: readonly CatalogueEntry[];
  readonly ranges: readonly (ToyRange & { readonly makerName: string })[];
}

/** How large an area was found to be on another example of the casting. */
export interface SizeElsewhere {
  /** Its job, or its own name. */
  readonly model: string;
  readonly size: AreaSize;
}

/** Where the gun may go now: on which model of which job. */
export interface GunPlace extends SprayablePlace {
  readonly jobId: string;
  readonly jobNumber: string;
  /** Empty where the job has one model. */
  readonly specimenName: string;
}

export interface GunView {
  /** null where the workshop has none. */
  readonly gun: { readonly name: string; /** Empty where it is clean. */ readonly holds: string } | null;
  readonly runs: readonly GunRun<GunPlace>[];
}

export interface SpecimenView extends RecordSpecimen {
  readonly casting: CastingView | null;
  /** When each coat that stands on it bears what. */
  readonly film: readonly StandingCoat[];
  /** What the server's plan is made from: the page works nothing of it out again. */
  readonly facts: SpecimenFacts;
  /** As the plan has it. */
  readonly opening: Opening;
}

/** A step, and when the coats that it left bear what; null where it left none. */
export type TaskView = Task & { readonly film?: FilmSpans };

export interface JobView {
  readonly job: Job;
  /** Each time it was signed, the first first. */
  readonly signings: readonly Signing[];
  readonly specimens: readonly SpecimenView[];
  readonly decisions: readonly Decision[];
  readonly tasks: readonly TaskView[];
  readonly log: readonly TaskLog[];
  readonly photos: readonly Photo[];
  readonly photoMeasures: readonly PhotoMeasure[];
  readonly house: HouseStyle;
  /** What compiling the plan had to say beyond its tasks. */
  readonly planNotices: readonly string[];
  /** The latest changes of its plans, newest first. */
  readonly planChanges: readonly PlanChange[];
  /** What must be in hand for what is still to be done. */
  readonly supplies: readonly InHandLine[];
  readonly houseChoices: readonly HouseChoiceRecord[];
  readonly passes: readonly StripPass[];
  /** Coats that failed, of all jobs, the latest first. */
  readonly failures: readonly PastFailure[];
  /** What the workroom was like last; null where nobody ever read it. */
  readonly room: RoomLogEntry | null;
  /** Parts that were stripped bare, of all jobs, for how many passes to expect. */
  readonly strippedBefore: readonly (StrippedBefore & { readonly method: StripMethod })[];
}

export interface PlanChange {
  readonly id: string;
  readonly specimenId: string;
  readonly at: string;
  readonly because: readonly string[];
  readonly added: readonly string[];
  readonly dropped: readonly string[];
  readonly keptAside: readonly string[];
}

export interface HouseChoiceRecord extends HouseChoice, Versioned {}

export interface WorkshopView {
  readonly now: string;
  readonly tools: readonly Tool[];
  readonly vessels: readonly VesselRecord[];
  /** Those that stand. */
  readonly baths: readonly (Bath & { readonly strippedDm2: number })[];
  /** What is in them, of all jobs. */
  readonly soaking: readonly (StripPass & {
    readonly partName: string;
    readonly jobNumber: string;
    readonly endsAt: string | null;
  })[];
  readonly instruments: readonly Instrument[];
}

export interface TimersView {
  readonly now: string;
  /** With what it means that nobody comes when they ring. */
  readonly timers: readonly (Timer & { readonly late: LateMeaning })[];
  /** Ids of tasks in hand of which a clock rang or was stopped since they were begun. */
  readonly hadClock: readonly string[];
}

export interface FoundPlace {
  readonly kind: 'model' | 'casting' | 'part' | 'paint' | 'drawer';
  readonly title: string;
  readonly where: string;
  readonly path: string;
}

/** How an import stands. All or nothing: with a problem nothing was changed. */
export interface ImportReport {
  readonly id: string;
  readonly state: 'reading' | 'checking' | 'checked' | 'writing' | 'done' | 'refused' | 'cancelled';
  /** 0 to 1, of the state it is in. */
  readonly progress: number;
  readonly rows: number;
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** What it changes, the first rows of it: of one that was checked, what it would. */
  readonly changes: readonly ImportChange[];
  readonly problems: readonly CsvProblem[];
  /** There are more problems than are listed. */
  readonly problemCount: number;
}

export interface HouseView {
  readonly house: HouseStyle;
  readonly histories: readonly History[];
  /** Schools that the house answers in its own way; the others have their default. */
  readonly choices: readonly HouseChoiceRecord[];
  /** From the settled models of this bench; believed where the house says so. */
  readonly learned: LearnedRates;
}

/** Every refusal and failure has this shape. `fields` names each field that was wrong; `current` is the row as it stands now. */
export interface ErrorBody {
  readonly code: string;
  readonly message: string;
  readonly path?: string;
  readonly fields?: Readonly<Record<string, string>>;
  readonly current?: Readonly<Record<string, unknown>>;
  /** From when it may, where waiting is all it takes. */
  readonly from?: string;
  /** The task that stands in the way. */
  readonly taskId?: string;
  /** Every reason by itself, where a gate says no: each may have its own way on. */
  readonly reasons?: readonly Reason[];
  /** Under this number the server's log tells what broke. */
  readonly faultId?: string;
}

export type Reason = Pick<Refusal, 'code' | 'message' | 'from' | 'taskId'>;
