import type { Opening, PlanFinding, SpecimenFacts } from '../facts/specimenFacts.ts';
import type { Process, TreatedMaterial } from '../model/process.ts';
import type { WayToGet } from '../model/workpiece.ts';
import type { Station } from '../model/stations.ts';
import type { Use } from '../model/supply.ts';
import type { TaskLink, TaskNeeds, TaskWork } from '../model/task.ts';
import type { TaskAct, TaskSubject } from '../model/taskActs.ts';
import type { TaskTag } from '../model/taskTags.ts';
import type { Ladder } from '../process/abrasiveLadder.ts';
import type { MendAdvice } from '../process/chooseMend.ts';
import type { StripAdvice } from '../process/chooseStripping.ts';
import type { PostRecovery } from '../process/recoverPost.ts';
import type { PartVerdict } from '../process/judgePart.ts';
import type { BendPlan } from '../process/planStraightening.ts';

/** Everything the plan of one specimen is made from: the facts, and the opening chosen from them. */
export interface PlanInput extends Omit<SpecimenFacts, 'joints'>, Opening {}

/** What a rule worked out for a step, for the words to say: only where its fields do not hold it. */
export interface TaskDetails {
  'list-wants': { readonly bits: readonly string[]; readonly decals: readonly string[] };
  get: { readonly what: string; readonly by: WayToGet; readonly isBySchool: boolean };
  draw: { readonly what: string; readonly by: 'print' | 'make'; readonly isBySchool: boolean };
  'lead-look': { readonly names: readonly string[] };
  dust: { readonly hands: 'gloved' | 'bare'; readonly clear: 'brush' | 'cloth' };
  'meltables-out': { readonly materials: readonly string[] };
  test: { readonly verdict: PartVerdict };
  strip: { readonly advice: StripAdvice; readonly layers: number };
  key: { readonly advice: StripAdvice; readonly sheltered: string | null };
  'wash-bare': { readonly limit: string; readonly materials: readonly string[] };
  soap: { readonly verdict: PartVerdict; readonly isFirst: boolean };
  brush: { readonly verdict: PartVerdict; readonly isBrittle: boolean };
  'plating-off': { readonly coats: readonly string[]; readonly finding: PlanFinding | null };
  polish: { readonly ladder: Ladder; readonly finding: PlanFinding };
  wheels: { readonly finding: PlanFinding | null };
  air: { readonly finding: PlanFinding };
  straighten: {
    readonly plan: Extract<BendPlan, { kind: 'steps' }>;
    readonly finding: PlanFinding;
    readonly pair: string | null;
  };
  'hold-crack': { readonly finding: PlanFinding };
  'recover-post': { readonly recoveries: readonly PostRecovery[] };
  mend: { readonly mends: readonly Mend[] };
  refill: Mend;
  wipe: { readonly finding: PlanFinding; readonly verdict: PartVerdict };
  dress: { readonly finding: PlanFinding; readonly ladder: Ladder; readonly isThin: boolean };
  'dress-lines': { readonly grits: readonly (number | string)[] };
  'trial-fit': { readonly wants: readonly string[]; readonly isPiece: boolean };
  'take-off': { readonly names: readonly string[]; readonly because: string };
  mask: { readonly beside: readonly string[] };
  prime: { readonly name: string };
  mix: { readonly wearers: readonly string[]; readonly isMixed: boolean };
  /** Fields that have their colour and are masked first. */
  mist: { readonly flashMin: number; readonly masked: readonly string[] };
  colour: {
    readonly name: string;
    readonly isTrim: boolean;
    readonly isPaleOnDark: boolean;
    /** Which of how many wet coats of this colour. */
    readonly nth: number;
    readonly coats: number;
  };
  clear: { readonly name: string; readonly isOver: boolean };
  bright: { readonly name: string };
  'clean-gun': { readonly colourCount: number };
  powder: { readonly name: string };
  'low-bake': { readonly weakest: TreatedMaterial | null };
  close: { readonly closing: ClosingKind; readonly fits: boolean };
  'touch-in': { readonly rough: readonly string[] };
  decal: { readonly name: string; readonly crossesSeam: boolean };
  'decal-fit': { readonly name: string };
  chrome: { readonly name: string };
}

/** A damage and how it is mended. */
export interface Mend {
  readonly finding: PlanFinding;
  /** It must bear something: said so, or by the kind of part and how bad it is. */
  readonly carriesLoad: boolean;
  readonly advice: MendAdvice;
}

/** How a joint is made fast again, where more than its own kind decides. */
export type ClosingKind =
  'as its kind' | 'soldered' | 'formed' | 'set back' | 'pressed in' | 'false rivet' | 'glued' | 'glued clear';

export interface DraftFields {
  readonly station: Station;
  readonly partKeys: readonly string[];
  readonly of?: TaskSubject;
  readonly method?: string;
  readonly way?: TaskWork['way'];
  readonly colours?: readonly string[];
  /** Of the colour it puts on, 0 black to 1 white. */
  readonly luminance?: number;
  readonly tags: readonly TaskTag[];
  readonly hazards?: readonly string[];
  /** What cannot be undone; makes the task irreversible. */
  readonly cannotBeUndone?: string;
  readonly handsOnMin: number;
  readonly watchedMin?: number;
  readonly passiveMin?: number;
  /** What the parts meet in it; never one that a material in them does not stand. */
  readonly process?: Process;
  /** As hot as the metal becomes, °C. */
  readonly atC?: number;
  /** Materials and tools it takes. */
  readonly uses?: readonly Use[];
}

/** A task of one act before it has words and the order rules have linked it. */
export type DraftOf<Act extends TaskAct> = DraftFields & { readonly act: Act } & (Act extends keyof TaskDetails
    ? { readonly detail: TaskDetails[Act] }
    : unknown);

export type TaskDraft = { readonly [Act in TaskAct]: DraftOf<Act> }[TaskAct];

export interface PlannedTask extends TaskWork {
  readonly key: string;
  readonly seq: number;
  readonly tags: readonly TaskTag[];
  readonly hazards: readonly string[];
  readonly cannotBeUndone: string;
  readonly atC: number | null;
  readonly luminance: number | null;
  readonly needs: TaskNeeds;
  readonly uses: readonly Use[];
  readonly after: readonly TaskLink[];
}

/** Something the plan leaves out or does otherwise, and why. */
export interface PlanNotice {
  readonly kind:
    | 'left alone'
    | 'on its way'
    | 'kept'
    | 'keeps paint'
    | 'not straightened'
    | 'not mended'
    | 'not baked'
    | 'no coat planned'
    | 'no primer'
    | 'too long to watch'
    | 'done otherwise before'
    | 'one set of wheels'
    | 'answer without effect'
    | 'water';
  readonly partKeys: readonly string[];
  /** Keys of the tasks it is about. */
  readonly taskKeys: readonly string[];
  readonly words: string;
}

export type CompiledPlan =
  | { readonly kind: 'plan'; readonly tasks: readonly PlannedTask[]; readonly notices: readonly PlanNotice[] }
  | Contradiction;

export interface Contradiction {
  readonly kind: 'contradiction';
  /** Tasks that wait for each other; empty where the survey and the schools ask for what cannot be. */
  readonly cycle: readonly string[];
  readonly because: string;
  /** The findings behind it: "Skip: cracked, along the hinge". */
  readonly findings: readonly string[];
}
