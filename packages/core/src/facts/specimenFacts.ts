import type { JointKind, JointWay, PartRole } from '../model/catalogue.ts';
import type { Material } from '../model/material.ts';
import type { Decisions } from '../model/school.ts';
import type { JobScope } from '../model/work.ts';
import type { StripMethod } from '../model/workshop.ts';
import type {
  AreaKind,
  FindingKind,
  JointWish,
  LayerKind,
  MaterialCertainty,
  PartState,
  WantKind,
  WantState,
} from '../model/workpiece.ts';
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
  readonly findings: readonly PlanFinding[];
  readonly wants: readonly PlanWant[];
  readonly done: PartDone;
}

/** What the log says was done to a part, and what lies on it now. */
export interface PartDone {
  /** How its old paint came off; null while it is on. */
  readonly stripped: StripMethod | null;
  /** Coats that were put on and stand, by area and kind. */
  readonly coatsOn: readonly { readonly areaName: string; readonly kind: LayerKind }[];
  /** Powder was put on and cured, or paint was sprayed: the other one is out of the question now. */
  readonly finish: 'sprayed' | 'powdered' | null;
  /** Glued, filled or soldered at this bench. */
  readonly isMended: boolean;
  /** Coats that were rejected, the ones still on first. */
  readonly rejected: readonly RejectedCoat[];
}

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
  readonly kind: LayerKind;
  readonly name: string;
  readonly colourHex: string;
  /** By its product sheet; null where no pot is chosen yet: then planning estimates count. */
  readonly dries: { readonly flashMin: number; readonly recoatMin: number; readonly cureMin: number } | null;
}

export interface PlanFinding {
  readonly kind: FindingKind;
  readonly severity: number;
  readonly note: string;
  /** How far it is bent or twisted; null where nobody measured it. */
  readonly degrees: number | null;
}

export interface PlanWant {
  readonly id: string;
  readonly kind: WantKind;
  readonly what: string;
  readonly state: WantState;
  /** Small things it cannot be fitted without; empty when there are none. */
  readonly dependentBits: string;
  /** The day it is promised for; null where nobody knows. */
  readonly dueOn: string | null;
}

export interface ClosedJoint {
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly partKeys: readonly string[];
}

/** A joint that is opened, in one way. */
export interface PlanJoint extends ClosedJoint {
  readonly way: JointWay;
  /** Why it is opened. */
  readonly because?: string;
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
