import type { JointKind, JointWay } from '../model/catalogue.ts';
import type { PlannedDrying } from '../film/planDrying.ts';
import type { PartRole } from '../model/partRole.ts';
import type { Material } from '../model/material.ts';
import type { MendMethod } from '../model/mend.ts';
import type { Decisions } from '../model/school.ts';
import type { JobScope } from '../model/work.ts';
import type { StripMethod } from '../model/workshop.ts';
import type {
  AreaKind,
  FindingKind,
  JointCondition,
  JointWish,
  LayerKind,
  MaterialCertainty,
  Origin,
  PartState,
  WantBit,
  WantKind,
  WantState,
  WayToGet,
} from '../model/workpiece.ts';
import type { TaskAct } from '../model/taskActs.ts';
import type { DecisionReasons } from '../schools/mergeDecisions.ts';

/**
 * All that is known of one specimen when something is planned, opened, refused or written down about it. Plan, opening,
 * panels, gates and record look here and nowhere else.
 */
export interface SpecimenFacts {
  readonly scope: JobScope;
  readonly parts: readonly PlanPart[];
  readonly joints: readonly KnownJoint[];
  readonly decisions: Decisions;
  readonly reasons: DecisionReasons;
  /** Another example of the casting is at hand, with wheels of its own. */
  readonly hasSecondWheels: boolean;
  /** The longest bench session of anybody, minutes: what is watched must end in it. */
  readonly sessionMin: number;
}

export interface PlanPart {
  readonly key: string;
  readonly name: string;
  readonly role: PartRole;
  readonly material: Material;
  readonly materialCertainty: MaterialCertainty;
  readonly state: PartState;
  /** Carries paint as found. */
  readonly painted: boolean;
  /** Layers as found in the place that has most of them, from the metal outwards. */
  readonly found: readonly LayerKind[];
  /** The factory's coat as found outside, or the innermost one; null where there is none. */
  readonly foundColour: { readonly hex: string; readonly name: string } | null;
  readonly coats: readonly PlanCoat[];
  /** Areas by name in the order in which their colours are sprayed; empty where that is no question (orderOfColours). */
  readonly colourOrder: readonly string[];
  /** That order is the same as the usual answer's. */
  readonly isUsualOrder: boolean;
  readonly findings: readonly PlanFinding[];
  readonly wants: readonly PlanWant[];
  /** It stays as it is: planned coats are left off. */
  readonly isKept: boolean;
  /** Names of the coats that were planned for it and are left off because it is kept. */
  readonly leftOff: readonly string[];
  /** What comes instead of it where it is missing or goes: then what is said of old paint is said of that. */
  readonly newPart: NewPart | null;
  readonly done: PartDone;
}

/** A part that takes another one's place: bought, printed, made, from a donor, or still on its way from nobody knows where. */
export interface NewPart {
  readonly isHere: boolean;
  readonly origin: Origin | null;
}

/** What the log says was done to a part, and what lies on it now. */
export interface PartDone {
  /** How its old paint came off; null while it is on. */
  readonly stripped: StripMethod | null;
  /** Coats that were put on and stand, by area and kind. */
  readonly coatsOn: readonly { readonly areaName: string; readonly kind: LayerKind }[];
  /** Powder was put on and cured, or paint was sprayed: the other one is out of the question now. */
  readonly finish: 'sprayed' | 'powdered' | null;
  /** Steps of powder that it shared with others, and has behind it. */
  readonly shared: readonly SharedAct[];
  /** Glued, filled or soldered at this bench. */
  readonly isMended: boolean;
  /** Coats that were rejected, the ones still on first. */
  readonly rejected: readonly RejectedCoat[];
}

/** One run of the oven, or one wipe, for several parts: each part has it behind it on its own. */
export const SHARED_ACTS = ['empty-bake', 'wipe-again', 'cure'] as const satisfies readonly TaskAct[];
export type SharedAct = (typeof SHARED_ACTS)[number];

export interface RejectedCoat {
  readonly layerId: string;
  readonly areaName: string;
  readonly kind: LayerKind;
  readonly name: string;
  readonly because: string;
  readonly isOff: boolean;
}

export interface PlanCoat {
  readonly areaKind: AreaKind;
  readonly areaName: string;
  readonly crossesSeam: boolean;
  /** Of a decal: which artwork it is is known; it is printed, or wanted of a supplier, piece by piece. */
  readonly hasArtwork: boolean;
  readonly kind: LayerKind;
  readonly name: string;
  readonly colourHex: string;
  /** Wet coats of it, one over the other. */
  readonly coats: number;
  /** By its product sheet; null where no pot is chosen yet: then planning estimates count. */
  readonly dries: PlannedDrying | null;
  /** Enough for one wet coat in nine of ten cases, ml (g of powder); null where no pot is chosen or nobody knows the surface. */
  readonly pour: number | null;
}

export interface PlanFinding {
  readonly id: string;
  readonly kind: FindingKind;
  /** The feature it is about; empty for the whole part. */
  readonly feature: string;
  readonly severity: number;
  readonly note: string;
  /** How far it is bent or twisted; null where nobody measured it. */
  readonly degrees: number | null;
  /** null where nobody said so. */
  readonly carriesLoad: boolean | null;
  /** How it is mended, where that was chosen. */
  readonly mend: MendMethod | null;
}

export interface PlanWant {
  readonly id: string;
  readonly kind: WantKind;
  /** The feature that a piece is for; empty for whatever is gone. */
  readonly feature: string;
  readonly what: string;
  readonly state: WantState;
  readonly getBy: WayToGet | null;
  /** Small things it cannot be fitted without. */
  readonly bits: readonly WantBit[];
  /** The day it is promised for; null where nobody knows. */
  readonly dueOn: string | null;
}

export interface ClosedJoint {
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly partKeys: readonly string[];
  /** How it was found; left out where it holds as the factory made it, or was opened at this bench. */
  readonly condition?: JointCondition;
}

/** A joint that is opened, in one way. */
export interface PlanJoint extends ClosedJoint {
  readonly way: JointWay;
  /** Why it is opened. */
  readonly because?: string;
  /** Which answer of a school it is not opened by, and why: "Getting axles out: not lift out, ...". */
  readonly insteadOf?: string;
}

/** A joint as it is known, before anybody decides whether it is opened. */
export interface KnownJoint extends ClosedJoint {
  readonly ways: readonly JointWay[];
  /** What the restorer wishes for it. */
  readonly wish?: JointWish;
  /** It is open already, by the way with this key. */
  readonly openedBy?: string;
}

/** Which joints are opened, in that order, and which stay closed. */
export interface Opening {
  readonly opening: readonly PlanJoint[];
  readonly closed: readonly ClosedJoint[];
}
