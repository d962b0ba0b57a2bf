import type { JointKind, JointWay, PartRole } from '../model/catalogue.ts';
import type { Material } from '../model/material.ts';
import type { Station } from '../model/stations.ts';
import type { Process } from '../process/processes.ts';
import type { Use } from '../supply/supplies.ts';
import type { JobScope, TaskLink, TaskTag } from '../model/work.ts';
import type {
  AreaKind,
  FindingKind,
  JointWish,
  LayerKind,
  MaterialCertainty,
  PartState,
  WantState,
} from '../model/workpiece.ts';

/** Everything the plan of one specimen is made from. */
export interface PlanInput {
  readonly scope: JobScope;
  readonly parts: readonly PlanPart[];
  /** Joints in the order in which assembly opens them. */
  readonly opening: readonly PlanJoint[];
  /** Joints that stay closed. */
  readonly closed: readonly ClosedJoint[];
  /** School key -> option, for schools decided by the house or on this job. */
  readonly decisions: Readonly<Record<string, string>>;
  /** School key -> why so decided, with whose decision it is: shown as because. */
  readonly reasons?: Readonly<Record<string, string>>;
  /** The longest bench session of anybody, minutes: what is watched must end in it. */
  readonly sessionMin?: number;
}

export interface PlanPart {
  readonly key: string;
  readonly name: string;
  readonly role: PartRole;
  readonly material: Material;
  readonly materialCertainty: MaterialCertainty;
  readonly state: PartState;
  /** Carries paint as found that must come off. */
  readonly painted: boolean;
  /** Layers as found in the place that has most of them, from the metal outwards. */
  readonly found: readonly LayerKind[];
  /** The factory's coat as found outside, or the innermost one; null where there is none. */
  readonly foundColour: { readonly hex: string; readonly name: string } | null;
  readonly coats: readonly PlanCoat[];
  readonly findings: readonly PlanFinding[];
  readonly wants: readonly PlanWant[];
}

export interface PlanCoat {
  readonly areaKind: AreaKind;
  readonly areaName: string;
  readonly crossesSeam: boolean;
  readonly kind: LayerKind;
  readonly name: string;
  readonly colourHex: string;
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
  readonly what: string;
  readonly state: WantState;
  /** Small things it cannot be fitted without; empty when there are none. */
  readonly dependentBits: string;
  /** The day it is promised for; null where nobody knows. */
  readonly dueOn: string | null;
}

export interface PlanJoint {
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly partKeys: readonly string[];
  readonly way: JointWay;
  /** Why it is opened. */
  readonly because?: string;
}

export type ClosedJoint = Omit<PlanJoint, 'way' | 'because'>;

/** A joint as it is known, before anybody decides whether it is opened. */
export interface KnownJoint extends ClosedJoint {
  readonly ways: readonly JointWay[];
  /** What the restorer wishes for it. */
  readonly wish?: JointWish;
  /** It is open already, by the way with this key. */
  readonly openedBy?: string;
}

/** What the opening of one specimen is chosen from. */
export interface OpeningQuestion {
  readonly scope: JobScope;
  readonly parts: readonly PlanPart[];
  readonly joints: readonly KnownJoint[];
  readonly decisions: Readonly<Record<string, string>>;
}

/** A task before the order rules have linked it. */
export interface TaskDraft {
  readonly key: string;
  readonly station: Station;
  readonly title: string;
  readonly how: string;
  readonly partKeys: readonly string[];
  readonly jointKey?: string | undefined;
  /** The area of the part that it is about. */
  readonly area?: string | undefined;
  /** Names of the colours it puts on or makes ready. */
  readonly colours?: readonly string[] | undefined;
  /** Of the colour it puts on, 0 black to 1 white. */
  readonly luminance?: number | undefined;
  readonly tags: readonly TaskTag[];
  readonly hazards?: readonly string[] | undefined;
  /** What cannot be undone; makes the task irreversible. */
  readonly cannotBeUndone?: string | undefined;
  readonly handsOnMin: number;
  readonly watchedMin?: number | undefined;
  readonly passiveMin?: number | undefined;
  /** What the parts meet in it; never one that a material in them does not stand. */
  readonly process?: Process | undefined;
  /** As hot as the metal becomes, °C. */
  readonly atC?: number | undefined;
  /** Materials and tools it takes. */
  readonly uses?: readonly Use[] | undefined;
  readonly because: string;
}

export interface PlannedTask extends TaskDraft {
  /** The plan rule that asked for it. */
  readonly rule: string;
  readonly seq: number;
  readonly after: readonly TaskLink[];
}

export type CompiledPlan =
  | { readonly kind: 'plan'; readonly tasks: readonly PlannedTask[]; readonly notices: readonly string[] }
  | {
      readonly kind: 'contradiction';
      /** Tasks that wait for each other; empty where the survey and the schools ask for what cannot be. */
      readonly cycle: readonly string[];
      readonly because: string;
      /** The findings behind it: "Skip: cracked, along the hinge". */
      readonly findings: readonly string[];
    };
