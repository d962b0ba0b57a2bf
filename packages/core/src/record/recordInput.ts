import type { DecalOrder } from '../decal/decalOrder.ts';
import type { DecalSheet } from '../decal/decalSheet.ts';
import type { DecalAct } from '../decal/placing/decalAct.ts';
import type { IdentifyCatalogue } from '../identify/catalogue.ts';
import type { PartDone, SpecimenFacts } from '../facts/specimenFacts.ts';
import type { Casting, Joint, Maker, Source, ToyRange, Variant } from '../model/catalogue.ts';
import type { CoatTouch } from '../model/coatTouch.ts';
import type { ColourCapture, Mix, MixStep } from '../model/colour.ts';
import type { DecalArtwork, DecalPlan } from '../model/decal.ts';
import type { OrderLine, StockOrder } from '../model/order.ts';
import type { Print, PrintRun } from '../model/print.ts';
import type { Signing } from '../model/signing.ts';
import type { LogLine, StockUnit } from '../model/stock.ts';
import type { Task, TaskLog } from '../model/task.ts';
import type { Decision, Job, Timer } from '../model/work.ts';
import type {
  Area,
  CoatingLayer,
  ComingOff,
  Finding,
  FoundCondition,
  FoundJoint,
  Measurement,
  Observation,
  Photo,
  PhotoMeasure,
  Specimen,
  SpecimenPart,
  Want,
  WishForJoint,
} from '../model/workpiece.ts';
import type { Bath, StripPass } from '../model/workshop.ts';
import type { HouseChoice } from '../schools/mergeDecisions.ts';
import type { JobCost } from '../stock/gatherCost.ts';

/** All that is written down of one model. */
export interface RecordSpecimen {
  readonly specimen: Specimen;
  readonly casting: {
    readonly casting: Pick<Casting, 'number' | 'name'>;
    readonly range: Pick<ToyRange, 'name'>;
    readonly maker: Pick<Maker, 'name'>;
    readonly joints: readonly Joint[];
    readonly variants: readonly Pick<Variant, 'id' | 'name'>[];
    readonly sources: readonly Source[];
  } | null;
  readonly catalogue: IdentifyCatalogue;
  readonly parts: readonly SpecimenPart[];
  readonly areas: readonly Area[];
  readonly layers: readonly CoatingLayer[];
  /** What fingers found of its coats, the first first. */
  readonly touches: readonly CoatTouch[];
  readonly observations: readonly Observation[];
  /** Colours captured on its parts, the first first. */
  readonly captures: readonly ColourCapture[];
  readonly measurements: readonly Measurement[];
  /** What people said of this very specimen's date. */
  readonly sources: readonly Source[];
  readonly findings: readonly Finding[];
  readonly wants: readonly Want[];
  readonly jointWishes: readonly WishForJoint[];
  readonly jointConditions: readonly FoundCondition[];
  readonly foundJoints: readonly FoundJoint[];
  readonly comingsOff: readonly ComingOff[];
  readonly facts: Pick<SpecimenFacts, 'parts' | 'joints'>;
}

/** A part with what belongs to it, as the disclosure asks for it. */
export interface DisclosedPart {
  readonly part: SpecimenPart;
  /** The model it belongs to; empty where there is only one. */
  readonly of: string;
  readonly wants: readonly Want[];
  /** What the log says was done to it. */
  readonly done: PartDone;
  readonly layers: readonly (CoatingLayer & { readonly area: string })[];
}

/** Lines of the log of one thing or pot that were for the job. */
export interface UsedThing {
  readonly what: string;
  readonly unit: StockUnit;
  readonly lines: readonly LogLine[];
}

export interface RecordInput {
  readonly job: Job;
  readonly specimens: readonly RecordSpecimen[];
  readonly tasks: readonly Task[];
  readonly log: readonly TaskLog[];
  readonly decisions: readonly Decision[];
  readonly houseChoices: readonly HouseChoice[];
  readonly photos: readonly Photo[];
  readonly photoMeasures: readonly PhotoMeasure[];
  /** The first first. */
  readonly signings: readonly Signing[];
  readonly mixes: readonly (Mix & { readonly steps: readonly MixStep[] })[];
  readonly passes: readonly StripPass[];
  /** Those that its passes were in. */
  readonly baths: readonly (Bath & { readonly vessel: string })[];
  readonly timers: readonly Timer[];
  readonly planChanges: readonly {
    readonly specimenId: string;
    readonly at: string;
    readonly because: readonly string[];
    readonly added: readonly string[];
    readonly dropped: readonly string[];
    readonly keptAside: readonly string[];
  }[];
  readonly decals: {
    readonly plans: readonly DecalPlan[];
    readonly artworks: readonly DecalArtwork[];
    readonly orders: readonly DecalOrder[];
    /** All of them, taken back or not. */
    readonly acts: readonly DecalAct[];
    /** Sheets on which a piece of this job was. */
    readonly sheets: readonly DecalSheet[];
  };
  readonly used: readonly UsedThing[];
  readonly ordered: readonly { readonly line: OrderLine; readonly order: StockOrder; readonly supplier: string }[];
  readonly printed: readonly { readonly print: Print; readonly run: PrintRun }[];
  readonly cost: JobCost;
  /** What ids outside the job are called: paints, things of the drawers, other models. */
  readonly nameOf: (id: string) => string | null;
}
